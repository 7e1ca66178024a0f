import type { AnalysedBlock } from "../../language/analysis.ts";
import { wordList } from "../../language/words/word-lists.ts";
import type { Check, Fact } from "../check.ts";
import { doubledWord as card } from "./cards.ts";

interface DoubledWord extends Fact {
  /** The first of the two, as written. */
  word: string;
}

/**
 * Words that English doubles on purpose: "he had had enough", "the fact that that is so", and
 * doublings for emphasis or sound.
 */
const DOUBLED_ON_PURPOSE = wordList("doubled-word/doubled-on-purpose");

/** The same word twice running. */
export const doubledWord: Check<DoubledWord> = {
  ...card,
  examine,
  conclude: ({ from, to, word }) => ({
    from,
    to,
    reason: `“${word}” twice.`,
    group: `${doubledWord.id}:${word.toLowerCase()}`,
  }),
  choose(text, { from, to }) {
    const word = /^\S+/.exec(text.slice(from, to))?.[0] ?? "";
    return [{ label: word, edits: [{ from: from + word.length, to, insert: "" }] }];
  },
};

function examine({ text, tokens }: AnalysedBlock): DoubledWord[] {
  const facts: DoubledWord[] = [];
  for (const [index, token] of tokens.entries()) {
    const before = tokens[index - 1];
    if (token.kind !== "word" || before?.kind !== "word") continue;
    if (token.to - token.from !== before.to - before.from) continue;
    const word = text.slice(before.from, before.to);
    const again = text.slice(token.from, token.to);
    if (word.toLowerCase() !== again.toLowerCase()) continue;
    if (!/^[\s\u2028]+$/.test(text.slice(before.to, token.from))) continue;
    if (DOUBLED_ON_PURPOSE.has(word.toLowerCase()) || isNameTwice(word, again)) continue;
    if (standsThrice(text, before.from, token.to, word)) continue;
    facts.push({ from: before.from, to: token.to, word });
  }
  return facts;
}

/** "beep beep beep": a sound or an insistence, not an oversight. */
function standsThrice(text: string, from: number, to: number, word: string): boolean {
  const pattern = new RegExp(`^${word}\\b`, "i");
  return (
    pattern.test(text.slice(to).trimStart()) ||
    new RegExp(`\\b${word}$`, "i").test(text.slice(0, from).trimEnd())
  );
}

/** "Bora Bora": both have a capital, and neither can be a sentence's first word by chance. */
function isNameTwice(word: string, again: string): boolean {
  const capital = (one: string) => one[0] !== one[0]?.toLowerCase();
  return word.length > 1 && capital(word) && capital(again);
}
