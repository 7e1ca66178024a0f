/**
 * Published measures of how a text reads. Each takes counts and says what they come to; none knows
 * what the text means, who reads it, or how it is laid out.
 */

/** What measures are made of. */
export interface MeasureCounts {
  words: number;
  sentences: number;
  letters: number;
  /** Letters and digits. */
  characters: number;
  syllables: number;
  /** Words of three syllables or more. */
  polysyllables: number;
  /** Of these, those that no ending makes long, without names: Gunning's complex words. */
  complexWords: number;
  /** Words of more than six letters. */
  longWords: number;
  /** Words that are neither on the list of Chall and Dale nor an inflection of one that is. */
  difficultWords: number;
  /** The same for Spache's list, each word once. */
  unfamiliarWords: number;
}

export const MEASURE_IDS = [
  "flesch",
  "flesch-kincaid",
  "gunning-fog",
  "smog",
  "coleman-liau",
  "automated-readability",
  "dale-chall",
  "spache",
  "lix",
  "rix",
  "linsear-write",
] as const;
export type MeasureId = (typeof MEASURE_IDS)[number];

/** A measure as it came out: its value, or null where the text is too short for it. */
export interface Measure {
  id: MeasureId;
  value: number | null;
  inputs: Readonly<Partial<MeasureCounts>>;
}

export interface MeasureCard {
  id: MeasureId;
  title: string;
  /** What its scale is: school grades (US), an ease from 100 down, or a scale of its own. */
  scale: "grade" | "ease" | "own";
  formula: string;
  source: string;
  means: string;
  /** What it does not tell. */
  beyond: string;
  inputs: readonly (keyof MeasureCounts)[];
  /** The least text it was made for, where its source says so. */
  least?: { of: "sentences" | "words"; number: number };
  value(counts: MeasureCounts): number;
}

/** SMOG was made for samples of 30 sentences, Linsear Write for 100 words. */
const SMOG_SENTENCES = 30;
const LINSEAR_WORDS = 100;

/** Every measure, in the order in which they are shown. */
export const MEASURES: readonly MeasureCard[] = [
  {
    id: "flesch",
    title: "Flesch reading ease",
    scale: "ease",
    formula: "206.835 − 1.015 × words ÷ sentences − 84.6 × syllables ÷ words",
    source: "Flesch 1948, “A new readability yardstick”",
    means: "How easy the text is: 60 to 70 is plain English, below 30 is heavy going.",
    beyond: "It sees only how long sentences and words are, not whether they are clear.",
    inputs: ["words", "sentences", "syllables"],
    value: ({ words, sentences, syllables }) =>
      206.835 - 1.015 * (words / sentences) - 84.6 * (syllables / words),
  },
  {
    id: "flesch-kincaid",
    title: "Flesch-Kincaid grade",
    scale: "grade",
    formula: "0.39 × words ÷ sentences + 11.8 × syllables ÷ words − 15.59",
    source: "Kincaid, Fishburne, Rogers and Chissom 1975, “Derivation of new readability formulas”",
    means: "The US school grade whose pupils would follow the text.",
    beyond:
      "It was fitted to naval training manuals; long words that everybody knows count as hard.",
    inputs: ["words", "sentences", "syllables"],
    value: ({ words, sentences, syllables }) =>
      0.39 * (words / sentences) + 11.8 * (syllables / words) - 15.59,
  },
  {
    id: "gunning-fog",
    title: "Gunning fog",
    scale: "grade",
    formula: "0.4 × (words ÷ sentences + 100 × complex words ÷ words)",
    source: "Gunning 1952, “The Technique of Clear Writing”",
    means: "The years of schooling it takes to follow the text at the first reading.",
    beyond:
      "A complex word is one of three syllables, however familiar; names and endings are left out.",
    inputs: ["words", "sentences", "complexWords"],
    value: ({ words, sentences, complexWords }) =>
      0.4 * (words / sentences + 100 * (complexWords / words)),
  },
  {
    id: "smog",
    title: "SMOG grade",
    scale: "grade",
    formula: "3.1291 + 1.043 × √(polysyllables × 30 ÷ sentences)",
    source: "McLaughlin 1969, “SMOG grading: a new readability formula”",
    means: "The US school grade at which a reader would understand all of it.",
    beyond: "It was made for samples of 30 sentences, so a shorter text has none.",
    inputs: ["sentences", "polysyllables"],
    least: { of: "sentences", number: SMOG_SENTENCES },
    value: ({ sentences, polysyllables }) =>
      3.1291 + 1.043 * Math.sqrt(polysyllables * (30 / sentences)),
  },
  {
    id: "coleman-liau",
    title: "Coleman-Liau index",
    scale: "grade",
    formula: "0.0588 × letters in 100 words − 0.296 × sentences in 100 words − 15.8",
    source: "Coleman and Liau 1975, “A computer readability formula designed for machine scoring”",
    means: "The US school grade whose pupils would follow the text, told by letters alone.",
    beyond: "A long word counts as hard, whatever it means.",
    inputs: ["words", "sentences", "letters"],
    value: ({ words, sentences, letters }) =>
      0.0588 * ((letters / words) * 100) - 0.296 * ((sentences / words) * 100) - 15.8,
  },
  {
    id: "automated-readability",
    title: "Automated readability index",
    scale: "grade",
    formula: "4.71 × characters ÷ words + 0.5 × words ÷ sentences − 21.43",
    source: "Senter and Smith 1967, “Automated Readability Index”",
    means: "The US school grade whose pupils would follow the text, told by letters and digits.",
    beyond: "It was made to be counted by a typewriter: figures and codes count as long words.",
    inputs: ["words", "sentences", "characters"],
    value: ({ words, sentences, characters }) =>
      4.71 * (characters / words) + 0.5 * (words / sentences) - 21.43,
  },
  {
    id: "dale-chall",
    title: "Dale-Chall score",
    scale: "own",
    formula:
      "0.1579 × difficult words in 100 + 0.0496 × words ÷ sentences, and 3.6365 more where over 5 in 100 are difficult",
    source:
      "Dale and Chall 1948, with the word list of Chall and Dale 1995, “Readability Revisited”",
    means: "Up to 4.9 for a pupil of ten, 6 to 6.9 for one of thirteen, 9 and more for a graduate.",
    beyond: "Whether a word is known is told by a list of some 3,000 words of American pupils.",
    inputs: ["words", "sentences", "difficultWords"],
    value: ({ words, sentences, difficultWords }) => {
      const share = difficultWords / words;
      return 0.1579 * share * 100 + 0.0496 * (words / sentences) + (share > 0.05 ? 3.6365 : 0);
    },
  },
  {
    id: "spache",
    title: "Spache grade",
    scale: "own",
    formula: "0.659 + 0.121 × words ÷ sentences + 0.082 × unfamiliar words in 100",
    source: "Spache 1974, “Good Reading for Poor Readers”, revised formula",
    means: "The US school grade of texts for children up to the fourth.",
    beyond: "It says nothing of texts for grown readers; each unfamiliar word counts once.",
    inputs: ["words", "sentences", "unfamiliarWords"],
    value: ({ words, sentences, unfamiliarWords }) =>
      0.659 + 0.121 * (words / sentences) + 0.082 * ((unfamiliarWords / words) * 100),
  },
  {
    id: "lix",
    title: "LIX",
    scale: "own",
    formula: "words ÷ sentences + 100 × long words ÷ words",
    source: "Björnsson 1968, “Läsbarhet”",
    means: "Below 30 very easy, about 40 a newspaper, above 60 very hard.",
    beyond: "It was made for Swedish and compares languages; its steps are not grades.",
    inputs: ["words", "sentences", "longWords"],
    value: ({ words, sentences, longWords }) => words / sentences + (100 * longWords) / words,
  },
  {
    id: "rix",
    title: "RIX",
    scale: "own",
    formula: "long words ÷ sentences",
    source: "Anderson 1983, “Lix and Rix: variations on a little-known readability index”",
    means: "Below 2 easy, about 4 for pupils of fifteen, above 7 for students.",
    beyond: "It counts words of more than six letters and nothing else.",
    inputs: ["sentences", "longWords"],
    value: ({ sentences, longWords }) => longWords / sentences,
  },
  {
    id: "linsear-write",
    title: "Linsear Write",
    scale: "grade",
    formula:
      "r = (words + 2 × polysyllables) ÷ sentences; r ÷ 2 where r is over 20, otherwise r ÷ 2 − 1",
    source: "O’Hayre 1966, “Gobbledygook Has Gotta Go”; the grade is common practice",
    means: "The US school grade of technical writing.",
    beyond: "It was made for samples of 100 words; here the whole text is the sample.",
    inputs: ["words", "sentences", "polysyllables"],
    least: { of: "words", number: LINSEAR_WORDS },
    value: ({ words, sentences, polysyllables }) => {
      const ratio = (words + 2 * polysyllables) / sentences;
      return ratio > 20 ? ratio / 2 : ratio / 2 - 1;
    },
  },
];

/** Every measure of some counts, in order; one that the text is too short for has no value. */
export function measuresOf(counts: MeasureCounts): Measure[] {
  return MEASURES.map(({ id, inputs, least, value }) => {
    const enough =
      counts.words > 0 && counts.sentences > 0 && (!least || counts[least.of] >= least.number);
    return {
      id,
      value: enough ? value(counts) : null,
      inputs: Object.fromEntries(inputs.map((name) => [name, counts[name]])),
    };
  });
}

/** A measure's card. */
export function measureCard(id: MeasureId): MeasureCard {
  const card = MEASURES.find((one) => one.id === id);
  if (!card) throw new RangeError(`no measure ${id}`);
  return card;
}

const GRADES = new Set(MEASURES.filter(({ scale }) => scale === "grade").map(({ id }) => id));

/** How far the measures in school grades agree. */
export interface Spread {
  lowest: number;
  highest: number;
  median: number;
  /** How many have a value. */
  measures: number;
}

/** The spread of the grades; null where none has a value. */
export function gradeSpread(measures: readonly Measure[]): Spread | null {
  const values = measures
    .flatMap(({ id, value }) => (value !== null && GRADES.has(id) ? [value] : []))
    .sort((one, other) => one - other);
  const lowest = values[0];
  const highest = values.at(-1);
  if (lowest === undefined || highest === undefined) return null;
  const middle = values.length / 2;
  const median = ((values[Math.ceil(middle) - 1] ?? 0) + (values[Math.floor(middle)] ?? 0)) / 2;
  return { lowest, highest, median, measures: values.length };
}
