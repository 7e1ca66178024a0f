import { lazy } from "react";
import type { Pass } from "../../core/checks/card.ts";
import type { Board } from "./boards/board.ts";
import { MarksBoard } from "./boards/MarksBoard.tsx";
import { Unreachable } from "./boards/Unreachable.tsx";

/** What a pass brings to the desk beside its checks. */
export interface PassParts {
  /** The board it opens. */
  board: Board;
  /** What the end of its walk says: all decided, nothing found, and what no check can promise. */
  done: string;
  nothing: string;
  beyond: string;
}

/** Fetches the readings board, whose charts a desk can do without until it is opened. */
export async function loadReadings(): Promise<{ default: Board["Screen"] }> {
  try {
    return { default: (await import("./boards/readings/ReadingsBoard.tsx")).ReadingsBoard };
  } catch (error) {
    console.error(error);
    return { default: Unreachable };
  }
}

/** Fetches the board of the consistency pass likewise. */
export async function loadSettling(): Promise<{ default: Board["Screen"] }> {
  try {
    return { default: (await import("./boards/settling/SettlingBoard.tsx")).SettlingBoard };
  } catch (error) {
    console.error(error);
    return { default: Unreachable };
  }
}

/** How the text reads, which is asked for from every pass. */
export const READINGS: Board = { title: "How it reads", Screen: lazy(loadReadings) };
/** Fetches the board of the citations pass likewise. */
export async function loadCitations(): Promise<{ default: Board["Screen"] }> {
  try {
    return { default: (await import("./boards/citations/CitationsBoard.tsx")).CitationsBoard };
  } catch (error) {
    console.error(error);
    return { default: Unreachable };
  }
}

/** Fetches the board of the originality pass likewise. */
export async function loadOriginality(): Promise<{ default: Board["Screen"] }> {
  try {
    return {
      default: (await import("./boards/originality/OriginalityBoard.tsx")).OriginalityBoard,
    };
  } catch (error) {
    console.error(error);
    return { default: Unreachable };
  }
}

const ORIGINALITY: Board = { title: "Sources and text", Screen: lazy(loadOriginality) };
const CITATIONS: Board = { title: "The list", Screen: lazy(loadCitations) };
const SETTLING: Board = { title: "Settle", Screen: lazy(loadSettling) };
const ALL_MARKS: Board = { title: "All marks", Screen: MarksBoard };

/** All that is particular to a pass on the desk. */
export const PASS_PARTS: Readonly<Record<Pass, PassParts>> = {
  spelling: {
    board: ALL_MARKS,
    done: "The walk is done",
    nothing: "The spelling pass found no word to question.",
    beyond:
      "What this pass can’t see: a wrong name, date or figure, and what was left out. Read those once more with your own eyes.",
  },
  grammar: {
    board: ALL_MARKS,
    done: "The grammar pass is done",
    nothing: "The grammar pass found nothing to question.",
    beyond:
      "What this pass can’t see: a sentence that is right and says the wrong thing. Checks are silent where they are not sure, so read on.",
  },
  wording: {
    board: ALL_MARKS,
    done: "The wording pass is done",
    nothing: "The wording pass has no advice.",
    beyond:
      "What this pass can’t judge: whether the argument holds, and whether this reader needs it said so. Advice is only advice.",
  },
  consistency: {
    board: SETTLING,
    done: "The consistency pass is done",
    nothing: "The consistency pass found nothing written in two ways.",
    beyond:
      "What this pass can’t judge: which of two forms was meant to differ. Look at the places before you change them all.",
  },
  citations: {
    board: CITATIONS,
    done: "The citations pass is done",
    nothing: "The citations pass found every citation tied to its entry, and the list in order.",
    beyond:
      "What this pass can’t see: whether a work says what it is cited for. Look the doubtful ones up.",
  },
  originality: {
    board: ORIGINALITY,
    done: "The originality pass is done",
    nothing: "No passage is marked as standing elsewhere. B opens the board and compares.",
    beyond:
      "What this pass can’t judge: whether a thought is somebody’s. It lays words beside words, and only beside the sources it was given.",
  },
  sentences: {
    board: READINGS,
    done: "The sentences pass is done",
    nothing: "No sentence is too hard for this reader.",
    beyond:
      "What this pass can’t judge: whether a long sentence is the right one here. It counts words, clauses and what lies between them.",
  },
};
