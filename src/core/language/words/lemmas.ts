import type { Variety } from "../../manuscript/model.ts";
import { ADJECTIVE, ADVERB, type Lexicon, NOUN, VARIETY_BITS, VERB } from "./lexicon.ts";

/** Inflected forms by their part-of-speech tags (`tags.ts`). */
export type Inflection = "NNS" | "VBZ" | "VBD" | "VBN" | "VBG" | "JJR" | "JJS" | "RBR" | "RBS";

export const INFLECTIONS: readonly Inflection[] = [
  "NNS",
  "VBZ",
  "VBD",
  "VBN",
  "VBG",
  "JJR",
  "JJS",
  "RBR",
  "RBS",
];

/** The trait that a word must have to be inflected so. */
export const INFLECTED_TRAIT: Record<Inflection, number> = {
  NNS: NOUN,
  VBZ: VERB,
  VBD: VERB,
  VBN: VERB,
  VBG: VERB,
  JJR: ADJECTIVE,
  JJS: ADJECTIVE,
  RBR: ADVERB,
  RBS: ADVERB,
};

/** A word taken back to its base form. */
export interface Lemma {
  lemma: string;
  /** How the word is inflected; null for a base form. */
  inflection: Inflection | null;
}

/** Forms that no rule gives ("wrote", "children"), both ways. */
export class IrregularForms {
  private readonly byForm = new Map<string, Lemma[]>();
  private readonly byLemma = new Map<string, string[]>();

  /** Takes lines "lemma inflection form". Throws RangeError at a line that is none. */
  constructor(text: string) {
    for (const line of text.split("\n")) {
      if (line === "") continue;
      const [lemma = "", inflection = "", form = ""] = line.split(" ");
      if (form === "" || !INFLECTIONS.includes(inflection as Inflection)) {
        throw new RangeError(`irregular form: ${line}`);
      }
      const lemmas = this.byForm.get(form) ?? [];
      lemmas.push({ lemma, inflection: inflection as Inflection });
      this.byForm.set(form, lemmas);
      const key = `${lemma} ${inflection}`;
      this.byLemma.set(key, [...(this.byLemma.get(key) ?? []), form]);
    }
  }

  lemmasOf(form: string): readonly Lemma[] {
    return this.byForm.get(form) ?? [];
  }

  formsOf(lemma: string, inflection: Inflection): readonly string[] {
    return this.byLemma.get(`${lemma} ${inflection}`) ?? [];
  }
}

/** Endings taken off by rule, and what takes their place, longest first. */
const DETACHED: Record<Inflection, readonly (readonly [string, string])[]> = {
  NNS: [
    ["ies", "y"],
    ["men", "man"],
    ["ches", "ch"],
    ["shes", "sh"],
    ["sses", "ss"],
    ["xes", "x"],
    ["zes", "z"],
    ["zes", "ze"],
    ["oes", "o"],
    ["s", ""],
  ],
  VBZ: [
    ["ies", "y"],
    ["ches", "ch"],
    ["shes", "sh"],
    ["sses", "ss"],
    ["xes", "x"],
    ["zes", "z"],
    ["oes", "o"],
    ["s", ""],
  ],
  VBD: [
    ["ied", "y"],
    ["ed", "e"],
    ["ed", ""],
  ],
  VBN: [
    ["ied", "y"],
    ["ed", "e"],
    ["ed", ""],
  ],
  VBG: [
    ["ying", "ie"],
    ["ing", "e"],
    ["ing", ""],
  ],
  JJR: [
    ["ier", "y"],
    ["er", "e"],
    ["er", ""],
  ],
  JJS: [
    ["iest", "y"],
    ["est", "e"],
    ["est", ""],
  ],
  RBR: [["er", ""]],
  RBS: [["est", ""]],
};

/**
 * The base forms a word may be an inflection of, by the irregular forms and by rule; `exists` says
 * whether a base form has a trait (`lexicon.ts`). The word itself comes first where it is a base.
 */
export function lemmasOf(
  word: string,
  irregular: IrregularForms,
  exists: (lemma: string, trait: number) => boolean,
): Lemma[] {
  const lemmas: Lemma[] = [...irregular.lemmasOf(word)];
  for (const inflection of INFLECTIONS) {
    const trait = INFLECTED_TRAIT[inflection];
    if (lemmas.some((known) => known.inflection === inflection)) continue;
    for (const [ending, replacement] of DETACHED[inflection]) {
      if (!word.endsWith(ending) || word.length <= ending.length) continue;
      if (ending === "s" && word.endsWith("ss")) continue;
      const stem = word.slice(0, word.length - ending.length);
      const bases = [stem + replacement];
      if (replacement === "" && /([bcdfgklmnprstvz])\1$/.test(stem)) bases.push(stem.slice(0, -1));
      const lemma = bases.find((base) => exists(base, trait));
      if (lemma === undefined) continue;
      lemmas.push({ lemma, inflection });
      break;
    }
  }
  const base = [NOUN, VERB, ADJECTIVE, ADVERB].some((trait) => exists(word, trait));
  return base ? [{ lemma: word, inflection: null }, ...lemmas] : lemmas;
}

/** The forms a rule gives a base form, the usual one first. */
export function regularForms(lemma: string, inflection: Inflection): string[] {
  const sibilant = /(?:[sxz]|[cs]h)$/.test(lemma);
  const y = /[^aeiou]y$/.test(lemma);
  const withoutY = lemma.slice(0, -1);
  switch (inflection) {
    case "NNS":
    case "VBZ":
      if (y) return [`${withoutY}ies`];
      if (sibilant) return [`${lemma}es`];
      return lemma.endsWith("o") ? [`${lemma}es`, `${lemma}s`] : [`${lemma}s`];
    case "VBG":
      if (lemma.endsWith("ie")) return [`${lemma.slice(0, -2)}ying`];
      if (/[^eoy]e$/.test(lemma)) return [`${withoutY}ing`];
      return withDoubling(lemma, "ing");
    default: {
      const ending = { VBD: "ed", VBN: "ed", JJR: "er", RBR: "er", JJS: "est", RBS: "est" }[
        inflection
      ];
      if (y) return [`${withoutY}i${ending}`];
      if (lemma.endsWith("e")) return [lemma + ending.slice(1)];
      return withDoubling(lemma, ending);
    }
  }
}

/** "stop" doubles its last letter, "open" does not, and "travel" does in British spelling. */
function withDoubling(lemma: string, ending: string): string[] {
  const plain = lemma + ending;
  if (!/[^aeiou][aeiou][bcdfgklmnprstvz]$/.test(lemma)) return [plain];
  const doubled = lemma + lemma.slice(-1) + ending;
  const syllables = lemma.match(/[aeiouy]+/g)?.length ?? 1;
  return syllables === 1 ? [doubled, plain] : [plain, doubled];
}

/**
 * A base form inflected as a variety spells it: the irregular form, or of the regular ones the
 * most frequent that the dictionary holds, or the usual one. A noun without a plural stays as it is.
 */
export function inflect(
  lemma: string,
  inflection: Inflection,
  irregular: IrregularForms,
  lexicon: Lexicon,
  variety: Variety,
): string {
  const listed = irregular.formsOf(lemma, inflection);
  // Where only the past is listed, "said", the participle is the same.
  const inUse = (form: string) => (lexicon.varieties(form) & VARIETY_BITS[variety]) !== 0;
  const own =
    inflection === "VBN" && !listed.some(inUse) ? irregular.formsOf(lemma, "VBD") : listed;
  const regular = regularForms(lemma, inflection);
  // "Antennae" and "antennas" are both right; beside "wrought" and "clad" there are "worked" and
  // "clothed", which the frequencies tell from "founded" beside "found".
  const listable =
    inflection === "NNS" || ((inflection === "VBD" || inflection === "VBN") && lemma !== "lie");
  const forms = own.length === 0 ? regular : listable ? [...own, ...regular] : own;
  const known = forms.filter(inUse);
  // A noun that the dictionary has, but no plural of it, has none: equipment, series.
  if (known.length === 0 && inflection === "NNS" && lexicon.varieties(lemma) !== 0) return lemma;
  const [first = lemma] = known.length > 0 ? known : forms;
  return known.reduce(
    (best, form) => (lexicon.frequency(form) > lexicon.frequency(best) + 1 ? form : best),
    first,
  );
}
