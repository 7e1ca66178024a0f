import type { Language } from "../../language/analysis.ts";
import { INFLECTED_TRAIT, type Inflection, inflect } from "../../language/words/lemmas.ts";
import { ADJECTIVE, NOUN, VARIETY_BITS, VERB } from "../../language/words/lexicon.ts";
import { counterpartOf, respell } from "../../language/words/respell.ts";

/** The inflected forms of a term of one or several words, and the same form of another term. */

/** How a form comes from its base; null for the base itself. */
export type FormKind = Inflection | null;

export interface PhraseForm {
  text: string;
  /** Several where one spelling is several forms: "cut". */
  kinds: FormKind[];
}

const NOUN_FORMS: readonly Inflection[] = ["NNS"];
const VERB_FORMS: readonly Inflection[] = ["VBZ", "VBD", "VBN", "VBG"];
const ADJECTIVE_FORMS: readonly Inflection[] = ["JJR", "JJS"];

/** After these a phrase goes on with what its head governs: “point of view”, “make use of”. */
const LINKS = new Set(
  "of in at on for to with by from about against into out up down off over away back through around under upon".split(
    " ",
  ),
);
/** A phrase that opens so has no head that is inflected. */
const OPENERS = new Set(
  "a an the in on at by for to of with as due prior subject according this that these those it there not no very".split(
    " ",
  ),
);
/** Verbs that open phrases though the dictionary has them as nouns too. */
const LIGHT_VERBS = new Set(
  "take make give have do get conduct perform carry bring put set hold come go keep reach place undertake touch reach".split(
    " ",
  ),
);

type Words = Pick<Language, "lexicon" | "irregular" | "words">;

/** The part of a phrase that is inflected. */
interface Head {
  before: string;
  word: string;
  after: string;
  traits: number;
}

/** Which parts of speech a phrase may be, by the traits of its head; 0 where nothing is inflected. */
export function partsOf(phrase: string, words: Words): number {
  return headOf(phrase, words)?.traits ?? 0;
}

function headOf(phrase: string, words: Words): Head | null {
  const pieces = phrase.split(/(\s+)/);
  const all = phrase.split(/\s+/);
  const [first = ""] = all;
  if (all.length === 1) return wordHead("", phrase, "", words);
  if (OPENERS.has(first.toLowerCase())) return null;
  const own = traitsOf(first, words);
  const link = all.findIndex((word, at) => at > 0 && LINKS.has(word.toLowerCase()));
  const opens = (traits: number): Head => ({
    before: "",
    word: first,
    after: pieces.slice(1).join(""),
    traits,
  });
  const isVerb = (own & VERB) !== 0 && ((own & (NOUN | ADJECTIVE)) === 0 || LIGHT_VERBS.has(first));
  if (isVerb) return opens(VERB);
  if (link === all.length - 1) return (own & VERB) !== 0 ? opens(VERB) : null;
  if (link > 0) {
    const at = 2 * (link - 1);
    const head = wordHead(
      pieces.slice(0, at).join(""),
      pieces[at] ?? "",
      pieces.slice(at + 1).join(""),
      words,
    );
    return head && { ...head, traits: NOUN };
  }
  const head = wordHead(pieces.slice(0, -1).join(""), pieces.at(-1) ?? "", "", words);
  return head && (head.traits & NOUN) !== 0 ? { ...head, traits: NOUN } : null;
}

/** A word by itself; of one with hyphens the last part is inflected, or the first of a phrasal verb. */
function wordHead(before: string, word: string, after: string, words: Words): Head | null {
  const whole = traitsOf(word, words);
  const hyphen = word.lastIndexOf("-");
  if (hyphen > 0) {
    const last = word.slice(hyphen + 1);
    const own = traitsOf(last, words);
    const traits = LINKS.has(last) ? NOUN : whole || own || NOUN;
    return { before: before + word.slice(0, hyphen + 1), word: last, after, traits };
  }
  if (!/\p{L}$/u.test(word)) return null;
  return { before, word, after, traits: whole || NOUN };
}

function traitsOf(word: string, { lexicon }: Words): number {
  return lexicon.traits(word) || lexicon.traits(word.toLowerCase());
}

/** One form of a phrase; null where it has none of that kind. */
export function formOf(phrase: string, kind: FormKind, words: Words): string | null {
  if (kind === null) return phrase;
  const head = headOf(phrase, words);
  if (!head || (head.traits & INFLECTED_TRAIT[kind]) === 0) return null;
  return withHead(head, kind, words);
}

function withHead({ before, word, after }: Head, kind: Inflection, words: Words): string {
  return `${before}${inflected(word, kind, words)}${after}`;
}

/** A word inflected as it is in the variety that has it, by the dictionary’s own forms where it has some. */
function inflected(word: string, kind: Inflection, words: Words): string {
  const { irregular, lexicon } = words;
  // An abbreviation or a name in capitals takes an s and nothing else.
  if (kind === "NNS" && /\p{Lu}$/u.test(word)) return `${word}s`;
  const lower = word.toLowerCase();
  const varieties = lexicon.varieties(lower);
  const known = varieties !== 0;
  const [participle] = kind === "VBN" ? irregular.formsOf(lower, kind) : [];
  if (participle !== undefined && lexicon.varieties(participle) !== 0) return participle;
  if (kind === "NNS" && /man$/.test(lower) && lexicon.varieties(lower.replace(/man$/, "men"))) {
    return word.replace(/man$/, "men");
  }
  const american = !known || (varieties & VARIETY_BITS["en-US"]) !== 0;
  const form = american
    ? words.words.inflect(known ? lower : word, kind)
    : inflect(lower, kind, irregular, lexicon, "en-GB");
  if (kind === "NNS" && form === lower && !UNCOUNTED.test(lower) && !known) return `${word}s`;
  return known && lower !== word ? form.replace(/^./, word.charAt(0)) : form;
}

/** Nouns whose plural is as they are. */
const UNCOUNTED = /(?:ware|craft|fish|sheep|series|species|ics|s)$/;

/**
 * All forms of a phrase, the base first, in each spelling that a variety gives them. `alike` are the
 * parts of speech that matter, 0 for whatever it may be; forms that are among `spared` are left out. Without
 * `inEachSpelling` only in the one it is written in.
 */
export function formsOfPhrase(
  phrase: string,
  alike: number,
  words: Words,
  spared: ReadonlySet<string>,
  inEachSpelling = true,
): PhraseForm[] {
  const found = new Map<string, FormKind[]>();
  const add = (text: string, kind: FormKind) => {
    if (spared.has(text.toLowerCase())) return;
    const kinds = found.get(text);
    if (!kinds) found.set(text, [kind]);
    else if (!kinds.includes(kind)) kinds.push(kind);
  };
  const lower = phrase.toLowerCase();
  // Where the base is spelled one way everywhere, so are its forms, unless an l is doubled.
  const varies =
    inEachSpelling &&
    (/[aeiou]l\b/.test(lower) ||
      respell(lower, "en-GB", words.lexicon) !== lower ||
      (counterpartOf(lower, "en-US", words.lexicon) ?? lower) !== lower);
  const spellings = (text: string, kind: FormKind) => {
    add(text, kind);
    if (!varies) return;
    const british = respell(text, "en-GB", words.lexicon);
    if (british !== text) add(british, kind);
    const american = counterpartOf(text.toLowerCase(), "en-US", words.lexicon);
    if (american !== null && american !== text.toLowerCase()) add(american, kind);
  };
  spellings(phrase, null);
  const head = headOf(phrase, words);
  if (!head) return listed(found);
  const traits = (head.traits & alike) !== 0 ? head.traits & alike : head.traits;
  if ((traits & NOUN) !== 0)
    for (const kind of NOUN_FORMS) spellings(withHead(head, kind, words), kind);
  if ((traits & VERB) !== 0) {
    for (const kind of VERB_FORMS) spellings(withHead(head, kind, words), kind);
    // "Showed" and "shown": what stands beside the usual participle.
    spellings(`${head.before}${words.words.inflect(head.word, "VBN")}${head.after}`, "VBN");
  }
  if ((traits & ADJECTIVE) !== 0 && head.before === "" && head.after === "") {
    for (const kind of ADJECTIVE_FORMS) {
      const form = withHead(head, kind, words);
      // "Cleverer" is in the dictionary, "tidaler" is not.
      if (words.lexicon.varieties(form) !== 0) spellings(form, kind);
    }
  }
  return listed(found);
}

function listed(found: ReadonlyMap<string, FormKind[]>): PhraseForm[] {
  return [...found].map(([text, kinds]) => ({ text, kinds }));
}

/**
 * What stands for a form of one term when another takes its place: the same form of that one, and its
 * base where it has none; the participle first where the words before it ask for one.
 */
export function sameForms(
  use: string,
  kinds: readonly FormKind[],
  asParticiple: boolean,
  words: Words,
): string[] {
  const texts = kinds.map((kind) => formOf(use, kind, words) ?? use);
  const participle = kinds.indexOf("VBN");
  if (participle > 0 && asParticiple) {
    const [own] = texts.splice(participle, 1);
    if (own !== undefined) texts.unshift(own);
  }
  return [...new Set(texts)];
}

/** Whether the words before a place ask for a participle: “has”, “was never”. */
export function followsAuxiliary(text: string, from: number): boolean {
  return AFTER_AUXILIARY.test(text.slice(Math.max(0, from - 60), from));
}

const AFTER_AUXILIARY =
  /(?:^|[^\p{L}])(?:ha(?:s|ve|d|ving)|is|are|was|were|be|been|being|get|gets|got|’ve|'ve|’s|'s|’d|'d)(?:\s+(?:not|also|since|already|never|been|being|\p{L}+ly))*\s+$/iu;
