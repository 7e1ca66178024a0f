import type { AbbreviationFact } from "../checks/consistency/abbreviations/facts.ts";
import type { Range } from "../manuscript/model.ts";
import type { Gathering } from "./gathering.ts";

/** Every abbreviation of a document with its expansions, its places and what was found of it. */

const RULES = "consistency/abbreviation-";
const FACTS = "consistency/abbreviation-undefined";

export const ABBREVIATION_FINDINGS = [
  "undefined",
  "before-definition",
  "defined-twice",
  "defined-differently",
  "unused",
  "expanded-again",
] as const;
export type AbbreviationFinding = (typeof ABBREVIATION_FINDINGS)[number];

export interface AbbreviationRow {
  abbreviation: string;
  /** As they are written, the first definition first. */
  expansions: string[];
  /** Where it stands, definitions included; offsets in the document. */
  places: Range[];
  findings: (Range & { kind: AbbreviationFinding; block: number })[];
}

/** The abbreviations of what was examined: those with something found first, then by the alphabet. */
export function gatherAbbreviations(source: Gathering): AbbreviationRow[] {
  const rows = new Map<string, AbbreviationRow>();
  const rowOf = (abbreviation: string) => {
    const known = rows.get(abbreviation);
    if (known) return known;
    const row: AbbreviationRow = { abbreviation, expansions: [], places: [], findings: [] };
    rows.set(abbreviation, row);
    return row;
  };
  for (const { start, facts } of source.factsOf(FACTS)) {
    for (const fact of facts as readonly AbbreviationFact[]) {
      const { sort, abbreviation, expansion, short, from, to, doubtful } = fact;
      if (sort === "phrase") continue;
      // A stressed word is no abbreviation unless something says so.
      if (doubtful && !rows.has(abbreviation)) continue;
      const row = rowOf(abbreviation);
      const place = short ?? { from, to };
      row.places.push({ from: start + place.from, to: start + place.to });
      if (expansion && !row.expansions.includes(expansion)) row.expansions.push(expansion);
    }
  }
  for (const { rule, group, block, from, to } of source.marks()) {
    const kind = ABBREVIATION_FINDINGS.find((one) => rule === RULES + one);
    if (!kind) continue;
    const key = group
      .slice(group.indexOf(":") + 1)
      .replace(/ in (?:the abstract|section \d+)$/, "");
    const start = source.startOf(block);
    rowOf(key).findings.push({ kind, block, from: start + from, to: start + to });
  }
  return [...rows.values()].sort(
    (one, other) =>
      Number(other.findings.length > 0) - Number(one.findings.length > 0) ||
      one.abbreviation.localeCompare(other.abbreviation),
  );
}
