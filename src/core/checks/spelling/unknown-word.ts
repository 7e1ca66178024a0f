import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import { correctWord } from "../../language/corrections.ts";
import {
  dictionaryBits,
  isPrefix,
  judgeWord,
  type Verdict,
  withoutPossessive,
} from "../../language/known.ts";
import { VARIETY_BITS } from "../../language/lexicon.ts";
import { wordParts } from "../../language/tokens.ts";
import { VARIETIES, type Variety } from "../../manuscript/model.ts";
import type { Check, Circumstances, Fact, Finding, PlacedFact } from "../check.ts";

interface UnknownWord extends Fact {
  word: string;
  /** Lower case, without a possessive ending: what makes two of them the same word. */
  key: string;
  /** What the dictionary of each variety says, in the order of VARIETIES. */
  verdicts: Verdict[];
  /** First word of its sentence, where any word has a capital. */
  opening: boolean;
  /** A title or an initial stands before it, or it stands in a reference. */
  named: boolean;
}

/** Corrections offered at a place. */
const CHOICES = 5;
/** A capitalised unknown word used this often, always in this form, is taken for a name. */
const NAME_RECURS = 3;
/** Capitals up to this length are taken for an abbreviation. */
const ABBREVIATION_LENGTH = 5;

const ALL_VARIETIES = VARIETIES.reduce((bits, variety) => bits | VARIETY_BITS[variety], 0);

const VARIETY_NAMES: Record<Variety, string> = { "en-US": "US", "en-GB": "British" };

/** A word that no dictionary has. */
export const unknownWord: Check<UnknownWord> = {
  id: "spelling/unknown-word",
  pass: "spelling",
  weight: "fix",
  code: "sp",
  title: "Word in no dictionary",
  why: "The word stands in no dictionary of the document’s variety of English and in none of your word lists. It may be a slip of the fingers, a spelling of another variety, or a name or term to add to a list.",
  source: "The English dictionaries named in data/README.md",
  examples: [
    {
      wrong: "The book was recieved too wet to read.",
      right: "The book was received too wet to read.",
    },
    { wrong: "They moored beside the pontooon.", right: "They moored beside the pontoon." },
    { leave: "Dr. Orrin Vale read the gauge at the well-known GH-104 mark, 3rd from left." },
    { leave: "See https://gannet-head.example/tydes or write to keper@gannet-head.example." },
  ],
  takesWords: true,
  examine,
  judge,
  choose(text, finding, { language, variety }) {
    const word = text.slice(finding.from, finding.to);
    return correctWord(word, language.lexicon, variety, CHOICES).map((correction) => ({
      label: correction,
      edits: [{ from: finding.from, to: finding.to, insert: correction }],
    }));
  },
};

function examine(block: AnalysedBlock, { lexicon }: Language): UnknownWord[] {
  if (block.kind === "code") return [];
  const facts: UnknownWord[] = [];
  const openings = new Set(block.sentences.map((sentence) => firstWordAt(block, sentence.from)));
  for (const [index, token] of block.tokens.entries()) {
    if (token.kind !== "word") continue;
    const parts = wordParts(block.text, token);
    for (const [order, { from, to }] of parts.entries()) {
      const word = block.text.slice(from, to);
      if (dictionaryBits(word, lexicon) === ALL_VARIETIES) continue;
      const verdicts = VARIETIES.map((variety) => judgeWord(word, lexicon, variety));
      if (verdicts.every((verdict) => verdict === "known")) continue;
      if (isLeftAlone(word, order, parts.length) || isInCode(block, from)) continue;
      facts.push({
        from,
        to,
        word,
        key: keyOf(word),
        verdicts,
        opening: openings.has(token.from) && order === 0,
        named: block.kind === "reference" || followsTitle(block, index),
      });
    }
  }
  return facts;
}

function firstWordAt(block: AnalysedBlock, from: number): number {
  return block.tokens.find((token) => token.from >= from && token.kind === "word")?.from ?? -1;
}

/** Single letters, prefixes, roman numerals, and capitals short enough for an abbreviation. */
function isLeftAlone(word: string, order: number, parts: number): boolean {
  if (word.length === 1) return true;
  if (parts > 1 && order < parts - 1 && isPrefix(word)) return true;
  if (/^[ivxlcdm]+$/i.test(word) && (word === word.toUpperCase() || word.length <= 4)) return true;
  const base = withoutPossessive(word).replace(/s$/, "");
  return base === base.toUpperCase() && base.length <= ABBREVIATION_LENGTH;
}

function isInCode(block: AnalysedBlock, at: number): boolean {
  return block.spans.some((span) => span.kind === "code" && at >= span.from && at < span.to);
}

const TITLES = new Set(["dr", "mr", "mrs", "ms", "mx", "prof", "sir", "dame", "capt", "captain"]);

/** Whether the word before is a title, an initial, or a first name after either. */
function followsTitle(block: AnalysedBlock, index: number): boolean {
  let at = index - 1;
  while (at >= 0) {
    const token = block.tokens[at];
    const text = token ? block.text.slice(token.from, token.to) : "";
    if (text === ".") {
      at--;
      continue;
    }
    return TITLES.has(text.toLowerCase()) || /^\p{Lu}$/u.test(text);
  }
  return false;
}

/** How a word is used in the whole document. */
interface Use {
  all: number;
  /** With a capital, and with one that no sentence start explains. */
  capital: number;
  inside: number;
  /** Somewhere a title or an initial introduces it, or it stands in a reference. */
  named: boolean;
}

function judge(facts: readonly PlacedFact<UnknownWord>[], circumstances: Circumstances): Finding[] {
  const { words, variety } = circumstances;
  const column = VARIETIES.indexOf(variety);
  const open = facts.filter(({ fact }) => fact.verdicts[column] !== "known");
  const uses = new Map<string, Use>();
  for (const { fact } of open) {
    const { key } = fact;
    const count = uses.get(key) ?? { all: 0, capital: 0, inside: 0, named: false };
    uses.set(key, count);
    count.all++;
    count.named ||= fact.named;
    if (isCapitalised(fact.word)) count.capital++;
    if (isCapitalised(fact.word) && !fact.opening) count.inside++;
  }
  return open.flatMap(({ block, fact }) => {
    const { key } = fact;
    const use = uses.get(key);
    if (words.has(key) || words.has(fact.word.toLowerCase()) || !use) return [];
    const other = fact.verdicts[column] === "other-variety";
    const name = !other && isCapitalised(fact.word) && use.inside > 0;
    if (name && (use.named || (use.capital === use.all && use.all >= NAME_RECURS))) return [];
    const finding: Finding = {
      block,
      from: fact.from,
      to: fact.to,
      reason: reasonFor(fact.word, other, name, variety),
      group: `${unknownWord.id}:${key}`,
    };
    if (name) finding.weight = "settle";
    return [finding];
  });
}

function reasonFor(word: string, other: boolean, name: boolean, variety: Variety): string {
  if (other) {
    const elsewhere = variety === "en-US" ? VARIETY_NAMES["en-GB"] : VARIETY_NAMES["en-US"];
    return `“${word}” is a ${elsewhere} spelling; this document is read as ${VARIETY_NAMES[variety]} English.`;
  }
  if (name) return `“${word}” is in no dictionary. If it is a name, put it on a word list.`;
  return `“${word}” is in no dictionary.`;
}

function keyOf(word: string): string {
  return withoutPossessive(word.replaceAll("’", "'")).toLowerCase();
}

function isCapitalised(word: string): boolean {
  const first = word[0] ?? "";
  return first !== first.toLowerCase();
}
