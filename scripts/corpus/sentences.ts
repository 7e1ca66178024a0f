import type { Language } from "../../src/core/language/analysis.ts";
import { type Syntax, syntaxOf } from "../../src/core/language/phrases/syntax.ts";
import { splitSentences } from "../../src/core/language/text/sentences.ts";
import { tokenise } from "../../src/core/language/text/tokens.ts";
import { unitsOf } from "../../src/core/language/text/units.ts";
import { brownTexts } from "./brown.ts";
import { ESSAYS, htmlFiles, MANUALS, readPage } from "./manuals.ts";
import { proseTexts } from "./texts.ts";

/** Clean sentences to learn from, each once, text by text. */
export interface TrainingSentences {
  /** Brown's training part, which is carefully edited. */
  prose: string[][];
  /** Essays, speeches and tales. */
  general: string[][];
  /** The manuals for training. */
  manuals: string[][];
}

export function trainingSentences(): TrainingSentences {
  const prose = brownTexts().filter(({ part }) => part === "train");
  return {
    prose: onlyOnce(
      prose.map(({ blocks }) =>
        blocks.flatMap(({ text, sentences }) =>
          sentences.map(({ from, to }) => text.slice(from, to)).filter(isLongEnough),
        ),
      ),
    ),
    general: onlyOnce([...ESSAYS.flatMap(pagesOf), ...proseTexts().map(sentencesOfParagraphs)]),
    manuals: onlyOnce(MANUALS.train.flatMap(pagesOf)),
  };
}

/** Leaves each sentence where it stands first. */
function onlyOnce(texts: readonly string[][]): string[][] {
  const seen = new Set<string>();
  return texts.map((sentences) =>
    sentences.filter((sentence) => !seen.has(sentence) && seen.add(sentence)),
  );
}

function sentencesOfParagraphs(paragraphs: readonly string[]): string[] {
  return paragraphs
    .flatMap((paragraph) =>
      splitSentences(paragraph).map(({ from, to }) => paragraph.slice(from, to).trim()),
    )
    .filter(isWhole);
}

/** Sentences of running text without code, page by page. */
function pagesOf(folder: string): string[][] {
  return htmlFiles(folder).map((file) => {
    const sentences: string[] = [];
    const { text, spans } = readPage(file);
    let at = 0;
    for (const line of text.split("\n")) {
      const from = at;
      at += line.length + 1;
      if (line.length < 40) continue;
      const coded = spans.filter((span) => span.from >= from && span.to <= at);
      for (const place of splitSentences(line)) {
        if (coded.some((span) => span.from < from + place.to && span.to > from + place.from))
          continue;
        sentences.push(line.slice(place.from, place.to));
      }
    }
    return sentences.filter(isWhole);
  });
}

function isWhole(sentence: string): boolean {
  return /^[A-Z].*[a-z].*\.$/.test(sentence) && isLongEnough(sentence);
}

/** Words below and above which a sentence teaches nothing. */
const SHORTEST = 4;
const LONGEST = 80;

function isLongEnough(sentence: string): boolean {
  const words = sentence.split(" ").length;
  return words >= SHORTEST && words <= LONGEST;
}

/** The phrases of one sentence that stands alone. */
export function readSentence(text: string, { tagger, words }: Language): Syntax {
  const units = unitsOf(text, tokenise(text));
  const { words: read, tags } = tagger.tag(text, units, new Set([0]));
  return syntaxOf(text, units, words.read(read), tags, [{ from: 0, to: text.length }], []);
}
