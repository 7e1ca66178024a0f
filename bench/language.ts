import { existsSync, readFileSync } from "node:fs";
import dictionaryDe from "dictionary-de";
import dictionaryUs from "dictionary-en";
import dictionaryAu from "dictionary-en-au";
import dictionaryCa from "dictionary-en-ca";
import dictionaryGb from "dictionary-en-gb";
import dictionaryHu from "dictionary-hu";
import { brownTexts } from "../scripts/corpus/brown.ts";
import {
  type DictionaryFiles,
  hunspellVerdicts,
  wordsAndSlips,
} from "../scripts/corpus/hunspell-command.ts";
import { scowlWords } from "../scripts/corpus/scowl.ts";
import { loadLanguage } from "../src/command/checking.ts";
import { HunspellDictionary } from "../src/core/language/hunspell/dictionary.ts";
import { TAGS } from "../src/core/language/tags/tags.ts";
import { splitSentences } from "../src/core/language/text/sentences.ts";
import { tokenise } from "../src/core/language/text/tokens.ts";
import { unitsOf } from "../src/core/language/text/units.ts";

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
    const { tags } = tagger.tag(text, gold, new Set(sentences.map(({ from }) => from)));
    tokens += gold.length;
    right += gold.filter(({ tag }, index) => TAGS[tags[index] ?? 0] === tag).length;
    // From the raw text: our own sentences and units, of which a gold token must be one exactly.
    const units = unitsOf(text, tokenise(text));
    const opens = new Set(splitSentences(text).map(({ from }) => from));
    const { tags: ours } = tagger.tag(text, units, opens);
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
    compare(name, dictionary, wordsAndSlips(english, LIST_LENGTH));
  }
  const german = "/usr/share/dict/ngerman";
  if (existsSync(german)) {
    compare("de", dictionaryDe, wordsAndSlips(linesOf(german), OTHER_LENGTH));
  }
  const hungarian = "/usr/share/dictd/freedict-hun-eng.index";
  if (existsSync(hungarian)) {
    const words = linesOf(hungarian).map((line) => line.split("\t")[0] ?? "");
    compare("hu", dictionaryHu, wordsAndSlips(words, OTHER_LENGTH));
  }
}

function linesOf(file: string): string[] {
  return readFileSync(file, "utf8").split("\n");
}

function compare(name: string, { aff, dic }: DictionaryFiles, words: readonly string[]): void {
  const theirs = hunspellVerdicts({ aff, dic }, words);
  if (!theirs) {
    console.log(`  ${name}: the hunspell command is not here`);
    return;
  }
  const ours = new HunspellDictionary(
    Buffer.from(aff).toString("utf8"),
    Buffer.from(dic).toString("utf8"),
  );
  const differing = words.filter((word, index) => ours.accepts(word) !== theirs[index]);
  const share = (100 * (1 - differing.length / words.length)).toFixed(3);
  console.log(`  ${name}: ${differing.length} of ${words.length} differ, ${share}% equal`);
}
