import type { BlockKind, Span } from "../manuscript/model.ts";
import type { Rewrites } from "./corrections/rewrites.ts";
import { ChoiceModels } from "./models/choice-models.ts";
import type { Trigrams } from "./models/trigrams.ts";
import type { PhraseList } from "./phrases/phrase-lists.ts";
import { type Syntax, syntaxOf } from "./phrases/syntax.ts";
import type { Tagger } from "./tags/tagger.ts";
import { type Sentence, splitSentences } from "./text/sentences.ts";
import { type Structure, structureOf } from "./text/structure.ts";
import { type Token, tokenise, type WordPart, wordParts } from "./text/tokens.ts";
import { type Unit, unitsOf } from "./text/units.ts";
import { type CompoundWords, NO_COMPOUNDS } from "./words/compounds.ts";
import { wordBits } from "./words/known.ts";
import type { IrregularForms } from "./words/lemmas.ts";
import { ALL_VARIETIES, type Lexicon } from "./words/lexicon.ts";
import { Syllables } from "./words/syllables.ts";
import type { WordClasses } from "./words/word-classes.ts";
import { WordMeasurer } from "./words/word-figures.ts";
import { WordTable, type WrittenWord } from "./words/words.ts";

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
  /** The units as they are written, and what they were read as. */
  written: readonly WrittenWord[];
  /** Spans that lie in the block, offsets in the block's text. */
  spans: Span[];
  /** It is one window of a long block: what opens in it may close beyond it, and its ends are none. */
  part?: boolean;
  /** What it is beside its words. */
  structure: Structure;
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

/** The language data that every check may ask. It never changes: where more arrives, another takes its place. */
export interface Language {
  readonly lexicon: Lexicon;
  readonly tagger: Tagger;
  readonly irregular: IrregularForms;
  readonly rewrites: Rewrites;
  /** Terms and names that no dictionary has, as they are written. */
  readonly terms: ReadonlySet<string>;
  /** Null before the data for grammar has arrived. */
  readonly trigrams: Trigrams | null;
  /** Which word or form belongs in a place; null likewise. */
  readonly choices: ChoiceModels | null;
  /** The texts of the phrase lists; empty likewise. */
  readonly phrases: ReadonlyMap<PhraseList, string>;
  readonly words: WordTable;
  /** What measures count in words; without its list of exceptions before the data for grammar are there. */
  readonly measurer: WordMeasurer;
  /** Compounds the dictionaries have; none before the data for grammar are there. */
  readonly compounds: CompoundWords;
}

/** What the spelling pass needs. */
export type BaseParts = Pick<Language, "lexicon" | "tagger" | "irregular" | "rewrites" | "terms">;

/** What the other passes need beside. */
export interface GrammarParts {
  trigrams: Trigrams;
  classes: WordClasses;
  phrases: Language["phrases"];
  /** The choice models as their file has them; null where there is none. */
  choices: Uint8Array | null;
  syllables: Syllables;
  compounds: CompoundWords;
}

/** A file that is kept in several, put together. */
export function joinedBytes(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((length, part) => length + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

const NO_EXCEPTIONS = new Syllables("");

/** The language data of the spelling pass. */
export function baseLanguage(parts: BaseParts): Language {
  const words = new WordTable(parts.lexicon, parts.irregular);
  const measurer = new WordMeasurer(NO_EXCEPTIONS, parts.lexicon, parts.irregular);
  const none = { trigrams: null, choices: null, phrases: new Map(), compounds: NO_COMPOUNDS };
  return { ...parts, words, measurer, ...none };
}

/** The language data of all passes, from that of the spelling pass. */
export function fullLanguage(base: Language, parts: GrammarParts): Language {
  const { trigrams, classes, phrases, choices, syllables, compounds } = parts;
  const words = new WordTable(base.lexicon, base.irregular, classes);
  return {
    ...base,
    words,
    trigrams,
    phrases,
    compounds,
    measurer: new WordMeasurer(syllables, base.lexicon, base.irregular),
    choices: choices && new ChoiceModels(choices, words),
  };
}

const NO_TAGS = new Uint8Array(0);
const NO_UNITS: readonly never[] = [];

/** Analyses one block; code gets no parts of speech. */
export function analyse(
  kind: BlockKind,
  text: string,
  spans: Span[],
  language: Language,
  part = false,
): AnalysedBlock {
  const { tagger, lexicon } = language;
  const tokens = tokenise(text);
  const sentences = splitSentences(text);
  const unusual = unusualParts(text, tokens, lexicon);
  const unknown = unknownWords(unusual, lexicon);
  const structure = structureOf(kind, text, spans, unknown);
  const words = { kind, text, tokens, sentences, unusual, spans, part, structure };
  if (kind === "code") {
    return asRead({ ...words, units: [], tags: NO_TAGS, written: NO_UNITS }, language);
  }
  const units = unitsOf(text, tokens);
  const opens = new Set(sentences.map(({ from }) => from));
  const { words: written, tags } = tagger.tag(text, units, opens);
  return asRead({ ...words, units, tags, written }, language);
}

/** An analysed block with its words read by some state of the language data. */
export function asRead(
  block: Omit<AnalysedBlock, "syntax">,
  { words: table }: Language,
): AnalysedBlock {
  const { kind, text, units, written, tags, sentences, spans } = block;
  let phrases: Syntax | null | undefined;
  const syntax = () => {
    if (phrases === undefined) {
      const none = kind === "code" || isMonotonous(written);
      phrases = none ? null : syntaxOf(text, units, table.read(written), tags, sentences, spans);
    }
    return phrases;
  };
  return { ...block, syntax };
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

/** Words that no dictionary has, not even without their accents. */
function unknownWords(unusual: readonly AnalysedPart[], lexicon: Lexicon): string[] {
  return unusual.flatMap(({ bits, text }) => {
    if (bits !== 0) return [];
    const plain = text.normalize("NFD").replace(/\p{M}/gu, "");
    return plain !== text && lexicon.varietiesInText(plain) !== 0 ? [] : [text];
  });
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
