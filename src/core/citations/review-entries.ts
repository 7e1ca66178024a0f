import type { Range } from "../manuscript/model.ts";
import type { CitedDocument } from "./cited-text.ts";
import type { Entry } from "./entry.ts";
import { doiForm } from "./rules/doi-form.ts";
import { entryEnd } from "./rules/entry-end.ts";
import { missingField } from "./rules/missing-field.ts";
import { mixedStyles } from "./rules/mixed-styles.ts";
import type { EntryContext, EntryFinding, EntryRule } from "./rules/rule.ts";
import { ENTRY_RULES } from "./rules/rules.ts";
import { asRuleSpeaks } from "./styles/overrides.ts";
import type { CitationStyle } from "./styles/style.ts";

/** A finding of one rule. */
export interface RuledFinding extends EntryFinding {
  /** The rule's name: the last part of the id of its check. */
  rule: string;
}

/** Rules that need no other part of an entry. */
const SURE_WITHOUT: readonly EntryRule[] = [missingField, mixedStyles, doiForm, entryEnd];

/** The entries of a list as the rules look at them. */
export interface ReviewedEntries {
  entries: readonly Entry[];
  italics: readonly (readonly Range[])[];
  style: CitationStyle;
  thisYear: number;
  isWord(word: string): boolean;
}

/** What the rules find in the entries of one list, entry by entry. */
export function reviewEntries(reviewed: ReviewedEntries): RuledFinding[][] {
  const contexts = contextsOf(reviewed);
  return reviewed.entries.map((entry, at) =>
    Object.entries(ENTRY_RULES).flatMap(([rule, find]) =>
      found(entry, spoken(contexts[at], rule), find).map((finding) => ({ ...finding, rule })),
    ),
  );
}

/** What each rule finds in the entries of a list; one that is as before is not looked at again. */
const FOUND = new WeakMap<CitedDocument["references"], Map<EntryRule, PlacedFinding[]>>();

interface PlacedFinding {
  reference: number;
  finding: EntryFinding;
}

/** What one rule finds in the entries of a document. */
export function entryFindings(cited: CitedDocument, find: EntryRule): readonly PlacedFinding[] {
  const { references, style, isWord, thisYear } = cited;
  const known = FOUND.get(references) ?? new Map<EntryRule, PlacedFinding[]>();
  FOUND.set(references, known);
  const before = known.get(find);
  if (before) return before;
  const rule = Object.entries(ENTRY_RULES).find(([, one]) => one === find)?.[0] ?? "";
  const entries = references.map(({ entry }) => entry);
  const italics = references.map((one) => one.italics);
  const contexts = contextsOf({ entries, italics, style, isWord, thisYear });
  const made = references.flatMap(({ entry }, reference) =>
    found(entry, spoken(contexts[reference], rule), find).map((finding) => ({
      reference,
      finding,
    })),
  );
  known.set(find, made);
  return made;
}

/** The context in which a rule speaks: the style goes by the house's name where the rule's point is the house's. */
function spoken(context: EntryContext | undefined, rule: string): EntryContext | undefined {
  return context?.style.own ? { ...context, style: asRuleSpeaks(context.style, rule) } : context;
}

/** Where a part is missing, or the style is another, the rest is hardly read right. */
function found(entry: Entry, context: EntryContext | undefined, find: EntryRule): EntryFinding[] {
  if (!context) return [];
  if (find !== mixedStyles && mixedStyles(entry, context).length > 0) return [];
  const isSure = SURE_WITHOUT.includes(find) || missingField(entry, context).length === 0;
  return isSure ? find(entry, context) : [];
}

function contextsOf({
  entries,
  italics,
  style,
  thisYear,
  isWord,
}: ReviewedEntries): EntryContext[] {
  const given = new Map<string, Set<string>>();
  for (const { authors } of entries) {
    for (const name of authors?.names ?? []) {
      if (!name.family) continue;
      const known = given.get(name.family) ?? new Set<string>();
      known.add((name.given ?? "").replaceAll(/[\s.]/gu, ""));
      given.set(name.family, known);
    }
  }
  const givenOf = (family: string) => given.get(family) ?? new Set<string>();
  const hasItalics = italics.some((ranges) => ranges.length > 0);
  return entries.map((_, at) => ({
    style,
    thisYear,
    isWord,
    givenOf,
    italics: italics[at] ?? [],
    hasItalics,
  }));
}
