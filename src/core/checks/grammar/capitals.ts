import { CODE, type Syntax, type VerbGroup, written } from "../../language/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../../language/tag-sets.ts";
import { type Found, markCheck } from "../mark-check.ts";

/** "My brother and i". */
export const pronounI = markCheck({
  id: "grammar/pronoun-i",
  weight: "fix",
  code: "cap",
  title: "“I” in small letters",
  why: "The pronoun “I” is always a capital, wherever it stands in the sentence.",
  source: "common practice",
  examples: [
    { wrong: "When i came in, it was out.", right: "When I came in, it was out." },
    { wrong: "My brother and i read it.", right: "My brother and I read it." },
    { leave: "Part (i) and part i. of the list; an i and an e." },
  ],
  reason: "The pronoun “I” is always a capital.",
  at: ["i"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, text, units } = syntax;
    for (const [unit, word] of words.entries()) {
      if (word.form !== "i" || written(syntax, unit) !== "i") continue;
      const before = text[(units[unit]?.from ?? 0) - 1] ?? " ";
      const after = text[units[unit]?.to ?? 0] ?? " ";
      if (!/[\s“"(]/.test(before) || !/[\s'’,]/.test(after)) continue;
      const next = tags[unit + 1] ?? 0;
      const form = words[unit + 1]?.form ?? "";
      if (!/^[\p{L}'’,]/u.test(written(syntax, unit + 1))) continue;
      // "while read i do": a variable.
      if (tags[unit - 1] === TAG.VB || tags[unit - 1] === TAG.VBD) continue;
      const verb =
        /^(?:'m|'ve|'ll|'d|am|was|have|had|do|did|will|would|could|can|should|think|know|came|went|saw|said|read|thought|knew|took|found)$/.test(
          form,
        );
      if (!verb && next !== TAG.VBD && next !== TAG.MD && next !== TAG.VB) continue;
      if (/^(?:an|the|letter|part|section|step|item|vowel)$/.test(words[unit - 1]?.form ?? ""))
        continue;
      found.push({ from: unit, to: unit + 1, mends: ["I"] });
    }
    return found;
  },
});

/** A paragraph that begins with a small letter, and a sentence after a question. */
export const paragraphStart = markCheck({
  id: "grammar/paragraph-start",
  weight: "settle",
  code: "cap",
  title: "Paragraph without a capital",
  why: "A paragraph of whole sentences begins with a capital, and so does a sentence after a question mark.",
  source: "common practice",
  examples: [
    {
      wrong: "the tide turned at noon. They went home.",
      right: "The tide turned at noon. They went home.",
    },
    { wrong: "Was it shut? nobody knew.", right: "Was it shut? Nobody knew." },
    { leave: "iPod sales fell. They rose." },
    { leave: "“Was it shut?” nobody asked." },
    { leave: "see also the log" },
  ],
  reason: "A sentence begins with a capital.",
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
      if (after && SPEAKS.test(words[after.main]?.form ?? "")) continue;
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
  if (words.length <= SHORT || GOES_ON.test(form)) return false;
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
  const known = first.traits !== 0 && first.frequency > SELDOM && !GOES_ON.test(first.form);
  return words.length > LONG_SENTENCE && known && finite && (!verb || told);
}
const LONG_NOTE = 10;
const LONG_SENTENCE = 15;
/** log2 of a word's count: rarer ones are seldom met in running text. */
const SELDOM = 6;
const TAKES = tagSet("DT", "PRP$", "PPO", "NNS", "IN", "RB");

const ASKS = new Set("do does did is are was were has have can could will would should".split(" "));

/** Verbs that a quotation goes with. */
export const SPEAKS =
  /^(?:said|asked|cried|says|wrote|replied|thought|exclaimed|shouted|whispered|called|answered|muttered|yelled|demanded|added|snapped|wondered|mused|breathed|sighed|told)$/;

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
    !GOES_ON.test(words[unit]?.form ?? "") &&
    OPENING_WORDS[tag] === 1 &&
    tag !== TAG.CC
  );
}

const GOES_ON =
  /^(?:and|or|but|nor|where|which|that|who|with|for|to|of|in|then|as|if|while|when|by|from|so)$/;
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
const AFTER_STOP = new Set(
  "the this that these those such it there if when but moreover however in on at for some many no nobody everybody nothing".split(
    " ",
  ),
);

const TITLES =
  "captain|professor|doctor|sergeant|colonel|general|admiral|major|lieutenant|inspector|bishop|lord|lady|sir|president|king|queen|prince|princess|mister|dame";

/** "captain Rusk", "in the Spring". */
export const titleCapital = markCheck({
  id: "grammar/title-capital",
  weight: "settle",
  code: "cap",
  title: "Capital of a title before a name",
  why: "A title right before a name has a capital: Captain Rusk, Professor Hale. After an article or alone it has none: the captain.",
  source: "common practice",
  examples: [
    { wrong: "We met captain Rusk there.", right: "We met Captain Rusk there." },
    { leave: "We met the captain, and former president Rusk." },
    { leave: "The professor Rusk spoke of was late." },
  ],
  reason: "A title right before a name has a capital.",
  patterns: [`[${TITLES}] NNP => $1:CAP`],
  accepts: ({ bounds }, syntax) => {
    const unit = bounds[0] ?? 0;
    const before = syntax.words[unit - 1]?.form ?? "";
    if (
      !/^\p{Ll}/u.test(written(syntax, unit)) ||
      !/^\p{Lu}\p{Ll}/u.test(written(syntax, unit + 1))
    )
      return false;
    return (
      !/^(?:the|a|an|former|late|ex|then|this|that|his|her|our|their|my|attorney|consul|in|old|said|major|vice|council|association|company|our)$/.test(
        before,
      ) &&
      syntax.tags[unit - 1] !== TAG.JJ &&
      syntax.tags[unit - 1] !== TAG.NN
    );
  },
});

/** "the English custom" in small letters, where the word alone is known small too. */
export const calendarCapital = markCheck({
  id: "grammar/nationality",
  weight: "fix",
  code: "cap",
  title: "Peoples and languages in small letters",
  why: "Names of peoples and languages have a capital in English: French, Polish, a Turkish coin.",
  source: "common practice",
  examples: [
    { wrong: "She speaks french well.", right: "She speaks French well." },
    { leave: "They polish the brass and eat a swede." },
  ],
  reason: "Names of peoples and languages have a capital.",
  patterns: [
    "speak~|speaks|spoke|learn~|read~|teach~|taught|study|in|into|from [french|german|welsh|polish|danish|turkish|finnish|scotch|dutch|english|irish|spanish|italian|russian|chinese|japanese] .|,|and|or|at|to|well|fluently|with|</s> => $2:CAP",
    "and|or [french|german|welsh|danish|turkish|finnish|dutch|english|irish|spanish|italian|russian] .|,|</s> => $2:CAP",
  ],
  accepts: ({ bounds, pattern }, syntax) =>
    /^\p{Ll}/u.test(written(syntax, bounds[2 * pattern.marked.from] ?? 0)),
});
