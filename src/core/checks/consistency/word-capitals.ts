import type { AnalysedBlock } from "../../language/analysis.ts";

/** A word with capitals, and how many: 1 for the first letter alone, 2 for others. */
export interface Capitalised {
  from: number;
  to: number;
  capitals: 1 | 2;
}

const known = new WeakMap<AnalysedBlock, Capitalised[]>();

/** The words of a block that have capitals, told once for all checks that ask. */
export function capitalsOf(block: AnalysedBlock): Capitalised[] {
  const found = known.get(block);
  if (found) return found;
  const words: Capitalised[] = [];
  for (const { kind, from, to } of block.tokens) {
    if (kind !== "word" && kind !== "identifier") continue;
    const capitals = capitalsIn(block.text, from, to);
    if (capitals > 0 && kind === "word") words.push({ from, to, capitals: capitals > 1 ? 2 : 1 });
  }
  known.set(block, words);
  return words;
}

function capitalsIn(text: string, from: number, to: number): number {
  let found = 0;
  for (let at = from; at < to; at++) {
    const code = text.charCodeAt(at);
    const isCapital = code < 128 ? code >= 65 && code <= 90 : /\p{Lu}/u.test(text.charAt(at));
    if (!isCapital) continue;
    if (at > from) return 2;
    found = 1;
  }
  return found;
}
