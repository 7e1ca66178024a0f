import type { Decision, Draft } from "../../core/ledger/decision.ts";
import type { Edit } from "../../core/manuscript/model.ts";
import { NotKept } from "../../store/failure.ts";
import { StorageCleared } from "../../store/ledger.ts";
import type { Typed } from "../../store/typing.ts";
import type { DeskDocument } from "./desk-document.ts";
import type { Kept } from "./state.ts";

/** Where the keeper writes; each resolves when it is on disk, or throws NotKept. */
export interface KeeperStore {
  /** Throws StorageCleared too, when what was written before is gone. */
  writeDecision(decision: Decision): Promise<void>;
  writeTyped(typed: Typed): Promise<void>;
  forgetTyped(after: number): Promise<void>;
  /** Writes everything anew after the storage was cleared. */
  restore(decisions: readonly Decision[]): Promise<void>;
}

/** A decision that was made, and its edits on the text as it was on screen. */
export interface Decided {
  decision: Decision;
  edits: Edit[];
}

export interface KeeperEvents {
  kept(kept: Kept): void;
  /** A step ended with an error of the application's own; nothing of it was decided. */
  fault(error: unknown): void;
}

/** Milliseconds after which what could not be written is tried once more. */
const RETRY_MS = 4000;

/**
 * Writes decisions down, one after the other, before they enter the document, and what is typed as
 * it comes. Steps asked for while one is being written wait their turn. A refusal of the storage or
 * an error ends its own step, is said, and the next step goes on.
 */
export class Keeper {
  private queue: Promise<unknown> = Promise.resolve();
  private retry: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly store: KeeperStore,
    private readonly events: KeeperEvents,
  ) {}

  /** Runs a step after all that were asked for before it; undefined when it failed. Never rejects. */
  enqueue<T>(step: () => Promise<T>): Promise<T | undefined> {
    const done = this.queue.then(() => this.guard(step));
    this.queue = done;
    return done;
  }

  /** Runs a step that writes; a refusal or an error is said and ends this step alone. Never rejects. */
  async guard<T>(step: () => Promise<T>): Promise<T | undefined> {
    try {
      return await step();
    } catch (error) {
      if (error instanceof NotKept) this.events.kept({ state: "failed", sentence: error.sentence });
      else this.events.fault(error);
      return undefined;
    }
  }

  /**
   * Writes down what has been typed since the last decision, at once and without waiting for earlier
   * notes: the store takes them in order. Never rejects.
   */
  noteTyping(copy: DeskDocument): Promise<unknown> {
    const notes = copy.typedNotes();
    return this.guard(() => Promise.all(notes.map((note) => this.store.writeTyped(note))));
  }

  /** Makes a decision of what was typed; returns whether anything had been. Throws NotKept. */
  async keepTyping(copy: DeskDocument): Promise<boolean> {
    const typed = copy.typedDraft();
    if (!typed) return false;
    const after = copy.decisions.length;
    if (typed.draft.edits.length > 0) {
      const decision = copy.enter(typed.draft, new Date().toISOString());
      copy.announce(decision, typed.steps);
      await this.write(copy, decision, () => this.keepLater(copy));
      copy.recordTyped(decision, typed.steps);
    } else copy.recordTyped(null, typed.steps);
    void this.guard(() => this.store.forgetTyped(after));
    this.settle(copy);
    return true;
  }

  /** Writes a decision down and enters it. Throws NotKept, and then nothing has changed. */
  async decide(copy: DeskDocument, draft: Draft): Promise<Decided> {
    const decision = copy.enter(draft, new Date().toISOString());
    copy.announce(decision, null);
    if (copy.hasTyped) await this.noteTyping(copy);
    this.events.kept({ state: "keeping" });
    await this.write(copy, decision, () => undefined);
    const edits = copy.apply(decision);
    this.settle(copy);
    return { decision, edits };
  }

  /** Says that all is kept; where more was typed meanwhile, that is noted after the newest decision. */
  private settle(copy: DeskDocument): void {
    if (copy.hasTyped) void this.noteTyping(copy);
    this.events.kept(copy.hasTyped ? { state: "keeping" } : { state: "kept", at: new Date() });
  }

  /** Ends what is planned for later. */
  stop(): void {
    clearTimeout(this.retry);
  }

  private async write(copy: DeskDocument, decision: Decision, failed: () => void): Promise<void> {
    try {
      await this.store.writeDecision(decision);
    } catch (error) {
      if (error instanceof StorageCleared) {
        await this.store.restore([...copy.decisions, decision]);
        return;
      }
      copy.withdraw();
      failed();
      throw error;
    }
  }

  /** Text that is on screen and could not be kept is tried again, until it is. */
  private keepLater(copy: DeskDocument): void {
    clearTimeout(this.retry);
    this.retry = setTimeout(() => void this.enqueue(() => this.keepTyping(copy)), RETRY_MS);
  }
}
