import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import { oncePerBlock } from "../../language/per-block.ts";
import { CODE, QUOTED } from "../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tags/tag-sets.ts";
import type { Counting, Fact } from "../check.ts";

/** A content word with its base form. */
export interface ContentWord extends Fact {
  lemma: string;
  /** As it is written. */
  word: string;
  /** The same rare word shortly before it in the block, as written there, and how many words before. */
  before: { word: string; apart: number } | null;
  /** In speech, which is not the writer's; the name of a thing; or a quality or a doing. */
  role: "quoted" | "noun" | "other";
}

/** Verbs, nouns, adjectives and adverbs that say something of the matter; not the commonest ones. */
export const contentWords = oncePerBlock((block, language: Language): ContentWord[] =>
  findContentWords(block, language),
);

function findContentWords(block: AnalysedBlock, { words: table }: Language): ContentWord[] {
  const syntax = block.syntax();
  if (!syntax || !["paragraph", "item", "quote", "note"].includes(block.kind)) return [];
  const found: ContentWord[] = [];
  const last = new Map<string, { word: string; at: number }>();
  let at = 0;
  for (let unit = 0; unit < syntax.words.length; unit++) {
    const tag = syntax.tags[unit] ?? 0;
    const word = syntax.words[unit];
    if (!word || TAG_SETS.STOP[tag]) continue;
    at++;
    const noun = tag === TAG.NN || tag === TAG.NNS;
    const verb = TAG_SETS.VERB[tag] === 1;
    if (!noun && !verb && !TAG_SETS.ADJ[tag] && tag !== TAG.RB) continue;
    if (word.frequency > TOO_COMMON || word.frequency === 0) continue;
    if (!word.plain || (syntax.places[unit] ?? 0) & CODE) continue;
    const lemma = noun ? table.noun(word.form) : verb ? table.verb(word.form) : word.form;
    const { from, to } = syntax.units[unit] ?? NOWHERE;
    const quoted = ((syntax.places[unit] ?? 0) & QUOTED) !== 0;
    const role = quoted ? "quoted" : noun ? "noun" : "other";
    const slice = block.text.slice(from, to);
    // Most words are in the table as they are written: one string for all of them.
    const written = slice === word.form ? word.form : slice;
    const same = last.get(lemma);
    last.set(lemma, { word: written, at });
    const apart = same ? at - same.at : 0;
    const near = same && word.frequency <= NEAR_COMMON && apart >= 2 && apart <= NEAR;
    const before = near ? { word: same.word, apart } : null;
    found.push({ from, to, lemma, word: written, before, role });
  }
  return found;
}

const NOWHERE = { from: 0, to: 0 };

/** log2 of the count in 50 million words: "time", "good" and "know" lie above it. */
const TOO_COMMON = 14.2;
/** The ear keeps a rarer word for a line or two. */
const NEAR_COMMON = 10.5;
const NEAR = 10;

export interface LemmaTally {
  count: number;
}

/** Both checks count words by their base forms. */
export const byLemma: Counting<ContentWord, LemmaTally> = {
  keysOf: ({ lemma }) => lemma,
  start: () => ({ count: 0 }),
  count(tally, _fact, _key, by) {
    tally.count += by;
  },
};
