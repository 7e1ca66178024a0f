import type { Variety } from "../../manuscript/model.ts";
import type { Language } from "../analysis.ts";
import { likeOriginal } from "../corrections/corrections.ts";
import type { PartOfSpeech } from "../meanings/word-net.ts";
import { withoutPossessive } from "./known.ts";
import { INFLECTED_TRAIT, INFLECTIONS, type Inflection, inflect, lemmasOf } from "./lemmas.ts";
import { NOUN, VERB } from "./lexicon.ts";

/** What is to be said of a word beside its meanings: base forms, inflected forms, their use. */

export interface WordForm {
  inflection: Inflection;
  form: string;
}

/** The words to look up for a word as written: itself and what it may be an inflection of. */
export function basesOf(written: string, { lexicon, irregular }: Language): string[] {
  const word = withoutPossessive(written.replaceAll("’", "'"));
  const lower = word.toLowerCase();
  const exists = (lemma: string, trait: number) => (lexicon.traits(lemma) & trait) !== 0;
  const lemmas = lemmasOf(lower, irregular, exists).map(({ lemma }) => lemma);
  return [...new Set([lower, ...lemmas])];
}

/** The inflected forms of a base form, as a variety spells them. */
export function formsOf(base: string, language: Language, variety: Variety): WordForm[] {
  const { lexicon, irregular } = language;
  const traits = lexicon.traits(base);
  // "Received" is a form itself: as a verb it has no others, whatever the lexicon takes it for.
  const isForm = basesOf(base, language).length > 1;
  const forms: WordForm[] = [];
  for (const inflection of INFLECTIONS) {
    if ((traits & INFLECTED_TRAIT[inflection]) === 0) continue;
    const form = inflect(base, inflection, irregular, lexicon, variety);
    const isBase = INFLECTED_TRAIT[inflection] & (NOUN | VERB);
    // "cleverer" is in the dictionary, "tidaler" is not.
    if ((!isBase || isForm) && lexicon.varieties(form) === 0) continue;
    if (isForm && form === base) continue;
    if (!forms.some((other) => other.form === form)) forms.push({ inflection, form });
  }
  return forms;
}

/**
 * A synonym in the form that `written` has of its own base: its inflection where the part of speech
 * has it, its capitals and possessive ending. In a phrase a verb's first word is inflected and a
 * noun's last.
 */
export function fitLike(
  synonym: string,
  written: string,
  part: PartOfSpeech,
  language: Language,
  variety: Variety,
): string {
  const { lexicon, irregular } = language;
  const plain = written.replaceAll("’", "'");
  const base = withoutPossessive(plain);
  const ending = written.slice(base.length);
  const exists = (lemma: string, trait: number) => (lexicon.traits(lemma) & trait) !== 0;
  const inflection = lemmasOf(base.toLowerCase(), irregular, exists)
    .map((lemma) => lemma.inflection)
    .find((one) => one !== null && PART_OF[one] === part);
  let fitted = synonym;
  if (inflection) {
    const words = synonym.split(" ");
    const at = part === "noun" ? words.length - 1 : 0;
    words[at] = inflect(words[at] ?? "", inflection, irregular, lexicon, variety);
    fitted = words.join(" ");
  }
  return likeOriginal(fitted, base) + ending;
}

const PART_OF: Record<Inflection, PartOfSpeech> = {
  NNS: "noun",
  VBZ: "verb",
  VBD: "verb",
  VBN: "verb",
  VBG: "verb",
  JJR: "adj",
  JJS: "adj",
  RBR: "adv",
  RBS: "adv",
};
