import type { AnalysedBlock, Language } from "../language/analysis.ts";
import type { SoundRule, Vocabulary } from "../language/corrections.ts";
import type { PhraseList } from "../language/phrase-lists.ts";
import type { Block, Edit, Kind, Variety } from "../manuscript/model.ts";
import type { Match } from "./patterns/matcher.ts";

/** One round of reading with one purpose, in working order. */
export const PASSES = ["spelling", "grammar", "wording"] as const;
export type Pass = (typeof PASSES)[number];

/** fix: wrong by any book; settle: the house must choose; weigh: advice. */
export type Weight = "fix" | "settle" | "weigh";

/** A way to mend a mark. Edits are offsets in the block's text. */
export interface Choice {
  label: string;
  edits: Edit[];
  note?: string;
}

/** Something one block shows that a check may care about; offsets in the block's text. */
export interface Fact {
  from: number;
  to: number;
}

/** A fact that is a mark as it stands. */
export interface MarkFact extends Fact {
  reason: string;
  /** Ways to mend it, in US spelling; offsets in the block's text. */
  choices: Choice[];
  /** Doubtful: shown at full appetite only, and never weighed above "weigh". */
  unsure?: boolean;
  /** Where it differs from the check's own. */
  weight?: Weight;
  /** Stands between quotation marks. */
  quoted?: boolean;
  group?: string;
}

/** How much of a check is wanted: all, only what it is sure of, or nothing. */
export const APPETITES = ["all", "sure", "off"] as const;
export type Appetite = (typeof APPETITES)[number];

/** A fact and the block it was found in. */
export interface PlacedFact<F extends Fact> {
  block: number;
  fact: F;
}

/** What a check concludes; offsets in the block's text. */
export interface Finding {
  block: number;
  from: number;
  to: number;
  reason: string;
  /** Where it differs from the check's own. */
  weight?: Weight;
  /** Findings with the same cause share it, such as one misspelling in many places. */
  group?: string;
  /** The group's first place stands for this one, which carries no mark of its own. */
  follows?: boolean;
  /** Shown at full appetite only. */
  unsure?: boolean;
}

/** What `judge` may look at beside the facts. */
export interface Circumstances {
  blocks: readonly Block[];
  variety: Variety;
  kind: Kind;
  /** Words of the person's and the house's word lists, lower case. */
  words: ReadonlySet<string>;
  language: Language;
  /** Kinds of unknown words left alone, by `LEAVE_BITS`. */
  leave: number;
  /** The document's own words and those of the word lists. */
  vocabulary: () => Vocabulary;
  soundRules: readonly SoundRule[];
}

/** Shows what a check does: wrong and right, or a sentence it leaves alone. */
export type Example = { wrong: string; right: string } | { leave: string };

/**
 * A check: one file with its logic, its explanation and its examples, which are its tests too.
 * `examine` looks at one block and nothing else and is cached by the block's content; `judge` looks
 * at all facts together; `choose` makes the corrections when they are asked for. Where a fact is a
 * mark as it stands (`MarkFact`), both are left out.
 */
export interface Check<F extends Fact = Fact> {
  id: string;
  pass: Pass;
  weight: Weight;
  /** The trade's short code, shown in the margin. */
  code: string;
  title: string;
  /** What is wrong and why it matters, in plain words. */
  why: string;
  /** The published rule it rests on, or "common practice". */
  source: string;
  examples: Example[];
  /** What it marks are words that can go on a word list. */
  takesWords?: boolean;
  /** Lines of the pattern language (`patterns/pattern.ts`) looked for in every block. */
  patterns?: readonly string[];
  /** A list of such lines in data/phrases. */
  phraseList?: PhraseList;
  /** At most this many marks a page (`readings/counts.ts`); the others are counted. */
  aPage?: number;
  /** Its marks are left alone between quotation marks where the copy's speech is. */
  sparesSpeech?: boolean;
  /** Finds nothing in a block where none of its patterns does. */
  needsMatches?: boolean;
  examine(block: AnalysedBlock, language: Language, matches: readonly Match[]): F[];
  judge?(facts: readonly PlacedFact<F>[], circumstances: Circumstances): Finding[];
  choose?(text: string, finding: Finding, circumstances: Circumstances): Choice[];
}
