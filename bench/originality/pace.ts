import { readFileSync } from "node:fs";
import path from "node:path";
import { brotliDecompressSync } from "node:zlib";
import { readTxt } from "../../src/core/formats/txt/format.ts";
import { askedPlaces } from "../../src/core/originality/asking.ts";
import { Collection, printsOf, type SourcePrints } from "../../src/core/originality/collection.ts";
import { Comparison } from "../../src/core/originality/comparison.ts";
import { comparedBlocks, StockPhrases } from "../../src/core/originality/regions.ts";
import { totalsOf, USUALLY_COUNTED } from "../../src/core/originality/totals.ts";
import { comparedWords } from "../../src/core/originality/words.ts";
import { report, time } from "../timing.ts";

const FOLDER = path.resolve(import.meta.dirname, "../../data/collection");

/** The texts of the collection that ships. */
export function shippedTexts(): { id: string; text: string }[] {
  const unpacked = (name: string) =>
    JSON.parse(brotliDecompressSync(readFileSync(path.join(FOLDER, name))).toString("utf8"));
  const rows: { id: string; file: number }[] = unpacked("catalogue.br");
  const files = [...new Set(rows.map(({ file }) => file))].map((file) => unpacked(`${file}.br`));
  return rows.map(({ id, file }, index) => ({ id, text: files[file][index % 128] }));
}

/** How long it takes over some 20 million words of sources, and what leaves the browser. */
export async function benchOriginalityPace(unrelated: readonly string[]): Promise<void> {
  const texts = shippedTexts();
  let started = performance.now();
  const prints: { id: string; prints: SourcePrints; words: Uint32Array }[] = [];
  let words = 0;
  for (const { id, text } of texts) {
    const { hashes } = comparedWords(text);
    words += hashes.length;
    prints.push({ id, prints: printsOf(hashes), words: hashes });
  }
  const shipped = new Collection();
  shipped.add(prints);
  const seconds = (performance.now() - started) / 1000;
  const size = shipped.toBytes().length;
  console.log(
    `\nindex of ${texts.length} texts, ${words} words: ${(words / seconds / 1e6).toFixed(2)} M words/s (at least 1.5), ${(size / words).toFixed(2)} bytes a word (at most 3)`,
  );
  // The same texts in other words three times more: some 22 million words in all.
  const large = new Collection();
  large.add(prints);
  for (const salt of [0x1234567, 0x89abcd, 0x5a5a5a5]) {
    large.add(
      prints.map(({ id, words: own }) => {
        const salted = own.map((hash) => (hash ^ salt) >>> 0);
        return { id: `${id}+${salt}`, prints: printsOf(salted), words: salted };
      }),
    );
  }
  const known = { isOwn: () => false };
  const sources = Object.assign(large, known);
  const stock = new StockPhrases("");
  const paper = manuscriptOf(
    `${unrelated.join("\n\n").slice(0, 55_000)}\n\n${texts[900]?.text.slice(0, 8000)}`,
  );
  const blocks = comparedBlocks(paper);
  report(
    `a paper of 10,000 words over ${(large.words / 1e6).toFixed(1)} M words, aligned`,
    await time(9, () => new Comparison(sources, stock).lookAtOnce(blocks)),
    150,
  );
  const { hashes } = comparedWords(paper.text);
  const question = askedPlaces(printsOf(hashes)).length;
  console.log(
    `what leaves the browser for ${hashes.length} words: ${question} bytes (at most 40,000 with the places asked for)`,
  );
  const book = manuscriptOf(unrelated.join("\n\n").slice(0, 560_000));
  const bookBlocks = comparedBlocks(book);
  const isolated = Object.assign(shipped, known);
  report(
    `a book of ${comparedWords(book.text).hashes.length} words beside the collection`,
    await time(3, () => new Comparison(isolated, stock).lookAtOnce(bookBlocks)),
    3000,
  );
  const comparison = new Comparison(isolated, stock);
  comparison.lookAtOnce(bookBlocks);
  const edits = await time(20, () => {
    const at = Math.floor(Math.random() * bookBlocks.length);
    const block = bookBlocks[at];
    if (block) bookBlocks[at] = { ...block, text: `${block.text} tide` };
    comparison.lookAtOnce(bookBlocks);
  });
  report("an edit in it, measured again", edits, 50);
  started = performance.now();
  let counted = 0;
  let all = 0;
  for (const text of unrelated) {
    const found = new Comparison(isolated, stock).lookAtOnce(comparedBlocks(manuscriptOf(text)));
    const totals = totalsOf(found.passages, found.words, USUALLY_COUNTED);
    counted += totals.words;
    all += totals.all;
    if (process.env["SHOW"] === "unrelated")
      for (const { from, to, source } of found.passages)
        console.log(source, manuscriptOf(text).text.slice(from, to));
  }
  console.log(
    `unrelated texts beside the collection: ${counted} of ${all} words counted, ${((100 * counted) / all).toFixed(3)}% (at most 0.1)`,
  );
}

function manuscriptOf(text: string) {
  return readTxt(new TextEncoder().encode(text), "bench.txt");
}
