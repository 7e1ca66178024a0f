import type { Syntax } from "../phrases/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../tags/tag-sets.ts";
import type { WordTable } from "../words/words.ts";
import { feature, mixHashes } from "./feature-numbers.ts";

/**
 * Places where a mark may be missing or wrong: a full stop before a capital inside a sentence, the
 * apostrophe of a noun in s. For the models that choose between words and forms (`choice-models.ts`).
 */

/** What cannot end a sentence, or hardly ever does. */
const GOES_ON = tagSet("DT", "PRP$", "CC", "TO", "PDT", ",", ":", "BR", "QT", ".");
/** Determiners that may be a noun's stead: "talking like this". */
const STANDS_ALONE = new Set("this that these those all any both each some".split(" "));
/** A word this common in small letters (log2 of its count) has its capital from its place. */
const COMMON = 6;
/** Units that a sentence has before its stop. */
const LEAST_BEFORE = 2;
const [LETTER_A, LETTER_I] = [65, 73];

/** Whether a sentence may end before this unit: a capital after a word that has none, or on one that mostly has none. */
export function mayOpen(syntax: Syntax, unit: number): boolean {
  const { text, units, words, tags } = syntax;
  const from = units[unit]?.from ?? 0;
  const code = text.charCodeAt(from);
  if (!(code >= 65 && code <= 90) || unit < (syntax.sentenceFrom[unit] ?? 0) + LEAST_BEFORE) {
    return false;
  }
  if (text.charCodeAt(from - 1) !== 32 || units[unit - 1]?.to !== from - 1) return false;
  if (GOES_ON[tags[unit - 1] ?? 0] && !STANDS_ALONE.has(words[unit - 1]?.form ?? "")) return false;
  const second = text.charCodeAt(from + 1);
  const alone = (units[unit]?.to ?? 0) - from === 1;
  if (alone ? code !== LETTER_A && code !== LETTER_I : !(second >= 97 && second <= 122))
    return false;
  if (alone && code === LETTER_A) return true;
  if (!alone && (words[unit]?.frequency ?? 0) >= COMMON) return true;
  // "I" and names have their capital anywhere; two names in a row are one.
  const before = text.charCodeAt(units[unit - 1]?.from ?? 0);
  const small = (before >= 97 && before <= 122) || (before >= 48 && before <= 57);
  return small && tags[unit - 1] !== TAG.IN && tags[unit - 1] !== TAG.CS;
}

/** Whether a unit is a noun in plain s or 's, by the number of units it takes; or 0. */
export function ownerUnits({ words, tags }: Syntax, unit: number, table: WordTable): number {
  const tag = tags[unit];
  const form = words[unit]?.form ?? "";
  const next = words[unit + 1]?.form ?? "";
  if (tag === TAG.NNS) {
    if (!/^[a-z]{3,}s$/.test(form) || next === "'") return 0;
    const singular = table.noun(form);
    return singular !== form && table.inflect(singular, "NNS") === form ? 1 : 0;
  }
  if (next !== "'s" || tag !== TAG.NN || !/^[a-z]{3,}$/.test(form)) return 0;
  return table.inflect(form, "NNS").endsWith("s") ? 2 : 0;
}

/** The plural of a noun at a unit that `ownerUnits` names, or its possessive. */
export function ownerForm(form: string, owns: boolean, table: WordTable): string {
  const singular = table.noun(form);
  return owns ? `${singular}'s` : table.inflect(singular, "NNS");
}

/** Whether a unit begins with a capital of the Latin alphabets of Western Europe. */
function isCapital({ text, units }: Syntax, unit: number): boolean {
  const code = text.charCodeAt(units[unit]?.from ?? 0);
  return (code >= 65 && code <= 90) || (code >= 192 && code <= 222);
}

/** Adds what tells whether a sentence ends before a unit: verbs on both sides, capitals around. */
export function stopFeatures(
  syntax: Syntax,
  unit: number,
  features: Int32Array,
  counted: number,
): number {
  const { words, tags, verbAt, verbGroups } = syntax;
  let count = counted;
  const add = (which: number, found: number) => {
    features[count++] = feature(which, found);
  };
  const finiteIn = (from: number, to: number) => {
    for (let at = from; at < to; at++) {
      const verb = verbGroups[verbAt[at] ?? -1];
      if (verb && verb.finite >= from && verb.finite < to) return verb.finite - from + 1;
    }
    return 0;
  };
  const start = syntax.sentenceFrom[unit] ?? 0;
  const end = syntax.sentenceTo[unit] ?? words.length;
  const before = finiteIn(start, unit) > 0 ? 1 : 0;
  const after = Math.min(9, finiteIn(unit, Math.min(end, unit + 12)));
  const verbs = after * 2 + before;
  const opener = words[unit]?.hash ?? 0;
  const tag = tags[unit] ?? 0;
  const last = tags[unit - 1] ?? 0;
  const capital = (at: number) => (at < end && isCapital(syntax, at) ? 1 : 0);
  const ahead = capital(unit + 1);
  const behind = capital(unit - 1);
  const around = ahead * 4 + behind * 2 + (unit - 2 >= start ? capital(unit - 2) : 0);
  add(150, verbs);
  add(151, around);
  add(152, mixHashes(opener, ahead));
  add(153, mixHashes(opener, verbs));
  add(154, tag * 64 + verbs);
  add(155, mixHashes(opener, last));
  add(156, mixHashes(opener, around));
  add(157, Math.min(15, Math.round(words[unit]?.frequency ?? 0)));
  add(158, mixHashes(last * 64 + tag, verbs));
  add(159, mixHashes(tag * 8 + around, verbs));
  // "As he passed it Barton turned": an opening that goes before its main clause.
  const opening = tags[start] ?? 0;
  let commas = 0;
  let since = 0;
  for (let at = start; at < unit; at++) {
    if (tags[at] === TAG[","]) {
      commas++;
      since = 0;
    } else if (verbGroups[verbAt[at] ?? -1]?.finite === at) since++;
  }
  const next = unit + 1 < end ? (tags[unit + 1] ?? 0) : 0;
  const clauses = Math.min(2, commas) * 4 + Math.min(3, since);
  add(160, mixHashes(opening * 16 + clauses, verbs));
  add(161, mixHashes(opening * 16 + clauses, tag * 64 + next));
  add(162, mixHashes(last * 64 + tag, next));
  add(163, mixHashes(words[unit - 1]?.hash ?? 0, tag * 64 + next));
  add(164, mixHashes(words[unit - 1]?.kin ?? 0, tag * 64 + next));
  add(165, mixHashes(clauses, mixHashes(last * 64 + tag, next)));
  return count;
}

/** Adds what tells a plural from an owner: the noun, what follows it, whether it has its verb. */
export function ownerFeatures(
  syntax: Syntax,
  from: number,
  to: number,
  features: Int32Array,
  counted: number,
  table: WordTable,
): number {
  const { words, tags, verbAt, verbGroups, nounAt, nounGroups } = syntax;
  let count = counted;
  const add = (which: number, found: number) => {
    features[count++] = feature(which, found);
  };
  const start = syntax.sentenceFrom[from] ?? 0;
  const end = syntax.sentenceTo[from] ?? words.length;
  const noun = table.word(table.noun(words[from]?.form ?? ""));
  const before = from > start ? words[from - 1] : undefined;
  const tagBefore = from > start ? (tags[from - 1] ?? 0) : 0;
  const after = to < end ? words[to] : undefined;
  const tagAfter = to < end ? (tags[to] ?? 0) : 0;
  const first = nounGroups[nounAt[from] ?? -1]?.from ?? from;
  const opening = words[first]?.hash ?? 0;
  const second = to + 1 < end ? (tags[to + 1] ?? 0) : 0;
  let finite = 0;
  for (const verb of verbGroups) {
    if (verb.finite < start || verb.finite >= end || verb.finite === from + 1) continue;
    finite |= verb.finite < from ? 1 : 2;
  }
  add(160, noun.hash);
  add(161, noun.kin);
  add(162, mixHashes(noun.kin, tagAfter));
  add(163, mixHashes(noun.hash, tagAfter));
  add(164, mixHashes(noun.kin, after?.hash ?? 0));
  add(165, noun.kin * 512 + (after?.kin ?? 0));
  add(166, mixHashes(before?.hash ?? 0, tagAfter));
  add(167, mixHashes(tagBefore, tagAfter * 64 + second));
  add(168, mixHashes(before?.hash ?? 0, noun.kin));
  add(169, mixHashes(opening, tagAfter));
  add(170, finite * 64 + tagAfter);
  add(171, mixHashes(noun.hash, after?.hash ?? 0));
  add(172, mixHashes(opening, tagAfter * 4 + finite));
  add(173, mixHashes(tags[first - 1] ?? 0, mixHashes(opening, tagAfter)));
  add(174, mixHashes(tagAfter * 64 + second, finite));
  const verb = verbGroups[verbAt[to] ?? -1];
  add(175, verb ? (verb.finite >= 0 ? 1 : 2) * 64 + (TAG_SETS.PAST[tagAfter] ?? 0) : 0);
  return count;
}
