import { existsSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { loadLanguage } from "../src/command/checking.ts";
import { channelCost } from "../src/core/language/corrections/edit-cost.ts";
import { dictionaryBits } from "../src/core/language/words/known.ts";
import { recordInputs } from "./inputs.ts";

/**
 * Builds data/terms.txt: words and names that no dictionary has and that many unrelated packages use in
 * the one line that says what they are; with them the words of computing that ship as a subject.
 * Takes lists of packages as the registries give them out,
 * tab-separated with the name first and the summary last: `npm run build:terms -- npm.tsv pypi.tsv`.
 */
const DATA = path.resolve(import.meta.dirname, "../data");
/** Packages of different makers that use a word. */
const LEAST_USES = 9;
/** A word that stands so much more often, and this near, is what was meant. */
const SLIP_COST = 1.15;
const SLIP_SHARE = 8;
const SURE_SHARE = 40;

const language = loadLanguage();
const { lexicon, rewrites } = language;

const uses = new Map<string, number>();
const seen = new Set<string>();
const files = process.argv.slice(2).filter((file) => existsSync(file));
if (files.length === 0) throw new Error("which lists of packages?");
for (const file of files) {
  for (const line of readFileSync(file, "utf8").split("\n")) {
    const fields = line.split("\t");
    const maker = (fields[0] ?? "").replace(/^@/, "").split(/[/._-]/)[0] ?? "";
    const summary = fields.at(-1) ?? "";
    const own = new Set(
      Array.from(
        summary.matchAll(/(?<![\p{L}\p{N}@#_./:'’-])\p{L}{3,18}(?![\p{L}\p{N}_/:@'’(-]|\.\p{L})/gu),
        ([word]) => word,
      ),
    );
    for (const word of own) {
      const key = `${maker} ${word}`;
      if (seen.has(key)) continue;
      seen.add(key);
      uses.set(word, (uses.get(word) ?? 0) + 1);
    }
  }
}

const of = (word: string) => uses.get(word) ?? 0;

/** Whether a word is a slip for one that is used far more. */
function isSlip(word: string, count: number): boolean {
  const lower = word.toLowerCase();
  const variety = "en-US";
  for (const { word: near } of lexicon.near(
    lower,
    lower.length > 7 ? 2 : 1,
    variety,
    "common",
    1,
  )) {
    if (of(near) < SLIP_SHARE * count) continue;
    // "configs", "indexer": built from it, not a slip for it.
    if (
      lower.startsWith(near) &&
      /^(?:s|er|ers|able|less|ize|ized|izer)$/.test(lower.slice(near.length))
    )
      continue;
    const rare = of(near) >= SURE_SHARE * count && Math.abs(near.length - lower.length) <= 1;
    if (rare || channelCost(lower, near.toLowerCase(), rewrites) < SLIP_COST) return true;
  }
  // Two words run together: "opensource".
  for (let at = 3; at <= lower.length - 3; at++) {
    const pair = `${lower.slice(0, at)} ${lower.slice(at)}`;
    if (PAIRS.has(pair)) return true;
  }
  return false;
}
const PAIRS = new Set(["open source", "machine learning", "real time", "high performance"]);

const found: string[] = [];
for (const [word, count] of uses) {
  if (count < LEAST_USES || !/^[A-Za-z]+$/.test(word)) continue;
  const small = word === word.toLowerCase();
  const inner = /^\p{L}+\p{Lu}/u.test(word) && /\p{Ll}/u.test(word);
  if (!small && !inner) continue;
  if (dictionaryBits(word, lexicon) !== 0) continue;
  if (small && dictionaryBits(word.slice(0, 1).toUpperCase() + word.slice(1), lexicon) !== 0)
    continue;
  if (isSlip(word, count)) continue;
  found.push(word);
}
/** A word this near a common one by a habitual slip stays a slip: "programing". */
const HABITUAL = 0.8;
/** log2 of the count in 50 million words. */
const COMMON = 5;
for (const word of readFileSync(path.join(DATA, "subjects/computing.txt"), "utf8").split("\n")) {
  const near = lexicon.near(word.toLowerCase(), 1, "en-US", "common");
  const slip = near.some(
    (one) =>
      one.frequency >= COMMON &&
      channelCost(word.toLowerCase(), one.word.toLowerCase(), rewrites) < HABITUAL,
  );
  const name = word.slice(0, 1).toUpperCase() + word.slice(1);
  if (word.length > 3 && !slip && dictionaryBits(name, lexicon) === 0) found.push(word);
}
const all = [...new Set(found)].sort();
writeFileSync(path.join(DATA, "terms.txt"), all.join("\n"));
recordInputs("terms.txt");
console.log(`${all.length} terms`);
