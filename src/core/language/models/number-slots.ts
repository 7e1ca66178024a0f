import { numberOf, subjectOf } from "../phrases/clauses.ts";
import type { NounGroup, Syntax, VerbGroup } from "../phrases/syntax.ts";
import { TAG, TAG_SETS } from "../tags/tag-sets.ts";
import type { Word } from "../words/words.ts";
import { feature, mixHashes as mix } from "./feature-numbers.ts";
import { governorOf, NUMBER_CODES } from "./governors.ts";
import { END_KIN, END_TAG, START, START_TAG, unitBefore } from "./slots.ts";
import type { SubjectModel } from "./subject-model.ts";

/** Noun groups looked back at. */
const GROUPS = 4;

/** Fills in what matters for the number of a verb: the noun groups before it and what governs them. */
export function numberFeatures(
  syntax: Syntax,
  unit: number,
  lemma: Word,
  features: Int32Array,
  counted: number,
  subjects: SubjectModel | null,
): number {
  const { words, tags, nounGroups, nounAt } = syntax;
  const start = syntax.sentenceFrom[unit] ?? 0;
  let count = counted;
  const add = (which: number, found: number) => {
    features[count++] = feature(which, found);
  };
  const before = unitBefore(syntax, unit);
  const word = before >= start ? (words[before]?.hash ?? START) : START;
  const tag = before >= start ? (tags[before] ?? 0) : START_TAG;
  const verb = finiteVerbAt(syntax, unit);
  const subject = subjectOf(syntax, verb);
  const number = subject ? NUMBER_CODES[subject.number] : 0;
  const near = (subject?.near ? 1 : 0) + (subject?.inverted ? 2 : 0);
  const odds = subjects ? Math.round(2 * subjects.pluralOdds(syntax, unit, verb, lemma)) : 0;
  add(180, odds);
  add(181, mix(odds, number * 8 + near));
  add(182, mix(odds, lemma.hash));
  add(183, mix(odds, tag));
  add(80, number);
  add(81, number * 8 + near);
  add(82, word);
  add(83, tag * 4 + number);
  if (subject) {
    const { head, from } = subject.group;
    add(84, mix(words[head]?.hash ?? 0, near));
    add(85, mix(words[from]?.hash ?? 0, number));
    add(86, (tags[head] ?? 0) * 64 + number * 8 + near);
    add(87, mix(governorOf(syntax, from), number * 8 + near));
    add(88, mix(words[head]?.ending ?? 0, tags[head] ?? 0));
    const kin = words[head]?.kin ?? 0;
    add(141, kin * 8 + near);
    add(142, mix(kin, number * 8 + near));
    add(143, mix(kin, words[unit + 1]?.kin ?? END_KIN));
  }
  // The groups before the verb, nearest first, by number and governor.
  let path = 0;
  let at = before;
  let seen = 0;
  let gap = 0;
  while (at >= start && seen < GROUPS) {
    const index = nounAt[at] ?? -1;
    const one = nounGroups[index];
    if (!one) {
      const form = words[at]?.form ?? "";
      if (seen === 0)
        gap = mix(gap, GAP_WORDS.has(form) ? (words[at]?.hash ?? 0) : (tags[at] ?? 0));
      at--;
      continue;
    }
    const code =
      NUMBER_CODES[numberOf(syntax, one)] * 32 +
      governorOf(syntax, one.from) * 2 +
      (one.pronoun ? 1 : 0);
    path = mix(path + 1, code);
    add(90 + seen, path);
    if (seen === 0) {
      add(94, gap);
      add(95, mix(gap, code));
      add(96, mix(words[one.head]?.hash ?? 0, governorOf(syntax, one.from)));
    }
    if (seen === 1) add(97, mix(gap, path));
    at = one.from - 1;
    seen++;
  }
  add(98, mix(number * 8 + near, path));
  add(99, mix(gap, number * 8 + near));
  const after = unit + 1 < (syntax.sentenceTo[unit] ?? 0) ? (tags[unit + 1] ?? 0) : END_TAG;
  add(100, after * 64 + tag);
  const next = nounGroups[nounAt[verb.to] ?? -1];
  const following = next ? NUMBER_CODES[numberOf(syntax, next)] : 0;
  add(101, following * 64 + tag);
  add(102, mix(following * 8 + number, words[start]?.hash ?? 0));
  // Which verb it is: "be" is told apart in the past, "frown" is seldom a noun.
  const nextTag = after;
  add(150, lemma.hash);
  add(151, mix(lemma.hash, tag));
  add(152, mix(lemma.kin, nextTag * 64 + tag));
  add(153, mix(lemma.hash, nextTag));
  add(154, mix(lemma.hash, number * 8 + near));
  add(155, mix(lemma.hash, moodBefore(syntax, before)));
  add(156, mix(moodBefore(syntax, before), number * 8 + near));
  // Where the clause begins and the first noun in it, which more often than not is the subject.
  const { opening, boundary } = clauseOpening(syntax, before);
  const first = firstGroup(syntax, opening, unit);
  const firstCode = first
    ? NUMBER_CODES[numberOf(syntax, first)] * 32 + governorOf(syntax, first.from)
    : 0;
  const openingTag = tags[opening] ?? 0;
  add(160, firstCode * 64 + number * 8 + near);
  add(161, mix(firstCode, tag * 8 + number));
  add(162, mix(words[first?.head ?? -1]?.kin ?? 0, number * 8 + near));
  add(163, mix(words[first?.head ?? -1]?.hash ?? 0, seen));
  add(164, (boundary * 64 + openingTag) * 8 + number);
  add(165, mix(words[opening]?.hash ?? 0, number * 8 + near));
  add(166, mix(boundary * 64 + openingTag, firstCode));
  add(167, mix(boundary * 64 + openingTag, path));
  // A verb before it that may share its subject: "was read and is".
  const other = finiteBefore(syntax, unit);
  const shared = other ? numberShown(words[other.finite]?.form ?? "", tags[other.finite] ?? 0) : 0;
  const otherSubject = other ? subjectOf(syntax, other) : null;
  const sharedNumber = otherSubject ? NUMBER_CODES[otherSubject.number] : 0;
  add(170, mix(word, shared * 4 + number));
  add(171, mix(word, sharedNumber * 4 + number));
  add(172, mix(gap, shared * 16 + sharedNumber * 4 + number));
  // "A man who succeeds at court does": the noun before a relative clause that ends here.
  const led = other ? antecedentOf(syntax, other) : undefined;
  const ledCode = led ? NUMBER_CODES[numberOf(syntax, led)] * 32 + governorOf(syntax, led.from) : 0;
  add(168, ledCode * 64 + tag);
  add(169, mix(ledCode * 8 + number, firstCode));
  add(173, mix(boundary, shared * 16 + sharedNumber * 4 + number));
  return count;
}

/** A finite verb's group, or one made up for a word that might be a verb. */
export function finiteVerbAt({ verbGroups, verbAt }: Syntax, unit: number): VerbGroup {
  const group = verbGroups[verbAt[unit] ?? -1];
  if (group?.finite === unit) return group;
  return {
    from: unit,
    to: Math.max(unit + 1, group?.to ?? 0),
    finite: unit,
    main: unit,
    tense: "present",
    passive: false,
    negated: false,
    infinitive: false,
  };
}

const MOODS = new Set("if though lest whether wish unless until than suppose whatever".split(" "));
/** Words between a mood and its verb. */
const MOOD_REACH = 10;

/** "If it were", "demands that he have": what makes a number not show; 0 for nothing. */
function moodBefore({ words, verbAt }: Syntax, before: number): number {
  for (let back = before; back >= 0 && before - back < MOOD_REACH; back--) {
    const word = words[back];
    if (word && MOODS.has(word.form)) return word.hash;
    if (word?.form === "that" && verbAt[back - 1] !== -1) return words[back - 1]?.hash ?? 2;
    if (word?.form === "." || word?.form === ";") return 0;
  }
  return 0;
}

/** What a clause is cut off by. */
const BOUNDARY = {
  sentence: 0,
  stop: 1,
  conjunction: 2,
  question: 3,
  verb: 4,
  relative: 5,
} as const;
const RELATIVE = new Set(["who", "which", "that"]);

/** The first unit of the clause that a verb closes, seen from the unit before the verb. */
function clauseOpening({ words, tags, verbAt, verbGroups, sentenceFrom }: Syntax, before: number) {
  const start = sentenceFrom[before] ?? 0;
  for (let at = before; at >= start; at--) {
    const tag = tags[at] ?? 0;
    const form = words[at]?.form ?? "";
    if (tag === TAG[":"] || form === ";" || form === "—")
      return { opening: at + 1, boundary: BOUNDARY.stop };
    if (RELATIVE.has(form) && tag !== TAG.DT)
      return { opening: at + 1, boundary: BOUNDARY.relative };
    if (tag === TAG.CS && form !== "than" && form !== "as")
      return { opening: at + 1, boundary: BOUNDARY.conjunction };
    if (TAG_SETS.WH[tag]) return { opening: at + 1, boundary: BOUNDARY.question };
    const verb = verbGroups[verbAt[at] ?? -1];
    if (verb && verb.finite >= 0) return { opening: verb.to, boundary: BOUNDARY.verb };
  }
  return { opening: start, boundary: BOUNDARY.sentence };
}

/** The first noun group of a clause that no preposition opens; where all have one, the first. */
function firstGroup({ nounAt, nounGroups, tags }: Syntax, opening: number, unit: number) {
  let first: NounGroup | undefined;
  for (let at = opening; at < unit; at++) {
    const group = nounGroups[nounAt[at] ?? -1];
    if (!group || group.from < opening) continue;
    if (tags[group.from - 1] !== TAG.IN || group.from === opening) return group;
    first ??= group;
    at = group.to - 1;
  }
  return first;
}

/** The last finite verb before a unit of its sentence. */
function finiteBefore({ verbAt, verbGroups, sentenceFrom }: Syntax, unit: number) {
  for (let at = unit - 1; at >= (sentenceFrom[unit] ?? 0); at--) {
    const verb = verbGroups[verbAt[at] ?? -1];
    if (verb && verb.finite >= 0 && verb.finite < unit) return verb;
  }
  return null;
}

/** Units between a relative pronoun and its verb. */
const RELATIVE_REACH = 6;

/** The noun group before the relative pronoun that a verb follows. */
function antecedentOf({ words, tags, nounAt, nounGroups, sentenceFrom }: Syntax, verb: VerbGroup) {
  const start = Math.max(sentenceFrom[verb.from] ?? 0, verb.from - RELATIVE_REACH);
  for (let at = verb.from - 1; at > start; at--) {
    if (tags[at] === TAG[","]) return undefined;
    if (!RELATIVE.has(words[at]?.form ?? "") || tags[at] === TAG.DT) continue;
    return nounGroups[nounAt[at - 1] ?? -1];
  }
  return undefined;
}

/** 1 for a verb that shows a singular, 2 for a plural, 3 for one that shows neither. */
function numberShown(form: string, tag: number): number {
  if (tag === TAG.VBZ || form === "was") return 1;
  if (form === "are" || form === "were" || tag === TAG.VB) return 2;
  return 3;
}

const GAP_WORDS = new Set(["that", "which", "who", ",", "(", ")", "what", "there", "as"]);
