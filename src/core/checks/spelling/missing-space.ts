import { dictionaryBits } from "../../language/words/known.ts";
import type { Check, Fact } from "../check.ts";
import { missingSpace as card } from "./cards.ts";

interface MissingSpace extends Fact {
  /** Where the space belongs, from the fact's start. */
  after: number;
}

/** Two words or sentences with no space between them. */
export const missingSpace: Check<MissingSpace> = {
  ...card,
  examine({ kind, text, tokens, spans }, { lexicon }) {
    if (kind === "code" || kind === "reference") return [];
    if (!/\p{Ll}[.,;:?!]\p{L}/u.test(text)) return [];
    const facts: MissingSpace[] = [];
    for (const [index, stop] of tokens.entries()) {
      if (stop.kind !== "punctuation" || !/^[.,;:?!]$/.test(text.slice(stop.from, stop.to)))
        continue;
      const before = tokens[index - 1];
      const after = tokens[index + 1];
      if (before?.kind !== "word" || after?.kind !== "word") continue;
      if (before.to !== stop.from || after.from !== stop.to) continue;
      const left = text.slice(before.from, before.to);
      const right = text.slice(after.from, after.to);
      const sentence = /^[.?!]$/.test(text[stop.from] ?? "");
      if (!/^\p{L}?\p{Ll}{2,}$/u.test(left)) continue;
      if (sentence ? !/^\p{Lu}\p{Ll}+$/u.test(right) : !/^\p{L}\p{Ll}+$/u.test(right)) continue;
      if (text[stop.from] === ":" && !/^\p{Lu}/u.test(right)) continue;
      if (dictionaryBits(left, lexicon) === 0 || dictionaryBits(right, lexicon) === 0) continue;
      if (
        spans.some((span) => span.kind === "code" && stop.from >= span.from && stop.to <= span.to)
      ) {
        continue;
      }
      // "{Linux,Hurd}": one of several, as a shell has them.
      if (/\{[^{}\s]*$/.test(text.slice(0, before.from))) continue;
      facts.push({ from: before.from, to: after.to, after: stop.to - before.from });
    }
    return facts;
  },
  conclude: ({ from, to }) => ({ from, to, reason: "A space is missing after the stop." }),
  choose(text, { from, to }) {
    const label = text.slice(from, to).replace(/([.,;:?!])/, "$1 ");
    return [{ label, edits: [{ from, to, insert: label }] }];
  },
};
