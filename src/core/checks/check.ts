import type { CitedDocument } from "../citations/cited-text.ts";
import type { CitedFinding } from "../citations/text-rules/rule.ts";
import type { AnalysedBlock, Language } from "../language/analysis.ts";
import type { SoundRule, Vocabulary } from "../language/corrections/corrections.ts";
import type { PhraseList } from "../language/phrases/phrase-lists.ts";
import type { Block, Edit, Kind, Range, Variety } from "../manuscript/model.ts";
import type { Tier } from "../originality/overlaps.ts";
import type { Bounds } from "../readings/readers.ts";
import type { Card, Weight } from "./card.ts";
import type { Match } from "./patterns/matcher.ts";

/** A way to mend a mark. Edits are offsets in the block's text. */
export interface Choice {
  label: string;
  edits: Edit[];
  note?: string;
  /** The block in whose text the edits are, where it is not the mark's. */
  block?: number;
  /** It is put in as a person wrote it, in whatever variety. */
  asWritten?: true;
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

/** What a check makes of one fact; offsets in the block's text. */
export interface Conclusion {
  from: number;
  to: number;
  reason: string;
  /** Where it differs from the check's own. */
  weight?: Weight;
  /** What stands in the margin, likewise. */
  code?: string;
  /**
   * Conclusions with the same cause share it, such as one misspelling in many places. Left out where
   * facts are counted by keys, it is the key's; null for one that stands alone.
   */
  group?: string | null;
  /** The group's first place stands for all: the others are listed there and carry no mark. */
  gathers?: boolean;
  /** Shown at full appetite only, and as advice. */
  unsure?: boolean;
}

/** One form of what a group is about, and how often it stands in the document. */
export interface Variant {
  text: string;
  count: number;
  /** How its check names the form, where that is not its text. */
  form?: string;
  /** Of these places so many keep it whatever is preferred, as in a quotation. */
  kept?: number;
}

/**
 * Who prefers a variant: what was chosen for this document, the house, a dictionary, a published standard,
 * the kind of copy, the variety of English, or most places of the text.
 */
export type Preference =
  | "document"
  | "house"
  | "dictionary"
  | "standard"
  | "kind"
  | "variety"
  | "majority";

/** What groups of forms are about, in the order in which they are settled. */
export const MATTERS = [
  "compounds",
  "spelling",
  "capitals",
  "names",
  "numbers",
  "dates",
  "marks",
  "layout",
  "abbreviations",
  "quantities",
  "numbering",
] as const;
export type Matter = (typeof MATTERS)[number];

/** Why a place keeps its form whatever is preferred. */
export type Keeping = "quotation" | "title" | "name" | "speech" | "opening" | "bracket" | "grammar";

/** How the facts of a check are forms of one thing, and how one is written as another. */
export interface Forms<F extends Fact> {
  /** The form of a fact; null where it is none. */
  formOf(fact: F): string | null;
  /** Why it keeps its form, where it does. */
  keeping(fact: F): Keeping | null;
  /** A place is changed only when that is asked for. */
  isAsked?: boolean;
  /** What stands in the place of a fact in another form; null where that can't be told. */
  write(fact: F, form: string, text: string, circumstances: Circumstances): string | null;
}

/** What is told of a group beside its places. */
export interface Telling {
  /** The group, where it is not the key's own. */
  group?: string;
  /** A sentence with its figures. */
  note: string;
  variants?: readonly Variant[];
  preferred?: { variant: string; by: Preference; house?: string };
  /** What it is about, for a group of forms. */
  matter?: Matter;
  /** Its forms stand beside each other on purpose. */
  onPurpose?: boolean;
}

/** What the facts of one key come to, told by plain values, so that two of them can be compared. */
export type Verdict = Readonly<Record<string, string | number | boolean>>;

/** A verdict, and the levels of the document at which it stands: `from` included, `until` not. */
export interface Judged<V extends Verdict = Verdict> {
  verdict: V | null;
  from?: number;
  until?: number;
}

/** A figure of the whole document, kept up to date as the tallies of keys change. */
export interface Totals<T> {
  add(tally: T): void;
  remove(tally: T): void;
  level(): number;
}

/** By which keys facts are counted together. Checks with the same facts may share one. */
export interface Counting<F extends Fact, T = unknown> {
  /** The key a fact counts under, or several; null where these settings leave it alone. */
  keysOf(fact: F, block: Block, circumstances: Circumstances): string | readonly string[] | null;
  /** A tally with nothing counted. */
  start(): T;
  /** Counts a fact of a key in, or out again, with the block it stands in and that block's number. */
  count(tally: T, fact: F, key: string, by: 1 | -1, index: number, block: Block): void;
}

/**
 * How a check concludes from facts in many blocks. Facts of one key are counted together in a tally;
 * the tally, with the document's level where the check has one, gives the key's verdict; and the
 * verdict is applied to each fact. A change in one block so touches its own keys alone, and the places
 * of a key only when its verdict is another.
 */
export interface Across<F extends Fact, T = unknown, V extends Verdict = Verdict> {
  counting: Counting<F, T>;
  /** Where verdicts hang on a figure of the whole document. */
  totals?(circumstances: Circumstances): Totals<T>;
  judge(key: string, tally: T, level: number, circumstances: Circumstances): Judged<V>;
  /** False for a fact that is counted only, and of which no verdict says anything. */
  speaks?(fact: F): boolean;
  /** What a verdict says of one fact, in the block of this number; null for nothing. */
  find(fact: F, verdict: V, circumstances: Circumstances, block: number): Conclusion | null;
  /** What is told of the groups that a key's verdict makes. */
  tell?(key: string, tally: T, verdict: V): readonly Telling[];
}

/** Under this name among the choices of a document stands whether abbreviations are explained in each section. */
export const EXPLAINED_IN = "consistency/abbreviations:section";
export const EACH_SECTION = "each";

/** Nothing was chosen in this document. */
export const NO_FORMS: Readonly<Record<string, string>> = {};

/** What a house has of a group of forms. */
export interface HouseForm {
  form: string;
  /** The house's name, as a mark says it. */
  house: string;
}

/** What conclusions may hang on beside the facts. */
export interface Circumstances {
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
  /** What the reader the text is for takes with ease. */
  reader: Bounds;
  /** What was chosen for this document, by group: a form, or "" where all stand on purpose. */
  forms: Readonly<Record<string, string>>;
  /** What the houses that the document follows have, by group, where they have anything. */
  houseForms: Readonly<Record<string, HouseForm>> | null;
  /** Abbreviations that the houses explain for all their copy, and those that need no explanation. */
  houseAbbreviations: ReadonlyMap<string, HouseAbbreviation>;
}

/** What a house says of an abbreviation. */
export interface HouseAbbreviation {
  full: string;
  explained: boolean;
}

/**
 * A check: one file, named by its id, with its logic; its card stands in the folder's `cards.ts`.
 * `examine` looks at one block and nothing else and is cached by the block's content. Its facts are
 * marks as they stand (`MarkFact`), or `conclude` makes marks of them one by one under the document's
 * settings, or `across` does from many of them; `choose` makes the corrections when they are asked for.
 */
export interface Check<F extends Fact = Fact> extends Card {
  /** Lines of the pattern language (`patterns/pattern.ts`) looked for in every block. */
  patterns?: readonly string[];
  /** A list of such lines in data/phrases. */
  phraseList?: PhraseList;
  /** Its marks are left alone between quotation marks where the copy's speech is. */
  sparesSpeech?: boolean;
  /** Reads code, columns, mail headers and other languages too, and tells what is left alone itself. */
  readsAll?: boolean;
  /** Speaks for rules of the house (`house/rule-book.ts`) and finds nothing by itself. */
  isHouse?: boolean;
  /** Finds nothing in a block where none of its patterns does. */
  needsMatches?: boolean;
  examine(block: AnalysedBlock, language: Language, matches: readonly Match[]): F[];
  conclude?(fact: F, circumstances: Circumstances): Conclusion | null;
  across?: Across<F>;
  /** Where the keys of its facts are things and the facts forms of them. */
  forms?: Forms<F>;
  /** What it finds in the citations and lists of a whole document; it then examines no block. */
  cited?(whole: CitedDocument): readonly CitedFinding[];
  /** Speaks for passages of this tier that the document shares with sources; it examines no block. */
  overlaps?: Tier;
  choose?(text: string, place: Range, circumstances: Circumstances): Choice[];
}
