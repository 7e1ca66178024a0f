import { wordList } from "../../../language/words/word-lists.ts";
import type { Kind } from "../../../manuscript/model.ts";
import type { Circumstances } from "../../check.ts";

/** Abbreviations that readers of any copy know, beside those of the dictionaries. */
const EVERYWHERE = wordList("abbreviations/everywhere");
const TECHNICAL = wordList("abbreviations/technical");
/** Known to those who read a kind of copy. */
const BY_KIND: Readonly<Partial<Record<Kind, ReadonlySet<string>>>> = {
  clinical: wordList("abbreviations/clinical"),
  paper: wordList("abbreviations/paper"),
  specification: TECHNICAL,
  general: TECHNICAL,
  report: TECHNICAL,
  brief: wordList("abbreviations/legal"),
};

/** Whether dictionaries have it as an abbreviation, not as a word in capitals. */
export function isInDictionary(
  abbreviation: string,
  { lexicon }: Circumstances["language"],
): boolean {
  return (
    lexicon.varietiesInText(abbreviation) !== 0 &&
    lexicon.varieties(abbreviation.toLowerCase()) === 0
  );
}

/** Whether readers know an abbreviation: dictionaries or lists have it, or each part of "TCP/IP". */
export function isWellKnown(
  abbreviation: string,
  {
    kind,
    words,
    language,
    houseAbbreviations,
  }: Pick<Circumstances, "kind" | "words" | "language"> &
    Partial<Pick<Circumstances, "houseAbbreviations">>,
): boolean {
  const ofHouse = houseAbbreviations?.get(abbreviation);
  if (ofHouse) return !ofHouse.explained;
  const isKnown = (one: string) =>
    words.has(one.toLowerCase()) ||
    isInDictionary(one, language) ||
    language.terms.has(one) ||
    language.terms.has(one.toLowerCase()) ||
    EVERYWHERE.has(one) ||
    BY_KIND[kind]?.has(one) === true;
  const parts = abbreviation.split(/[/&]/);
  return (
    isKnown(abbreviation) ||
    (parts.length > 1 && parts.every((part) => part.length === 1 || isKnown(part)))
  );
}
