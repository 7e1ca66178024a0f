import { wordList } from "../../../language/words/word-lists.ts";
import { requirementOf } from "../../../manuscript/requirements.ts";
import type { Check, MarkFact } from "../../check.ts";
import { requirementWording as card } from "./cards.ts";

/** Words no test can decide, after ISO/IEC/IEEE 29148:2018, 5.2.7. */
const VAGUE = [...wordList("requirement-wording/unverifiable")].sort(
  (one, other) => other.length - one.length,
);
const VAGUE_WORDS = new RegExp(
  String.raw`(?<![\p{L}-])(?:${VAGUE.join("|").replaceAll(" ", "[ \\u00a0]")})(?![\p{L}-])`,
  "giu",
);
const SHALL = /(?<![\p{L}-])(?:shall|must)(?![\p{L}-])/giu;
const SUBJECTLESS = /^(?:shall|must|will|should)\b/i;

/** A requirement that asks for two things, for something no test can decide, or of nobody. */
export const requirementWording: Check = {
  ...card,
  examine({ kind, text }) {
    if (kind !== "paragraph" && kind !== "item" && kind !== "cell") return [];
    const found = requirementOf(text);
    if (!found || !/\b(?:shall|must|will|should)\b/i.test(text)) return [];
    const marks: MarkFact[] = [];
    const mark = (from: number, to: number, reason: string) =>
      marks.push({ from, to, reason, choices: [] });
    const opening = SUBJECTLESS.exec(text.slice(found.from))?.[0];
    if (opening) {
      mark(
        found.from,
        found.from + opening.length,
        `“${opening}” what? Nothing is named that is to do it.`,
      );
    }
    const shalls = [...text.slice(found.from).matchAll(SHALL)];
    // "and shall …" says more of the same thing.
    const second = shalls
      .slice(1)
      .find(
        ({ index }) =>
          !/(?:and|or|but|,|;)\s+(?:also |then )?$/i.test(text.slice(0, found.from + index)),
      );
    if (second && !opening) {
      const from = found.from + second.index;
      mark(
        from,
        from + second[0].length,
        `“${second[0]}” is in “${found.id}” twice: two requirements in one.`,
      );
    }
    for (const { 0: word, index } of text.slice(found.from).matchAll(VAGUE_WORDS)) {
      const from = found.from + index;
      mark(from, from + word.length, `“${word}” is nothing that a test can decide.`);
    }
    return marks.sort((one, other) => one.from - other.from);
  },
};
