import { type AnalysedBlock, type Language, sentenceOpenings } from "../../language/analysis.ts";
import { correctWord, isHeard } from "../../language/corrections/corrections.ts";
import { channelCost } from "../../language/corrections/edit-cost.ts";
import { splitSentences } from "../../language/text/sentences.ts";
import { surroundingsOf } from "../../language/text/surroundings.ts";
import { tokenise } from "../../language/text/tokens.ts";
import { brokenWordAt } from "../../language/words/broken-word.ts";
import { isDayOrMonth } from "../../language/words/days-and-months.ts";
import { dictionaryBits, isPrefix, withoutPossessive } from "../../language/words/known.ts";
import { strayCapitals } from "../../language/words/stray-capitals.ts";
import { wordList } from "../../language/words/word-lists.ts";
import type { Weight } from "../card.ts";
import type { Across, Check, Circumstances, Fact, Verdict } from "../check.ts";
import { LEAVE_BITS } from "../leave.ts";
import { times } from "../telling.ts";
import { unknownWord as card } from "./cards.ts";
import { WordKinds } from "./word-kinds.ts";

interface UnknownWord extends Fact {
  word: string;
  /** Lower case, without a possessive ending: what makes two of them the same word. */
  key: string;
  /** What kinds of unknown word it is, by `LEAVE_BITS`; names are told by how the document uses it. */
  kinds: number;
  /** First word of its sentence, where any word has a capital. */
  opening: boolean;
  /** A title or an initial stands before it, or it stands in a reference. */
  named: boolean;
  /** What speaks for a term, whatever word is near. */
  company: Company;
}

/**
 * What stands around an unknown word: nothing that matters; others that are unknown, or a list or a
 * cell; or it is joined to one by a hyphen.
 */
type Company = "none" | "unknown" | "joined";

/** Corrections offered at a place. */
const CHOICES = 5;
/** A capitalised unknown word used this often inside sentences is taken for a name. */
const NAME_RECURS = 2;
/** A lower-case unknown word used this often, and near no other word, is taken for a term. */
const TERM_RECURS = 3;
/** Used so often it is hardly a slip of the fingers, unless a very common word is near. */
const MEANT_TWICE = 2;

function examine(block: AnalysedBlock, language: Language): UnknownWord[] {
  const facts: UnknownWord[] = [];
  const kinds = new WordKinds(block, language);
  let openings: Set<number> | null = null;
  const add = (from: number, to: number, word: string, index: number, own: number) => {
    openings ??= sentenceOpenings(block);
    facts.push({
      from,
      to,
      word,
      key: keyOf(word),
      kinds: own,
      opening: openings.has(from),
      named: block.kind === "reference" || followsTitle(block, index),
      company: companyOf(block, index, from),
    });
  };
  for (const { from, to, text: word, bits, token, order, count } of block.unusual) {
    if (bits !== 0 || word.length === 1) continue;
    const suspended = isPrefix(word) && (block.text[to] === "-" || order < count - 1);
    if (suspended || isPartOfBroken(block, token, language)) continue;
    if (isTerm(word, language) || isCutWord(block.text, from, to)) continue;
    // Other checks speak for these.
    if (isDayOrMonth(word) || strayCapitals(word, language.lexicon)) continue;
    add(from, to, word, token, kinds.of(token, from, word));
  }
  // Item codes in sheets are never questioned.
  if (block.kind === "cell") return facts;
  for (const [index, { kind, from, to }] of block.tokens.entries()) {
    if (kind !== "identifier" && kind !== "address") continue;
    const bits = kind === "address" ? LEAVE_BITS.addresses : LEAVE_BITS.identifiers;
    for (const run of lettersIn(block.text, from, to)) {
      const word = block.text.slice(run.from, run.to);
      if (dictionaryBits(word, language.lexicon) !== 0 || isTerm(word, language)) continue;
      add(run.from, run.to, word, index, kinds.around(run.from) | bits);
    }
  }
  return facts;
}

/** Whether many texts use a word that no dictionary has; regular plurals are as good. */
function isTerm(word: string, { terms }: Language): boolean {
  const base = withoutPossessive(word.replaceAll("’", "'"));
  const lower = base.toLowerCase();
  if (terms.has(base) || terms.has(lower)) return true;
  const singular = lower.replace(/(?<=[^s])s$/, "");
  return singular !== lower && (terms.has(singular) || terms.has(base.slice(0, -1)));
}

/** "[f]rom", "talkin'": a letter set apart by an editor, or one that is not said. */
function isCutWord(text: string, from: number, to: number): boolean {
  if (text[from - 1] === "]" || text[to] === "[") return true;
  return /in$/.test(text.slice(from, to)) && /['’]/.test(text[to] ?? "");
}

/** Words on each side that are looked at, and how many unknown ones make a list of terms. */
const NEIGHBOURS = 3;
const LISTED = 2;
/** Of its words, how many a block of terms leaves unknown. */
const TERMS_SHARE = 0.2;

function companyOf(block: AnalysedBlock, index: number, from: number): Company {
  const { tokens, text, unusual } = block;
  const token = tokens[index];
  if (token?.kind !== "word") return "joined";
  const own = unusual.find((part) => part.from === from);
  if (own && own.count > 1) {
    const others = unusual.filter((part) => part.token === index && part.from !== from);
    if (others.some(({ bits, text: part }) => bits === 0 && !isPrefix(part))) return "joined";
  }
  const words = tokens.filter(({ kind }) => kind === "word").length;
  const unknown = new Set(unusual.flatMap((part) => (part.bits === 0 ? [part.token] : [])));
  if (block.kind === "cell" || block.kind === "reference") return "unknown";
  if (unknown.size > 1 && unknown.size >= TERMS_SHARE * words) return "unknown";
  const others = new Set<string>();
  for (let at = index - NEIGHBOURS; at <= index + NEIGHBOURS; at++) {
    const near = tokens[at];
    if (at === index || !near) continue;
    const strange = near.kind === "identifier" || near.kind === "address";
    if (strange || unknown.has(at)) others.add(text.slice(near.from, near.to).toLowerCase());
  }
  others.delete(text.slice(token.from, token.to).toLowerCase());
  return others.size >= LISTED ? "joined" : others.size > 0 ? "unknown" : "none";
}

function isPartOfBroken({ text, tokens }: AnalysedBlock, index: number, { lexicon }: Language) {
  return [index - 1, index + 1].some((at) => brokenWordAt(text, tokens, at, lexicon) !== null);
}

/** Runs of letters in an address or identifier, of which the short ones mean nothing. */
function lettersIn(text: string, from: number, to: number): { from: number; to: number }[] {
  return [...text.slice(from, to).matchAll(/\p{Lu}?\p{Ll}{3,}/gu)].map((match) => ({
    from: from + match.index,
    to: from + match.index + match[0].length,
  }));
}

const TITLES = wordList("unknown-word/titles");

/** Whether the word before is a title or an initial. */
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
  /** Where a title or an initial introduces it, or it stands in a reference. */
  named: number;
  /** How often each way of writing it stands there. */
  written: Map<string, number>;
}

/** What its use makes of a word. */
interface UseVerdict extends Verdict {
  /** More than once: hardly a slip of the fingers. */
  again: boolean;
  /** A term is one question, however often it is used. */
  term: boolean;
  /** Somewhere it has a capital that no sentence start explains. */
  inside: boolean;
  alwaysCapital: boolean;
  /** It is introduced as a name, or recurs as one. */
  asName: boolean;
}

const across: Across<UnknownWord, Use, UseVerdict> = {
  counting: {
    keysOf: ({ kinds, key, word }, _block, { leave, words }) =>
      (kinds & leave & ~LEAVE_BITS.derived) !== 0 || words.has(key) || words.has(word.toLowerCase())
        ? null
        : key,
    start: () => ({ all: 0, capital: 0, inside: 0, named: 0, written: new Map() }),
    count(use, { word, named, opening }, _key, by) {
      const capital = isCapitalised(word);
      use.all += by;
      if (capital) use.capital += by;
      if (capital && named) use.named += by;
      if (capital && !opening) use.inside += by;
      use.written.set(word, (use.written.get(word) ?? 0) + by);
    },
  },
  judge: (_key, { all, capital, inside, named }) => ({
    verdict: {
      again: all >= MEANT_TWICE,
      term: all >= TERM_RECURS,
      inside: inside > 0,
      alwaysCapital: capital >= all,
      asName: named > 0 || inside >= NAME_RECURS,
    },
  }),
  find(fact, use, circumstances) {
    const said = concluded(fact, use, circumstances);
    const gathers = said?.weight === "settle" && use.term;
    return said && { from: fact.from, to: fact.to, ...said, ...(gathers ? { gathers } : {}) };
  },
  tell: (_key, { all, written }) =>
    all < TERM_RECURS
      ? []
      : [
          {
            note: `It stands here ${times(all)}.`,
            variants: [...written].flatMap(([text, count]) => (count > 0 ? [{ text, count }] : [])),
          },
        ],
};

/** A word that no dictionary has. */
export const unknownWord: Check<UnknownWord> = {
  ...card,
  readsAll: true,
  examine,
  across,
  choose(text, finding, { language, variety, vocabulary, soundRules }) {
    const word = text.slice(finding.from, finding.to);
    const own = vocabulary();
    const sources = { ...language, variety, vocabulary: own, soundRules };
    const around = surroundingsOf(text, tokenise(text), splitSentences(text), finding);
    return correctWord(word, sources, CHOICES, around).map((correction) => {
      const elsewhere = own.count(correction.toLowerCase());
      return {
        label: correction,
        edits: [{ from: finding.from, to: finding.to, insert: correction }],
        // Wrong in one place and right in others: that settles which is meant.
        ...(elsewhere > 0 ? { note: `in this document ${times(elsewhere)}` } : {}),
      };
    });
  },
};

/**
 * What is to be said of an unknown word; null when it is taken for a name or a term. A common word near
 * it speaks for a slip; how it is used and what stands around it, for a term.
 */
function concluded(
  fact: UnknownWord,
  use: UseVerdict,
  circumstances: Circumstances,
): { reason: string; weight: Weight } | null {
  const { leave } = circumstances;
  // "untill" is built from "till" as "unmoored" is from "moored", but a common word is near it.
  if (fact.kinds & leave & LEAVE_BITS.derived && !closest(fact.key, circumstances, true))
    return null;
  const unknown = `“${fact.word}” is in no dictionary.`;
  const capital = isCapitalised(fact.word) && fact.word !== fact.word.toUpperCase();
  const near = closest(fact.key, circumstances, !capital);
  const asName = capital && use.inside;
  if (capital && leave & LEAVE_BITS.names && isName(use, near)) return null;
  const slip = near ? evidenceOf(fact, near, use, circumstances) : NONE;
  // "Febuary" is a slip for a name, "Maintainance" for a word that opens a sentence.
  const named = near !== null && isCapitalised(near.word) && near.frequency >= COMMON_FREQUENCY;
  if (asName && !(named && slip >= SURE_OF_NAME)) {
    if (leave & LEAVE_BITS.names && !(slip >= SURE_OF_NAME && fact.key.length >= LONG_WORD))
      return null;
    return { reason: `${unknown} If it is a name, put it on a word list.`, weight: "settle" };
  }
  const { language, variety, soundRules } = circumstances;
  const heard =
    soundRules.length > 0 && isHeard(fact.key, { lexicon: language.lexicon, variety, soundRules });
  if (slip >= SURE || heard) return { reason: unknown, weight: "fix" };
  if (leave & LEAVE_BITS.terms && slip < LIKELY) return null;
  const term = use.term ? " If it is a term, put it on a word list." : "";
  return { reason: unknown + term, weight: "settle" };
}

/** Evidence from which on a word is a slip, or may well be one. */
const SURE = 2;
const LIKELY = 1;
/** A capital inside a sentence speaks for a name. */
const SURE_OF_NAME = 3.5;
const NONE = 0;
/** What stands around a word against its being a slip. */
const AGAINST: Record<Company, number> = { none: 0, unknown: 0.75, joined: 2.5 };
const OFTEN = 2.5;
/** A manual or a specification is full of names of things. */
const TECHNICAL_COPY = 1;
const SURE_COST = 0.6;
const BUILT = 1.5;

/**
 * How much speaks for a slip: that a long word is one letter from a common one by a habitual way of
 * missing it; and how much against, that it recurs, is built from known words or stands among terms.
 */
function evidenceOf(
  { key, company }: UnknownWord,
  { word, frequency, cost }: NearWord,
  use: UseVerdict,
  { language, kind }: Circumstances,
): number {
  const { length } = key;
  const single = isOneEdit(key, word.toLowerCase());
  let slip = single ? (length >= LONG_WORD - 1 ? 3 : length > SHORT_WORD ? 2 : 1) : 2;
  if ((frequency < NEAR_FREQUENCY && !single) || length <= SHORTEST_WORD) slip -= 1;
  if (frequency >= 13) slip += 1;
  else if (frequency >= 11) slip += 0.5;
  if (cost <= 0.3) slip += 1.5;
  else if (cost <= 0.6) slip += 1;
  slip -= AGAINST[company];
  if (kind === "specification" && cost > SURE_COST) slip -= TECHNICAL_COPY;
  if (use.again && frequency < commonFor(key)) slip -= OFTEN;
  if (isBuilt(key, language)) slip -= BUILT;
  return slip;
}

/** One letter too many, too few or another, or two swapped. */
function isOneEdit(typed: string, meant: string): boolean {
  let from = 0;
  while (from < typed.length && typed[from] === meant[from]) from++;
  let end = 0;
  const shorter = Math.min(typed.length, meant.length);
  while (end < shorter - from && typed.at(-1 - end) === meant.at(-1 - end)) end++;
  const left = typed.length - from - end;
  const right = meant.length - from - end;
  if (left <= 1 && right <= 1) return true;
  const swapped = typed[from] === meant[from + 1] && typed[from + 1] === meant[from];
  return left === 2 && right === 2 && swapped;
}

/** Endings that make words of any noun or verb. */
const ENDINGS =
  /(?:ers?|ors?|ees?|able|ability|ful|fuls|y|ish|ist|ists|ism|ize|izes|ized|izing|izers?|ization|ise|ised|ifier|ness|like|wide|side|wise|ic|al)$/;
/** Parts that make a compound, and how common each must be. */
const LEAST_PART = 3;
const PART_FREQUENCY = 9;

/** "uploader", "logfile": made from known words, as names of things are. */
function isBuilt(key: string, { lexicon }: Language): boolean {
  const known = (word: string) => lexicon.varieties(word) > 0 && !lexicon.isRare(word);
  const stem = (word: string) =>
    word.length >= LEAST_PART && (known(word) || known(`${word}e`) || known(undoubled(word)));
  const ending = ENDINGS.exec(key);
  if (ending && stem(key.slice(0, ending.index))) return true;
  const opening = OPENINGS.exec(key)?.[0].length ?? 0;
  if (
    opening > 0 &&
    (known(key.slice(opening)) || stem(key.slice(opening).replace(/(?:ed|ing|s)$/, "")))
  )
    return true;
  const part = (word: string) => lexicon.frequency(word) >= PART_FREQUENCY && known(word);
  for (let at = LEAST_PART; at <= key.length - LEAST_PART; at++) {
    const [left, right] = [key.slice(0, at), key.slice(at)];
    if (part(left) && part(right) && !FUNCTION_WORDS.has(left) && !FUNCTION_WORDS.has(right)) {
      return true;
    }
  }
  return false;
}
const FUNCTION_WORDS = wordList("structure/english-words");
const OPENINGS =
  /^(?:re|un|non|pre|sub|multi|auto|anti|over|under|inter|micro|meta|super|de|co)(?=.{3})/;

function undoubled(word: string): string {
  return word.at(-1) === word.at(-2) ? word.slice(0, -1) : word;
}

/** How common a word must be that even a slip made again is taken for. */
function commonFor(key: string): number {
  return key.length < PLAIN_LENGTH ? EVERYDAY_FREQUENCY : COMMON_FREQUENCY;
}

function isName(use: UseVerdict, near: NearWord | null): boolean {
  return use.alwaysCapital && (use.asName || (near === null && use.inside));
}

interface NearWord {
  word: string;
  frequency: number;
  /** How unlikely the slip is, less what its frequency speaks for it. */
  cost: number;
}

/** Words shorter than this are near too many others. */
const SHORT_WORD = 4;
const SHORTEST_WORD = 3;
/** Words this long are near few others, even by two edits. */
const LONG_WORD = 8;
/** log2 of how often, in 50 million words, a word near it must occur for an unknown word to be a slip. */
const NEAR_FREQUENCY = 3;
const NEAR_SHORT_FREQUENCY = 11;
/** So common a word is meant even by a slip made again; by a short one only an everyday word. */
const COMMON_FREQUENCY = 8;
const EVERYDAY_FREQUENCY = 15;
const PLAIN_LENGTH = 6;
const NEAR_COST = 1.2;
/** One letter, however unlikely a slip, of a long word. */
const FAR_COST = 2.2;
/** Of three letters only two swapped are surely a slip. */
const SHORTEST_COST = 0.6;

/** The common word that an unknown one is probably a slip for; null when none is near. */
function closest(
  key: string,
  { language, variety }: Circumstances,
  lowerCase: boolean,
): NearWord | null {
  if (key.length < SHORTEST_WORD) return null;
  const question = `${variety} ${lowerCase} ${key}`;
  const known = answered.get(question);
  if (known !== undefined) return known;
  const needed =
    key.length <= SHORT_WORD
      ? NEAR_SHORT_FREQUENCY
      : key.length >= LONG_WORD - 1
        ? 0
        : NEAR_FREQUENCY;
  let best: NearWord | null = null;
  let least = Number.POSITIVE_INFINITY;
  const twice = key.length === SHORTEST_WORD ? SHORTEST_COST : NEAR_COST;
  const single = key.length >= LONG_WORD - 1 ? FAR_COST : key.length > SHORT_WORD ? 1.5 : twice;
  const distance = key.length >= LONG_WORD ? 2 : 1;
  for (const { word, frequency } of language.lexicon.near(key, distance, variety, "common", 1)) {
    if (lowerCase && word !== word.toLowerCase()) continue;
    if (frequency < needed || isFormOf(key, word)) continue;
    const lower = word.toLowerCase();
    const cost = channelCost(key, lower, language.rewrites) - 0.02 * frequency;
    if (cost >= least || cost >= (isOneEdit(key, lower) ? single : twice)) continue;
    least = cost;
    best = { word, frequency, cost };
  }
  if (answered.size >= MAX_ANSWERED) answered.clear();
  answered.set(question, best);
  return best;
}

/** "equilibriums" is not a slip for "equilibrium". */
function isFormOf(key: string, word: string): boolean {
  return (
    key.length >= FORM_LENGTH && /^(?:e?s|ly)$/.test(key.slice(word.length)) && key.startsWith(word)
  );
}
const FORM_LENGTH = 10;

/** The same words are asked about again and again. */
const answered = new Map<string, NearWord | null>();
const MAX_ANSWERED = 20_000;

function keyOf(word: string): string {
  return withoutPossessive(word.replaceAll("’", "'")).toLowerCase();
}

function isCapitalised(word: string): boolean {
  const first = word[0] ?? "";
  return first !== first.toLowerCase();
}
