import type { Decision, Draft } from "../../core/ledger/decision.ts";
import { NotKept } from "../../store/failure.ts";
import { writeDecision } from "../../store/ledger.ts";
import type { DeskDocument } from "./desk-document.ts";
import type { Kept } from "./state.ts";

/**
 * Writes decisions down, one after the other, before they enter the document. Steps that are asked
 * for while one is being written wait their turn; a refusal of the storage ends a step and is said.
 */
export class Keeper {
  private queue: Promise<void> = Promise.resolve();

  constructor(
    private readonly id: string,
    private readonly say: (kept: Kept) => void,
  ) {}

  /** Runs a step after all that were asked for before it. */
  enqueue(step: () => Promise<unknown>): Promise<void> {
    const next = this.queue.then(async () => {
      await this.guard(step);
    });
    this.queue = next;
    return next;
  }

  /** Runs a step that writes; when the storage refuses, that is said and the rest of it is left. */
  async guard(step: () => Promise<unknown>): Promise<void> {
    try {
      await step();
    } catch (error) {
      if (!(error instanceof NotKept)) throw error;
      this.say({ state: "failed", sentence: error.sentence });
    }
  }

  /** Makes a decision of what was typed; returns whether anything had been. Throws NotKept. */
  async keepTyping(copy: DeskDocument): Promise<boolean> {
    const typed = copy.typedDraft();
    if (!typed) return false;
    let decision: Decision | null = null;
    if (typed.draft.edits.length > 0) {
      decision = copy.enter(typed.draft, new Date().toISOString());
      await writeDecision(this.id, decision);
    }
    copy.recordTyped(decision, typed.steps);
    this.say({ state: "kept", at: new Date() });
    return true;
  }

  /** Writes a decision down and enters it. Throws NotKept, and then nothing has changed. */
  async decide(copy: DeskDocument, draft: Draft): Promise<Decision> {
    const decision = copy.enter(draft, new Date().toISOString());
    this.say({ state: "keeping" });
    await writeDecision(this.id, decision);
    copy.apply(decision);
    this.say({ state: "kept", at: new Date() });
    return decision;
  }
}
