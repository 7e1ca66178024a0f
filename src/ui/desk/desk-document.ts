import { ChangeSet } from "@codemirror/state";
import { type Decision, type Draft, inForce } from "../../core/ledger/decision.ts";
import {
  append,
  enter,
  type Ledger,
  ledgerEdits,
  netEdits,
  replay,
} from "../../core/ledger/ledger.ts";
import { SettledPlaces } from "../../core/ledger/settled.ts";
import { applyEdits, invertEdits, mapPosition } from "../../core/manuscript/edits.ts";
import { copyLayout, shiftBlocks, shiftSpans, whyRefused } from "../../core/manuscript/layout.ts";
import type { Block, Edit, Manuscript, Span } from "../../core/manuscript/model.ts";
import type { Typed } from "../../store/typing.ts";
import { type PlacedMark, placesOf, Reported } from "./reported.ts";

/** A question to the author at its place. */
export interface PlacedQuery {
  from: number;
  to: number;
  text: string;
}

/**
 * One document as it stands: its ledger, where everything in it is now, and what was typed since
 * the last decision. It knows no screen, no worker and no storage.
 */
export class DeskDocument {
  /** The text as on screen, typing included. */
  text: string;
  readonly layout: { blocks: Block[]; spans: Span[] };
  readonly reported: Reported;
  private ledger: Ledger;
  private readonly settled = new SettledPlaces();
  /** Steps of typing since the ledger's text, each on the text the one before led to. */
  private typed: Edit[][] = [];
  /** The decision that is being written, and how many steps of typing it is made of; null for none. */
  private announced: { decision: Decision; steps: number | null } | null = null;
  private standing: ReadonlySet<number>;

  /** Throws RangeError when the decisions do not fit the manuscript. */
  constructor(
    manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
    decisions: readonly Decision[],
    readonly id = "",
  ) {
    this.ledger = replay(manuscript.text, decisions);
    this.text = this.ledger.text;
    this.layout = copyLayout(manuscript);
    this.reported = new Reported(this.layout.blocks, id);
    for (const decision of decisions) {
      this.settled.add(decision);
      shiftBlocks(this.layout.blocks, decision.edits);
      shiftSpans(this.layout.spans, decision.edits);
    }
    this.standing = inForce(decisions);
  }

  get decisions(): readonly Decision[] {
    return this.ledger.decisions;
  }

  /** Numbers of the decisions that no standing undo takes back. */
  get inForce(): ReadonlySet<number> {
    return this.standing;
  }

  /** The ledger, for questions about undoing. */
  get history(): Ledger {
    return this.ledger;
  }

  /** The manuscript as it stands, typing included. */
  current(): Pick<Manuscript, "text" | "blocks" | "spans"> {
    return { text: this.text, ...this.layout };
  }

  /** Edits that lead from the original text to the one on screen. */
  editsSoFar(): Edit[] {
    const steps = this.ledger.decisions.map(({ edits }) => edits);
    return netEdits(this.ledger.original, [...steps, ...this.typed]);
  }

  /** Why an edit cannot be made, as a sentence; null when it can. */
  whyRefused(edit: Edit): string | null {
    return whyRefused(this.text, this.layout, edit);
  }

  /** Marks that nothing has settled. */
  openMarks(all: readonly PlacedMark[] = this.reported.all()): PlacedMark[] {
    return this.reported.openOf(all, this.settled, this.typed);
  }

  /** Something was typed that is no decision yet. */
  get hasTyped(): boolean {
    return this.typed.length > 0;
  }

  /** How many marks of each pass standing corrections took away. */
  correctedByPass(): ReadonlyMap<string, number> {
    const corrected = new Map<string, number>();
    for (const { seq, act, marks } of this.ledger.decisions) {
      if (act !== "correct" || !this.standing.has(seq)) continue;
      for (const { rule } of marks) {
        const pass = rule.slice(0, rule.indexOf("/"));
        corrected.set(pass, (corrected.get(pass) ?? 0) + 1);
      }
    }
    return corrected;
  }

  /** Takes in a step of typing; it joins the ledger with `typedDraft`. */
  type(edits: readonly Edit[]): void {
    this.typed.push([...edits]);
    this.shift(edits);
  }

  /** What was typed as one decision to come, and how many steps it covers; null without any. */
  typedDraft(): { draft: Draft; steps: number } | null {
    const steps = this.typed.length;
    if (steps === 0) return null;
    const edits = netEdits(this.ledger.text, this.typed);
    return { draft: { act: "edit", scope: "here", marks: [], edits }, steps };
  }

  /**
   * What was typed, to be written down: after the last decision, and, while another is being written,
   * after that one too, so that whichever is the last on disk finds what was typed after it.
   */
  typedNotes(): Typed[] {
    const after = this.ledger.decisions.length;
    const at = this.ledger.decisions.at(-1)?.at ?? "";
    const notes = [{ after, at, typed: netEdits(this.ledger.text, this.typed) }];
    if (!this.announced) return notes;
    const { decision, steps } = this.announced;
    const text = applyEdits(this.ledger.text, decision.edits);
    const typed =
      steps === null ? this.rebased(decision).typed : netEdits(text, this.typed.slice(steps));
    return [...notes, { after: after + 1, at: decision.at, typed }];
  }

  /** Tells which decision is being written, and how many steps of typing it is made of, if of any. */
  announce(decision: Decision, steps: number | null): void {
    this.announced = { decision, steps };
  }

  /** The decision that was being written could not be. */
  withdraw(): void {
    this.announced = null;
  }

  /** Completes a draft; the text is the ledger's, without what was typed since. */
  enter(draft: Draft, at: string): Decision {
    return enter(this.ledger, draft, at);
  }

  /** Enters a decision whose edits are already in the text, as typing is. */
  recordTyped(decision: Decision | null, steps: number): void {
    this.typed = this.typed.slice(steps);
    if (decision) this.record(decision);
    this.announced = null;
  }

  /**
   * Enters a decision and makes its edits; returns them on the text as it was on screen, where
   * something may have been typed while the decision was being written.
   */
  apply(decision: Decision): Edit[] {
    const { typed, edits } =
      this.hasTyped && decision.edits.length > 0
        ? this.rebased(decision)
        : { typed: null, edits: decision.edits };
    this.record(decision);
    if (typed) this.typed = typed.length > 0 ? [typed] : [];
    if (edits.length > 0) this.shift(edits);
    this.announced = null;
    return edits;
  }

  /** What was typed on the text after a decision, and the decision on the text with what was typed. */
  private rebased(decision: Decision): { typed: Edit[]; edits: Edit[] } {
    const { length } = this.ledger.text;
    const typed = ChangeSet.of(netEdits(this.ledger.text, this.typed), length);
    const decided = ChangeSet.of(decision.edits, length);
    return { typed: editsOf(typed.map(decided)), edits: editsOf(decided.map(typed, true)) };
  }

  /** Edits and questions on the original text. */
  outcome(): { edits: Edit[]; queries: PlacedQuery[] } {
    const edits = ledgerEdits(this.ledger);
    const back = invertEdits(this.ledger.original, edits);
    const queries = this.queries().map(({ from, to, text }) => ({
      from: mapPosition(from, back, "before"),
      to: mapPosition(to, back, "after"),
      text,
    }));
    return { edits, queries };
  }

  /** The questions to the author, at their places in the ledger's text. */
  queries(): PlacedQuery[] {
    return this.settled
      .places()
      .filter(({ decision }) => decision.act === "query")
      .map(({ decision, from, to }) => ({ from, to, text: decision.note ?? "" }));
  }

  /** Where a block begins in the text. */
  startOf(block: number): number {
    return this.layout.blocks[block]?.from ?? 0;
  }

  /** Numbers of the blocks a decision is about, after it was made. */
  blocksOf({ marks, edits }: Decision): number[] {
    const places = [...marks, ...edits].map(({ from, to }) => ({ from, to, insert: "" }));
    return [...new Set(placesOf(this.layout.blocks, places).map(({ block }) => block))];
  }

  private record(decision: Decision): void {
    this.ledger = append(this.ledger, decision);
    this.settled.add(decision);
    this.standing = inForce(this.ledger.decisions);
  }

  private shift(edits: readonly Edit[]): void {
    const places = placesOf(this.layout.blocks, edits);
    this.text = applyEdits(this.text, edits);
    shiftBlocks(this.layout.blocks, edits);
    shiftSpans(this.layout.spans, edits);
    this.reported.shift(edits, places);
  }
}

function editsOf(changes: ChangeSet): Edit[] {
  const edits: Edit[] = [];
  changes.iterChanges((from, to, _newFrom, _newTo, inserted) => {
    edits.push({ from, to, insert: inserted.toString() });
  });
  return edits;
}
