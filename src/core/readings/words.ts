import { eachRun } from "../language/text/runs.ts";
import type { IrregularForms } from "../language/words/lemmas.ts";
import type { Lexicon } from "../language/words/lexicon.ts";
import type { WordFigures, WordMeasurer } from "../language/words/word-figures.ts";
import { wordList } from "../language/words/word-lists.ts";
import type { Range } from "../manuscript/model.ts";
import type { MeasureCounts } from "./measures.ts";

/** What the words of a document are looked up in. */
export interface WordSources {
  measurer: WordMeasurer;
  lexicon: Lexicon;
  irregular: IrregularForms;
}

/** What is counted of words one by one: all that measures take but the sentences. */
export type WordCounts = Omit<MeasureCounts, "sentences"> & {
  /** Different words, whatever their capitals. */
  distinctWords: number;
};

const LONG = 6;
const POLYSYLLABLE = 3;

/** Tells of every word of a stretch of text that is one sentence, in order, with what it counts as. */
export function eachWord(
  text: string,
  { from, to }: Range,
  measurer: WordMeasurer,
  tell: (figures: WordFigures, name: boolean, from: number, to: number) => void,
): void {
  let first = true;
  eachRun(text, from, to, (start, end) => {
    const figures = measurer.of(text.slice(start, end));
    tell(figures, figures.capital && (!first || figures.name), start, end);
    first = false;
  });
}

/** The counts that a word may be one of; each can be opened to its places. */
export const WORD_KINDS = [
  "polysyllables",
  "complexWords",
  "longWords",
  "difficultWords",
  "unfamiliarWords",
] as const;
export type WordKind = (typeof WORD_KINDS)[number];

/** Whether a word, or a name, counts as one of a kind. Names and numbers are familiar to everybody. */
export function isOfKind(figures: WordFigures, name: boolean, kind: WordKind): boolean {
  switch (kind) {
    case "polysyllables":
      return figures.syllables >= POLYSYLLABLE;
    case "complexWords":
      return figures.complex && !name;
    case "longWords":
      return figures.letters > LONG;
    case "difficultWords":
      return figures.beyondDaleChall && !name;
    case "unfamiliarWords":
      return figures.beyondSpache && !name;
  }
}

/** Counts words as they come, and which there are. */
export class WordTally {
  /** Their forms in order. */
  readonly forms: string[] = [];
  private readonly unfamiliar = new Set<string>();
  private readonly sums = {
    letters: 0,
    characters: 0,
    syllables: 0,
    polysyllables: 0,
    complexWords: 0,
    longWords: 0,
    difficultWords: 0,
  };

  add(figures: WordFigures, name: boolean): void {
    const { sums } = this;
    this.forms.push(figures.form);
    sums.letters += figures.letters;
    sums.characters += figures.characters;
    sums.syllables += figures.syllables;
    if (figures.syllables >= POLYSYLLABLE) sums.polysyllables++;
    if (figures.letters > LONG) sums.longWords++;
    if (name) return;
    if (figures.complex) sums.complexWords++;
    if (figures.beyondDaleChall) sums.difficultWords++;
    if (figures.beyondSpache) this.unfamiliar.add(figures.form);
  }

  /** Counts all that another has counted as well. */
  addAll({ forms, unfamiliar, sums }: WordTally): void {
    for (const form of forms) this.forms.push(form);
    for (const form of unfamiliar) this.unfamiliar.add(form);
    for (const name of Object.keys(sums) as (keyof typeof sums)[]) this.sums[name] += sums[name];
  }

  counts(): WordCounts {
    return {
      words: this.forms.length,
      ...this.sums,
      unfamiliarWords: this.unfamiliar.size,
      distinctWords: new Set(this.forms).size,
    };
  }
}

/** A word with its forms, and how often each stands in the text. */
export interface WordUse {
  word: string;
  count: number;
  forms: { form: string; count: number }[];
}

/** Words that every text uses most, whatever it is about. */
const EVERYWHERE = wordList("readings/words-of-every-text");
const PLAIN = /^\p{L}[\p{L}\p{M}'-]+$/u;

/**
 * The words a text uses most, forms of one word and its relations together ("measure", "measured",
 * "measurement"), those that any text uses left out. `rootOf` gives the word a form belongs to.
 */
export function mostUsed(
  forms: readonly string[],
  rootOf: (form: string) => string,
  most: number,
): WordUse[] {
  const counts = new Map<string, number>();
  for (const form of forms) {
    if (PLAIN.test(form) && !EVERYWHERE.has(form)) counts.set(form, (counts.get(form) ?? 0) + 1);
  }
  const families = new Map<string, WordUse>();
  for (const [form, count] of counts) {
    const root = rootOf(form);
    if (EVERYWHERE.has(root)) continue;
    const family = families.get(root) ?? { word: root, count: 0, forms: [] };
    family.count += count;
    family.forms.push({ form, count });
    families.set(root, family);
  }
  const byCount = (one: { count: number }, other: { count: number }) => other.count - one.count;
  return [...families.values()]
    .filter(({ count }) => count > 1)
    .sort((one, other) => byCount(one, other) || one.word.localeCompare(other.word))
    .slice(0, most)
    .map((family) => ({ ...family, forms: family.forms.sort(byCount) }));
}
