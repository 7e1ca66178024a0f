import { brokenWordAt } from "../../language/broken-word.ts";
import { dictionaryBits } from "../../language/known.ts";
import type { Check, Fact } from "../check.ts";

interface MissingSpace extends Fact {
  /** Where the space belongs, from the fact's start. */
  after: number;
}

/** Two words or sentences with no space between them. */
export const missingSpace: Check<MissingSpace> = {
  id: "spelling/missing-space",
  pass: "spelling",
  weight: "fix",
  code: "#",
  title: "No space after a stop",
  why: "Words on both sides of a stop run together, as when a line was joined to the next.",
  source: "common practice",
  examples: [
    { wrong: "The tide turned.Then we left.", right: "The tide turned. Then we left." },
    { wrong: "It rose,fell and rose.", right: "It rose, fell and rose." },
    { leave: "See gannet-head.example, p.m., e.g. 3.5 and os.path." },
    { leave: "Read and/or write: it’s up to you." },
  ],
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
      facts.push({ from: before.from, to: after.to, after: stop.to - before.from });
    }
    return facts;
  },
  conclude: ({ from, to }) => ({ from, to, reason: "No space stands after the stop." }),
  choose(text, { from, to }) {
    const label = text.slice(from, to).replace(/([.,;:?!])/, "$1 ");
    return [{ label, edits: [{ from, to, insert: label }] }];
  },
};

interface BrokenWord extends Fact {
  joined: string;
}

/** A word that still carries the hyphen of a line's end. */
export const brokenWord: Check<BrokenWord> = {
  id: "spelling/broken-word",
  pass: "spelling",
  weight: "fix",
  code: "join",
  title: "Word broken by a line-end hyphen",
  why: "A hyphen that stood at a line’s end stayed when the lines were joined. Hanging hyphens (“pre- and post-war”) are not meant.",
  source: "common practice",
  examples: [
    { wrong: "The obser- vatory is shut.", right: "The observatory is shut." },
    { wrong: "It stood in the har- bour.", right: "It stood in the harbour." },
    { leave: "The pre- and post-war readings agree." },
    { leave: "The well-known gauge - shut now - is old." },
  ],
  examine({ kind, text, tokens }, { lexicon }) {
    if (kind === "code" || !/[-\u2010]\s/.test(text)) return [];
    return tokens.flatMap((_, index) => brokenWordAt(text, tokens, index, lexicon) ?? []);
  },
  conclude: ({ from, to, joined }) => ({
    from,
    to,
    reason: `“${joined}” is broken by a hyphen.`,
  }),
  choose(text, { from, to }) {
    const label = text.slice(from, to).replace(/[-\u2010]\s+/, "");
    return [{ label, edits: [{ from, to, insert: label }] }];
  },
};
