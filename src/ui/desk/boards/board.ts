import type { ComponentType, LazyExoticComponent } from "react";
import type { Pass } from "../../../core/checks/card.ts";
import type { Group, Tables } from "../../../core/engine/mark.ts";
import type { TextReadings } from "../../../core/engine/reading.ts";
import type { Term } from "../../../core/gathered/terms.ts";
import type { Decision } from "../../../core/ledger/decision.ts";
import type { Block, Edit, Range } from "../../../core/manuscript/model.ts";
import type { CountPlace, PlaceQuery } from "../../../core/readings/places.ts";
import type { Bounds, Reader, ReaderSetting } from "../../../core/readings/readers.ts";
import type { Scope } from "../../../core/readings/scope.ts";
import type { GatheredTables } from "../../../worker/proofreader.ts";
import type { ComparingState } from "../comparing-state.ts";
import type { Outside } from "../outside.ts";
import type { Overlaps } from "../overlaps.ts";
import type { PlacedMark } from "../reported.ts";
import type { FormPlace } from "../settling.ts";
import type { PlacedChoice } from "../state.ts";

/** Where a board was left, so that it comes up there again. */
export interface BoardMemory {
  group: string;
  view: string;
}

/** What has been reported of the document, as a board is given it. */
export interface BoardReports {
  title: string;
  fileName: string;
  text: string;
  blocks: readonly Block[];
  /** Open marks of all passes, in reading order. */
  open: readonly PlacedMark[];
  groups: ReadonlyMap<string, Group>;
  tables: Tables;
  /** The mark that was open in the text when the board came up; null for none. */
  from: PlacedMark | null;
  pass: Pass;
  /** How the text reads; null before that is known. */
  readings: TextReadings | null;
  scope: Scope;
  /** Whom it is for, and how that is kept. */
  reader: Bounds & Partial<Reader>;
  readerSetting: ReaderSetting;
  /** What was decided, and the numbers of what is not taken back. */
  decisions: readonly Decision[];
  standing: ReadonlySet<number>;
  /** What was chosen in this document, by group of forms. */
  forms: Readonly<Record<string, string>>;
  /** Another tab does the writing. */
  reading: boolean;
  /** What outside services answer about the document. */
  outside: Outside;
  /** Comparing with sources, and where it stands. */
  overlaps: Overlaps;
  comparing: ComparingState;
  /** Kept while the desk is open, and written to by the board. */
  memory: BoardMemory;
}

/** What a board may do about it. */
export interface BoardDeciding {
  /** Goes to a mark's place in the text; the board makes room. */
  go(place: PlacedMark): void;
  /** Back to the text as it was left. */
  back(): void;
  stet(places: readonly PlacedMark[]): void;
  undo(): void;
  redo(): void;
  /** Goes to a range of the text, and to what a pass marks there. */
  goToRange(range: Range, pass?: Pass): void;
  setReader(reader: ReaderSetting): void;
  /** Has other parts of the document counted. */
  setScope(scope: Scope): void;
  /** The corrections of a mark; null while they can't be told. */
  corrections(place: PlacedMark): Promise<readonly PlacedChoice[] | null>;
  /** Puts something in an entry of the list that a look-up has found. */
  putIn(edit: Edit, range: Range): void;
  /** Writes another wording in the place of a passage. */
  reword(range: Range, text: string): void;
  /** Makes one of them. */
  correct(place: PlacedMark, choice: PlacedChoice): void;
  /** Makes one at each of several places, as one decision; how many were made. */
  correctEach(chosen: readonly { place: PlacedMark; choice: PlacedChoice }[]): Promise<number>;
  /** Puts a citation in the sentence where the reader left the text. */
  cite(citation: string): void;
  /** Has the lists of references leave the document in their right order, or as they stand. */
  sortLists(isSorted: boolean, misplaced: readonly PlacedMark[]): void;
  /** The places behind a count. */
  places(query: PlaceQuery): Promise<readonly CountPlace[]>;
  /** The places of a group of forms beside one form; null while they can't be told. */
  formPlaces(group: string, form: string): Promise<readonly FormPlace[] | null>;
  /** The abbreviations, quantities or terms of the document; null while they can't be told. */
  gathered<K extends keyof GatheredTables>(what: K): Promise<GatheredTables[K] | null>;
  /** Writes one term wherever others stand. */
  mergeTerms(into: string, others: readonly Term[]): void;
  /** Remembers that terms are different things. */
  partTerms(pairs: readonly string[]): void;
  /** Writes a form in places of a group, leaves others as they are, and keeps the form for the document. */
  writeForm(
    group: string,
    form: string,
    places: readonly FormPlace[],
    kept: readonly FormPlace[],
  ): void;
  /** Lets all forms of a group stand. */
  keepForms(group: string, places: readonly FormPlace[]): void;
  /** Makes a rule of the house of a group's form. */
  houseRule(group: string, form: string): void;
  /** Has abbreviations explained in each section, or once in the document. */
  explainInEach(each: boolean): void;
  /** Asks the author about a place. */
  ask(rule: string, range: Range, note: string): void;
  /** Takes one decision back. */
  takeBack(seq: number): void;
  /** Says something in the line at the foot. */
  say(notice: string): void;
}

export interface BoardProps {
  reports: BoardReports;
  deciding: BoardDeciding;
}

/** Part of the screen over the galley and the side sheet, for work on many things at once. */
export interface Board {
  /** As the rail calls it. */
  title: string;
  Screen: ComponentType<BoardProps> | LazyExoticComponent<ComponentType<BoardProps>>;
}
