import type { AnalysedBlock } from "../language/analysis.ts";
import type { BlockKind } from "../manuscript/model.ts";

/** Plain counts of a text; every figure on screen can be traced to these. */
export interface Counts {
  /** Words and numbers; a hyphenated compound is one. */
  words: number;
  /** Sentences of running prose: headings, table cells, captions and references have none. */
  sentences: number;
  /** Words that stand in those sentences. */
  proseWords: number;
  /** Characters, spaces included, without the separators between blocks. */
  characters: number;
  /** Blocks that hold text. */
  paragraphs: number;
}

export const NO_COUNTS: Counts = {
  words: 0,
  sentences: 0,
  proseWords: 0,
  characters: 0,
  paragraphs: 0,
};

/** Silent reading of English non-fiction: 238 words a minute (Brysbaert 2019, a review of 190 studies). */
export const WORDS_A_MINUTE = 238;

const PROSE = new Set<BlockKind>(["paragraph", "item", "quote", "note"]);

/** Words on a page of typescript; common practice. */
export const WORDS_A_PAGE = 250;

/** Reading aloud to an audience: 150 words a minute; common practice. */
export const SPOKEN_WORDS_A_MINUTE = 150;

/** Counts of one block. */
export function countBlock({ kind, text, tokens, sentences }: AnalysedBlock): Counts {
  let words = 0;
  for (const { kind } of tokens) if (kind !== "punctuation" && kind !== "object") words++;
  return {
    words,
    sentences: PROSE.has(kind) && words > 0 ? sentences.length : 0,
    proseWords: PROSE.has(kind) ? words : 0,
    characters: text.length,
    paragraphs: words > 0 ? 1 : 0,
  };
}

/** The counts added up. */
export function addCounts(all: Iterable<Counts>): Counts {
  const total = { ...NO_COUNTS };
  for (const one of all) {
    total.words += one.words;
    total.sentences += one.sentences;
    total.proseWords += one.proseWords;
    total.characters += one.characters;
    total.paragraphs += one.paragraphs;
  }
  return total;
}

/** What is left of counts when those of a part are taken out. */
export function subtractCounts(all: Counts, part: Counts): Counts {
  return {
    words: all.words - part.words,
    sentences: all.sentences - part.sentences,
    proseWords: all.proseWords - part.proseWords,
    characters: all.characters - part.characters,
    paragraphs: all.paragraphs - part.paragraphs,
  };
}
