import type { BlockKind, Span } from "../manuscript/model.ts";
import type { Lexicon } from "./lexicon.ts";
import { type Sentence, splitSentences } from "./sentences.ts";
import { type Token, tokenise } from "./tokens.ts";

/** One block's text, analysed once and read by every check. Offsets are in the block's text. */
export interface AnalysedBlock {
  kind: BlockKind;
  text: string;
  tokens: Token[];
  sentences: Sentence[];
  /** Spans that lie in the block, offsets in the block's text. */
  spans: Span[];
}

/** What every check may ask about the language. */
export interface Language {
  lexicon: Lexicon;
}

/** Analyses one block. */
export function analyse(kind: BlockKind, text: string, spans: Span[]): AnalysedBlock {
  return { kind, text, tokens: tokenise(text), sentences: splitSentences(text), spans };
}
