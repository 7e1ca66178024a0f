import { draftFrom } from "./draft-from.ts";
import { FORM_FAMILIES, formChoice } from "./form-choices.ts";
import { ruleOf } from "./rule-draft.ts";
import type { Rule } from "./rules.ts";

/** House rules proposed from finished documents: what they do alike, with what speaks for it and against. */

/** What was counted in one document. */
export interface LearnedDocument {
  title: string;
  /** How often the forms of each thing stand. */
  forms: readonly { group: string; forms: readonly { form: string; count: number }[] }[];
  /** Abbreviations with what they are explained as. */
  abbreviations: readonly { short: string; full: string; uses: number }[];
}

export interface Proposal {
  rule: Rule;
  /** What it is about, and the family it is listed under. */
  about: string;
  family: string;
  /** Places and documents that have it so, and that have it otherwise. */
  places: number;
  documents: number;
  against: { form: string; count: number }[];
}

/** Of its places so many must have a form. */
const LEAST_SHARE = 0.9;
const LEAST_PLACES = 3;
const LEAST_DOCUMENTS = 2;
/** Checks whose groups are single terms, each with forms of its own. */
const TERMS =
  /^consistency\/(?:compound|prefix|accent|capitals|fixed-capitals|points|spelling|name):/;
/** Groups of one document: a list, the headings of a level. */
const OWN = /^(consistency\/(?:list-end|list-capital|heading-case)):/;

interface Counted {
  forms: Map<string, { count: number; documents: Set<number> }>;
}

/** What the documents have in common, the best founded first. */
export function learnRules(documents: readonly LearnedDocument[], now: string): Proposal[] {
  const groups = new Map<string, Counted>();
  for (const [index, { forms }] of documents.entries()) {
    for (const { group, forms: own } of forms) {
      const name = group.replace(OWN, "$1:*").replace(/:\*.*$/, ":*");
      const counted = groups.get(name) ?? { forms: new Map() };
      groups.set(name, counted);
      for (const { form, count } of own) {
        const known = counted.forms.get(form) ?? { count: 0, documents: new Set<number>() };
        known.count += count;
        known.documents.add(index);
        counted.forms.set(form, known);
      }
    }
  }
  const least = Math.min(LEAST_DOCUMENTS, documents.length);
  const proposals = [
    ...[...groups].flatMap(([group, counted]) => proposalOf(group, counted, least, now)),
    ...abbreviationsOf(documents, least, now),
  ];
  return withoutParts(proposals).sort(
    (one, other) => one.family.localeCompare(other.family, "en") || other.places - one.places,
  );
}

/** Each term once, and no part of a longer one: of “Tide Gauge Office” neither “Gauge Office” nor “The Tide”. */
function withoutParts(proposals: readonly Proposal[]): Proposal[] {
  const written = proposals.map(({ rule }) => ("write" in rule ? rule.write : ""));
  return proposals.filter(({ rule, against }, index) => {
    // Two capitals in a row, or an abbreviation, that nothing is set against.
    const isOpposed = against.length > 0;
    if (rule.type === "name" || (rule.type === "form" && !formChoice(rule.of))) return isOpposed;
    if (rule.type !== "capitals") return true;
    const own = rule.write;
    if (written.indexOf(own) < index || /^The /.test(own)) return false;
    if (own === own.toUpperCase() && !isOpposed) return false;
    return !written.some((other) => other.length > own.length && other.includes(own));
  });
}

function proposalOf(group: string, { forms }: Counted, least: number, now: string): Proposal[] {
  const sorted = [...forms].sort((one, other) => other[1].count - one[1].count);
  const [first, ...others] = sorted;
  if (!first) return [];
  const [form, { count, documents }] = first;
  const all = sorted.reduce((sum, [, one]) => sum + one.count, 0);
  if (all < LEAST_PLACES || count < LEAST_SHARE * all || documents.size < least) return [];
  const known = formChoice(group);
  if (known ? !known.forms.includes(form) : !TERMS.test(group)) return [];
  // An open compound, or a term in small letters, that nothing is set against is no choice of anybody's.
  const isPlain = !/[-\u2010]/.test(form) && form === form.toLowerCase();
  if (!known && others.length === 0 && isPlain) return [];
  const check = group.slice(0, group.indexOf(":"));
  const against = others.map(([other, { count: places }]) => ({ form: other, count: places }));
  const draft = draftFrom({
    text: form,
    check,
    group,
    put: null,
    preferred: form,
    others: against.map((one) => one.form),
  });
  const made = ruleOf(draft, new Set(), now);
  if (!("rule" in made)) return [];
  const family = known
    ? (FORM_FAMILIES.find(({ choices }) => choices.some(({ of }) => of === group))?.title ?? "")
    : "Single terms";
  const about = known?.title ?? form;
  return [{ rule: made.rule, about, family, places: count, documents: documents.size, against }];
}

function abbreviationsOf(
  documents: readonly LearnedDocument[],
  least: number,
  now: string,
): Proposal[] {
  const known = new Map<string, Map<string, { uses: number; documents: Set<number> }>>();
  for (const [index, { abbreviations }] of documents.entries()) {
    for (const { short, full, uses } of abbreviations) {
      if (full === "") continue;
      const fulls = known.get(short) ?? new Map<string, { uses: number; documents: Set<number> }>();
      known.set(short, fulls);
      const one = fulls.get(full) ?? { uses: 0, documents: new Set<number>() };
      one.uses += uses;
      one.documents.add(index);
      fulls.set(full, one);
    }
  }
  return [...known].flatMap(([short, fulls]): Proposal[] => {
    const [first, ...others] = [...fulls].sort(
      (one, other) => other[1].documents.size - one[1].documents.size,
    );
    if (!first || first[1].documents.size < least) return [];
    const [full, { uses, documents: from }] = first;
    const clear = others.every(([, one]) => one.documents.size * 9 <= from.size);
    if (!clear) return [];
    const draft = draftFrom({
      text: short,
      check: "consistency/abbreviation-undefined",
      group: "",
      put: full,
      preferred: null,
      others: [],
    });
    const made = ruleOf(draft, new Set(), now);
    if (!("rule" in made)) return [];
    const against = others.map(([form, one]) => ({ form, count: one.uses }));
    return [
      {
        rule: made.rule,
        about: short,
        family: "Abbreviations",
        places: uses,
        documents: from.size,
        against,
      },
    ];
  });
}
