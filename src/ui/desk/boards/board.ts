import type { ComponentType } from "react";
import type { Pass } from "../../../core/checks/card.ts";
import type { Group, Tables } from "../../../core/engine/mark.ts";
import type { Block } from "../../../core/manuscript/model.ts";
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
}

export interface BoardProps {
  reports: BoardReports;
  deciding: BoardDeciding;
}

/** Part of the screen over the galley and the side sheet, for work on many things at once. */
export interface Board {
  /** As the rail calls it. */
  title: string;
  Screen: ComponentType<BoardProps>;
}
