import { soundKey } from "../words/sound-key.ts";
import type { Rewrites } from "./rewrites.ts";

/**
 * How unlikely it is to have typed one word when another was meant: an edit distance whose costs
 * depend on the letters (Kernighan, Church and Gale 1990, "A spelling correction program based on a
 * noisy channel model", with costs set by hand where nothing is counted).
 */

const ROWS = ["qwertyuiop", "asdfghjkl", "zxcvbnm"];
/** Key centres on a staggered keyboard; neighbours are less than this far apart. */
const NEIGHBOUR_DISTANCE = 1.25;
const ROW_STAGGER = 0.45;
const VOWELS = new Set("aeiouy");
/** Letters that can stand for the same sound. */
const SAME_SOUND: Record<string, string> = {
  c: "ksq",
  k: "cq",
  s: "czx",
  z: "sx",
  f: "v",
  v: "f",
  g: "j",
  j: "g",
  d: "t",
  t: "d",
  m: "n",
  n: "m",
  b: "p",
  p: "b",
  q: "ck",
  x: "sz",
};

const SWAP = 0.6;
const FIRST_LETTER = 0.45;
const APOSTROPHE = 0.3;
/** Two slips in one word are rarer than their chances alone would have it. */
const FURTHER_RUN = 0.2;
const OTHER_SOUND = 0.25;

const keys = new Map<string, { x: number; y: number }>();
for (const [y, row] of ROWS.entries()) {
  for (const [x, key] of [...row].entries()) keys.set(key, { x: x + y * ROW_STAGGER, y });
}

function areNeighbours(one: string, other: string): boolean {
  const a = keys.get(one);
  const b = keys.get(other);
  return (
    a !== undefined && b !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < NEIGHBOUR_DISTANCE
  );
}

/** Costs by pairs of character codes below this; other characters cost as unrelated ones. */
const CODES = 128;

function tableOf(cost: (one: string, other: string) => number): Float64Array {
  const table = new Float64Array(CODES * CODES);
  for (let one = 0; one < CODES; one++) {
    for (let other = 0; other < CODES; other++) {
      table[one * CODES + other] = cost(String.fromCharCode(one), String.fromCharCode(other));
    }
  }
  return table;
}

/** By the letter typed and the one meant. */
const SUBSTITUTION = tableOf((typed, meant) => {
  if (typed === meant) return 0;
  if (VOWELS.has(typed) && VOWELS.has(meant)) return 0.65;
  if (SAME_SOUND[typed]?.includes(meant)) return 0.75;
  return areNeighbours(typed, meant) ? 0.9 : 1.15;
});

/** By the letter before and the one left out. */
const OMISSION = tableOf((before, missing) => {
  if (missing === "'") return APOSTROPHE;
  if (before === missing) return 0.5;
  return VOWELS.has(missing) || missing === "h" ? 0.8 : 1;
});

/** By the letter before and the one too many. */
const ADDITION = tableOf((before, extra) => {
  if (extra === "'") return APOSTROPHE;
  if (before === extra) return 0.55;
  return VOWELS.has(extra) ? 0.9 : 1.05;
});

const UNRELATED = 1.15;

function costOf(table: Float64Array, one: number, other: number): number {
  if (one === other && table === SUBSTITUTION) return 0;
  return one < CODES && other < CODES ? (table[one * CODES + other] ?? UNRELATED) : UNRELATED;
}

/** Costs to probabilities: a cost of 1 is a chance of exp(-1 / COST_SCALE). */
const COST_SCALE = 0.14;

/**
 * Cost of typing `typed` for `meant`, both in lower case; 0 when equal. Each run of letters that
 * differ is weighed by how often writers make that slip between those letters, where the counted
 * rewritings know.
 */
export function channelCost(typed: string, meant: string, rewrites: Rewrites): number {
  if (typed === meant) return 0;
  const runs = differences(typed, meant);
  let cost = soundKey(typed) === soundKey(meant) ? 0 : OTHER_SOUND;
  cost += FURTHER_RUN * (runs.length - 1);
  for (const { from, to, meantFrom, meantTo, cost: guess } of runs) {
    const likely = rewrites.likelihood(
      {
        before: `^${meant.slice(0, meantFrom)}`,
        meant: meant.slice(meantFrom, meantTo),
        after: `${meant.slice(meantTo)}$`,
        typed: typed.slice(from, to),
      },
      Math.exp(-guess / COST_SCALE),
    );
    cost -= COST_SCALE * Math.log(likely);
  }
  return cost;
}

/** A run of letters that differ, in both words, and its cost by letters alone. */
export interface Difference {
  from: number;
  to: number;
  meantFrom: number;
  meantTo: number;
  cost: number;
}

/** The cheapest alignment of two words, as the runs in which they differ, from the end back. */
export function differences(typed: string, meant: string): Difference[] {
  const width = meant.length + 1;
  const { costs, steps } = align(typed, meant);
  const runs: Difference[] = [];
  let row = typed.length;
  let column = meant.length;
  while (row > 0 || column > 0) {
    const place = row * width + column;
    const step = steps[place] ?? SAME;
    const back = step === MISSING ? 0 : step === SWAPPED ? 2 : 1;
    const meantBack = step === EXTRA ? 0 : step === SWAPPED ? 2 : 1;
    row -= back;
    column -= meantBack;
    if (step === SAME) continue;
    const cost = (costs[place] ?? 0) - (costs[row * width + column] ?? 0);
    const last = runs.at(-1);
    if (last && last.from === row + back && last.meantFrom === column + meantBack) {
      last.from = row;
      last.meantFrom = column;
      last.cost += cost;
    } else {
      runs.push({
        from: row,
        to: row + back,
        meantFrom: column,
        meantTo: column + meantBack,
        cost,
      });
    }
  }
  return runs;
}

const SAME = 0;
const REPLACED = 1;
const MISSING = 2;
const EXTRA = 3;
const SWAPPED = 4;

/** The edit matrix and, for each cell, the step that led there. */
function align(typed: string, meant: string): { costs: Float64Array; steps: Uint8Array } {
  const width = meant.length + 1;
  const costs = new Float64Array((typed.length + 1) * width);
  const steps = new Uint8Array(costs.length);
  for (let row = 0; row <= typed.length; row++) {
    const a = row > 0 ? typed.charCodeAt(row - 1) : 0;
    const beforeA = row > 1 ? typed.charCodeAt(row - 2) : 0;
    for (let column = row === 0 ? 1 : 0; column <= meant.length; column++) {
      const place = row * width + column;
      const b = column > 0 ? meant.charCodeAt(column - 1) : 0;
      const beforeB = column > 1 ? meant.charCodeAt(column - 2) : 0;
      const first = row <= 1 && column <= 1 ? FIRST_LETTER : 0;
      let least = Number.POSITIVE_INFINITY;
      let step = SAME;
      if (row > 0 && column > 0) {
        least = costs[place - width - 1] ?? 0;
        if (a !== b) {
          least += costOf(SUBSTITUTION, a, b) + first;
          step = REPLACED;
        }
      }
      if (column > 0) {
        const missing = (costs[place - 1] ?? 0) + costOf(OMISSION, beforeB, b) + first;
        if (missing < least) {
          least = missing;
          step = MISSING;
        }
      }
      if (row > 0) {
        const extra = (costs[place - width] ?? 0) + costOf(ADDITION, beforeA, a) + first;
        if (extra < least) {
          least = extra;
          step = EXTRA;
        }
      }
      if (row > 1 && column > 1 && a !== b && a === beforeB && beforeA === b) {
        const swapped = (costs[place - 2 * width - 2] ?? 0) + SWAP + (row === 2 ? FIRST_LETTER : 0);
        if (swapped < least) {
          least = swapped;
          step = SWAPPED;
        }
      }
      costs[place] = least;
      steps[place] = step;
    }
  }
  return { costs, steps };
}

/** One letter too many, too few or another, or two swapped. */
export function isOneEdit(typed: string, meant: string): boolean {
  let from = 0;
  while (from < typed.length && typed[from] === meant[from]) from++;
  let end = 0;
  const shorter = Math.min(typed.length, meant.length);
  while (end < shorter - from && typed.at(-1 - end) === meant.at(-1 - end)) end++;
  const left = typed.length - from - end;
  const right = meant.length - from - end;
  if (left <= 1 && right <= 1) return true;
  const swapped = typed[from] === meant[from + 1] && typed[from + 1] === meant[from];
  return left === 2 && right === 2 && swapped;
}
