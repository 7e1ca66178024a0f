import { tokenise } from "../../src/core/language/text/tokens.ts";
import type { BrownText } from "./brown.ts";

/** A published misspelling planted in a sentence of clean text in place of the right word. */
export interface Planted {
  text: string;
  from: number;
  to: number;
  wrong: string;
  right: string;
}

/** Up to `each` sentences a pair, taken from texts in their order. */
export function plantMisspellings(
  texts: readonly BrownText[],
  pairs: readonly { wrong: string; right: string }[],
  each: number,
): Planted[] {
  const wanted = new Map<string, string[]>();
  for (const { wrong, right } of pairs) {
    if (/^[a-z']+$/.test(right)) wanted.set(right, [...(wanted.get(right) ?? []), wrong]);
  }
  const used = new Map<string, number>();
  const planted: Planted[] = [];
  for (const { blocks } of texts) {
    for (const block of blocks) {
      for (const { from, to } of block.sentences) {
        const sentence = block.text.slice(from, to);
        for (const token of tokenise(sentence)) {
          const right = sentence.slice(token.from, token.to);
          for (const wrong of wanted.get(right) ?? []) {
            const count = used.get(wrong) ?? 0;
            if (count >= each) continue;
            used.set(wrong, count + 1);
            const text = sentence.slice(0, token.from) + wrong + sentence.slice(token.to);
            planted.push({ text, from: token.from, to: token.from + wrong.length, wrong, right });
          }
        }
      }
    }
  }
  return planted;
}
