import { phraseLines } from "../src/core/language/phrases/phrase-lists.ts";

/** Words that are mistaken for one another. */
export interface ChoiceSet {
  words: string[];
  /** They are said alike, so that hearing does not tell the slip. */
  soundAlike: boolean;
}

/** The sets of data/choice-sets.txt; a pair of words that counts as one has a space in it. */
export function choiceSets(text: string): ChoiceSet[] {
  return phraseLines(text).map((line) => {
    const soundAlike = line.startsWith("= ");
    const words = (soundAlike ? line.slice(2) : line).split(" ");
    return { words: words.map((word) => word.replaceAll("_", " ")), soundAlike };
  });
}
