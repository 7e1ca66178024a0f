import { numberOf } from "../phrases/clauses.ts";
import type { NounGroup, Syntax, VerbGroup } from "../phrases/syntax.ts";
import { TAG, TAG_SETS } from "../tags/tag-sets.ts";
import type { Word } from "../words/words.ts";
import { feature, mixHashes as mix } from "./feature-numbers.ts";
import { governorOf, NUMBER_CODES } from "./governors.ts";
import { unitBefore } from "./slots.ts";

/**
 * Which noun group is the subject of a verb, learned without anybody having marked it: each group
 * that may be it has a chance of being it and a chance of being plural, and together they must
 * explain the number of the verbs in edited prose. Both are logistic in hashed features.
 */
export const SUBJECT_TABLE = 1 << 16;
/** Steps of a weight as kept, to one. */
export const SUBJECT_SCALE = 24;
/** Noun groups before a verb that may be its subject. */
const CANDIDATES = 6;
const MAX_FEATURES = 32;
/** No subject among the groups, and one after the verb. */
const OTHERS = 2;

/** What may be the subject, as features: `score` of being it, `number` of being plural. */
export class Candidates {
  count = 0;
  readonly score = new Int32Array((CANDIDATES + OTHERS) * MAX_FEATURES);
  readonly number = new Int32Array((CANDIDATES + OTHERS) * MAX_FEATURES);
  readonly scoreTo = new Int32Array(CANDIDATES + OTHERS);
  readonly numberTo = new Int32Array(CANDIDATES + OTHERS);
  private scores = 0;
  private numbers = 0;

  clear(): void {
    this.count = 0;
    this.scores = 0;
    this.numbers = 0;
  }

  addScore(which: number, found: number): void {
    this.score[this.scores++] = feature(which, found) & (SUBJECT_TABLE - 1);
  }

  addNumber(which: number, found: number): void {
    this.number[this.numbers++] = feature(which, found) & (SUBJECT_TABLE - 1);
  }

  /** Closes the features of one candidate. */
  close(): void {
    this.scoreTo[this.count] = this.scores;
    this.numberTo[this.count] = this.numbers;
    this.count++;
  }
}

/** What is crossed on the way from a verb to a noun group before it, as bits. */
const CROSSED = { conjunction: 1, question: 2, coordination: 4, stop: 8, that: 16 } as const;

/** Fills in the candidates for the subject of a verb at a unit. */
export function findCandidates(
  syntax: Syntax,
  unit: number,
  verb: VerbGroup,
  lemma: Word,
  found: Candidates,
): void {
  const { words, tags, nounGroups, nounAt, verbGroups, verbAt } = syntax;
  found.clear();
  const start = syntax.sentenceFrom[unit] ?? 0;
  const end = syntax.sentenceTo[unit] ?? words.length;
  const before = unitBefore(syntax, unit);
  const tagBefore = before >= start ? (tags[before] ?? 0) : 63;
  const wordBefore = before >= start ? (words[before]?.hash ?? 0) : 1;
  const joined = tags[before] === TAG.CC ? 1 : 0;
  let finites = 0;
  let commas = 0;
  let crossed = 0;
  let rank = 0;
  for (let at = before; at >= start && rank < CANDIDATES; at--) {
    const group = nounGroups[nounAt[at] ?? -1];
    if (group) {
      addCandidate(group, rank);
      rank++;
      at = group.from;
      continue;
    }
    const tag = tags[at] ?? 0;
    if (tag === TAG[","]) commas++;
    else if (words[at]?.form === "that") crossed |= CROSSED.that;
    else if (tag === TAG.CS) crossed |= CROSSED.conjunction;
    else if (TAG_SETS.WH[tag]) crossed |= CROSSED.question;
    else if (tag === TAG.CC) crossed |= CROSSED.coordination;
    else if (tag === TAG[":"]) crossed |= CROSSED.stop;
    else if (verbGroups[verbAt[at] ?? -1]?.finite === at) finites++;
  }
  // None of them: a clause, a group that was not seen, the subject of a verb before.
  found.addScore(60, 0);
  found.addScore(61, tagBefore);
  found.addScore(62, (tags[start] ?? 0) * 8 + rank);
  found.addScore(63, wordBefore);
  found.addScore(64, Math.min(2, finites) * 32 + crossed);
  found.addNumber(50, tags[start] ?? 0);
  found.addNumber(51, words[start]?.hash ?? 0);
  found.addNumber(52, tagBefore);
  found.addNumber(53, lemma.kin);
  found.close();
  if (!MAY_COME_FIRST.has(lemma.form)) return;
  let next = verb.to;
  while (next < end && (TAG_SETS.ADV[tags[next] ?? 0] || tags[next] === TAG.NOT)) next++;
  const after = nounGroups[nounAt[next] ?? -1];
  if (!after || after.from !== next) return;
  found.addScore(70, rank);
  found.addScore(71, tagBefore);
  found.addScore(72, wordBefore);
  found.addScore(73, words[end - 1]?.form === "?" ? 1 : 0);
  found.addScore(74, rank * 64 + tagBefore);
  found.addScore(75, words[start]?.hash ?? 0);
  found.addScore(76, after.pronoun ? 1 : 0);
  addNumber(after, 1);
  found.close();

  function addCandidate(group: NounGroup, rank: number): void {
    const governor = governorOf(syntax, group.from);
    const follows = group.to < unit ? (tags[group.to] ?? 0) : 62;
    const following = group.to < unit ? (words[group.to]?.hash ?? 0) : 1;
    const led = group.from > start ? (words[group.from - 1]?.hash ?? 0) : 1;
    const way = Math.min(2, finites) * 4 + Math.min(3, commas);
    let own = group.to;
    while (own < unit && TAG_SETS.ADV[tags[own] ?? 0]) own++;
    const serves = own < unit && verbGroups[verbAt[own] ?? -1]?.finite === own ? 1 : 0;
    const kin = words[group.head]?.kin ?? 0;
    const opens = group.from === start ? 1 : 0;
    found.addScore(1, rank);
    found.addScore(2, rank * 16 + governor);
    found.addScore(3, governor * 64 + follows);
    found.addScore(4, way * 32 + crossed);
    found.addScore(5, mix(way, follows));
    found.addScore(6, crossed * 16 + governor);
    found.addScore(7, tagBefore * 256 + rank * 16 + governor);
    found.addScore(8, following);
    found.addScore(9, mix(following, way));
    found.addScore(10, led);
    found.addScore(11, (way * 2 + joined) * 2 + serves);
    found.addScore(12, mix(tags[group.head] ?? 0, (group.pronoun ? 1 : 0) * 4 + Math.min(3, rank)));
    found.addScore(13, rank * 4 + lemmaClass(lemma));
    found.addScore(14, (way * 32 + crossed) * 16 + governor);
    found.addScore(15, mix(kin, governor));
    found.addScore(16, (opens * 4 + Math.min(3, commas)) * 4 + Math.min(2, finites));
    found.addScore(17, mix(kin, Math.min(1, rank)));
    found.addScore(18, mix(led, mix(way, follows)));
    found.addScore(19, mix(wordBefore, rank * 16 + governor));
    addNumber(group, 0);
    found.close();
  }

  function addNumber(group: NounGroup, inverted: number): void {
    const code = NUMBER_CODES[numberOf(syntax, group)];
    const head = words[group.head];
    const tag = tags[group.head] ?? 0;
    const led = words[group.from - 1]?.form ?? "";
    const other = group.from > start + 1 ? nounGroups[nounAt[group.from - 2] ?? -1] : undefined;
    const pair = other && (led === "and" || led === "or" || led === "nor") ? led.length : 0;
    const within = words[group.to]?.form === "of" ? nounGroups[nounAt[group.to + 1] ?? -1] : null;
    const whole = within ? NUMBER_CODES[numberOf(syntax, within)] : 0;
    found.addNumber(30, code * 4 + inverted);
    found.addNumber(31, tag * 4 + code);
    found.addNumber(32, head?.kin ?? 0);
    found.addNumber(33, head?.hash ?? 0);
    found.addNumber(34, mix(words[group.from]?.hash ?? 0, code));
    found.addNumber(35, pair * 4 + code);
    found.addNumber(36, mix(pair * 16 + (other ? governorOf(syntax, other.from) : 0), code));
    found.addNumber(37, mix(head?.ending ?? 0, tag));
    found.addNumber(38, mix(head?.hash ?? 0, whole));
    found.addNumber(39, (group.to - group.from > 1 ? 1 : 0) * 64 + tag);
  }
}

const MAY_COME_FIRST = new Set(["be", "have", "do"]);

function lemmaClass({ form }: Word): number {
  return form === "be" ? 0 : form === "have" ? 1 : form === "do" ? 2 : 3;
}

export class SubjectModel {
  private readonly candidates = new Candidates();
  /** The place asked about last: it is asked about more than once. */
  private readonly last = { syntax: null as Syntax | null, unit: -1, odds: 0 };

  /** `weights` are SUBJECT_TABLE steps of 1 / SUBJECT_SCALE. */
  constructor(private readonly weights: Int8Array) {}

  /** Throws RangeError when there are too few bytes. */
  static read(bytes: Uint8Array): SubjectModel {
    if (bytes.length < SUBJECT_TABLE) throw new RangeError("the model of subjects is damaged");
    return new SubjectModel(new Int8Array(bytes.buffer, bytes.byteOffset, SUBJECT_TABLE));
  }

  /** Log odds, between -8 and 8, that the subject of a verb is plural. */
  pluralOdds(syntax: Syntax, unit: number, verb: VerbGroup, lemma: Word): number {
    const { last } = this;
    if (last.syntax !== syntax || last.unit !== unit) {
      last.odds = this.findOdds(syntax, unit, verb, lemma);
      last.syntax = syntax;
      last.unit = unit;
    }
    return last.odds;
  }

  private findOdds(syntax: Syntax, unit: number, verb: VerbGroup, lemma: Word): number {
    const { candidates, weights } = this;
    findCandidates(syntax, unit, verb, lemma, candidates);
    let most = Number.NEGATIVE_INFINITY;
    const { count, score, number, scoreTo, numberTo } = candidates;
    for (let one = 0; one < count; one++) {
      sums[one] = sumOf(weights, score, one > 0 ? (scoreTo[one - 1] ?? 0) : 0, scoreTo[one] ?? 0);
      most = Math.max(most, sums[one] ?? 0);
    }
    let all = 0;
    let plural = 0;
    for (let one = 0; one < count; one++) {
      const chance = Math.exp((sums[one] ?? 0) - most);
      const odds = sumOf(
        weights,
        number,
        one > 0 ? (numberTo[one - 1] ?? 0) : 0,
        numberTo[one] ?? 0,
      );
      all += chance;
      plural += chance / (1 + Math.exp(-odds));
    }
    const share = Math.max(LEAST, Math.min(1 - LEAST, plural / all));
    return Math.log(share / (1 - share));
  }
}

const sums = new Float64Array(CANDIDATES + OTHERS);
const LEAST = 0.0003;

function sumOf(weights: Int8Array, features: Int32Array, from: number, to: number): number {
  let sum = 0;
  for (let at = from; at < to; at++) sum += weights[features[at] ?? 0] ?? 0;
  return sum / SUBJECT_SCALE;
}
