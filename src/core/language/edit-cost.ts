/**
 * How unlikely it is to have typed one word when another was meant: an edit distance whose costs
 * depend on the letters (Kernighan, Church and Gale 1990, "A spelling correction program based on a
 * noisy channel model", with costs set by hand instead of counted).
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

function substitution(typed: string, meant: string): number {
  if (VOWELS.has(typed) && VOWELS.has(meant)) return 0.65;
  if (SAME_SOUND[typed]?.includes(meant)) return 0.75;
  return areNeighbours(typed, meant) ? 0.9 : 1.15;
}

function omission(before: string, missing: string): number {
  if (missing === "'") return APOSTROPHE;
  if (before === missing) return 0.5;
  return VOWELS.has(missing) || missing === "h" ? 0.8 : 1;
}

function addition(before: string, extra: string): number {
  if (extra === "'") return APOSTROPHE;
  if (before === extra) return 0.55;
  return VOWELS.has(extra) ? 0.9 : 1.05;
}

/** Cost of typing `typed` for `meant`, both in lower case; 0 when equal. */
export function channelCost(typed: string, meant: string): number {
  const width = meant.length + 1;
  const costs = new Float64Array((typed.length + 1) * width);
  const at = (row: number, column: number) => costs[row * width + column] ?? 0;
  for (let row = 0; row <= typed.length; row++) {
    for (let column = 0; column <= meant.length; column++) {
      if (row === 0 && column === 0) continue;
      const a = typed[row - 1] ?? "";
      const b = meant[column - 1] ?? "";
      const first = row <= 1 && column <= 1 ? FIRST_LETTER : 0;
      let cost = Number.POSITIVE_INFINITY;
      if (row > 0 && column > 0) {
        cost = at(row - 1, column - 1) + (a === b ? 0 : substitution(a, b) + first);
      }
      if (column > 0)
        cost = Math.min(cost, at(row, column - 1) + omission(meant[column - 2] ?? "", b) + first);
      if (row > 0)
        cost = Math.min(cost, at(row - 1, column) + addition(typed[row - 2] ?? "", a) + first);
      if (row > 1 && column > 1 && a !== b && a === meant[column - 2] && typed[row - 2] === b) {
        cost = Math.min(cost, at(row - 2, column - 2) + SWAP + (row === 2 ? FIRST_LETTER : 0));
      }
      costs[row * width + column] = cost;
    }
  }
  const sound = soundKey(typed) === soundKey(meant) ? 0 : OTHER_SOUND;
  return at(typed.length, meant.length) + (typed === meant ? 0 : sound);
}

const SOUND_RULES: [RegExp, string][] = [
  [/[^a-z]/g, ""],
  [/^(?:kn|gn|pn)/, "n"],
  [/^wr/, "r"],
  [/^ps/, "s"],
  [/^wh/, "w"],
  [/ph/g, "f"],
  [/gh(?=t|$|[bcdfgklmnp])/g, ""],
  [/tch/g, "C"],
  [/[ct]i(?=[ao])|s[hi](?=[oa])|sch|sh/g, "S"],
  [/ch/g, "C"],
  [/ck|qu?/g, "k"],
  [/s?c(?=[eiy])/g, "s"],
  [/c/g, "k"],
  [/x/g, "ks"],
  [/dg(?=[ei])|g(?=[eiy])/g, "j"],
  [/z/g, "s"],
  [/mb$/, "m"],
  [/v/g, "f"],
  [/h/g, ""],
];

/** A rough key of how a word sounds: words that sound alike mostly share it. */
export function soundKey(word: string): string {
  let key = word.toLowerCase();
  for (const [pattern, replacement] of SOUND_RULES) key = key.replace(pattern, replacement);
  const opening = /^[aeiouy]/.test(key) ? "a" : "";
  return opening + key.replace(/[aeiouyw]/g, "").replace(/(.)\1+/g, "$1");
}
