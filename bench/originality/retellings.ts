import { readFileSync } from "node:fs";
import { RetoldSources, stemmedText } from "../../src/core/originality/retellings.ts";
import { comparedWords } from "../../src/core/originality/words.ts";

/** Passages of the Brown corpus told again by hand, before the threshold was set: its text, then the retelling. */
const RETELLINGS = new URL("../data/retellings.tsv", import.meta.url);

/**
 * Human retellings found as possible, and windows of texts that share nothing with the sources asked about.
 * `sources` are by their name in the corpus.
 */
export function benchRetellings(
  sources: ReadonlyMap<string, string>,
  unrelated: readonly string[],
): void {
  const retold = new RetoldSources();
  for (const [id, text] of sources) retold.add(id, text);
  const find = (text: string) => retold.find(stemmedText(text, comparedWords(text)));
  const own = readFileSync(RETELLINGS, "utf8")
    .trim()
    .split("\n")
    .map((line) => line.split("\t"))
    .filter(([id = ""]) => sources.has(id));
  const found = own.filter(([id, text = ""]) => find(text).some(({ source }) => source === id));
  let words = 0;
  let asked = 0;
  const start = performance.now();
  for (const text of unrelated) {
    words += comparedWords(text).hashes.length;
    for (const paragraph of text.split("\n\n"))
      for (const { from, to } of find(paragraph)) asked += to - from;
  }
  const pace = words / (performance.now() - start) / 1000;
  console.log(
    `\nTold again by hand: ${found.length} of ${own.length} found as possible; of ${words} words that share nothing ${((100 * asked) / words).toFixed(2)}% asked about (${pace.toFixed(2)} M words/s)`,
  );
  const missed = own.filter((one) => !found.includes(one)).map(([id]) => id);
  if (missed.length > 0) console.log(`  not found: ${missed.join(", ")}`);
}
