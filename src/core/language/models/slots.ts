import { isComparison } from "../phrases/plain-places.ts";
import type { NounGroup, Syntax } from "../phrases/syntax.ts";
import { TAG, TAG_SETS } from "../tags/tag-sets.ts";
import { wordList } from "../words/word-lists.ts";
import { hashText, type Word, type WordTable } from "../words/words.ts";
import { feature, mixHashes as mix } from "./feature-numbers.ts";
import type { NounHabits } from "./noun-habits.ts";
import type { Trigrams } from "./trigrams.ts";

/**
 * Features of the place where a word stands, without the word itself, for the models that say which
 * of several words or forms belongs there (`choice-models.ts`). Each is a hash; the same function
 * serves training and use.
 */
export const MAX_FEATURES = 160;

export const START = hashText("<s>");
export const END = hashText("</s>");
export const START_TAG = 60;
export const END_TAG = 61;
export const START_KIN = 256;
export const END_KIN = 257;
/** How many words on each side are told apart from their order. */
const REACH = 7;

/** Words that say nothing of what a text is about. */
const COMMON = wordList("slots/common");

const commonHashes = new Set([...COMMON].map(hashText));

const NEAR_FEATURES = 10;

/** Fills in what stands right next to the units [from, to), and returns how many features that is. */
export function nearFeatures(
  { words, tags, sentenceFrom, sentenceTo }: Syntax,
  from: number,
  to: number,
  features: Int32Array,
): number {
  const start = sentenceFrom[from] ?? 0;
  const end = sentenceTo[from] ?? words.length;
  const h1 = from > start ? (words[from - 1]?.hash ?? START) : START;
  const g1 = to < end ? (words[to]?.hash ?? END) : END;
  const t1 = from > start ? (tags[from - 1] ?? 0) : START_TAG;
  const t2 = from - 1 > start ? (tags[from - 2] ?? 0) : START_TAG;
  const u1 = to < end ? (tags[to] ?? 0) : END_TAG;
  const u2 = to + 1 < end ? (tags[to + 1] ?? 0) : END_TAG;
  features[0] = feature(2, h1);
  features[1] = feature(5, g1);
  features[2] = feature(8, mix(h1, g1));
  features[3] = feature(15, t1);
  features[4] = feature(17, u1);
  features[5] = feature(19, t1 * 64 + u1);
  features[6] = feature(20, t2 * 64 + t1);
  features[7] = feature(21, u1 * 64 + u2);
  features[8] = feature(22, mix(t1, g1));
  features[9] = feature(23, mix(h1, u1));
  return NEAR_FEATURES;
}

/** Adds the features of the units [from, to) that lie farther out or take more than one look. */
export function wideFeatures(
  syntax: Syntax,
  from: number,
  to: number,
  features: Int32Array,
  counted: number,
  reach = REACH,
): number {
  const { words, tags } = syntax;
  const start = syntax.sentenceFrom[from] ?? 0;
  const end = syntax.sentenceTo[from] ?? words.length;
  const left = (distance: number): Word | undefined =>
    from - distance >= start ? words[from - distance] : undefined;
  const right = (distance: number): Word | undefined =>
    to + distance < end ? words[to + distance] : undefined;
  const leftTag = (distance: number) =>
    from - distance >= start ? (tags[from - distance] ?? 0) : START_TAG;
  const rightTag = (distance: number) =>
    to + distance < end ? (tags[to + distance] ?? 0) : END_TAG;
  const l1 = left(1);
  const l2 = left(2);
  const r1 = right(0);
  const r2 = right(1);
  const h1 = l1?.hash ?? START;
  const h2 = l2?.hash ?? START;
  const g1 = r1?.hash ?? END;
  const g2 = r2?.hash ?? END;
  const t1 = leftTag(1);
  const t2 = leftTag(2);
  const u1 = rightTag(0);
  const u2 = rightTag(1);
  let count = counted;
  const add = (which: number, found: number) => {
    features[count++] = feature(which, found);
  };
  add(1, from === start ? 1 : 0);
  add(3, h2);
  add(4, left(3)?.hash ?? START);
  add(6, g2);
  add(7, right(2)?.hash ?? END);
  add(9, mix(h2, h1));
  add(10, mix(g1, g2));
  add(11, l1?.ending ?? 0);
  add(12, r1?.ending ?? 0);
  add(13, r1?.shortEnding ?? 0);
  add(14, l1?.shortEnding ?? 0);
  add(16, t2);
  add(18, u2);
  add(24, (t1 * 64 + u1) * 64 + u2);
  add(25, (t2 * 64 + t1) * 64 + u1);
  add(26, mix(g1, u2));
  add(27, mix(h1, u1 * 64 + u2));
  add(28, mix(t2, h1));
  const k1 = l1?.kin ?? START_KIN;
  const k2 = l2?.kin ?? START_KIN;
  const n1 = r1?.kin ?? END_KIN;
  const n2 = r2?.kin ?? END_KIN;
  add(120, k1);
  add(121, k2);
  add(122, n1);
  add(123, n2);
  add(124, k1 * 512 + n1);
  add(125, k2 * 512 + k1);
  add(126, n1 * 512 + n2);
  add(127, mix(h1, n1));
  add(128, mix(g1, k1));
  const next = syntax.nounGroups[syntax.nounAt[to] ?? -1];
  if (next && to < end) {
    add(129, words[next.head]?.kin ?? 0);
    add(29, words[next.head]?.hash ?? 0);
    add(30, tags[next.head] ?? 0);
    add(31, next.to < end ? (words[next.to]?.hash ?? END) : END);
    add(32, next.to < end ? (tags[next.to] ?? 0) : END_TAG);
  }
  const previous = from > start ? syntax.nounGroups[syntax.nounAt[from - 1] ?? -1] : undefined;
  if (previous) add(33, mix(words[previous.head]?.hash ?? 0, tags[previous.from - 1] ?? 0));
  // The nearest verb before and after: a clause that has one needs no other.
  for (let at = from - 1; at >= start && from - at < 12; at--) {
    if (syntax.verbAt[at] === -1) continue;
    add(34, words[at]?.hash ?? 0);
    add(35, tags[at] ?? 0);
    break;
  }
  for (let at = to; at < end && at - to < 12; at++) {
    if (syntax.verbAt[at] === -1) continue;
    add(36, tags[at] ?? 0);
    break;
  }
  for (let distance = 1; distance <= reach; distance++) {
    for (const word of [left(distance), right(distance - 1)]) {
      if (!word || word.form.length < 3 || commonHashes.has(word.hash)) continue;
      add(37, word.hash);
    }
  }
  return count;
}

/** Units within which a comparison, or the verb of a clause, is looked for. */
const CLAUSE_REACH = 25;

/** Adds what a word owes to its clause: a verb on either side, a comparison before, a question. */
export function clauseFeatures(
  syntax: Syntax,
  from: number,
  to: number,
  features: Int32Array,
  counted: number,
): number {
  const { words, tags, verbAt, verbGroups, nounAt, nounGroups } = syntax;
  const start = syntax.sentenceFrom[from] ?? 0;
  const end = syntax.sentenceTo[from] ?? words.length;
  let count = counted;
  const add = (which: number, found: number) => {
    features[count++] = feature(which, found);
  };
  const isVerb = (at: number) => verbGroups[verbAt[at] ?? -1]?.finite === at;
  let compared = 0;
  let verbBefore = 0;
  let comma = 0;
  for (let at = from - 1; at >= start && from - at <= CLAUSE_REACH; at--) {
    if (isComparison(syntax, at)) compared = 1;
    if (tags[at] === TAG[","]) comma = 1;
    if (comma === 0 && isVerb(at)) verbBefore = 1;
  }
  let verbAfter = 0;
  for (let at = to; at < end && at - to <= CLAUSE_REACH; at++) {
    if (tags[at] === TAG[","]) break;
    if (isVerb(at)) verbAfter = 1;
  }
  const t1 = from > start ? (tags[from - 1] ?? 0) : START_TAG;
  const u1 = to < end ? (tags[to] ?? 0) : END_TAG;
  const verbs = verbBefore * 2 + verbAfter;
  const next = to < end ? nounGroups[nounAt[to] ?? -1] : undefined;
  const later = next && next.to < end ? (tags[next.to] ?? 0) : END_TAG;
  const asked = words[end - 1]?.form === "?" ? 1 : 0;
  add(38, compared);
  add(39, compared * 64 + u1);
  add(40, verbs);
  add(41, (verbs * 64 + t1) * 64 + u1);
  add(42, verbs * 64 + (next ? later : 0));
  add(43, asked * 64 + u1);
  add(44, mix(asked * 64 + t1, next ? later : 0));
  add(45, (next ? (tags[next.head] ?? 0) : 0) * 64 + t1);
  return count;
}

/** Adds what matters for the form of a verb: its auxiliary and its base form. */
export function verbFeatures(
  syntax: Syntax,
  unit: number,
  lemma: Word,
  features: Int32Array,
  counted: number,
): number {
  const { words, tags } = syntax;
  const start = syntax.sentenceFrom[unit] ?? 0;
  let count = counted;
  const add = (which: number, found: number) => {
    features[count++] = feature(which, found);
  };
  const before = unitBefore(syntax, unit);
  const skipped = before < unit - 1 ? 1 : 0;
  const word = before >= start ? (words[before]?.hash ?? START) : START;
  const tag = before >= start ? (tags[before] ?? 0) : START_TAG;
  add(50, word);
  add(51, tag);
  add(52, mix(word, skipped));
  add(53, lemma.hash);
  add(54, mix(lemma.hash, tag));
  add(55, mix(lemma.hash, word));
  const beforeThat = before - 1 >= start ? (tags[before - 1] ?? 0) : START_TAG;
  add(56, tag * 64 + beforeThat);
  const kin = lemma.kin;
  add(144, mix(kin, word));
  add(145, mix(kin, tag));
  const next = unit + 1 < (syntax.sentenceTo[unit] ?? 0) ? unit + 1 : -1;
  const after = next < 0 ? END_TAG : (tags[next] ?? 0);
  add(146, mix(lemma.hash, mix(word, after)));
  add(147, mix(kin, mix(word, after)));
  add(148, mix(word, after));
  add(149, mix(kin, mix(word, next < 0 ? END_KIN : (words[next]?.kin ?? 0))));
  add(57, mix(word, before - 1 >= start ? (words[before - 1]?.hash ?? START) : START));
  return count;
}

/** The unit before a verb that is no adverb. */
export function unitBefore({ tags, sentenceFrom }: Syntax, unit: number): number {
  const start = sentenceFrom[unit] ?? 0;
  let before = unit - 1;
  while (before >= start && (TAG_SETS.ADV[tags[before] ?? 0] || tags[before] === TAG.NOT)) before--;
  return before;
}

/** A difference of log10 in steps fine enough to learn from. */
function fine(difference: number): number {
  return Math.max(-12, Math.min(12, Math.round(difference * 3)));
}

/** Adds what matters for the article of a noun group that begins at `to`: its head and its makeup. */
export function groupFeatures(
  syntax: Syntax,
  from: number,
  to: number,
  features: Int32Array,
  counted: number,
  trigrams: Trigrams,
  table: WordTable,
  habits: NounHabits | null,
): number {
  const { words, tags } = syntax;
  let count = counted;
  const add = (which: number, found: number) => {
    features[count++] = feature(which, found);
  };
  const group = syntax.nounGroups[syntax.nounAt[to] ?? -1];
  if (!group) return count;
  const head = words[group.head];
  const start = syntax.sentenceFrom[from] ?? 0;
  const end = syntax.sentenceTo[from] ?? words.length;
  const before = from > start ? (words[from - 1]?.hash ?? START) : START;
  const tagBefore = from > start ? (tags[from - 1] ?? 0) : START_TAG;
  const after = group.to < end ? (tags[group.to] ?? 0) : END_TAG;
  const noun = head?.hash ?? 0;
  const length = Math.min(4, group.to - to);
  add(70, mix(noun, tagBefore));
  add(71, mix(noun, before));
  add(72, mix(noun, after));
  add(73, mix(head?.ending ?? 0, tagBefore));
  add(74, length * 64 + tagBefore);
  add(75, mix(tags[to] ?? 0, length * 64 + after));
  add(76, mix(noun, length));
  add(77, mix(words[to]?.hash ?? 0, tagBefore));
  const kin = head?.kin ?? 0;
  add(130, mix(kin, tagBefore));
  add(131, mix(kin, before));
  add(132, mix(kin, after));
  add(133, kin * 8 + length);
  add(134, mix(kin * 8 + length, tagBefore * 64 + after));
  add(135, mix(kin, words[to]?.kin ?? 0));
  const later = group.to < end ? (words[group.to]?.hash ?? END) : END;
  const kinBefore = from > start ? (words[from - 1]?.kin ?? 0) : START_KIN;
  add(136, kin * 512 + kinBefore);
  add(78, mix(noun, later));
  add(137, mix(kin, later));
  if (habits && head) {
    const afterPreposition = followsPreposition(syntax, from);
    const habit = Math.round(2 * habits.bareOdds(head, afterPreposition));
    const other = Math.round(2 * habits.bareOdds(head, !afterPreposition));
    add(190, habit);
    add(191, mix(habit, tagBefore));
    add(192, mix(habit, before));
    add(193, mix(habit * 8 + length, after * 64 + tagBefore));
    add(194, mix(habit * 8 + length, later));
    add(195, mix(habit, other));
    add(196, mix(habit, tags[to] ?? 0));
    add(197, mix(habit, words[to]?.kin ?? 0));
    add(198, mix(habit * 8 + length, kinBefore));
  }
  count = sentenceFeatures(syntax, from, to, noun, features, count);
  // What is counted is met in the plural too.
  const plurals = table.word(table.inflect(head?.form ?? "", "NNS")).frequency;
  const more = Math.max(-8, Math.min(8, Math.round(plurals - (head?.frequency ?? 0))));
  add(138, more);
  add(139, more * 64 + tagBefore);
  add(140, mix(more * 8 + length, after * 64 + tagBefore));
  // How fond the noun and its first word are of articles, in a large body of text.
  const id = head?.trigram ?? -1;
  const first = words[to]?.trigram ?? -1;
  const previous = from > start ? (words[from - 1]?.trigram ?? -1) : trigrams.id("<s>");
  if (id >= 0) {
    const own = trigrams.score(-1, -1, id);
    const withA = fine(trigrams.score(-1, trigrams.id("a"), id) - own);
    const withThe = fine(trigrams.score(-1, trigrams.id("the"), id) - own);
    add(79, withA);
    add(103, withThe);
    add(104, mix(withA, withThe));
    add(105, mix(withA, tagBefore));
    add(106, mix(withA, length));
  }
  if (first >= 0 && previous >= 0) {
    const bare = trigrams.score(-1, previous, first) - trigrams.score(-1, -1, first);
    const led = Math.max(
      trigrams.score(previous, trigrams.id("a"), first),
      trigrams.score(previous, trigrams.id("the"), first),
    );
    add(107, fine(bare));
    add(108, fine(trigrams.score(-1, previous, first) - led));
    add(109, mix(fine(bare), tagBefore));
    add(110, mix(fine(bare), length * 64 + tagBefore));
  }
  return count;
}

export function isArticle(form: string | undefined): boolean {
  return form === "the" || form === "a" || form === "an";
}

/** How a noun group is determined, where a partner of it or its sentence is asked about. */
function makeup({ words, tags }: Syntax, group: NounGroup | undefined): number {
  if (!group) return 0;
  if (group.pronoun) return 1;
  if (isArticle(words[group.from]?.form)) return ARTICLED;
  if (group.determiner >= 0) return 3;
  return tags[group.head] === TAG.NNS ? 4 : tags[group.head] === TAG.NN ? BARE_NOUN : 6;
}
const ARTICLED = 2;
const BARE_NOUN = 5;

/** Adds what a noun group has beside it in "lock and key", and how sparing of articles its sentence is. */
function sentenceFeatures(
  syntax: Syntax,
  from: number,
  to: number,
  noun: number,
  features: Int32Array,
  counted: number,
): number {
  const { tags, nounAt, nounGroups } = syntax;
  const own = nounGroups[nounAt[to] ?? -1];
  const end = own?.to ?? to;
  const start = syntax.sentenceFrom[from] ?? 0;
  const last = syntax.sentenceTo[from] ?? tags.length;
  const partner = (joint: number, unit: number) =>
    joint >= start && joint < last && tags[joint] === TAG.CC
      ? 1 + makeup(syntax, nounGroups[nounAt[unit] ?? -1])
      : 0;
  const before = partner(from - 1, from - 2);
  const after = partner(end, end + 1);
  let articled = 0;
  let bare = 0;
  const index = nounAt[to] ?? 0;
  let first = index;
  while ((nounGroups[first - 1]?.from ?? -1) >= start) first--;
  for (let at = first; at < nounGroups.length; at++) {
    const group = nounGroups[at];
    if (!group || group.from >= last) break;
    if (at === index) continue;
    const made = makeup(syntax, group);
    if (made === ARTICLED) articled++;
    if (made === BARE_NOUN) bare++;
  }
  const few = (count: number) => Math.min(4, count);
  let count = counted;
  const add = (which: number, found: number) => {
    features[count++] = feature(which, found);
  };
  add(150, few(articled) * 8 + few(bare));
  add(151, few(articled) * 8 + Math.min(5, (last - start) >> 3));
  add(152, before);
  add(153, after);
  add(154, before * 8 + after);
  add(155, mix(before, noun));
  add(156, mix(after, noun));
  return count;
}

/** Whether a preposition stands right before a unit. */
export function followsPreposition({ tags, sentenceFrom }: Syntax, unit: number): boolean {
  return unit > (sentenceFrom[unit] ?? 0) && tags[unit - 1] === TAG.IN;
}
