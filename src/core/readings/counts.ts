import type { AnalysedBlock } from "../language/analysis.ts";
import { countWords } from "../language/text/runs.ts";
import type { BlockKind } from "../manuscript/model.ts";

/** Plain counts of a text; every figure on screen can be traced to these. */
export interface Counts {
  /** Runs without spaces that hold a letter or digit (`language/text/runs.ts`). */
  words: number;
  /** Sentences of running prose: headings, table cells, captions and references have none. */
  sentences: number;
  /** Words that stand in those sentences. */
  proseWords: number;
  /** Characters, spaces included, without the separators between blocks. */
  characters: number;
  /** Blocks that hold text and are neither headings nor list items, cells or listings. */
  paragraphs: number;
  /** Of these, blocks that no check reads: code and listings, columns, the head of a mail and what it quotes, other languages. */
  code: number;
  columns: number;
  mail: number;
  foreign: number;
}

export const NO_COUNTS: Counts = {
  words: 0,
  sentences: 0,
  proseWords: 0,
  characters: 0,
  paragraphs: 0,
  code: 0,
  columns: 0,
  mail: 0,
  foreign: 0,
};
const COUNTED = Object.keys(NO_COUNTS) as (keyof Counts)[];

/** Silent reading of English non-fiction: 238 words a minute (Brysbaert 2019, a review of 190 studies). */
export const WORDS_A_MINUTE = 238;

const PROSE = new Set<BlockKind>(["paragraph", "item", "quote", "note"]);

/** Words on a page of typescript; common practice. */
export const WORDS_A_PAGE = 250;

/** Reading aloud to an audience: 150 words a minute; common practice. */
export const SPOKEN_WORDS_A_MINUTE = 150;

/** Whether a block is a paragraph as it is counted: neither heading nor list item, cell or listing. */
export function isParagraph(kind: BlockKind): boolean {
  return kind !== "heading" && kind !== "item" && kind !== "cell" && kind !== "code";
}

/** Counts of one block. */
export function countBlock(block: AnalysedBlock): Counts {
  const { kind, text, sentences } = block;
  const words = countWords(text);
  return {
    words,
    sentences: PROSE.has(kind) && words > 0 ? sentences.length : 0,
    proseWords: PROSE.has(kind) ? words : 0,
    characters: text.length,
    paragraphs: words > 0 && isParagraph(kind) ? 1 : 0,
    ...unread(block),
  };
}

/** Which kind of unread block this is. */
function unread({ kind, structure }: AnalysedBlock) {
  const is = (one: boolean) => (one ? 1 : 0);
  const { shape } = structure;
  return {
    code: is(kind === "code" || shape === "code"),
    columns: is(shape === "columns"),
    mail: is(shape === "header" || shape === "quoted"),
    foreign: is(shape === "foreign"),
  };
}

/** The counts added up. */
export function addCounts(all: Iterable<Counts>): Counts {
  const total = { ...NO_COUNTS };
  for (const one of all) for (const name of COUNTED) total[name] += one[name];
  return total;
}

/** What is left of counts when those of a part are taken out. */
export function subtractCounts(all: Counts, part: Counts): Counts {
  const left = { ...all };
  for (const name of COUNTED) left[name] -= part[name];
  return left;
}
