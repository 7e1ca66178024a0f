import { oncePerBlock } from "../../language/per-block.ts";

/** A word with capitals, and how many: 1 for the first letter alone, 2 for others. */
export interface Capitalised {
  from: number;
  to: number;
  capitals: 1 | 2;
}

/** The words of a block that have capitals. */
export const capitalsOf = oncePerBlock((block): Capitalised[] => {
  const words: Capitalised[] = [];
  for (const { kind, from, to } of block.tokens) {
    if (kind !== "word") continue;
    const capitals = capitalsIn(block.text, from, to);
    if (capitals > 0) words.push({ from, to, capitals: capitals > 1 ? 2 : 1 });
  }
  return words;
});

/** Whether a UTF-16 unit is a capital letter. */
export function isCapital(code: number): boolean {
  return code < 128 ? code >= 65 && code <= 90 : /\p{Lu}/u.test(String.fromCharCode(code));
}

function capitalsIn(text: string, from: number, to: number): number {
  let found = 0;
  for (let at = from; at < to; at++) {
    if (!isCapital(text.charCodeAt(at))) continue;
    if (at > from) return 2;
    found = 1;
  }
  return found;
}
