import type { Language } from "../../src/core/language/analysis.ts";
import { splitSentences } from "../../src/core/language/sentences.ts";
import { type Syntax, syntaxOf } from "../../src/core/language/syntax.ts";
import { tokenise } from "../../src/core/language/tokens.ts";
import { unitsOf } from "../../src/core/language/units.ts";
import { brownTexts } from "./brown.ts";
import { ESSAYS, htmlFiles, MANUALS, readPage } from "./manuals.ts";

/** Clean sentences to learn from: Brown's training part; essays and the manuals for training. */
export function trainingSentences(): { prose: string[]; others: string[] } {
  const prose: string[] = [];
  for (const { part, blocks } of brownTexts()) {
    if (part !== "train") continue;
    for (const { text, sentences: places } of blocks) {
      for (const { from, to } of places) take(prose, text.slice(from, to));
    }
  }
  const sentences: string[] = [];
  for (const folder of [...ESSAYS, ...MANUALS.train]) {
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
          const sentence = line.slice(place.from, place.to);
          if (/^[A-Z].*[a-z].*\.$/.test(sentence)) take(sentences, sentence);
        }
      }
    }
  }
  return { prose: [...new Set(prose)], others: [...new Set(sentences)] };
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
  const tags = tagger.tag(text, units, new Set([0]));
  return syntaxOf(text, units, tags, [{ from: 0, to: text.length }], [], words);
}
