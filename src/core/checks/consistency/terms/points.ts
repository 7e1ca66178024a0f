import { wordList } from "../../../language/words/word-lists.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { CAPITALS, textSigns } from "../text-signs.ts";
import { SHORTENED, signsOf } from "../word-signs.ts";
import { abbreviationPoints as card } from "./cards.ts";

/** Abbreviations in small letters or with one capital that are met with points and without. */
const LISTED = wordList("points/shortened");
const INITIALS = String.raw`(?:\p{Lu}\.[ \u00a0]?){1,4}\p{Lu}\.`;
const TOGETHER = String.raw`\p{Lu}{2,5}`;
const SHORT = [...LISTED].map((one) => one.replaceAll(".", String.raw`\.?`)).join("|");
const ABBREVIATION = new RegExp(
  String.raw`(?<![\p{L}\p{N}.@/-])(?:${INITIALS}|${TOGETHER}|(?:${SHORT})(?:\.(?!\p{L}))?)(?![\p{L}\p{N}@/-])`,
  "gu",
);

/** An abbreviation with full stops, and without. */
export const abbreviationPoints = formCheck<FormFact>({
  ...card,
  matter: "abbreviations",
  examine(block, language) {
    const facts: FormFact[] = [];
    const syntax = block.syntax();
    const isShort = (sign: number) => (sign & SHORTENED) !== 0;
    const asks =
      (textSigns(block) & CAPITALS) !== 0 ||
      (syntax !== null && signsOf(block, syntax, language).some(isShort));
    if (!asks) return facts;
    for (const { match, from, to, kept } of matchesIn(block, ABBREVIATION)) {
      const written = match[0];
      const letters = written.replace(/[.\s\u00a0]/g, "");
      // The halves of the day are looked at with the times.
      if (/^[ap]m$/i.test(letters)) continue;
      // A stop that ends the sentence may be the abbreviation's too.
      const ends = written.endsWith(".") && !TITLES.has(letters) && endsSentence(block.text, to);
      const bare = ends && !written.slice(0, -1).includes(".");
      if (bare) continue;
      const form = written.replace(/\u00a0/g, " ");
      facts.push({ from, to, key: letters, form, ...(kept ? { kept } : {}) });
    }
    return facts;
  },
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    const letters = written.replace(/[.\s\u00a0]/g, "");
    const sample = form.replace(/[.\s]/g, "");
    if (letters.length !== sample.length) return null;
    let out = "";
    let at = 0;
    for (const one of form) out += one === "." || one === " " ? one : letters.charAt(at++);
    const isTitle = TITLES.has(letters);
    const ends = !isTitle && written.endsWith(".") && endsSentence(text, to) && !out.endsWith(".");
    return ends ? `${out}.` : out;
  },
});

/** Before names, whose capital does not begin a sentence. */
const TITLES = new Set("Dr Mr Mrs Ms Prof St Rev Lt Col Capt Sgt Gen".split(" "));

/** Whether a stop here may end a sentence: nothing follows, or a capital does. */
export function endsSentence(text: string, to: number): boolean {
  return /^(?:[”"’')\]]*\s*$|[”"’')\]]*\s+["“‘(]?\p{Lu})/u.test(text.slice(to, to + 12));
}
