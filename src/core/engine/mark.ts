import type { Appetite, Pass, Weight } from "../checks/card.ts";
import type { Choice, Keeping, Telling } from "../checks/check.ts";
import type { Leave } from "../checks/leave.ts";
import type { StyleOverrides } from "../citations/styles/overrides.ts";
import type { StyleId } from "../citations/styles/style.ts";
import type { HouseRule } from "../house/rules.ts";
import type { SoundRule } from "../language/corrections/corrections.ts";
import type { Kind, Variety } from "../manuscript/model.ts";
import type { Counts } from "../readings/counts.ts";

/** One finding at one place. Offsets are in the text of its block, so that edits elsewhere keep it. */
export interface Mark {
  id: string;
  rule: string;
  pass: Pass;
  weight: Weight;
  code: string;
  block: number;
  from: number;
  to: number;
  /** The marked text. */
  text: string;
  reason: string;
  /** What it has its cause in common with: all marks of a group are its places. */
  group: string;
  /** The group's first place stands for this one: it is listed there, and carries no mark. */
  follows: boolean;
  /** What other checks say of the same mistake, for whom this mark speaks. */
  also?: readonly Pick<Mark, "rule" | "reason" | "from" | "to">[];
}

/** A way to mend a mark, among the variants of its group. */
export interface MarkChoice extends Choice {
  /** What it comes to: the same for all places of the group, whatever capitals a place asks for. */
  variant: string;
}

/** What to check, and how. */
export interface CheckSettings {
  variety: Variety;
  kind: Kind;
  /** How much of each check is wanted, by its id, where it is not as the kind of copy has it. */
  appetites: Readonly<Record<string, Appetite>>;
  /** Words of the word lists, any case. */
  words: readonly string[];
  /** Ids of the shipped subject lists that count, for whoever holds these to add to the words. */
  subjects?: readonly string[];
  /** Kinds of unknown words left alone, or not, against the defaults of the kind of copy. */
  leave?: Readonly<Partial<Record<Leave, boolean>>>;
  soundRules?: readonly SoundRule[];
  /** Whom the text is for (`readings/readers.ts`); whoever usually reads the kind of copy where it says nothing. */
  reader?: string | null;
  /** The style its citations follow; told from its list where nothing is said. */
  citationStyle?: StyleId | null;
  /** What the houses it follows have otherwise than that style. */
  citationPoints?: StyleOverrides;
  /** The share of words that may stand elsewhere, where the document has no limit of its own; null for none. */
  overlapLimit?: number | null;
  /** The year in which it is read, where that is not this year. */
  thisYear?: number;
  /** What was chosen for this document, by group: a form, or "" where all its forms stand on purpose. */
  forms?: Readonly<Record<string, string>>;
  /** The rules of the houses it follows, those of the first house first. */
  rules?: readonly HouseRule[];
}

/** Marks of the blocks whose marks changed, by block number. */
export type MarkUpdate = Map<number, readonly Mark[]>;

/** A cause that marks have in common, and what is told of it. Its places are the marks that name it. */
export interface Group extends Omit<Telling, "group"> {
  id: string;
  rule: string;
}

/** How often the forms of one thing stand where they are a choice; whether they are at odds or not. */
export interface FormCounted {
  group: string;
  forms: { form: string; count: number }[];
}

/** A place of a group of forms; offsets in the text of its block. */
export interface GroupPlace {
  block: number;
  from: number;
  to: number;
  form: string;
  /** Why it keeps its form whatever is preferred; null for a place that may change. */
  keeping: Keeping | null;
  /** It is at odds with the form asked about. */
  odd: boolean;
  /** It may be brought to that form without a look at it. */
  isSafe: boolean;
  /** What it would be in that form; null where it has it, or can't be brought to it. */
  insert: string | null;
}

/** What is shown beside the marks, by its name; a pass that wants rows shown adds its own here. */
export interface Tables {
  counts: Counts;
  /** How many marks of each check are not shown, since a page has enough of them. */
  withheld: ReadonlyMap<string, number>;
}

/** What became otherwise: blocks, groups and tables that are not named are as they were. */
export interface Report {
  /** Whose blocks the marks are numbered by: a mark's place is this, its block and its range. */
  document: string;
  /** Everything is named: what was known before is void. */
  whole: boolean;
  marks: MarkUpdate;
  /** Null for a group that is no more. */
  groups: Map<string, Group | null>;
  tables: Partial<Tables>;
}
