import { type BrownText, brownTexts } from "../../scripts/corpus/brown.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { claimsOf } from "../../src/core/originality/claims.ts";
import { Collection, printsOf } from "../../src/core/originality/collection.ts";
import { Comparison } from "../../src/core/originality/comparison.ts";
import { overlapsIn } from "../../src/core/originality/overlaps.ts";
import { comparedBlocks, StockPhrases } from "../../src/core/originality/regions.ts";
import { comparedWords } from "../../src/core/originality/words.ts";
import { seeded } from "../../test/support/random.ts";
import { benchOriginalityPace } from "./pace.ts";
import { KINDS_PLANTED, LISTED_SOURCE, plantedDocuments } from "./planting.ts";
import { benchRetellings } from "./retellings.ts";
import { benchVoice } from "./voice.ts";

const textOf = ({ blocks }: BrownText) => blocks.map(({ text }) => text).join("\n\n");

/** The share of planted passages to be found, of each kind. */
const GOALS: Partial<Record<string, number>> = {
  "word for word": 100,
  edited: 98,
  "sentences reordered": 98,
  "30% synonyms": 90,
  "all content words": 50,
  mosaic: 95,
};
/** A passage is found when so much of it is marked. */
const COVERED: Partial<Record<string, number>> = { "30% synonyms": 0.5, "all content words": 0.5 };
const USUALLY_COVERED = 0.8;

export async function benchOriginality(): Promise<void> {
  const half = process.env["HALF"] === "tune" ? 1 : 0;
  const show = process.env["SHOW"] ?? "";
  const texts = brownTexts().filter((_, index) => index % 2 === half);
  const sources = texts.filter((_, index) => index % 3 !== 0);
  const hosts = texts.filter((_, index) => index % 3 === 0);
  const collection = new Collection();
  const originals = new Map(sources.map((one) => [one.id, textOf(one)]));
  originals.set("list", LISTED_SOURCE);
  for (const [id, text] of originals) {
    const words = comparedWords(text).hashes;
    collection.add([{ id, prints: printsOf(words), words }]);
  }
  benchRetellings(originals, hosts.map(textOf));
  if (process.env["ONLY"] === "retellings") return;
  const documents = await plantedDocuments(hosts, sources, seeded(20));
  const found = new Map<string, number>();
  const asked = new Map<string, number>();
  const known = Object.assign(collection, { isOwn: () => false });
  const keptOut = new Map<string, { words: number; out: number }>();
  let outside = 0;
  let clear = 0;
  for (const { text, planted } of documents) {
    const words = comparedWords(text);
    const overlaps = overlapsIn(words.hashes, collection);
    const marked = new Uint8Array(text.length);
    const counted = new Uint8Array(text.length);
    for (const claim of claimsOf(overlaps, words.hashes.length)) {
      for (const [from, to] of claim.counted) {
        const [start, end] = [words.from[from] ?? 0, words.to[to - 1] ?? 0];
        marked.fill(1, start, end);
        if (claim.tier !== "possible") counted.fill(1, start, end);
        if (show === "outside" && !planted.some((one) => one.from < end && one.to > start))
          console.log(
            claim.tier,
            claim.source,
            claim.pairs.length,
            claim.identity.toFixed(2),
            text.slice(start, end),
          );
      }
    }
    for (const { kind, from, to } of planted) {
      const covered = marked.subarray(from, to).reduce((sum, one) => sum + one, 0) / (to - from);
      asked.set(kind, (asked.get(kind) ?? 0) + 1);
      if (covered >= (COVERED[kind] ?? USUALLY_COVERED))
        found.set(kind, (found.get(kind) ?? 0) + 1);
      else if (show === kind) console.log(`${covered.toFixed(2)}: ${text.slice(from, to)}\n`);
    }
    const { passages } = new Comparison(known, new StockPhrases("")).lookAtOnce(
      comparedBlocks(linesManuscript(text)),
    );
    for (const { kind, from, to } of planted) {
      const sum = keptOut.get(kind) ?? { words: 0, out: 0 };
      keptOut.set(kind, sum);
      for (const passage of passages) {
        if (passage.from < from || passage.to > to + 2) continue;
        const own = passage.words[1] - passage.words[0];
        sum.words += own;
        if (passage.keptOut) sum.out += own;
        else if (show === "counted" && (kind === "quoted and cited" || kind === "reference list"))
          console.log(`${kind}: ${text.slice(Math.max(0, passage.from - 60), passage.to + 60)}\n`);
      }
    }
    const inside = new Uint8Array(text.length);
    for (const { from, to } of planted) inside.fill(1, from, to);
    for (let at = 0; at < text.length; at++) {
      if (inside[at]) continue;
      clear++;
      outside += counted[at] ?? 0;
    }
  }
  console.log(
    `\nPassages planted in ${documents.length} texts, ${originals.size} sources of ${collection.words} words`,
  );
  for (const kind of KINDS_PLANTED) {
    const [hit, all] = [found.get(kind) ?? 0, asked.get(kind) ?? 0];
    const goal = GOALS[kind];
    const share = (100 * hit) / Math.max(1, all);
    const verdict =
      goal === undefined ? "" : share >= goal ? ` at least ${goal}: yes` : ` at least ${goal}: NO`;
    console.log(`${kind.padEnd(24)} ${hit} of ${all} (${share.toFixed(1)}%)${verdict}`);
  }
  for (const kind of ["quoted and cited", "reference list", "word for word"]) {
    const { words, out } = keptOut.get(kind) ?? { words: 0, out: 0 };
    console.log(
      `kept out of ${kind}: ${((100 * out) / Math.max(1, words)).toFixed(1)}% of ${words} words`,
    );
  }
  console.log(`characters counted outside: ${((100 * outside) / clear).toFixed(3)}% of ${clear}`);
  benchVoice(texts.map(textOf));
  if (half === 0) await benchOriginalityPace(hosts.map(textOf));
}
