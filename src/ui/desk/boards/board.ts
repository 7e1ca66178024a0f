import type { ComponentType, LazyExoticComponent } from "react";
import type { Pass } from "../../../core/checks/card.ts";
import type { Group, Tables } from "../../../core/engine/mark.ts";
import type { TextReadings } from "../../../core/engine/reading.ts";
import type { Block, Range } from "../../../core/manuscript/model.ts";
import type { CountPlace, PlaceQuery } from "../../../core/readings/places.ts";
import type { Bounds, Reader, ReaderSetting } from "../../../core/readings/readers.ts";
import type { Scope } from "../../../core/readings/scope.ts";
import type { PlacedMark } from "../reported.ts";

/** What has been reported of the document, as a board is given it. */
export interface BoardReports {
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
  /** Goes to a range of the text, and to what the sentences pass marks there. */
  goToRange(range: Range): void;
  setReader(reader: ReaderSetting): void;
  /** Has other parts of the document counted. */
  setScope(scope: Scope): void;
  /** The places behind a count. */
  places(query: PlaceQuery): Promise<readonly CountPlace[]>;
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
