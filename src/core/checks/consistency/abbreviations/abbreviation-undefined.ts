import { wordList } from "../../../language/words/word-lists.ts";
import { abbreviationCheck } from "./abbreviation-check.ts";
import { abbreviationUndefined as card } from "./cards.ts";

/** Abbreviations that readers of any copy know, beside those of the dictionaries. */
const EVERYWHERE = wordList("abbreviations/everywhere");
/** Known to those who read a kind of copy. */
const BY_KIND = {
  clinical: wordList("abbreviations/clinical"),
  paper: wordList("abbreviations/paper"),
  specification: wordList("abbreviations/technical"),
  general: wordList("abbreviations/technical"),
  report: wordList("abbreviations/technical"),
  brief: wordList("abbreviations/legal"),
} as const;

/** An abbreviation that is explained nowhere. */
export const abbreviationUndefined = abbreviationCheck({
  ...card,
  marks: "use",
  find({ abbreviation, uses, doubtful, definitions, entries }, { kind, words, language }) {
    if (definitions.length > 0 || entries.length > 0 || uses.length === 0) return [];
    // Where one of its places is plainly an abbreviation, all are.
    if (doubtful === uses.length) return [];
    const own: ReadonlySet<string> | undefined = BY_KIND[kind as keyof typeof BY_KIND];
    const isKnown =
      words.has(abbreviation.toLowerCase()) ||
      language.lexicon.varietiesInText(abbreviation) !== 0 ||
      EVERYWHERE.has(abbreviation) ||
      own?.has(abbreviation);
    return isKnown ? [] : uses.slice(0, 1).map(({ at }) => at);
  },
  reason: ({ abbreviation }) => `“${abbreviation}” is explained nowhere in the text.`,
  note: ({ uses }) => (uses.length > 1 ? `It is used ${uses.length} times.` : ""),
  offers: ({ phrases }) => [
    ...new Map(phrases.map((one) => [one.compared, one.expansion])).values(),
  ],
  write: ({ from, to }, expansion, text) => `${expansion} (${text.slice(from, to)})`,
});
