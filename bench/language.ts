import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import dictionaryDe from "dictionary-de";
import dictionaryUs from "dictionary-en";
import dictionaryAu from "dictionary-en-au";
import dictionaryCa from "dictionary-en-ca";
import dictionaryGb from "dictionary-en-gb";
import dictionaryHu from "dictionary-hu";
import { brownTexts } from "../scripts/corpus/brown.ts";
import { scowlWords } from "../scripts/corpus/scowl.ts";
import { loadLanguage } from "../src/command/checking.ts";
import { HunspellDictionary } from "../src/core/language/hunspell/dictionary.ts";
import { splitSentences } from "../src/core/language/sentences.ts";
import { TAGS } from "../src/core/language/tags.ts";
import { tokenise } from "../src/core/language/tokens.ts";
import { unitsOf } from "../src/core/language/units.ts";

/** Sentences and tags on the Brown corpus's test part, and dictionary verdicts beside hunspell. */
export function benchLanguage(): void {
  benchSentences();
  benchTags();
  benchVerdicts();
}

const testBlocks = () =>
  brownTexts()
    .filter(({ part }) => part === "test")
    .flatMap(({ blocks }) => blocks);

function benchSentences(): void {
  let all = 0;
  let wrong = 0;
  for (const { text, sentences } of testBlocks()) {
    const gold = new Set(sentences.map(({ to }) => to));
    const ours = new Set(splitSentences(text).map(({ to }) => to));
    all += gold.size;
    wrong += [...gold].filter((end) => !ours.has(end)).length;
    wrong += [...ours].filter((end) => !gold.has(end)).length;
  }
  const per = ((1000 * wrong) / all).toFixed(1);
  console.log(`\nSentence ends, Brown test part: ${per} errors per 1,000 of ${all} (goal 12)`);
}

function benchTags(): void {
  const { tagger } = loadLanguage();
  let tokens = 0;
  let right = 0;
  let aligned = 0;
  let rightAligned = 0;
  for (const { text, sentences, tokens: gold } of testBlocks()) {
    const tags = tagger.tag(text, gold, new Set(sentences.map(({ from }) => from)));
    tokens += gold.length;
    right += gold.filter(({ tag }, index) => TAGS[tags[index] ?? 0] === tag).length;
    // From the raw text: our own sentences and units, of which a gold token must be one exactly.
    const units = unitsOf(text, tokenise(text));
    const ours = tagger.tag(text, units, new Set(splitSentences(text).map(({ from }) => from)));
    const byPlace = new Map(
      units.map(({ from, to }, index) => [`${from}-${to}`, ours[index] ?? 0]),
    );
    for (const { from, to, tag } of gold) {
      const own = byPlace.get(`${from}-${to}`);
      if (own === undefined) continue;
      aligned++;
      if (TAGS[own] === tag) rightAligned++;
    }
  }
  const share = (part: number, whole: number) => `${((100 * part) / whole).toFixed(2)}%`;
  console.log(`Tags, Brown test part: ${share(right, tokens)} of ${tokens} right (goal 97%)`);
  console.log(
    `  from raw text: ${share(aligned, tokens)} of the tokens found, of these ${share(rightAligned, aligned)} right`,
  );
}

const ENGLISH = { us: dictionaryUs, gb: dictionaryGb, ca: dictionaryCa, au: dictionaryAu };
const LIST_LENGTH = 100_000;
const OTHER_LENGTH = 30_000;

/** The same words to our reader and to Debian's hunspell, with the same dictionary files. */
function benchVerdicts(): void {
  console.log("\nDictionary verdicts beside hunspell (goal: equal; other languages 99.9%)");
  const english = [
    ...scowlWords(["english-words", "english-upper", "english-proper-names"], 10, 95),
  ];
  for (const [name, dictionary] of Object.entries(ENGLISH)) {
    compare(name, dictionary, sample(english, LIST_LENGTH));
  }
  const german = "/usr/share/dict/ngerman";
  if (existsSync(german)) {
    compare("de", dictionaryDe, sample(linesOf(german), OTHER_LENGTH));
  }
  const hungarian = "/usr/share/dictd/freedict-hun-eng.index";
  if (existsSync(hungarian)) {
    const words = linesOf(hungarian).map((line) => line.split("\t")[0] ?? "");
    compare("hu", dictionaryHu, sample(words, OTHER_LENGTH));
  }
}

function linesOf(file: string): string[] {
  return readFileSync(file, "utf8").split("\n");
}

/** Words of letters alone, which the command does not cut up, every so many; half of them changed. */
function sample(words: readonly string[], count: number): string[] {
  const plain = [...new Set(words)].filter((word) => /^\p{L}{2,40}$/u.test(word));
  const step = Math.max(1, plain.length / count);
  const taken: string[] = [];
  for (let at = 0; at < plain.length && taken.length < count; at += step) {
    const word = plain[Math.floor(at)] ?? "";
    const cut = (Math.floor(at) * 7) % word.length;
    taken.push(taken.length % 2 ? word : word.slice(0, cut) + word.slice(cut + 1) || word);
  }
  return taken;
}

function compare(
  name: string,
  { aff, dic }: { aff: Uint8Array; dic: Uint8Array },
  words: readonly string[],
): void {
  const folder = mkdtempSync(path.join(tmpdir(), "dry-run-bench-"));
  try {
    writeFileSync(path.join(folder, "d.aff"), aff);
    writeFileSync(path.join(folder, "d.dic"), dic);
    const { stdout, status } = spawnSync("hunspell", ["-a", "-i", "utf-8", "-d", `${folder}/d`], {
      // "!" asks for verdicts without suggestions for known words; "^" keeps a word a word.
      input: `${words.map((word) => `^${word}`).join("\n")}\n`,
      encoding: "utf8",
      maxBuffer: 1 << 29,
      timeout: 500_000,
    });
    if (status !== 0) {
      console.log(`  ${name}: the hunspell command is not here`);
      return;
    }
    const theirs = stdout
      .split("\n")
      .slice(1)
      .filter((line) => line !== "");
    const ours = new HunspellDictionary(
      Buffer.from(aff).toString("utf8"),
      Buffer.from(dic).toString("utf8"),
    );
    let differing = 0;
    for (const [index, word] of words.entries()) {
      if (ours.accepts(word) !== /^[*+-]/.test(theirs[index] ?? "")) differing++;
    }
    const share = (100 * (1 - differing / words.length)).toFixed(3);
    console.log(`  ${name}: ${differing} of ${words.length} differ, ${share}% equal`);
  } finally {
    rmSync(folder, { recursive: true });
  }
}
