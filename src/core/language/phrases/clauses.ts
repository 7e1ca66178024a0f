import { TAG, TAG_SETS } from "../tags/tag-sets.ts";
import { wordList } from "../words/word-lists.ts";
import {
  BRACKETED,
  type GrammaticalNumber,
  type NounGroup,
  type Syntax,
  type VerbGroup,
} from "./syntax.ts";

/** What a finite verb has for its subject, as far as the shallow phrases tell. */
export interface Subject {
  group: NounGroup;
  number: GrammaticalNumber;
  /** Nothing stands between subject and verb that could mislead. */
  near: boolean;
  /** The verb comes first: "there are two", "is it shut". */
  inverted: boolean;
}

const RELATIVE = new Set(["who", "which", "that"]);

/**
 * The subject of a finite verb. Goes left over adverbs, phrases with prepositions, brackets and
 * insertions between commas; from a relative pronoun to the noun it stands for. Null where the
 * clause has no subject to be found: commands, coordinated verbs, unusual orders.
 */
export function subjectOf(syntax: Syntax, verb: VerbGroup): Subject | null {
  const { tags, words, nounAt, nounGroups, verbAt, sentenceFrom } = syntax;
  const start = sentenceFrom[verb.from] ?? 0;
  const finite = verb.finite >= 0 ? verb.finite : verb.from;
  let at = finite - 1;
  let near = true;
  while (at >= start) {
    const tag = tags[at] ?? 0;
    if (TAG_SETS.ADV[tag] || tag === TAG.NOT || tag === TAG.QT) {
      at--;
      continue;
    }
    if ((syntax.places[at] ?? 0) & BRACKETED) {
      while (at >= start && (syntax.places[at] ?? 0) & BRACKETED) at--;
      near = false;
      continue;
    }
    const form = words[at]?.form ?? "";
    if (tag === TAG.EX || (form === "there" && at === finite - 1)) {
      return inverted(syntax, verb);
    }
    if (RELATIVE.has(form) && (tag === TAG.WDT || tag === TAG.WP || tag === TAG.CS)) {
      const before = lastGroupEnding(syntax, at, start);
      return before && antecedent(syntax, before, start);
    }
    if (tag === TAG[","]) {
      // An insertion between commas: go on before the comma that opens it.
      let open = at - 1;
      while (open >= start && tags[open] !== TAG[","]) {
        if (verbAt[open] !== -1 && (syntax.verbGroups[verbAt[open] ?? 0]?.finite ?? -1) >= 0) {
          const relative = words[firstAfterComma(syntax, open, start)]?.form ?? "";
          if (!RELATIVE.has(relative) && relative !== "as") return null;
        }
        open--;
      }
      if (open < start) return null;
      at = open - 1;
      near = false;
      continue;
    }
    const index = nounAt[at] ?? -1;
    const group = index >= 0 ? nounGroups[index] : undefined;
    if (!group) return null;
    const preposition = group.from - 1;
    const before = tags[preposition] ?? 0;
    // "Up sixty steps is the lamp": a place comes first.
    if (preposition === start && before === TAG.RP) return null;
    if (preposition >= start && before === TAG.IN) {
      if (words[preposition - 1]?.form === "," || preposition === start) return null;
      at = preposition - 1;
      near = false;
      continue;
    }
    if (preposition >= start && before === TAG.CC && words[preposition]?.form === "and") {
      const other = nounGroups[nounAt[preposition - 1] ?? -1];
      if (other) {
        const ahead = tags[other.from - 1];
        if (ahead === TAG.IN) {
          at = other.from - 2;
          near = false;
          continue;
        }
        return { group, number: "plural", near: false, inverted: false };
      }
    }
    if (
      preposition >= start &&
      before === TAG.CC &&
      /^n?or$/.test(words[preposition]?.form ?? "")
    ) {
      return { group, number: numberOf(syntax, group), near: false, inverted: false };
    }
    // "the book the men read is": an object of another verb is no subject, unless a clause starts.
    if (preposition >= start && verbAt[preposition] !== -1) {
      const other = syntax.verbGroups[verbAt[preposition] ?? 0];
      if (other && (other.finite >= 0 || other.infinitive)) {
        const relative = relativeBefore(syntax, other, start);
        if (relative < 0) return null;
        at = relative - 1;
        near = false;
        continue;
      }
      at = preposition - 1;
      near = false;
      continue;
    }
    return { group, number: numberOf(syntax, group), near, inverted: false };
  }
  return inverted(syntax, verb);
}

/** The relative pronoun that opens the clause of a verb; -1 for none. */
function relativeBefore({ words, tags }: Syntax, verb: VerbGroup, start: number): number {
  for (let at = verb.from - 1; at >= start && verb.from - at < 6; at--) {
    if (RELATIVE.has(words[at]?.form ?? "") && tags[at] !== TAG.DT) return at;
    if (tags[at] === TAG[","]) return -1;
  }
  return -1;
}

/** What a relative pronoun stands for: in "the row of hotels that" it may be either noun. */
function antecedent(syntax: Syntax, group: NounGroup, start: number): Subject {
  const number = numberOf(syntax, group);
  const found = { group, number, near: false, inverted: false };
  if (group.from - 2 < start || syntax.tags[group.from - 1] !== TAG.IN) return found;
  const other = syntax.nounGroups[syntax.nounAt[group.from - 2] ?? -1];
  const doubtful = other && numberOf(syntax, other) !== number;
  return doubtful ? { ...found, number: "unknown" } : found;
}

function firstAfterComma({ tags }: Syntax, from: number, start: number): number {
  let at = from;
  while (at > start && tags[at - 1] !== TAG[","]) at--;
  return at;
}

function lastGroupEnding(syntax: Syntax, before: number, start: number): NounGroup | null {
  let at = before - 1;
  if (syntax.tags[at] === TAG[","]) at--;
  const group = at >= start ? syntax.nounGroups[syntax.nounAt[at] ?? -1] : undefined;
  return group ?? null;
}

/** "There are two gauges", "Is the gauge shut?": the subject after the verb. */
function inverted(syntax: Syntax, verb: VerbGroup): Subject | null {
  const { nounAt, nounGroups, tags, words } = syntax;
  if (!/^(?:is|are|was|were|has|have|does|do|'s|'re)$/.test(words[verb.finite]?.form ?? ""))
    return null;
  let at = verb.to;
  const end = syntax.sentenceTo[verb.from] ?? at;
  while (at < end && (TAG_SETS.ADV[tags[at] ?? 0] || tags[at] === TAG.NOT)) at++;
  const group = nounGroups[nounAt[at] ?? -1];
  if (!group || group.from !== at) return null;
  const next = words[group.to]?.form;
  const coordinated = next === "and" || next === ",";
  return {
    group,
    number: coordinated ? "unknown" : numberOf(syntax, group),
    near: !coordinated,
    inverted: true,
  };
}

const EACH = new Set("each every either neither another a an one this that".split(" "));
const MANY = wordList("clauses/many");
/** Nouns that end like singulars and take a plural verb, and the other way round. */
const PLURAL_NOUNS = wordList("clauses/plural-nouns");
const EITHER = wordList("clauses/either");

/** The number of a noun group for its verb; unknown where usage is divided. */
export function numberOf(syntax: Syntax, group: NounGroup): GrammaticalNumber {
  const index = syntax.nounAt[group.head] ?? -1;
  const known = NUMBERS[(syntax.numbers[index] ?? 0) - 1];
  if (known) return known;
  const number = numberForVerb(syntax, group);
  if (index >= 0) syntax.numbers[index] = NUMBERS.indexOf(number) + 1;
  return number;
}

const NUMBERS: readonly GrammaticalNumber[] = ["singular", "plural", "unknown"];

function numberForVerb({ words, tags }: Syntax, group: NounGroup): GrammaticalNumber {
  const head = words[group.head]?.form ?? "";
  if (EITHER.has(head)) return "unknown";
  if (group.pronoun) return group.number;
  const first = words[group.from]?.form ?? "";
  if (PLURAL_NOUNS.has(head)) return "plural";
  if (tags[group.head] === TAG.NNP || tags[group.head] === TAG.NNPS) return "unknown";
  if (EACH.has(first) && group.number === "singular") return "singular";
  if (MANY.has(first)) return "plural";
  return group.number;
}
