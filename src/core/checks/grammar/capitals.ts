import { written } from "../../language/syntax.ts";
import { TAG, tagSet } from "../../language/tag-sets.ts";
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
    const capital = (unit: number) => {
      const one = written(syntax, unit);
      found.push({
        from: unit,
        to: unit + 1,
        mends: [one.slice(0, 1).toUpperCase() + one.slice(1)],
      });
    };
    const first = written(syntax, 0);
    const ended = /[.?!]["”’)]?$/.test(text.trimEnd());
    const verb = syntax.verbGroups.some((one) => one.finite >= 0);
    const known = (words[0]?.traits ?? 0) !== 0 || syntax.tags[0] !== TAG.NNP;
    if (
      ended &&
      verb &&
      known &&
      /^\p{Ll}[\p{Ll}'’]*$/u.test(first) &&
      (block.sentences.length > 1 || units.length > 4) &&
      units[0]?.from === 0
    ) {
      // A list's last line may go on from the one before.
      if (
        !/^(?:and|or|but|where|which|that|who|i\.e|e\.g|see|cf|viz|etc|p|pp|a|b|c|d|i|ii|iii|iv|x|with|for|to|of|in|then|as|if|while|when|by|from|so)$/.test(
          words[0]?.form ?? "",
        ) ||
        block.sentences.length > 1
      ) {
        if (
          OPENING_WORDS[syntax.tags[0] ?? 0] ||
          block.sentences.length > 2 ||
          text.endsWith("?")
        ) {
          capital(0);
        }
      }
    }
    for (const { index } of text.matchAll(/(?<=[\p{Ll}\d][?!]|[.?!]["”]) \p{Ll}/gu)) {
      const unit = units.findIndex((one) => one.from === index + 1);
      if (unit < 1) continue;
      const quoted = /["”]/.test(text[index - 1] ?? "");
      const opener = AFTER_STOP.has(words[unit]?.form ?? "");
      const group = syntax.nounGroups[syntax.nounAt[unit] ?? -1];
      const after = group && syntax.verbGroups[syntax.verbAt[group.to] ?? -1];
      const speaks =
        after &&
        /^(?:said|asked|cried|says|wrote|replied|thought|exclaimed|shouted|whispered|called|answered|muttered|yelled|demanded|added|snapped)$/.test(
          words[after.main]?.form ?? "",
        );
      if (speaks) continue;
      if (
        opener ||
        (!quoted &&
          after &&
          after.finite >= 0 &&
          !/^(?:he|she|they|i|we|you)$/.test(words[unit]?.form ?? ""))
      )
        capital(unit);
    }
    return found;
  },
});

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
  "the this that these those such it there if when but moreover however in on at for some many no".split(
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
