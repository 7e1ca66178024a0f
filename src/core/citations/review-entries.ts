import type { Range } from "../manuscript/model.ts";
import type { Entry } from "./entry.ts";
import type { EntryContext, EntryFinding } from "./rules/rule.ts";
import { ENTRY_RULES } from "./rules/rules.ts";
import type { CitationStyle } from "./styles/style.ts";

/** A finding of one rule. */
export interface RuledFinding extends EntryFinding {
  /** The rule's name: the last part of the id of its check. */
  rule: string;
}

/** Rules that need no other part of an entry. */
const SURE_WITHOUT = new Set(["missing-field", "doi-form", "entry-end"]);

/** What the rules find in the entries of one list, entry by entry. */
export function reviewEntries(
  entries: readonly Entry[],
  style: CitationStyle,
  about: { thisYear: number; isWord(word: string): boolean; italics?: readonly (readonly Range[])[] },
): RuledFinding[][] {
  const given = new Map<string, Set<string>>();
  for (const { authors } of entries) {
    for (const name of authors?.names ?? []) {
      if (!name.family) continue;
      const known = given.get(name.family) ?? new Set<string>();
      known.add((name.given ?? "").replaceAll(/[\s.]/gu, ""));
      given.set(name.family, known);
    }
  }
  const hasItalics = about.italics?.some((ranges) => ranges.length > 0) ?? false;
  return entries.map((entry, at) => {
    const context: EntryContext = {
      style,
      thisYear: about.thisYear,
      isWord: about.isWord,
      givenOf: (family) => given.get(family) ?? new Set(),
      italics: about.italics?.[at] ?? [],
      hasItalics,
    };
    const found = Object.entries(ENTRY_RULES).flatMap(([rule, find]) =>
      find(entry, context).map((finding) => ({ ...finding, rule })),
    );
    // Where a part is missing the rest is hardly read right.
    const isIncomplete = found.some(({ rule }) => rule === "missing-field");
    return isIncomplete ? found.filter(({ rule }) => SURE_WITHOUT.has(rule)) : found;
  });
}
