import type { Kind } from "../../../manuscript/model.ts";
import type { Card } from "../../card.ts";
import type { Check, Circumstances, Conclusion, Totals, Verdict } from "../../check.ts";
import { placeOf } from "../text-order.ts";
import { type AbbreviationTally, byAbbreviation } from "./counting.ts";
import { type AbbreviationFact, abbreviationFacts } from "./facts.ts";

/** What a check of abbreviations is made from. */
export interface AbbreviationCheckParts extends Card {
  /** Which facts it may mark. */
  marks: AbbreviationFact["sort"];
  /** The places it finds, in the order of the text, by `placeOf`. */
  find(tally: AbbreviationTally, circumstances: Circumstances): readonly number[];
  reason(fact: AbbreviationFact): string;
  /** What may be put in the place of a mark, as the forms of it. */
  offers(tally: AbbreviationTally): readonly string[];
  /** An offer as it stands in the text; null where it can't. */
  write(fact: AbbreviationFact, offer: string, text: string): string | null;
  /** A sentence of the abbreviation as a whole. */
  note?(tally: AbbreviationTally): string;
  /** Less than certain. */
  unsure?(tally: AbbreviationTally): boolean;
  /** Kinds of copy that ask for it; in others it is advice until the text explains some abbreviation. */
  asking?: ReadonlySet<Kind>;
}

const NOT_FOUND = { verdict: null };

/** A check that looks at all places of one abbreviation in their order. */
export function abbreviationCheck(parts: AbbreviationCheckParts): Check<AbbreviationFact> {
  const { marks, find, reason, offers, write, note, unsure, asking, ...card } = parts;
  return {
    ...card,
    examine: abbreviationFacts,
    across: {
      counting: byAbbreviation as never,
      ...(asking ? { totals: () => new Explained() as Totals<unknown> } : {}),
      judge(_key, tally, level, circumstances) {
        const known = tally as AbbreviationTally;
        if (known.uses.length === 0 && known.definitions.length === 0) return NOT_FOUND;
        const places = find(known, circumstances);
        if (places.length === 0) return NOT_FOUND;
        const house = circumstances.houseAbbreviations.get(known.abbreviation)?.full ?? "";
        const verdict = { places: places.join(" "), house, unsure: unsure?.(known) ?? false };
        if (!asking || asking.has(circumstances.kind))
          return { verdict: { ...verdict, advice: false } };
        return level > 0
          ? { verdict: { ...verdict, advice: false }, from: 1 }
          : { verdict: { ...verdict, advice: true }, until: 1 };
      },
      speaks: ({ sort }) => sort === marks,
      find: (fact, verdict, _circumstances, block) => findingOf(fact, verdict, block, reason),
      tell: (_key, tally, { house }) => {
        const known = tally as AbbreviationTally;
        const offered = offers(known);
        const all = marks === "use" && house !== "" ? [String(house), ...offered] : offered;
        const variants = [...new Set(all)].map((text) => ({ text, count: 0 }));
        return [{ note: note?.(known) ?? "", variants }];
      },
    },
    forms: {
      formOf: () => "",
      keeping: ({ kept }) => kept ?? null,
      write,
    },
  };
}

/** How many abbreviations the text explains. */
class Explained implements Totals<AbbreviationTally> {
  private count = 0;

  add(tally: AbbreviationTally): void {
    this.count += Number(isExplained(tally));
  }

  remove(tally: AbbreviationTally): void {
    this.count -= Number(isExplained(tally));
  }

  level(): number {
    return this.count;
  }
}

const isExplained = ({ definitions, entries }: AbbreviationTally) =>
  definitions.length + entries.length > 0;

function findingOf(
  fact: AbbreviationFact,
  { places, unsure, advice }: Verdict,
  block: number,
  reason: (fact: AbbreviationFact) => string,
): Conclusion | null {
  const { from, to, kept } = fact;
  if (
    kept ||
    !String(places)
      .split(" ")
      .includes(String(placeOf(block, fact)))
  )
    return null;
  const found: Conclusion = { from, to, reason: reason(fact) };
  if (unsure === true) found.unsure = true;
  if (advice === true) found.weight = "weigh";
  return found;
}
