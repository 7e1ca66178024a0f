import { PASSES, type Pass } from "../../core/checks/card.ts";
import type { Tables } from "../../core/engine/mark.ts";
import type { TextReadings } from "../../core/engine/reading.ts";
import { layersStamp } from "../../core/house/layers.ts";
import { EMPTY_STYLE, type HouseStyle } from "../../core/house/style.ts";
import type { Decision } from "../../core/ledger/decision.ts";
import type { Edit, Manuscript } from "../../core/manuscript/model.ts";
import { type Scope, USUAL_SCOPE } from "../../core/readings/scope.ts";
import type { ShelfRecord } from "../../store/shelf.ts";
import { type ComparingState, NOT_COMPARED } from "./comparing-state.ts";
import type { PlacedMark } from "./reported.ts";

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
  /** What it comes to in every place of its group. */
  variant: string;
  edits: Edit[];
  /** What speaks for it. */
  note?: string | undefined;
  /** Another word for it, not one near it by its letters. */
  byMeaning?: boolean;
}

/** What asking for less of a check would do. */
export interface LessQuestion {
  /** The marked text, and how many open marks it has. */
  text: string;
  places: number;
  /** Open marks of the check, which switching it off hides. */
  hides: number;
  /** Asked for every document, not this one alone. */
  inEvery: boolean;
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
  /** What is shown beside the marks; null before anything has been read. */
  tables: Tables | null;
  /** How the text reads, as it was asked last; null before that. */
  readings: TextReadings | null;
  /** Which parts the readings count. */
  scope: Scope;
  /** The pass that is walked. */
  pass: Pass;
  /** Its open marks. */
  open: PlacedMark[];
  /** All its marks, settled ones included, plus those corrected away. */
  total: number;
  /** The open marks of all passes, and what is open of how many in each. */
  openOfAll: PlacedMark[];
  passes: Readonly<Record<Pass, { open: number; total: number }>>;
  /** The first pass can be walked while the others are still being read. */
  readingOn: boolean;
  /** Passes whose data can't be had just now. */
  unread: readonly Pass[];
  subject: Subject;
  /** Words selected in the text before the caret left it, until something else is at hand. */
  phrase: string;
  choices: PlacedChoice[] | null;
  /** Index of the choice shown in the line; -1 for none. */
  previewed: number;
  /** The slip has been drawn with its corrections: only now do keys decide. */
  shown: boolean;
  /** A decision is being written, or its outcome shown: nothing else is decided meanwhile. */
  deciding: boolean;
  /** The caret is in the text, and keys type. */
  typing: boolean;
  /** The walk stands at an end of the pass, while marks are open at the other. */
  edge: "start" | "end" | null;
  /** "Less like this" was asked of a check that is what a pass is for: what is meant? */
  less: LessQuestion | null;
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
  /** The style that holds for every document. */
  style: HouseStyle;
  /** The houses that the document follows, the first first. */
  houses: readonly HouseStyle[];
  /** Replacements are made while typing. */
  replaceTyping: boolean;
  /** Where comparing with sources stands. */
  comparing: ComparingState;
  /** The copy is being read aloud. */
  speaking: boolean;
  /** Why nothing can be read aloud; empty when something can. */
  voiceless: string;
}

/** The passes that have not been read to their end. */
export function unreadOf({
  phase,
  readingOn,
  unread,
}: Pick<DeskState, "phase" | "readingOn" | "unread">): readonly Pass[] {
  if (phase !== "ready") return PASSES;
  return readingOn ? PASSES.filter((pass) => pass !== "spelling") : unread;
}

/** What tells whether the walk is at an end. */
export const AT_END = ["subject", "pass", "open", "edge", "phase", "readingOn", "unread"] as const;

/** Whether the walk has come to the end of its pass: no open mark, or none after the place. */
export function isAtEnd(state: Pick<DeskState, (typeof AT_END)[number]>): boolean {
  if (state.subject || unreadOf(state).includes(state.pass)) return false;
  return state.open.length === 0 || state.edge === "end";
}

/** The pass to go on with: the next one with open marks, or any that has some; null when none has. */
export function passAfter({ pass, passes }: Pick<DeskState, "pass" | "passes">): Pass | null {
  const at = PASSES.indexOf(pass);
  const others = [...PASSES.slice(at + 1), ...PASSES.slice(0, at)];
  return others.find((one) => passes[one].open > 0) ?? null;
}

/** What the shelf is told of a run; null before there is one. */
export function runOf(state: DeskState): ShelfRecord["run"] {
  const { tables, openOfAll, decisions, standing, style, houses, readings, comparing, record } =
    state;
  if (!tables) return null;
  const of = (weight: string) => openOfAll.filter(({ mark }) => mark.weight === weight).length;
  return {
    at: new Date().toISOString(),
    words: tables.counts.words,
    fix: of("fix"),
    settle: of("settle"),
    weigh: of("weigh"),
    decided: decisions.filter(({ seq, act }) => act !== "undo" && standing.has(seq)).length,
    unread: [...unreadOf(state)],
    style: layersStamp([...houses, style]),
    grade: readings?.grade?.median ?? null,
    overlap: comparing.done?.share ?? record?.run?.overlap ?? null,
  };
}

/** Before anything has been read. */
export const NO_PASSES = Object.fromEntries(
  PASSES.map((pass) => [pass, { open: 0, total: 0 }]),
) as DeskState["passes"];

/** The desk before its document is there. */
export const OPENING: DeskState = {
  phase: "opening",
  problem: "",
  progress: { done: 0, all: 1 },
  record: null,
  manuscript: null,
  tables: null,
  readings: null,
  scope: USUAL_SCOPE,
  open: [],
  total: 0,
  openOfAll: [],
  pass: "spelling",
  passes: NO_PASSES,
  readingOn: false,
  unread: [],
  subject: null,
  phrase: "",
  choices: null,
  previewed: -1,
  shown: false,
  deciding: false,
  typing: false,
  edge: null,
  less: null,
  decisions: [],
  standing: new Set(),
  kept: { state: "kept", at: null },
  reading: false,
  notice: "",
  whileTyping: true,
  stale: false,
  style: EMPTY_STYLE,
  houses: [],
  replaceTyping: false,
  comparing: NOT_COMPARED,
  speaking: false,
  voiceless: "",
};
