import { finiteVerbAt } from "../src/core/language/models/number-slots.ts";
import type { Slot } from "../src/core/language/models/slot-finder.ts";
import {
  Candidates,
  findCandidates,
  SUBJECT_SCALE,
  SUBJECT_TABLE,
} from "../src/core/language/models/subject-model.ts";
import type { Syntax } from "../src/core/language/phrases/syntax.ts";
import type { WordTable } from "../src/core/language/words/words.ts";
import { seeded } from "./seeded.ts";

/**
 * Learns which noun group is the subject of a verb (`subject-model.ts`) from the number of the
 * verbs in clean sentences: the subject is a hidden choice, learned by following the gradient of
 * the likelihood of the numbers seen (a mixture of experts; Jacobs, Jordan et al. 1991).
 */
const ROUNDS = 4;
const RATE = 0.1;
const DECAY = 1e-5;
/** Verbs whose pronoun stands right before them teach little; this share of them is kept. */
const PLAIN_SHARE = 0.15;
const MOST_VERBS = 300_000;

interface Verb {
  fold: number;
  plural: boolean;
  score: Uint16Array;
  number: Uint16Array;
  scoreTo: Uint8Array;
  numberTo: Uint8Array;
}

/** Collects verbs and what may be their subjects, then learns from them. */
export class SubjectLearner {
  private readonly verbs: Verb[] = [];
  private readonly random = seeded(17);
  private readonly candidates = new Candidates();

  constructor(private readonly table: WordTable) {}

  /** A place of the number model in a sentence of a fold. */
  add(syntax: Syntax, slot: Slot, plain: boolean, fold: number): void {
    const { verbs, table, candidates } = this;
    if (verbs.length >= MOST_VERBS || slot.typed === 2) return;
    if (plain && this.random() > PLAIN_SHARE) return;
    if (!hasNumber(syntax, slot)) return;
    const verb = finiteVerbAt(syntax, slot.from);
    const form = syntax.words[slot.from]?.form ?? "";
    findCandidates(syntax, slot.from, verb, table.word(table.verb(form)), candidates);
    verbs.push({ ...kept(candidates, slot.typed === 1), fold });
  }

  /** Weights as SubjectModel takes them, learned from all folds but one; -1 leaves out none. */
  weights(without: number): Int8Array {
    return follow(this.verbs.filter(({ fold }) => fold !== without));
  }
}

/** Commands and infinitives have no number. */
function hasNumber({ verbAt, verbGroups, sentenceFrom }: Syntax, { from }: Slot): boolean {
  const group = verbGroups[verbAt[from] ?? -1];
  return group?.finite === from && from > (sentenceFrom[from] ?? 0);
}

function kept(
  { count, score, number, scoreTo, numberTo }: Candidates,
  plural: boolean,
): Omit<Verb, "fold"> {
  return {
    plural,
    score: Uint16Array.from(score.subarray(0, scoreTo[count - 1])),
    number: Uint16Array.from(number.subarray(0, numberTo[count - 1])),
    scoreTo: Uint8Array.from(scoreTo.subarray(0, count)),
    numberTo: Uint8Array.from(numberTo.subarray(0, count)),
  };
}

function follow(verbs: Verb[]): Int8Array {
  const weights = new Float32Array(SUBJECT_TABLE);
  const squares = new Float32Array(SUBJECT_TABLE).fill(0.1);
  const random = seeded(23);
  const chances = new Float64Array(16);
  const plurals = new Float64Array(16);
  const step = (feature: number, slope: number) => {
    const own = slope + DECAY * (weights[feature] ?? 0);
    squares[feature] = (squares[feature] ?? 0) + own * own;
    weights[feature] = (weights[feature] ?? 0) - (RATE * own) / Math.sqrt(squares[feature] ?? 1);
  };
  const sum = (features: Uint16Array, from: number, to: number) => {
    let all = 0;
    for (let at = from; at < to; at++) all += weights[features[at] ?? 0] ?? 0;
    return all;
  };
  for (let round = 0; round < ROUNDS; round++) {
    let loss = 0;
    for (let index = verbs.length - 1; index > 0; index--) {
      const other = Math.floor(random() * (index + 1));
      [verbs[index], verbs[other]] = [verbs[other] as Verb, verbs[index] as Verb];
    }
    for (const { plural, score, number, scoreTo, numberTo } of verbs) {
      const count = scoreTo.length;
      let all = 0;
      for (let one = 0; one < count; one++) {
        const chance = Math.exp(
          sum(score, one > 0 ? (scoreTo[one - 1] ?? 0) : 0, scoreTo[one] ?? 0),
        );
        const odds = sum(number, one > 0 ? (numberTo[one - 1] ?? 0) : 0, numberTo[one] ?? 0);
        chances[one] = chance;
        plurals[one] = 1 / (1 + Math.exp(-odds));
        all += chance;
      }
      let right = 1e-9;
      for (let one = 0; one < count; one++) {
        chances[one] = (chances[one] ?? 0) / all;
        const own = plural ? (plurals[one] ?? 0) : 1 - (plurals[one] ?? 0);
        right += (chances[one] ?? 0) * own;
      }
      loss -= Math.log(right);
      for (let one = 0; one < count; one++) {
        const own = plural ? (plurals[one] ?? 0) : 1 - (plurals[one] ?? 0);
        const blame = ((chances[one] ?? 0) * own) / right;
        const byScore = (chances[one] ?? 0) - blame;
        const byNumber = blame * ((plurals[one] ?? 0) - (plural ? 1 : 0));
        if (Math.abs(byScore) > 1e-4) {
          for (let at = one > 0 ? (scoreTo[one - 1] ?? 0) : 0; at < (scoreTo[one] ?? 0); at++)
            step(score[at] ?? 0, byScore);
        }
        if (Math.abs(byNumber) > 1e-4) {
          for (let at = one > 0 ? (numberTo[one - 1] ?? 0) : 0; at < (numberTo[one] ?? 0); at++)
            step(number[at] ?? 0, byNumber);
        }
      }
    }
    console.log(`subjects: ${verbs.length} verbs, loss ${(loss / verbs.length).toFixed(4)}`);
  }
  return Int8Array.from(weights, (weight) =>
    Math.max(-127, Math.min(127, Math.round(weight * SUBJECT_SCALE))),
  );
}
