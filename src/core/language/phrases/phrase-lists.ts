/** Lists of phrases that ship in data/phrases, one file each, named as here. */
export const PHRASE_LISTS = [
  "prepositions",
  "fixed-phrases",
  "word-division",
  "contractions",
  "usage",
  "wordy",
  "redundant",
  "light-verbs",
  "cliches",
  "jargon",
  "vague",
  "outdated",
] as const;
export type PhraseList = (typeof PHRASE_LISTS)[number];

/** The lines of a data file that say something: no blank lines, none that begin with "#". */
export function phraseLines(text: string): string[] {
  return text
    .split("\n")
    .map((line) => line.trim())
    .filter((line) => line !== "" && !line.startsWith("#"));
}
