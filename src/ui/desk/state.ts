import { PASSES, type Pass } from "../../core/checks/check.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import type { Decision } from "../../core/ledger/decision.ts";
import type { Edit, Manuscript } from "../../core/manuscript/model.ts";
import type { Counts } from "../../core/readings/counts.ts";
import type { ShelfRecord } from "../../store/shelf.ts";
import type { PlacedMark } from "./marks-board.ts";

/** A word the reader has selected where no mark stands. */
export interface WordAtHand {
  word: string;
  from: number;
  to: number;
}

/** What the slip is about. */
export type Subject =
  | { kind: "mark"; place: PlacedMark }
  | { kind: "word"; word: WordAtHand }
  | null;

/** A choice with its edits at their place in the document. */
export interface PlacedChoice {
  label: string;
  edits: Edit[];
  /** What speaks for it. */
  note?: string | undefined;
}

/** How far the latest change is from being safe. */
export type Kept =
  | { state: "kept"; at: Date | null }
  | { state: "keeping" }
  | { state: "failed"; sentence: string };

/** Everything the desk shows; a new object for every change. */
export interface DeskState {
  phase: "opening" | "checking" | "stopped" | "ready" | "missing";
  /** Why the document cannot be shown, for phase "missing". */
  problem: string;
  /** Blocks examined so far, while checking. */
  progress: { done: number; all: number };
  record: ShelfRecord | null;
  manuscript: Manuscript | null;
  counts: Counts | null;
  /** The pass that is walked. */
  pass: Pass;
  /** Its open marks. */
  open: PlacedMark[];
  /** All its marks, settled ones included, plus those corrected away. */
  total: number;
  /** The open marks of all passes, and what is open of how many in each. */
  openOfAll: PlacedMark[];
  passes: Readonly<Record<Pass, { open: number; total: number }>>;
  /** How many marks of each check are not shown, since a page has enough of them. */
  withheld: ReadonlyMap<string, number>;
  /** The first pass can be walked while the others are still being read. */
  readingOn: boolean;
  subject: Subject;
  choices: PlacedChoice[] | null;
  /** Index of the choice shown in the line; -1 for none. */
  previewed: number;
  decisions: readonly Decision[];
  standing: ReadonlySet<number>;
  kept: Kept;
  /** Another tab holds the document; this one only reads. */
  reading: boolean;
  /** Something to tell the reader, until the next thing happens. */
  notice: string;
  /** What is typed is checked at once; otherwise when asked for. */
  whileTyping: boolean;
  /** Something was typed that has not been checked. */
  stale: boolean;
  /** Word lists, replacements and sound rules. */
  style: HouseStyle;
  /** Replacements are made while typing. */
  replaceTyping: boolean;
  /** The copy is being read aloud. */
  speaking: boolean;
  /** Why nothing can be read aloud; empty when something can. */
  voiceless: string;
}

/** What the shelf is told of a run; null before there is one. */
export function runOf({ counts, openOfAll, decisions, standing }: DeskState): ShelfRecord["run"] {
  if (!counts) return null;
  const of = (weight: string) => openOfAll.filter(({ mark }) => mark.weight === weight).length;
  return {
    at: new Date().toISOString(),
    words: counts.words,
    fix: of("fix"),
    settle: of("settle"),
    weigh: of("weigh"),
    decided: decisions.filter(({ seq, act }) => act !== "undo" && standing.has(seq)).length,
  };
}

/** Before anything has been read. */
export const NO_PASSES = Object.fromEntries(
  PASSES.map((pass) => [pass, { open: 0, total: 0 }]),
) as DeskState["passes"];
