import type { CitedDocument, PlacedCitation } from "../citations/cited-text.ts";
import { entryKey } from "../citations/hand-ties.ts";
import { type AskedWork, askedOf } from "../citations/outside/asking.ts";
import type { StyleId } from "../citations/styles/style.ts";
import { styleOf } from "../citations/styles/styles.ts";
import { ibidMeanings } from "../citations/text/ibid.ts";
import { compareEntries, misplacedEntries } from "../citations/text-rules/list.ts";
import { shownWork } from "../citations/text-rules/ties.ts";
import type { Tie } from "../citations/tying.ts";
import type { Range } from "../manuscript/model.ts";

/** A place where a work is cited; offsets in the whole text. */
export interface UsePlace extends Range {
  block: number;
  tie: Tie;
}

/** An entry of a list with the places that cite it; offsets in the whole text. */
export interface ListedEntry extends Range {
  reference: number;
  block: number;
  list: number;
  /** Names and year, as sentences about it have them. */
  shown: string;
  /** How a tie made by hand names it. */
  key: string;
  /** Italic ranges in the whole text. */
  italics: readonly Range[];
  /** Places that cite it, and those that nearly do. */
  uses: readonly UsePlace[];
  /** What is asked of outside services about it; null where it has no title. */
  asked: AskedWork | null;
  /** Why it is out of order, where it is. */
  misplaced: string | null;
}

/** A work that is cited and has no entry. */
export interface Ghost {
  shown: string;
  /** The entry it would be before; null for the end. */
  before: number | null;
  uses: readonly UsePlace[];
}

/** An entry that belongs before another; null for the end of its list. */
export interface Slot {
  reference: number;
  before: number | null;
  reason: string;
}

/** The citations and lists of a document as a table. */
export interface CitationTable {
  style: StyleId;
  /** As a person calls it. */
  styleName: string;
  guess: {
    id: StyleId;
    name: string;
    evidence: readonly { says: string; entries: number }[];
  } | null;
  entries: readonly ListedEntry[];
  ghosts: readonly Ghost[];
  slots: readonly Slot[];
  citations: number;
}

/** Gathers what the board of citations shows; `startOf` gives where a block begins in the whole text. */
export function gatherCitations(
  cited: CitedDocument,
  startOf: (block: number) => number,
): CitationTable {
  const uses = cited.references.map((): UsePlace[] => []);
  const ghosts = new Map<string, { shown: string; names: string; uses: UsePlace[] }>();
  for (const place of cited.citations) collect(place, startOf, uses, ghosts);
  for (const [at, meaning] of ibidMeanings(cited.citations)) {
    const placed = cited.citations[at];
    if (!placed || !("reference" in meaning)) continue;
    const { block, citation } = placed;
    const from = startOf(block) + citation.from;
    const to = startOf(block) + citation.to;
    uses[meaning.reference]?.push({ block, from, to, tie: "tied" });
  }
  const misplaced = misplacedEntries(cited);
  const reasons = new Map(misplaced.map(({ reference, reason }) => [reference, reason]));
  const { guess, references, style } = cited;
  return {
    style: style.id,
    styleName: style.name,
    guess: guess && { id: guess.id, name: styleOf(guess.id).name, evidence: guess.evidence },
    entries: references.map(({ place, list, italics, entry }, reference): ListedEntry => {
      const start = startOf(place.block);
      const from = start + place.from;
      return {
        reference,
        block: place.block,
        list,
        from,
        to: start + place.to,
        shown: cited.index.shown(reference),
        key: entryKey(cited.references[reference]?.entry ?? { text: "" }),
        italics: italics.map((one) => ({ from: from + one.from, to: from + one.to })),
        uses: uses[reference] ?? [],
        asked: askedOf(entry, reference, cited.index),
        misplaced: reasons.get(reference) ?? null,
      };
    }),
    ghosts: [...ghosts.values()].map(({ shown, names, uses: places }) => ({
      shown,
      before: compareEntries(cited, names),
      uses: places,
    })),
    slots: misplaced.map(({ reference, before, reason }) => ({ reference, before, reason })),
    citations: cited.citations.length,
  };
}

function collect(
  { block, items }: PlacedCitation,
  startOf: (block: number) => number,
  uses: UsePlace[][],
  ghosts: Map<string, { shown: string; names: string; uses: UsePlace[] }>,
): void {
  const start = startOf(block);
  for (const { item, tied } of items) {
    const place = { block, from: start + item.from, to: start + item.to, tie: tied.tie };
    const reference = tied.reference ?? (tied.tie === "missing" ? null : tied.likely);
    if (reference !== null) uses[reference]?.push(place);
    else if (tied.tie === "missing") {
      const shown = shownWork(item);
      const names = item.names.map(({ text }) => text).join(" ");
      const ghost = ghosts.get(shown) ?? { shown, names, uses: [] };
      ghost.uses.push(place);
      ghosts.set(shown, ghost);
    }
  }
}
