import type { BlockKind, Span } from "../manuscript/model.ts";
import type { IrregularForms } from "./lemmas.ts";
import type { Lexicon } from "./lexicon.ts";
import type { Rewrites } from "./rewrites.ts";
import { type Sentence, splitSentences } from "./sentences.ts";
import type { Tagger } from "./tagger.ts";
import { type Token, tokenise } from "./tokens.ts";
import type { Trigrams } from "./trigrams.ts";
import { type Unit, unitsOf } from "./units.ts";

/** One block's text, analysed once and read by every check. Offsets are in the block's text. */
export interface AnalysedBlock {
  kind: BlockKind;
  text: string;
  tokens: Token[];
  sentences: Sentence[];
  /** What carries a part of speech each, and their tags as indexes into TAGS. */
  units: Unit[];
  tags: Uint8Array;
  /** Spans that lie in the block, offsets in the block's text. */
  spans: Span[];
}

/** The language data that every check may ask. */
export interface Language {
  lexicon: Lexicon;
  tagger: Tagger;
  irregular: IrregularForms;
  rewrites: Rewrites;
  /** Null until it is loaded, which nothing waits for. */
  trigrams: Trigrams | null;
}

const NO_TAGS = new Uint8Array(0);

/** Analyses one block; code gets no parts of speech. */
export function analyse(
  kind: BlockKind,
  text: string,
  spans: Span[],
  { tagger }: Language,
): AnalysedBlock {
  const tokens = tokenise(text);
  const sentences = splitSentences(text);
  if (kind === "code") return { kind, text, tokens, sentences, units: [], tags: NO_TAGS, spans };
  const units = unitsOf(text, tokens);
  const tags = tagger.tag(text, units, new Set(sentences.map(({ from }) => from)));
  return { kind, text, tokens, sentences, units, tags, spans };
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
