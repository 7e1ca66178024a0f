import { CODE, type Syntax, type VerbGroup, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { paragraphStart as card } from "./cards.ts";

/** A paragraph that begins with a small letter, and a sentence after a question. */
export const paragraphStart = markCheck({
  ...card,
  reason: "A sentence begins with a capital: “{1}”.",
  notIn: ["heading", "cell", "caption", "item"],
  find(syntax, _language, block) {
    const found: Found[] = [];
    const { words, text, units } = syntax;
    const capital = (unit: number, unsure = false) => {
      const one = written(syntax, unit);
      found.push({
        from: unit,
        to: unit + 1,
        mends: [one.slice(0, 1).toUpperCase() + one.slice(1)],
        unsure,
      });
    };
    const first = written(syntax, 0);
    const ended = /[.?!]["”’)]?$/.test(text.trimEnd());
    const verb = syntax.verbGroups.some((one) => one.finite >= 0);
    const known = (words[0]?.traits ?? 0) !== 0 || syntax.tags[0] !== TAG.NNP;
    const whole = ended && verb && /^\p{Ll}[\p{Ll}'’]*$/u.test(first) && units[0]?.from === 0;
    if (whole && known && !block.part) {
      if (opensParagraph(syntax, block.sentences.length)) capital(0);
      else if (isLongSentence(syntax)) capital(0, true);
    }
    if (!/[?!"”] \p{Ll}/u.test(text)) return found;
    for (const { index } of text.matchAll(/(?<=[\p{Ll}\d][?!]|[.?!]["”]) \p{Ll}/gu)) {
      const unit = units.findIndex((one) => one.from === index + 1);
      if (unit < 1) continue;
      const quoted = /["”]/.test(text[index - 1] ?? "");
      const opener = AFTER_STOP.has(words[unit]?.form ?? "");
      const group = syntax.nounGroups[syntax.nounAt[unit] ?? -1];
      const after = group && syntax.verbGroups[syntax.verbAt[group.to] ?? -1];
      if (after && SPEAKS.has(words[after.main]?.form ?? "")) continue;
      // A quotation that goes on has a comma in its place.
      if (quoted && text[index - 2] === "." && opensAfterQuotation(syntax, unit)) {
        capital(unit, true);
        continue;
      }
      if (opener || (!quoted && opensAfterMark(syntax, unit, after))) capital(unit);
      else if (!quoted && after && after.finite >= 0 && group?.pronoun) capital(unit, true);
    }
    return found;
  },
});

/** Whether a paragraph's first word opens a sentence: a list's last line may go on from the one before. */
function opensParagraph({ words, tags, text }: Syntax, sentences: number): boolean {
  const tag = tags[0] ?? 0;
  const form = words[0]?.form ?? "";
  if (/^(?:i\.e|e\.g|see|cf|viz|etc|p|pp|[a-z]|ii|iii|iv)$/.test(form)) return false;
  if (sentences > 2 || (ASKS.has(form) && /^[^.?!]{12,}\?/.test(text))) return true;
  // "returns the name of the file.": notes often begin with their verb.
  if (sentences > 1) {
    return (words[0]?.frequency ?? 0) > COMMON && (!TAG_SETS.VERB[tag] || OPENING_WORDS[tag] === 1);
  }
  if (words.length <= SHORT || GOES_ON.has(form)) return false;
  return OPENING_WORDS[tag] === 1 || tag === TAG.CD || text.endsWith("?");
}

/** A sentence alone in its paragraph, too long for a note, that does not begin with its verb. */
function isLongSentence({ words, tags, places, verbGroups }: Syntax): boolean {
  const [first] = words;
  if (words.length <= LONG_NOTE || places.includes(CODE) || !first) return false;
  const verb = TAG_SETS.VERB[tags[0] ?? 0] === 1 && tags[0] !== TAG.VBG;
  if (!verb && first.frequency > COMMON) return true;
  // Longer still, it may begin with a rarer word, or tell somebody what to do.
  const told = verb && TAKES[tags[1] ?? 0] === 1;
  const finite = verbGroups.some((one) => one.finite > 0);
  const known = first.traits !== 0 && first.frequency > SELDOM && !GOES_ON.has(first.form);
  return words.length > LONG_SENTENCE && known && finite && (!verb || told);
}
const LONG_NOTE = 10;
const LONG_SENTENCE = 15;
/** log2 of a word's count: rarer ones are seldom met in running text. */
const SELDOM = 6;
const TAKES = tagSet("DT", "PRP$", "PPO", "NNS", "IN", "RB");

const ASKS = wordList("paragraph-start/asks");

/** Verbs that a quotation goes with. */
export const SPEAKS = wordList("paragraph-start/speaks");

/** After a question or a cry: a whole sentence, not another question word or the end of a list. */
function opensAfterMark(
  { words, tags, units, sentenceTo }: Syntax,
  unit: number,
  after: VerbGroup | undefined,
): boolean {
  const tag = tags[unit] ?? 0;
  const left = (sentenceTo[unit] ?? units.length) - unit;
  if (unit < SHORT || left < SHORT) return false;
  // "… at noon? and is it red?", "… at noon? was it red?"
  const first = tag === TAG.CC ? unit + 1 : unit;
  if (ASKS.has(words[first]?.form ?? "") && words[unit + left - 1]?.form === "?") return true;
  if (tag === TAG.CC) return false;
  if (after && after.finite >= 0)
    return !/^(?:he|she|they|i|we|you)$/.test(words[unit]?.form ?? "");
  return left > 2 * SHORT && (OPENING_WORDS[tag] === 1 || TAG_SETS.NOUN[tag] === 1);
}

/** After a full stop and a quotation mark: a pronoun or another word that often opens a sentence. */
function opensAfterQuotation({ tags, words, units, sentenceTo }: Syntax, unit: number): boolean {
  const left = (sentenceTo[unit] ?? units.length) - unit;
  const tag = tags[unit] ?? 0;
  // "… out.” and I believed it": a clause of its own.
  const goesOn = tag === TAG.CC && TAG_SETS.SUBJECT[tags[unit + 1] ?? 0] === 1;
  if (goesOn) return left > SHORT;
  return (
    left > SHORT &&
    !GOES_ON.has(words[unit]?.form ?? "") &&
    OPENING_WORDS[tag] === 1 &&
    tag !== TAG.CC
  );
}

const GOES_ON = wordList("paragraph-start/goes-on");
/** Units that a sentence alone in its paragraph must have. */
const SHORT = 4;
/** log2 of a word's count: rarer ones may be names of programs or variables. */
const COMMON = 10;

/** Words of these kinds name nothing, so they are no names of programs or variables either. */
const OPENING_WORDS = tagSet(
  "DT",
  "PDT",
  "PPS",
  "PPSS",
  "PRP$",
  "EX",
  "IN",
  "CS",
  "WRB",
  "WDT",
  "WP",
  "RB",
  "CC",
);

/** Open a sentence after a question or a quotation far more often than they go on with one. */
const AFTER_STOP = wordList("paragraph-start/after-stop");
