import type { Language } from "../../src/core/language/analysis.ts";
import type { Tag } from "../../src/core/language/tags/tags.ts";
import type { BrownBlock, BrownText } from "./brown.ts";

/** An error to plant in a clean text. */
export interface PlantedError extends Place {
  kind: ErrorKind;
  text: BrownText;
  /** Index of its paragraph among the text's blocks. */
  block: number;
}

export const ERROR_KINDS = [
  "doubled word",
  "a or an",
  "agreement",
  "verb form",
  "article dropped",
  "apostrophe",
  "subject comma",
  "capital",
  "final mark",
  "little word missing",
  "comma splice",
  "pronoun case",
  "comparative",
  "tense shift",
  "preposition",
] as const;
export type ErrorKind = (typeof ERROR_KINDS)[number];

/** What to put in place of [from, to) of a paragraph. */
interface Place {
  from: number;
  to: number;
  insert: string;
}

interface Word {
  from: number;
  to: number;
  form: string;
  tag: Tag;
}

const VERBS = new Set<Tag>(["VB", "VBD", "VBG", "VBN", "VBZ", "VBP"]);

/** Every place of a sentence where an error of a kind can be made. */
function placesFor(kind: ErrorKind, words: readonly Word[], language: Language): Place[] {
  const { words: table } = language;
  const places: Place[] = [];
  const at = (index: number) => words[index];
  const lower = (index: number) => at(index)?.form.toLowerCase() ?? "";
  const replace = (word: Word, insert: string) => {
    const capital = /^\p{Lu}/u.test(word.form);
    const fitted = capital ? insert.slice(0, 1).toUpperCase() + insert.slice(1) : insert;
    if (fitted !== word.form) places.push({ from: word.from, to: word.to, insert: fitted });
  };
  for (const [index, word] of words.entries()) {
    const { tag, form, from, to } = word;
    const small = form.toLowerCase();
    const next = at(index + 1);
    const before = at(index - 1);
    switch (kind) {
      case "doubled word":
        if (/^[a-z]{2,}$/.test(form) && !/^(?:that|had|very|so|long|far|much)$/.test(form)) {
          places.push({ from, to, insert: `${form} ${form}` });
        }
        break;
      case "a or an":
        if (small === "a" && next && /^[a-z]/.test(next.form)) replace(word, "an");
        if (small === "an") replace(word, "a");
        break;
      case "agreement": {
        const pairs: Record<string, string> = {
          is: "are",
          are: "is",
          was: "were",
          were: "was",
          has: "have",
          does: "do",
        };
        if (before && lower(index - 1) === "i") break;
        if (lower(index - 1) === "if" || lower(index - 2) === "if") break;
        const other = pairs[small];
        if (other && VERBS.has(tag)) replace(word, other);
        else if (tag === "VBZ" && /^[a-z]/.test(form)) replace(word, table.verb(small));
        break;
      }
      case "verb form": {
        if (!/^[a-z]+$/.test(form)) break;
        const lemma = table.verb(small);
        const past = table.inflect(lemma, "VBD");
        if (tag === "VB" && (before?.tag === "MD" || before?.tag === "TO") && past !== small) {
          replace(word, index % 2 === 0 ? past : table.inflect(lemma, "VBZ"));
        }
        const have = /^(?:have|has|had)$/.test(lower(index - 1));
        const be = /^(?:is|are|was|were|been)$/.test(lower(index - 1));
        if (tag === "VBN" && (have || be)) {
          if (past !== small) replace(word, past);
          else if (lemma !== small) replace(word, lemma);
        }
        break;
      }
      case "article dropped":
        if (/^(?:a|an|the)$/.test(form) && next && /^[a-z]/.test(next.form)) {
          const noun = words.slice(index + 1, index + 5).find((one) => /^NN/.test(one.tag));
          if (noun?.tag === "NN") places.push({ from, to: next.from, insert: "" });
        }
        break;
      case "apostrophe":
        if (tag === "POS" && form === "'s" && before && /^[a-z]/.test(before.form)) {
          places.push({ from, to, insert: "s" });
        }
        if (small === "its" && tag === "PRP$") replace(word, "it's");
        if (small === "it" && next?.form === "'s")
          places.push({ from: next.from, to: next.to, insert: "s" });
        if (tag === "NNS" && /^[a-z]{3,}[^s]s$/.test(form) && !next?.form.startsWith("'")) {
          places.push({ from: to - 1, to, insert: "'s" });
        }
        break;
      case "subject comma":
        if (
          VERBS.has(tag) &&
          index > 1 &&
          before &&
          /^NN/.test(before.tag) &&
          !words
            .slice(0, index)
            .some(
              ({ form: one, tag: other }) =>
                one === "," || one === ":" || VERBS.has(other) || other === "CS" || other === "MD",
            )
        ) {
          if (tag === "VBD" || tag === "VBZ" || tag === "VBP") {
            places.push({ from: before.to, to: before.to, insert: "," });
          }
        }
        break;
      case "capital":
        if (index === 0 && /^[A-Z][a-z]/.test(form) && !/^NNP/.test(tag)) {
          places.push({ from, to, insert: form.slice(0, 1).toLowerCase() + form.slice(1) });
        }
        break;
      case "final mark":
        if (index === words.length - 1 && form === ".") places.push({ from, to, insert: "" });
        break;
      case "little word missing":
        if (/^(?:of|to)$/.test(form) && next && index > 0)
          places.push({ from, to: next.from, insert: "" });
        break;
      case "comma splice":
        if (
          /^(?:and|but)$/.test(form) &&
          before?.form === "," &&
          next &&
          /^PPS/.test(next.tag) &&
          VERBS.has(at(index + 2)?.tag ?? "NN")
        ) {
          places.push({ from, to: next.from, insert: "" });
        }
        break;
      case "pronoun case": {
        const other: Record<string, string> = {
          he: "him",
          she: "her",
          they: "them",
          we: "us",
          him: "he",
          them: "they",
          us: "we",
          me: "I",
        };
        if (other[small] && (tag === "PPS" || tag === "PPSS" || tag === "PPO"))
          replace(word, other[small]);
        break;
      }
      case "comparative":
        if ((tag === "JJR" || tag === "RBR") && /er$/.test(form) && form.length > 4) {
          places.push({ from, to, insert: `more ${form}` });
        }
        break;
      case "tense shift":
        if (
          tag === "VBD" &&
          lower(index - 1) === "and" &&
          words.slice(0, index).some((one) => one.tag === "VBD")
        ) {
          const third = table.inflect(table.verb(small), "VBZ");
          if (third !== small) replace(word, third);
        }
        break;
      case "preposition":
        if (
          tag === "IN" &&
          /^(?:of|in|on|at|for|with|to)$/.test(form) &&
          before &&
          (VERBS.has(before.tag) || before.tag === "JJ")
        ) {
          replace(
            word,
            { of: "from", in: "on", on: "in", at: "in", for: "of", with: "of", to: "for" }[form] ??
              form,
          );
        }
        break;
    }
  }
  return places;
}

/** Up to `each` errors of every kind, at most one a sentence and kind, spread over the texts. */
export function plantErrors(
  texts: readonly BrownText[],
  language: Language,
  each: number,
  random: () => number,
): PlantedError[] {
  const planted: PlantedError[] = [];
  for (const kind of ERROR_KINDS) {
    const all = texts.flatMap((text) => errorsIn(text, kind, language, random));
    const step = Math.max(1, all.length / each);
    for (let at = 0; Math.floor(at) < all.length; at += step) {
      const one = all[Math.floor(at)];
      if (one) planted.push(one);
    }
  }
  return planted;
}

/** One error of a kind in every sentence of a text that has a place for it. */
export function errorsIn(
  text: BrownText,
  kind: ErrorKind,
  language: Language,
  random: () => number,
): PlantedError[] {
  const errors: PlantedError[] = [];
  for (const [index, block] of text.blocks.entries()) {
    if (!isProse(block)) continue;
    for (const sentence of block.sentences) {
      const words = block.tokens
        .filter(({ from, to }) => from >= sentence.from && to <= sentence.to)
        .map(({ from, to, tag }) => ({ from, to, tag, form: block.text.slice(from, to) }));
      // Speech is let alone, also where it runs on from the sentence before.
      const before = block.text.slice(0, sentence.from).split('"').length - 1;
      if (before % 2 === 1 || words.some(({ form }) => form === '"')) continue;
      const places = placesFor(kind, words, language);
      const place = places[Math.floor(random() * places.length)];
      if (place) errors.push({ kind, text, block: index, ...place });
    }
  }
  return errors;
}

/** A paragraph of whole sentences, not a headline. */
function isProse({ text, sentences }: BrownBlock): boolean {
  return sentences.length > 0 && /[.?!]["')]?$/.test(text) && text.length > 60;
}
