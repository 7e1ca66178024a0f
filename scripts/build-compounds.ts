import { readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { ADJECTIVE, Lexicon, NOUN } from "../src/core/language/words/lexicon.ts";
import { wordNetTraits } from "./corpus/wordnet.ts";
import { recordInputs } from "./inputs.ts";

/**
 * Builds data/compounds.txt: compounds of two words as the dictionaries have them, in one piece or with a
 * hyphen, a line each. What a word in one piece is put together from is the cut whose rarer part is the
 * commonest; most words have none.
 */
const DATA = path.resolve(import.meta.dirname, "../data");
const lexicon = new Lexicon(new Uint8Array(readFileSync(path.join(DATA, "lexicon.bin"))));

/** Parts rarer than this make compounds by chance: log2 of the count in 50 million words. */
const LEAST_FREQUENCY = 8;
const SHORTEST = 3;
/** Short words that do stand in compounds. */
const SHORT_PARTS = new Set("by in on up to of".split(" "));
/** Second parts that are endings rather than words. */
const ENDINGS = new Set(
  "able age ally ant ate ence ency ent ess est ful ham ian ing ion ism ist ity less man men ment ness ship son ton ted ting tion wise ward wards".split(
    " ",
  ),
);

const isPart = (part: string) =>
  (part.length >= SHORTEST || SHORT_PARTS.has(part)) &&
  lexicon.varieties(part) !== 0 &&
  !lexicon.isRare(part) &&
  lexicon.frequency(part) >= LEAST_FREQUENCY;

function isCompound(word: string): boolean {
  if (lexicon.varieties(word) === 0 || lexicon.isRare(word)) return false;
  for (let at = 2; at <= word.length - 2; at++) {
    const second = word.slice(at);
    if (!ENDINGS.has(second) && isPart(word.slice(0, at)) && isPart(second)) return true;
  }
  return false;
}

const lines = new Set<string>();
for (const [entry, traits] of wordNetTraits()) {
  if (!(traits & (NOUN | ADJECTIVE))) continue;
  if (/^[a-z]{2,}-[a-z]{2,}$/.test(entry)) lines.add(entry);
  else if (/^[a-z]{6,}$/.test(entry) && isCompound(entry)) lines.add(entry);
}
const text = [...lines].sort().join("\n");
writeFileSync(path.join(DATA, "compounds.txt"), text);
recordInputs("compounds.txt");
console.log(`${lines.size} compounds, ${text.length} bytes`);
