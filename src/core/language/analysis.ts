import type { BlockKind, Span } from "../manuscript/model.ts";
import type { ChoiceModels } from "./choice-models.ts";
import { wordBits } from "./known.ts";
import type { IrregularForms } from "./lemmas.ts";
import { ALL_VARIETIES, type Lexicon } from "./lexicon.ts";
import type { PhraseList } from "./phrase-lists.ts";
import type { Rewrites } from "./rewrites.ts";
import { type Sentence, splitSentences } from "./sentences.ts";
import { type Syntax, syntaxOf } from "./syntax.ts";
import type { Tagger } from "./tagger.ts";
import { type Token, tokenise, type WordPart, wordParts } from "./tokens.ts";
import type { Trigrams } from "./trigrams.ts";
import { type Unit, unitsOf } from "./units.ts";
import { WordTable } from "./words.ts";

/** One block's text, analysed once and read by every check. Offsets are in the block's text. */
export interface AnalysedBlock {
  kind: BlockKind;
  text: string;
  tokens: Token[];
  sentences: Sentence[];
  /** The parts of words that not every variety's dictionary has, or that a check asks about. */
  unusual: AnalysedPart[];
  /** What carries a part of speech each, and their tags as indexes into TAGS. */
  units: Unit[];
  tags: Uint8Array;
  /** Spans that lie in the block, offsets in the block's text. */
  spans: Span[];
  /** It is one window of a long block: what opens in it may close beyond it, and its ends are none. */
  part?: boolean;
  /** Its phrases, worked out when first asked for; null for code. */
  syntax(): Syntax | null;
}

/** A word without hyphens, or one part of a hyphenated word. */
export interface AnalysedPart extends WordPart {
  text: string;
  /** Bits of the varieties whose dictionaries have it. */
  bits: number;
  /** Index of its token, which of the token's parts it is, and how many there are. */
  token: number;
  order: number;
  count: number;
}

/** The language data that every check may ask. */
export interface Language {
  lexicon: Lexicon;
  tagger: Tagger;
  irregular: IrregularForms;
  rewrites: Rewrites;
  /** Null until it is loaded, which nothing waits for. */
  trigrams: Trigrams | null;
  /** Which word or form belongs in a place; null until it is loaded, and only of use with trigrams. */
  choices: ChoiceModels | null;
  /** The texts of the phrase lists; empty until they are loaded. */
  phrases: ReadonlyMap<PhraseList, string>;
  words: WordTable;
}

/** The language data with what is made from it. */
export function assembleLanguage(parts: Omit<Language, "words">): Language {
  return { ...parts, words: new WordTable(parts.lexicon, parts.irregular) };
}

const NO_TAGS = new Uint8Array(0);

/** Analyses one block; code gets no parts of speech. */
export function analyse(
  kind: BlockKind,
  text: string,
  spans: Span[],
  { tagger, lexicon, words: table }: Language,
): AnalysedBlock {
  const tokens = tokenise(text);
  const sentences = splitSentences(text);
  const unusual = unusualParts(text, tokens, lexicon);
  const words = { kind, text, tokens, sentences, unusual, spans };
  if (kind === "code") return { ...words, units: [], tags: NO_TAGS, syntax: () => null };
  const units = unitsOf(text, tokens);
  const opens = new Set(sentences.map(({ from }) => from));
  const { words: read, tags } = tagger.tag(text, units, opens);
  if (isMonotonous(read)) return { ...words, units, tags, syntax: () => null };
  let phrases: Syntax | null = null;
  const syntax = () => {
    phrases ??= syntaxOf(text, units, table.read(read), tags, sentences, spans);
    return phrases;
  };
  return { ...words, units, tags, syntax };
}

/** Units from which on few different words tell, and the share of them that prose always exceeds. */
const LEAST_TELLING = 200;
const LEAST_DIFFERENT = 0.06;

/** Whether the same few words come over and over, as in no prose: a filling, a table of one value. */
function isMonotonous(words: ArrayLike<unknown>): boolean {
  if (words.length < LEAST_TELLING) return false;
  const different = new Set(Array.from(words));
  return different.size < LEAST_DIFFERENT * words.length;
}

function unusualParts(text: string, tokens: readonly Token[], lexicon: Lexicon): AnalysedPart[] {
  const unusual: AnalysedPart[] = [];
  const look = (from: number, to: number, token: number, order: number, count: number) => {
    const word = text.slice(from, to);
    const bits = wordBits(word, lexicon);
    if (bits === ALL_VARIETIES) return;
    unusual.push({ from, to, text: word, bits: bits & ALL_VARIETIES, token, order, count });
  };
  for (const [index, token] of tokens.entries()) {
    if (token.kind !== "word") continue;
    if (!hasHyphen(text, token)) {
      look(token.from, token.to, index, 0, 1);
      continue;
    }
    const parts = wordParts(text, token);
    for (const [order, { from, to }] of parts.entries()) {
      look(from, to, index, order, parts.length);
    }
  }
  return unusual;
}

function hasHyphen(text: string, { from, to }: Token): boolean {
  for (let at = from; at < to; at++) {
    const code = text.charCodeAt(at);
    if (code === 45 || code === 0x2010 || code === 0x2011) return true;
  }
  return false;
}

/** Where the words begin that open a sentence, whose capital is due to their place. */
export function sentenceOpenings({ sentences, tokens }: AnalysedBlock): Set<number> {
  const openings = new Set<number>();
  let index = 0;
  for (const { from } of sentences) {
    while (index < tokens.length) {
      const token = tokens[index];
      if (token && token.from >= from && token.kind === "word") {
        openings.add(token.from);
        break;
      }
      index++;
    }
  }
  return openings;
}
