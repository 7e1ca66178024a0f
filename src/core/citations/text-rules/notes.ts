import { ibidMeanings } from "../text/ibid.ts";
import type { CitedFinding, TextRule } from "./rule.ts";

/** A work is cited in full before it is cited in short, and once: after that its short form is enough. */
export const noteOrder: TextRule = ({ citations, index, style }) => {
  if (style.inText.system !== "notes") return [];
  const found: CitedFinding[] = [];
  const full = new Set<number>();
  const everFull = new Set(
    citations.flatMap(({ citation, items }) =>
      citation.kind === "note" ? items.flatMap(({ tied }) => tied.reference ?? []) : [],
    ),
  );
  for (const { block, citation, items } of citations) {
    const [only] = items;
    const reference = only?.tied.reference ?? null;
    if (reference === null) continue;
    const place = { block, from: citation.from, to: citation.to, choices: [], reference };
    const shown = index.shown(reference);
    if (citation.kind === "short-note" && !full.has(reference) && everFull.has(reference)) {
      const reason = `“${shown}” is cited in short here, and in full only later.`;
      found.push({ ...place, reason });
    }
    if (citation.kind !== "note") continue;
    if (full.has(reference)) {
      const reason = `“${shown}” was cited in full before: the short form is enough.`;
      found.push({ ...place, reason, isAdvice: true });
    }
    full.add(reference);
  }
  return found;
};

/** “Ibid.” means the one work of the note before it. */
export const ibidem: TextRule = ({ citations, style }) => {
  if (style.inText.system !== "notes") return [];
  return [...ibidMeanings(citations)].flatMap(([at, meaning]): CitedFinding[] => {
    const placed = citations[at];
    if (!placed || !("lacks" in meaning)) return [];
    const { block, citation } = placed;
    const why = {
      before: "no work is cited before it",
      single: "the note before it cites several works",
      entry: "the work cited before it is not in the list",
    }[meaning.lacks];
    return [
      {
        block,
        from: citation.from,
        to: citation.to,
        reason: `“Ibid.” does not tell which work: ${why}.`,
        choices: [],
      },
    ];
  });
};
