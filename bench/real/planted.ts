import { misspellingPairs } from "../../scripts/corpus/misspellings.ts";
import { seeded } from "../../scripts/seeded.ts";
import { loadLanguage } from "../../src/command/checking.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import { dictionaryBits } from "../../src/core/language/words/known.ts";
import { withEdits } from "../../src/core/manuscript/layout.ts";
import type { Edit, Manuscript } from "../../src/core/manuscript/model.ts";
import type { Half, RealDocument } from "./documents.ts";

/** Words between two planted slips, at the least. */
const APART = 30;
const LETTERS = "abcdefghijklmnopqrstuvwxyz";

/** A slip of the fingers: a letter left out, doubled, swapped with the next or another one. */
function slipOf(word: string, random: () => number): string {
  const at = 1 + Math.floor(random() * (word.length - 2));
  const letter = LETTERS[Math.floor(random() * 26)] ?? "e";
  const [before, here, after] = [word.slice(0, at), word[at] ?? "", word.slice(at + 1)];
  switch (Math.floor(random() * 4)) {
    case 0:
      return before + after;
    case 1:
      return before + here + here + after;
    case 2:
      return before + (after[0] ?? "") + here + after.slice(1);
    default:
      return before + letter + after;
  }
}

/**
 * Misspellings planted in running text, published ones where there is one and slips of the fingers
 * elsewhere, and how many of them are marked.
 */
export function plantedMisspellings(
  documents: readonly RealDocument[],
  half: Half,
): { planted: number; hard: number; missed: string[] } {
  const language = loadLanguage();
  const random = seeded(half === "tune" ? 51 : 52);
  const published = new Map<string, string[]>();
  for (const { wrong, right } of misspellingPairs(half)) {
    published.set(right, [...(published.get(right) ?? []), wrong]);
  }
  let planted = 0;
  let hard = 0;
  const missed: string[] = [];
  for (const { manuscript, variety, kind } of documents.filter((one) => one.half === half)) {
    const edits: Edit[] = [];
    for (const { kind: own, from, to } of manuscript.blocks) {
      if (own !== "paragraph" && own !== "item") continue;
      const text = manuscript.text.slice(from, to);
      let words = APART / 2;
      for (const { 0: word, index } of text.matchAll(/(?<=^| )\p{Ll}{4,}(?=[ ,.]|$)/gu)) {
        if (++words < APART) continue;
        const wrongs = published.get(word);
        const insert =
          wrongs && random() < 0.7
            ? (wrongs[Math.floor(random() * wrongs.length)] ?? "")
            : slipOf(word, random);
        if (insert === word || dictionaryBits(word, language.lexicon) === 0) continue;
        if (insert.includes(" ") || dictionaryBits(insert, language.lexicon) !== 0) continue;
        words = 0;
        edits.push({ from: from + index, to: from + index + word.length, insert });
      }
    }
    const spoilt = withEdits(manuscript as Manuscript, edits);
    const engine = new Engine(spoilt, language, { variety, kind, appetites: {}, words: [] });
    for (const _ of engine.examineAll(["spelling"]));
    const places = new Map<number, string>();
    for (const mark of engine.allMarks()) {
      if (mark.weight === "weigh") continue;
      for (let at = mark.from; at < mark.to; at++)
        places.set(engine.blockRange(mark.block).from + at, mark.rule);
    }
    let shift = 0;
    for (const edit of edits) {
      planted++;
      const at = edit.from + shift;
      shift += edit.insert.length - (edit.to - edit.from);
      if (places.has(at)) hard++;
      else {
        const around = spoilt.text.slice(Math.max(0, at - 25), at + edit.insert.length + 15);
        missed.push(around.replace(/\s+/g, " "));
      }
    }
  }
  return { planted, hard, missed };
}
