import { type AnalysedBlock, type Language, sentenceOpenings } from "../../language/analysis.ts";
import { correctWord, isHeard } from "../../language/corrections/corrections.ts";
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
import {
  COMMON_FREQUENCY,
  type Company,
  closest,
  evidenceOf,
  LIKELY,
  LONG_WORD,
  type NearWord,
  NONE,
  SURE,
  SURE_OF_NAME,
  SURE_OF_SMALL,
} from "./slips.ts";
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
  let neighbourhood: Neighbourhood | null = null;
  const add = (from: number, to: number, word: string, index: number, own: number) => {
    openings ??= sentenceOpenings(block);
    neighbourhood ??= new Neighbourhood(block, language);
    facts.push({
      from,
      to,
      word,
      key: keyOf(word),
      kinds: own,
      opening: openings.has(from),
      named: block.kind === "reference" || followsTitle(block, index) || opensName(block, index),
      company: neighbourhood.companyOf(index),
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
const NEIGHBOURS = 5;
const LISTED = 2;
/** Of its words, how many a block of terms leaves unknown. */
const TERMS_SHARE = 0.2;

/** What stands around the unknown words of one block. */
class Neighbourhood {
  /** Tokens with an unknown part, and how many such parts each has. */
  private readonly unknown = new Map<number, number>();
  private readonly isListing: boolean;

  constructor(
    private readonly block: AnalysedBlock,
    private readonly language: Language,
  ) {
    for (const { bits, token, text } of block.unusual) {
      if (bits !== 0 || isPrefix(text)) continue;
      this.unknown.set(token, (this.unknown.get(token) ?? 0) + 1);
    }
    let words = 0;
    for (const { kind } of block.tokens) if (kind === "word") words++;
    this.isListing =
      block.kind === "cell" ||
      block.kind === "reference" ||
      (this.unknown.size > 1 && this.unknown.size >= TERMS_SHARE * words);
  }

  /** What stands around the unknown word in a token. */
  companyOf(index: number): Company {
    const { tokens } = this.block;
    if (this.isPartOfName(index)) return "named";
    if (tokens[index]?.kind !== "word" || (this.unknown.get(index) ?? 0) > 1) return "joined";
    if (this.isTied(index)) return "joined";
    if (this.isListing) return "unknown";
    const others = new Set<string>();
    for (let at = index - NEIGHBOURS; at <= index + NEIGHBOURS; at++) {
      const strange = tokens[at]?.kind === "identifier" || tokens[at]?.kind === "address";
      if (at !== index && (strange || this.unknown.has(at))) others.add(this.textOf(at));
    }
    others.delete(this.textOf(index));
    return others.size >= LISTED ? "listed" : others.size > 0 ? "unknown" : "none";
  }

  /** Whether signs tie it to something: "criss-cross", "I<c>ontrol", "nargs: how many". */
  private isTied(index: number): boolean {
    const { text, tokens } = this.block;
    const { from = 0, to = 0 } = tokens[index] ?? {};
    if (/[<>@=#]/.test(text[from - 1] ?? "") || /[<>@=\]]/.test(text[to] ?? "")) return true;
    const word = text.slice(from, to);
    const opens = from === 0 || /\] $/.test(text.slice(0, from));
    if (opens && text[to] === ":" && word === word.toLowerCase()) return true;
    const [first = "", second] = word.split(/[-\u2010\u2011]/);
    return second !== undefined && !isPrefix(first) && !/\d/.test(first);
  }

  /** "systemd-importd": what a hyphen joins it to is no word that is written small. */
  private isPartOfName(index: number): boolean {
    const { from = 0, to = 0 } = this.block.tokens[index] ?? {};
    const parts = this.block.text.slice(from, to).split(/[-\u2010\u2011]/);
    const isStrange = (part: string) =>
      part.length > 2 && !/\d/.test(part) && !isPrefix(part) && !this.isPlain(part.toLowerCase());
    return parts.length > 1 && parts.filter(isStrange).length > 1;
  }

  private isPlain(word: string): boolean {
    return dictionaryBits(word, this.language.lexicon) !== 0;
  }

  private textOf(index: number): string {
    const { from = 0, to = 0 } = this.block.tokens[index] ?? {};
    return this.block.text.slice(from, to).toLowerCase();
  }
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

/** "Sylvestre Ledru wrote": a capital, and after it another that no sentence start explains. */
function opensName({ text, tokens }: AnalysedBlock, index: number): boolean {
  const [own, next] = [tokens[index], tokens[index + 1]];
  if (!own || next?.kind !== "word" || text.slice(own.to, next.from) !== " ") return false;
  const capital = /^\p{Lu}\p{Ll}/u;
  return capital.test(text.slice(own.from)) && capital.test(text.slice(next.from));
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
            note: `It is here ${times(all)}.`,
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
  choose(text, finding, circumstances) {
    const { language, variety, vocabulary, soundRules } = circumstances;
    const word = text.slice(finding.from, finding.to);
    const own = vocabulary();
    const sources = { ...language, variety, vocabulary: own, soundRules };
    const around = surroundingsOf(text, tokenise(text), splitSentences(text), finding);
    const isMarked = (one: string) =>
      !one.includes(" ") &&
      dictionaryBits(one, language.lexicon) === 0 &&
      closest(keyOf(one), circumstances, true) !== null;
    const corrections = correctWord(word, sources, CHOICES, around);
    const sound = corrections.filter((correction) => !isMarked(correction));
    return sound.map((correction) => {
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
  // "a jenkins job": a name in small letters, as programs are called.
  const name = (fact.key[0] ?? "").toUpperCase() + fact.key.slice(1);
  const needed = language.lexicon.varieties(name) === 0 ? SURE : SURE_OF_SMALL;
  if (slip >= needed || heard) return { reason: unknown, weight: "fix" };
  if (leave & LEAVE_BITS.terms && slip < LIKELY) return null;
  const term = use.term ? " If it is a term, put it on a word list." : "";
  return { reason: unknown + term, weight: "settle" };
}

function isName(use: UseVerdict, near: NearWord | null): boolean {
  return use.alwaysCapital && (use.asName || (near === null && use.inside));
}

function keyOf(word: string): string {
  return withoutPossessive(word.replaceAll("’", "'")).toLowerCase();
}

function isCapitalised(word: string): boolean {
  const first = word[0] ?? "";
  return first !== first.toLowerCase();
}
