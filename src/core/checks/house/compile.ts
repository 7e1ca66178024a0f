import {
  type HouseRule,
  isForKind,
  type Rule,
  type RuleOf,
  type Scope,
} from "../../house/rules.ts";
import type { Language } from "../../language/analysis.ts";
import { ALL_VARIETIES } from "../../language/words/lexicon.ts";
import type { BlockKind, Kind } from "../../manuscript/model.ts";
import type { Weight } from "../card.ts";
import { type FormKind, formsOfPhrase, partsOf } from "./phrase-forms.ts";
import type { PhraseIndex } from "./phrase-index.ts";

/** Rules of words, made ready to be looked for. */

/** The checks that rules speak through. */
export const HOUSE_CHECKS = {
  term: "wording/house-term",
  wording: "wording/house-wording",
  pattern: "wording/house-pattern",
  expression: "wording/house-pattern",
  capitals: "consistency/house-form",
  compound: "consistency/house-form",
  name: "consistency/house-form",
} as const;
export type FindingType = keyof typeof HOUSE_CHECKS;

/** A rule that finds places, with the house it is of. */
export interface Compiled {
  rule: RuleOf<FindingType>;
  house: string;
  /** Its place in the order of the houses: the lower speaks first. */
  order: number;
  weight: Weight;
}

/** What a phrase in the index is to a rule. */
export interface PhraseEntry {
  of: Compiled;
  /**
   * odd: not written so; capitals: only its capitals may be wrong; right: what the rule puts in, which
   * weaker houses may not speak against; spared: an exception.
   */
  role: "odd" | "capitals" | "right" | "spared";
  kinds: readonly FormKind[];
  /** The phrase with the capitals of the rule. */
  text: string;
  /** What has been put in its place, by how it was written: worked out once. */
  written?: Map<string, readonly string[]>;
}

export function isFinding(rule: Rule): rule is RuleOf<FindingType> {
  return rule.type in HOUSE_CHECKS;
}

const USUAL_WEIGHT: Record<FindingType, Weight> = {
  term: "fix",
  wording: "weigh",
  pattern: "settle",
  expression: "settle",
  capitals: "fix",
  compound: "fix",
  name: "fix",
};

/** The rules that find places in this kind of copy, in the order in which houses speak. */
export function compile(rules: readonly HouseRule[], kind: Kind): Compiled[] {
  return rules.flatMap(({ rule, house }, order) => {
    if (rule.off || !isFinding(rule) || !isForKind(rule.scope, kind)) return [];
    return [{ rule, house, order, weight: rule.weight ?? USUAL_WEIGHT[rule.type] }];
  });
}

const PLACES: Partial<Record<BlockKind, NonNullable<Scope["in"]>[number]>> = {
  heading: "headings",
  cell: "tables",
  caption: "captions",
  note: "notes",
};

/** Whether a rule is for blocks of this kind. */
export function isForBlock({ scope }: Rule, kind: BlockKind): boolean {
  if (!scope?.in || scope.in.length === 0) return true;
  return scope.in.includes(PLACES[kind] ?? "text");
}

/** Puts the phrases of a rule into the index; `known` has what the rules before it put in. */
export function indexRule(
  of: Compiled,
  index: PhraseIndex<PhraseEntry>,
  language: Language,
  known: Set<string>,
): void {
  const { rule } = of;
  const add = (role: PhraseEntry["role"], text: string, kinds: readonly FormKind[]) =>
    index.add(text, { of, role, kinds, text });
  const addForms = (
    role: PhraseEntry["role"],
    phrase: string,
    inflects: boolean,
    spared = NONE,
  ) => {
    if (!inflects) {
      if (!spared.has(phrase.toLowerCase())) add(role, phrase, BASE);
      return;
    }
    for (const { text, kinds } of formsOfPhrase(phrase, 0, language, spared))
      add(role, text, kinds);
  };
  switch (rule.type) {
    case "term":
    case "wording": {
      const { not, use, inflects, exceptions } = rule;
      const right = new Set<string>();
      for (const phrase of use) {
        const forms = inflects
          ? formsOfPhrase(phrase, 0, language, NONE, false)
          : [{ text: phrase, kinds: BASE }];
        for (const { text, kinds } of forms) {
          right.add(text.toLowerCase());
          // What a rule before this one has as right speaks for this one too.
          if (known.has(text)) continue;
          if (!rule.scope) known.add(text);
          add("right", text, kinds);
        }
      }
      for (const phrase of not) addOdd(of, phrase, use, inflects, right, index, language);
      for (const phrase of exceptions) addForms("spared", phrase, inflects);
      return;
    }
    case "capitals":
      addForms("capitals", rule.write, true);
      for (const phrase of rule.exceptions) addForms("spared", phrase, false);
      return;
    case "compound": {
      const { write, not, inflects, exceptions } = rule;
      const right = new Set(
        formsOfPhrase(write, 0, language, NONE, false).map(({ text }) => text.toLowerCase()),
      );
      addForms("right", write, inflects);
      for (const phrase of new Set([...not, ...otherForms(write, language)])) {
        addForms("odd", phrase, inflects, right);
      }
      for (const phrase of exceptions) addForms("spared", phrase, inflects);
      return;
    }
    case "name":
      add("capitals", rule.write, BASE);
      for (const phrase of rule.not) add("odd", phrase, BASE);
      return;
    default:
      return;
  }
}

const NONE: ReadonlySet<string> = new Set();
const BASE: readonly FormKind[] = [null];

/** Puts a term that is not written into the index, in the forms that its replacements have too. */
function addOdd(
  of: Compiled,
  phrase: string,
  use: readonly string[],
  inflects: boolean,
  right: ReadonlySet<string>,
  index: PhraseIndex<PhraseEntry>,
  language: Language,
): void {
  const add = (text: string, kinds: readonly FormKind[]) => {
    index.add(text, { of, role: "odd", kinds, text });
  };
  // "Not Internet, but internet": only the capitals differ, and the index knows none.
  const exact = use.some((one) => one.toLowerCase() === phrase.toLowerCase());
  if (!inflects || exact) {
    add(phrase, BASE);
    return;
  }
  const [first] = use;
  const alike = first === undefined ? 0 : partsOf(first, language) & partsOf(phrase, language);
  for (const { text, kinds } of formsOfPhrase(phrase, alike, language, right)) add(text, kinds);
}

/** The two other ways to write a compound: open, hyphenated, closed. */
export function otherForms(write: string, language: Language): string[] {
  const parts = write.split(/[\s-]+/);
  const [first = "", ...rest] = parts;
  if (parts.length > 1) {
    // A closed form of several words is none that anybody writes.
    const closed = parts.length === 2 ? [first + rest.join("")] : [];
    const all = [parts.join(" "), parts.join("-"), ...closed];
    return all.filter((form) => form !== write);
  }
  const split = splitOf(write, language);
  return split === null ? [] : [split.join(" "), split.join("-")];
}

/** Where a closed compound is parted: into two words of the dictionary, the commoner the better. */
function splitOf(word: string, { lexicon }: Language): [string, string] | null {
  const lower = word.toLowerCase();
  let best: [string, string] | null = null;
  let most = -1;
  for (let at = 1; at < lower.length - 1; at++) {
    const [one, other] = [word.slice(0, at), word.slice(at)];
    const known = (part: string) => (lexicon.varieties(part.toLowerCase()) & ALL_VARIETIES) !== 0;
    const short = one.length < 3 && !/^(?:e|x|re|co|bi|de|up|in|on|un)$/i.test(one);
    if (short || other.length < 2 || !known(other) || (one.length > 2 && !known(one))) continue;
    const weight = Math.min(
      lexicon.frequency(one.toLowerCase()),
      lexicon.frequency(other.toLowerCase()),
    );
    if (weight > most) {
      most = weight;
      best = [one, other];
    }
  }
  return best;
}
