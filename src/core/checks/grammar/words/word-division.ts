import type { Language } from "../../../language/analysis.ts";
import { fitOf, idsAround } from "../../../language/models/fit.ts";
import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { wordDivision as card } from "./cards.ts";

/** "alot", "in stead of", "up date": one word or two. */
export const wordDivision = markCheck({
  ...card,
  inSpeechToo: true,
  reason: "Written “{1}”.",
  phraseList: "word-division",
  find: (syntax, language) => parted(syntax, language),
});

/** log2 of how often, in 50 million words, a word in one piece must occur. */
const COMMON = 8;
const SHORTEST = 5;
/** log10 by which one piece must fit better, to be a doubt and to be sure; chosen on the training part of the Brown corpus. */
const LEAD = 1;
const SURE_LEAD = 2.5;

/** Two words where one piece of both fits better by far. */
function parted(syntax: Syntax, { lexicon, trigrams, compounds }: Language): Found[] {
  const found: Found[] = [];
  if (!trigrams) return found;
  const { units, sentenceFrom } = syntax;
  for (let unit = 0; unit + 1 < units.length; unit++) {
    const [own, next] = [units[unit], units[unit + 1]];
    if (!own || next?.from !== own.to + 1 || next.to - own.from <= SHORTEST) continue;
    if (sentenceFrom[unit] !== sentenceFrom[unit + 1]) continue;
    const [first, second] = [written(syntax, unit), written(syntax, unit + 1)];
    const whole = first + second;
    if (!/^\p{Ll}+$/u.test(whole) || lexicon.frequency(whole) < COMMON) continue;
    if (lexicon.isRare(whole) || compounds.has(`${first} ${second}`)) continue;
    if (AS_TWO.has(`${first} ${second}`)) continue;
    const around = idsAround(syntax, unit, unit + 2, trigrams);
    const lead = fitOf(whole, around, trigrams) - fitOf(`${first} ${second}`, around, trigrams);
    if (lead <= LEAD) continue;
    const unsure = lead < SURE_LEAD;
    found.push({ from: unit, to: unit + 2, mends: [whole], ...(unsure ? { unsure } : {}) });
  }
  return found;
}

/** What is written as two words by some, or is two words as often. */
const AS_TWO = wordList("word-division/as-two");
