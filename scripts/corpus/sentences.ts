import type { Language } from "../../src/core/language/analysis.ts";
import { splitSentences } from "../../src/core/language/sentences.ts";
import { type Syntax, syntaxOf } from "../../src/core/language/syntax.ts";
import { tokenise } from "../../src/core/language/tokens.ts";
import { unitsOf } from "../../src/core/language/units.ts";
import { brownTexts } from "./brown.ts";
import { ESSAYS, htmlFiles, MANUALS, readPage } from "./manuals.ts";
import { paragraphs } from "./texts.ts";

/** Clean sentences to learn from, each once. */
export interface TrainingSentences {
  /** Brown's training part, which is carefully edited. */
  prose: string[];
  /** Essays, speeches and tales. */
  general: string[];
  /** The manuals for training. */
  manuals: string[];
}

export function trainingSentences(): TrainingSentences {
  const prose: string[] = [];
  for (const { part, blocks } of brownTexts()) {
    if (part !== "train") continue;
    for (const { text, sentences: places } of blocks) {
      for (const { from, to } of places) take(prose, text.slice(from, to));
    }
  }
  const general = ESSAYS.flatMap(sentencesOfPages);
  for (const paragraph of paragraphs()) {
    for (const { from, to } of splitSentences(paragraph)) {
      takeWhole(general, paragraph.slice(from, to).trim());
    }
  }
  const manuals = MANUALS.train.flatMap(sentencesOfPages);
  return {
    prose: [...new Set(prose)],
    general: [...new Set(general)],
    manuals: [...new Set(manuals)],
  };
}

/** Sentences of running text without code. */
function sentencesOfPages(folder: string): string[] {
  const sentences: string[] = [];
  for (const file of htmlFiles(folder)) {
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
        takeWhole(sentences, line.slice(place.from, place.to));
      }
    }
  }
  return sentences;
}

function takeWhole(sentences: string[], sentence: string): void {
  if (/^[A-Z].*[a-z].*\.$/.test(sentence)) take(sentences, sentence);
}

/** Words below and above which a sentence teaches nothing. */
const SHORTEST = 4;
const LONGEST = 80;

function take(sentences: string[], sentence: string): void {
  const words = sentence.split(" ").length;
  if (words >= SHORTEST && words <= LONGEST) sentences.push(sentence);
}

/** The phrases of one sentence that stands alone. */
export function readSentence(text: string, { tagger, words }: Language): Syntax {
  const units = unitsOf(text, tokenise(text));
  const { words: read, tags } = tagger.tag(text, units, new Set([0]));
  return syntaxOf(text, units, words.read(read), tags, [{ from: 0, to: text.length }], []);
}
