import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import { TAG, tagSet } from "../../language/tags/tag-sets.ts";
import type { Token } from "../../language/text/tokens.ts";
import { ABBREVIATIONS, BEFORE_NAME } from "../../language/words/abbreviations.ts";
import { ABBREVIATION, type Lexicon } from "../../language/words/lexicon.ts";
import { wordList } from "../../language/words/word-lists.ts";
import type { Check, Fact } from "../check.ts";
import { sentenceStart as card } from "./cards.ts";

/** A sentence that begins with a small letter. */
export const sentenceStart: Check = {
  ...card,
  examine,
  conclude: ({ from, to }) => ({ from, to, reason: "A sentence begins with a capital." }),
  choose(text, { from, to }) {
    const word = text.slice(from, to);
    const insert = (word[0] ?? "").toUpperCase() + word.slice(1);
    return [{ label: insert, edits: [{ from, to, insert }] }];
  },
};

function examine(block: AnalysedBlock, { lexicon }: Language): Fact[] {
  const { kind, text, tokens, spans } = block;
  if (kind === "code" || kind === "reference" || kind === "cell") return [];
  const facts: Fact[] = [];
  for (const [index, stop] of tokens.entries()) {
    if (stop.to - stop.from !== 1 || text.charCodeAt(stop.from) !== FULL_STOP) continue;
    const around = wordsAround(block, index);
    if (!around) continue;
    const { last, after } = around;
    const begun = text.slice(after.from, after.to);
    const doubtful = !endsPlainly(block, index, last, lexicon);
    if (doubtful && !OPENERS.has(begun.replace(/['’].*$/, ""))) continue;
    const long = begun.length >= LONG && lexicon.varieties(begun) !== 0;
    const word = begun.replace(/['’](?:s|re|ve|ll|d|m)$/, "");
    if (!long && !isCommon(word, lexicon)) continue;
    if (lexicon.traits(text.slice(last.from, last.to)) & ABBREVIATION) continue;
    const coded = spans.some(
      (span) => span.kind === "code" && after.from >= span.from && after.from < span.to,
    );
    if (!coded && !namesProgram(block, after.from, begun))
      facts.push({ from: after.from, to: after.to });
  }
  return facts;
}

/** "zip and unzip are programs", "unzip can also read it": a noun that does something and has no article. */
function namesProgram(block: AnalysedBlock, from: number, begun: string): boolean {
  const syntax = block.syntax();
  if (!syntax || OPENERS.has(begun)) return false;
  const unit = syntax.units.findIndex((one) => one.from === from);
  return syntax.tags[unit] === TAG.NN && MAY_DO[syntax.tags[unit + 1] ?? 0] === 1;
}
const MAY_DO = tagSet("VBZ", "MD", "CC", "CD");

/** A word, one with a capital, or a number that may end a sentence. */
const MAY_END =
  /^(?:(?:Mc|Mac)?\p{L}\p{Ll}*(?:[-'’]\p{L}\p{Ll}*)*|\d+(?:[.,]\d+)*(?:['’]?s|st|nd|rd|th)?)$/u;

/** The word before a full stop and the one in small letters after it; null where these end and begin no sentence. */
function wordsAround(
  { text, tokens }: AnalysedBlock,
  index: number,
): { last: Token; after: Token } | null {
  const stop = tokens[index];
  const before = tokens[index - 1];
  if (!stop || before?.to !== stop.from) return null;
  // "(It was shut.) they left": what follows the bracket.
  const bracketed = text[stop.to] === ")" && tokens[index + 1]?.from === stop.to;
  if (bracketed && !closesSentence(text, stop.to)) return null;
  const after = tokens[bracketed ? index + 2 : index + 1];
  if (after?.kind !== "word" || !/^\p{Ll}[\p{Ll}'’-]*$/u.test(text.slice(after.from, after.to)))
    return null;
  if (!/^\s+$/.test(text.slice(bracketed ? stop.to + 1 : stop.to, after.from))) return null;
  // What stands in brackets closes with its last word.
  const closes = text[before.from] === ")" && index > CLOSING_FROM;
  const last = closes ? tokens[index - 2] : before;
  if (last?.kind !== "word" && last?.kind !== "number") return null;
  const ended = text.slice(last.from, last.to);
  if (!MAY_END.test(ended)) return null;
  if (ended.length < 2 && (index < CLOSING_FROM || !/\d/.test(ended))) return null;
  // "the 100-lb. mark"
  const end = ended.toLowerCase().slice(ended.lastIndexOf("-") + 1);
  return ABBREVIATIONS.has(end) || BEFORE_NAME.has(end) ? null : { last, after };
}

/** Whether a full stop after a word can only end a sentence; short or capitalised, it may be an abbreviation. */
function endsPlainly(
  { text }: AnalysedBlock,
  index: number,
  last: Token,
  lexicon: Lexicon,
): boolean {
  const ended = text.slice(last.from, last.to);
  const lower = ended.toLowerCase();
  if (SHORT_WORDS.has(ended) || (ended.length >= LONG && ended === lower)) return true;
  if (isFigure(ended, index)) return true;
  if (/^\d$/.test(ended) && NUMBERED.test(text.slice(0, last.from))) return true;
  if (ended === lower && ended.length >= 3) return isCommon(ended, lexicon);
  if (ended === ended.toUpperCase()) return false;
  if (ended.length >= LONG && /[aeiou].*[aeiou]/i.test(ended)) return true;
  return ended.length >= LONG_NAME && (isCommon(ended, lexicon) || isCommon(lower, lexicon));
}

/** A word that is known and not rare, or several joined by hyphens. */
function isCommon(word: string, lexicon: Lexicon): boolean {
  const one = (part: string) => lexicon.varieties(part) !== 0 && !lexicon.isRare(part);
  return one(word) || word.split("-").every(one);
}

const FULL_STOP = 46;

/** Words of two letters that are short for nothing. */
const SHORT_WORDS = wordList("sentence-start/short-words");
/** Letters from which on a word in small letters is no abbreviation and no ending of a file's name. */
const LONG = 7;

/** Letters that a name or another word with a capital has which is short for nothing. */
const LONG_NAME = 4;

/** A year or another number inside a text, not a line's own number. */
const isFigure = (ended: string, index: number) =>
  index > CLOSING_FROM &&
  /^\d{2,4}$|^\d+\.\d+$|^\d{1,3}(?:,\d{3})+$|^\d+(?:st|nd|rd|th)$/.test(ended);

/** "as in Table 1." */
const NUMBERED = /(?:table|figure|chapter|part|section|appendix|number|page) $/i;

/** Whether the bracket that closes here opened with a capital, as a sentence of its own. */
function closesSentence(text: string, bracket: number): boolean {
  const opening = text.lastIndexOf("(", bracket);
  return opening >= 0 && /^\(["“]?\p{Lu}\p{Ll}*[ ,’']/u.test(text.slice(opening));
}

/** The first tokens of a block may be its number: "(a). the", "1. the". */
const CLOSING_FROM = 6;

/** Words that seldom follow an abbreviation inside a sentence. */
const OPENERS = wordList("sentence-start/openers");
