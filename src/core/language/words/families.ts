import { type IrregularForms, lemmasOf } from "./lemmas.ts";
import type { Lexicon } from "./lexicon.ts";

/** Endings that make a word of another, and what stood there before, longest first. */
const ENDINGS: readonly (readonly [string, readonly string[]])[] = [
  ["isation", ["ise", "ize"]],
  ["ization", ["ize", "ise"]],
  ["ication", ["ify", "icate"]],
  ["ation", ["ate", "e", ""]],
  ["ement", ["e", ""]],
  ["ment", [""]],
  ["ition", ["ite", "e"]],
  ["tion", ["t", "te"]],
  ["sion", ["d", "de", "se"]],
  ["ness", [""]],
  ["iness", ["y"]],
  ["ility", ["le"]],
  ["ity", ["e", ""]],
  ["able", ["e", ""]],
  ["ible", ["e", ""]],
  ["ance", ["", "e"]],
  ["ence", ["", "e"]],
  ["ally", ["al", "ic"]],
  ["ily", ["y"]],
  ["ly", [""]],
  ["ful", [""]],
  ["less", [""]],
  ["er", ["e", ""]],
  ["or", ["e", ""]],
  ["al", ["e", ""]],
  ["hood", [""]],
  ["ency", ["ent"]],
  ["ancy", ["ant"]],
];
/** Shorter beginnings are too easily another word's. */
const SHORTEST = 4;

/**
 * The word that a lower-case form belongs to: its base form, and of that the word it is made of by an
 * ending, where the lexicon has it ("measurements": measure).
 */
export function familyOf(form: string, irregular: IrregularForms, lexicon: Lexicon): string {
  const exists = (lemma: string, trait: number) => (lexicon.traits(lemma) & trait) !== 0;
  const lemmas = lemmasOf(form, irregular, exists);
  const base = lemmas.find(({ inflection }) => inflection !== null)?.lemma ?? form;
  for (const [ending, before] of ENDINGS) {
    if (!base.endsWith(ending)) continue;
    const stem = base.slice(0, base.length - ending.length);
    const doubled = /(.)\1$/.test(stem) ? [stem.slice(0, -1)] : [];
    const root = [...before.map((one) => stem + one), ...doubled].find(
      (one) => one.length >= SHORTEST && lexicon.varieties(one) !== 0 && lexicon.traits(one) !== 0,
    );
    if (root) return root;
  }
  return base;
}
