import { type Counting, EACH_SECTION, EXPLAINED_IN } from "../../check.ts";
import { indexAt, placeOf } from "../text-order.ts";
import type { AbbreviationFact } from "./facts.ts";

/** A place in the order of the text. */
export interface Placed {
  at: number;
  expansion: string;
  compared: string;
  inNote: boolean;
  inLine: boolean;
}

/** Everything that is known of one abbreviation, each in the order of the text. */
export interface AbbreviationTally {
  abbreviation: string;
  uses: readonly Placed[];
  /** Of the uses, those that may be something else. */
  doubtful: number;
  definitions: readonly Placed[];
  /** Entries of a list of abbreviations. */
  entries: readonly Placed[];
  /** Phrases with its initials. */
  phrases: readonly Placed[];
}

/** Abbreviations by themselves; an abstract is a text of its own, and so is each section where that is chosen. */
export const byAbbreviation: Counting<AbbreviationFact, AbbreviationTally> = {
  keysOf({ abbreviation, sort }, { abstract, section, cell }, { forms }) {
    // Only the first column of a table lists what the others explain.
    if (sort === "entry" && cell && cell.column > 0) return null;
    if (abstract) return `${abbreviation} in the abstract`;
    return forms[EXPLAINED_IN] === EACH_SECTION
      ? `${abbreviation} in section ${section}`
      : abbreviation;
  },
  // Most keys have a phrase and nothing else: lists are made when something is put in.
  start: () => ({
    abbreviation: "",
    uses: NOWHERE,
    doubtful: 0,
    definitions: NOWHERE,
    entries: NOWHERE,
    phrases: NOWHERE,
  }),
  count(tally, fact, _key, by, block) {
    const { sort, abbreviation, expansion, compared, inNote, inLine = false, doubtful } = fact;
    tally.abbreviation = abbreviation;
    if (sort === "use" && doubtful) tally.doubtful += by;
    let list = tally[LISTS[sort]] as Placed[];
    if (list === NOWHERE) {
      list = [];
      tally[LISTS[sort]] = list;
    }
    const at = placeOf(block, fact);
    const index = indexAt(list, at);
    if (by > 0) list.splice(index, 0, { at, expansion, compared, inNote, inLine });
    else if (list[index]?.at === at) list.splice(index, 1);
  },
};

const NOWHERE: readonly Placed[] = [];

const LISTS = {
  use: "uses",
  definition: "definitions",
  entry: "entries",
  phrase: "phrases",
} as const;
