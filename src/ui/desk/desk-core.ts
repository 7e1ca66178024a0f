import { PASSES, type Pass } from "../../core/checks/card.ts";
import type { CheckSettings } from "../../core/engine/mark.ts";
import type { Decision } from "../../core/ledger/decision.ts";
import type { Edit } from "../../core/manuscript/model.ts";
import { checkSettings } from "../../store/check-settings.ts";
import { writeDecision } from "../../store/ledger.ts";
import type { ShelfRecord } from "../../store/shelf.ts";
import { forgetTyped, writeTyped } from "../../store/typing.ts";
import type { ProofreaderLink } from "../../worker/connect.ts";
import type { Update } from "../../worker/proofreader.ts";
import { Checking } from "./checking.ts";
import { DeskDocument } from "./desk-document.ts";
import { DeskStore } from "./desk-store.ts";
import type { GalleyFace } from "./galley-face.ts";
import { Keeper } from "./keeper.ts";
import type { PlacedMark } from "./reported.ts";
import { ShelfNote } from "./shelf-note.ts";
import type { DeskState } from "./state.ts";
import { rangeOf } from "./subject.ts";

const OWN_FAULT =
  "Dry Run met an error of its own, and this step was not made. What was decided before is kept.";

/** What the session does about what the worker and the storage tell. */
export interface CoreEvents {
  /** The spelling pass is read, or all are. */
  delivered(update: Update, whole: boolean): void;
  /** Marks of some blocks are others now. */
  changed(blocks: number[]): void;
  /** The browser's storage was cleared: everything is to be written once more. */
  cleared(decisions: readonly Decision[]): Promise<void>;
}

/**
 * What all rooms of the desk work with: the document, its state for the screen, the text on screen, the
 * worker that checks it and the storage that keeps it.
 */
export class DeskCore {
  readonly store = new DeskStore();
  readonly keeper: Keeper;
  readonly checking: Checking;
  readonly shelf: ShelfNote;
  galley: GalleyFace | null = null;
  /** The file as it came. */
  bytes: Uint8Array = new Uint8Array();
  copy = new DeskDocument({ text: "", blocks: [], spans: [] }, []);
  /** Where the reader was last, without an open slip. */
  lastPlace = 0;
  /** The settings made last, and what of. */
  private settled: {
    record: ShelfRecord;
    style: DeskState["style"];
    houses: DeskState["houses"];
    settings: CheckSettings;
  } | null = null;

  constructor(
    readonly id: string,
    readonly worker: ProofreaderLink,
    events: CoreEvents,
  ) {
    this.keeper = new Keeper(
      {
        writeDecision: (decision) => writeDecision(id, decision),
        writeTyped: (typed) => writeTyped(id, typed),
        forgetTyped: (after) => forgetTyped(id, after),
        restore: (decisions) => events.cleared(decisions),
      },
      {
        kept: (kept) => this.publish({ kept }),
        fault: (error) => this.tellFault(error),
      },
    );
    this.shelf = new ShelfNote(this);
    this.checking = new Checking(worker, {
      copy: () => this.copy,
      settings: () => this.settings(),
      file: () => ({ bytes: this.bytes, name: this.state.record?.fileName ?? "" }),
      began: () => this.publish({ phase: "checking", stale: false, progress: { done: 0, all: 1 } }),
      progressed: (progress) => this.publish({ progress }),
      delivered: (update, whole) => events.delivered(update, whole),
      changed: (blocks) => events.changed(blocks),
      amiss: (sentence, over) =>
        this.publish({ notice: sentence, ...(over ? { phase: "stopped", readingOn: false } : {}) }),
    });
  }

  get state(): DeskState {
    return this.store.getSnapshot();
  }

  /** A decision is being written, or its outcome shown. */
  get busy(): boolean {
    return this.state.deciding;
  }

  publish(changes: Partial<DeskState>): void {
    this.store.publish(changes);
  }

  say(notice: string): void {
    this.publish({ notice });
  }

  tellFault(error: unknown): void {
    console.error(error);
    const kept = this.state.kept.state === "keeping" && !this.copy.hasTyped;
    this.publish({
      notice: OWN_FAULT,
      ...(kept ? { kept: { state: "kept", at: new Date() } } : {}),
    });
  }

  /** Where the reader is: at the open slip, or where they were last. */
  place(): number {
    const { subject } = this.state;
    return subject ? rangeOf(subject).from : this.lastPlace;
  }

  settings(): CheckSettings {
    const { record, style, houses } = this.state;
    if (!record) return { variety: "en-US", kind: "general", appetites: {}, words: [] };
    const { settled } = this;
    if (settled?.record !== record || settled.style !== style || settled.houses !== houses) {
      const settings = checkSettings(record, [...houses, style]);
      this.settled = { record, style, houses, settings };
      return settings;
    }
    return settled.settings;
  }

  /** Publishes the open marks and has the changed ones drawn. */
  refresh(blocks: "all" | readonly number[]): void {
    const places = this.copy.reported.all();
    const all = firstOfEach(places);
    const openOfAll = firstOfEach(this.copy.openMarks(places));
    const corrected = this.copy.correctedByPass();
    const found = countByPass(all);
    const left = countByPass(openOfAll);
    const passes = Object.fromEntries(
      PASSES.map((pass) => {
        const total = (found.get(pass) ?? 0) + (corrected.get(pass) ?? 0);
        return [pass, { open: left.get(pass) ?? 0, total }];
      }),
    ) as DeskState["passes"];
    const { pass } = this.state;
    const open = openOfAll.filter(({ mark }) => mark.pass === pass);
    this.publish({ open, openOfAll, passes, total: passes[pass].total });
    this.galley?.redraw(blocks);
  }

  publishLedger(): void {
    this.publish({ decisions: this.copy.decisions, standing: this.copy.inForce });
    this.shelf.note();
  }

  /** Has the worker look again at what edits touched. */
  recheck(edits: readonly Edit[]): Promise<void> {
    // What was typed and is not to be checked yet stands between: the next run reads it all.
    if (!this.state.whileTyping && (this.state.stale || this.copy.hasTyped)) {
      return Promise.resolve();
    }
    return this.checking.edit(edits);
  }
}

/** Of places that one mark stands for, the first: another one, where the first was let stand. */
function firstOfEach(places: readonly PlacedMark[]): PlacedMark[] {
  const groups = new Set<string>();
  return places.filter(({ mark }) => {
    if (mark.follows && groups.has(mark.group)) return false;
    groups.add(mark.group);
    return true;
  });
}

function countByPass(places: readonly PlacedMark[]): Map<Pass, number> {
  const counts = new Map<Pass, number>();
  for (const { mark } of places) counts.set(mark.pass, (counts.get(mark.pass) ?? 0) + 1);
  return counts;
}
