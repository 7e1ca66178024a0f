import type { FormFact } from "../checks/consistency/form-check.ts";
import { isOneEdit } from "../language/corrections/edit-cost.ts";
import type { Syntax } from "../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../language/tags/tag-sets.ts";
import type { Range } from "../manuscript/model.ts";
import type { Gathering } from "./gathering.ts";
import { pairKey } from "./term-pairs.ts";

/**
 * Noun terms of a document, gathered into families of terms that may be one thing. Two terms are near by
 * what their letters, stems and sound have in common, by a word they share, and by the company they keep:
 * the words they stand among.
 */

export interface TermPlace extends Range {
  block: number;
  /** As it stands there, which may be in the plural. */
  written: string;
}

export interface Term {
  /** In the singular, small letters. */
  term: string;
  places: TermPlace[];
}

/** What speaks for two terms being one thing, in words. */
export interface Evidence {
  one: string;
  other: string;
  told: string;
  /** 0 to 1. */
  weight: number;
}

export interface Family {
  /** The commonest first. */
  terms: Term[];
  evidence: Evidence[];
  /** Of its strongest evidence. */
  weight: number;
}

export interface GatheredTerms {
  terms: Term[];
  /** The likeliest first. */
  families: Family[];
}

/** Most words of a term. */
const LONGEST = 4;
/** A word as common as this, by log2 of its count in 50 million words, is a term only with others. */
const COMMON = 13;
/** A family has at most so many members; larger ones are kinds of one thing. */
const LARGEST = 6;
/** From here on two terms are shown as a family. */
const LEAST = 0.5;
/** Terms met as often as this are compared by their company alone. */
const FREQUENT = 4;
const MOST_FREQUENT = 300;

interface Gathered extends Term {
  words: string[];
  company: Map<string, number>;
}

/** The terms of what was examined; `apart` holds pairs that were marked as different, as "one|other". */
export function gatherTerms(source: Gathering, apart: ReadonlySet<string>): GatheredTerms {
  const terms = [...collect(source).values()].filter(
    ({ term, places, words }) =>
      places.length > 1 || words.length > 1 || source.language.lexicon.varieties(term) === 0,
  );
  terms.sort((one, other) => other.places.length - one.places.length);
  const evidence = compare(terms, source).filter(
    ({ one, other, weight }) => weight >= LEAST && !apart.has(pairKey(one, other)),
  );
  return { terms: terms.map(plain), families: familiesOf(terms, evidence) };
}

function plain({ term, places }: Gathered): Term {
  return { term, places };
}

function collect(source: Gathering): Map<string, Gathered> {
  const terms = new Map<string, Gathered>();
  for (let block = 0; block < source.size; block++) {
    for (const { part, from } of source.analysed(block)) {
      const syntax = part.syntax();
      if (!syntax || part.kind === "reference" || part.structure.shape !== "text") continue;
      for (const { first, last } of nounTerms(syntax)) {
        const { words, units, text } = syntax;
        const forms = words.slice(first, last).map(({ form }) => form);
        forms[forms.length - 1] = singular(forms.at(-1) ?? "", syntax.tags[last - 1], source);
        const only = forms.length === 1 ? words[first] : undefined;
        if (only && (only.frequency > COMMON || (only.form.length < 4 && only.traits !== 0)))
          continue;
        const term = forms.join(" ");
        const known: Gathered = terms.get(term) ?? {
          term,
          words: forms,
          places: [],
          company: new Map(),
        };
        terms.set(term, known);
        const start = units[first]?.from ?? 0;
        const to = units[last - 1]?.to ?? start;
        known.places.push({
          block,
          from: from + start,
          to: from + to,
          written: text.slice(start, to),
        });
        keepCompany(known, syntax, first, last, source);
      }
    }
  }
  addCompounds(terms, source);
  return terms;
}

/** A noun in the singular; of a word that no dictionary has by its ending. */
function singular(form: string, tag: number | undefined, { language }: Gathering): string {
  const known = language.words.noun(form);
  const isPlural = tag === TAG.NNS && known === form && language.lexicon.varieties(form) === 0;
  return isPlural ? form.replace(/(?<![suix])s$/, "") : known;
}

/** Compounds that stand in larger noun groups, or that are read as none. */
function addCompounds(terms: Map<string, Gathered>, source: Gathering): void {
  for (const { block, start, facts } of source.factsOf("consistency/compound")) {
    const text = source.textOf(block);
    for (const { from, to, form: counted, role } of facts as readonly FormFact[]) {
      const inSingular = counted.replace(/s$/, "");
      const form = terms.has(inSingular) ? inSingular : counted;
      if (role === "v" || role === "p" || LOOSE.test(form)) continue;
      const known: Gathered = terms.get(form) ?? {
        term: form,
        words: form.split(" "),
        places: [],
        company: new Map(),
      };
      if (known.places.some((place) => place.block === block && place.from === start + from))
        continue;
      terms.set(form, known);
      known.places.push({
        block,
        from: start + from,
        to: start + to,
        written: text.slice(from, to),
      });
    }
  }
}

/** A noun and a word that only follows it, or a number. */
const LOOSE =
  / (?:in|on|at|up|down|out|off|over|back|away|apart|since|ago|per|along|around|through)$|^twenty|^north|^south/;

/** Noun groups without what determines them, up to four words, the last a noun. */
function* nounTerms({
  nounGroups,
  tags,
  words,
}: Syntax): Generator<{ first: number; last: number }> {
  for (const group of nounGroups) {
    if (group.pronoun) continue;
    const last = group.head + 1;
    if (!TAG_SETS.NOUN[tags[group.head] ?? -1]) continue;
    let first = Math.max(group.from, last - LONGEST);
    while (first < last - 1) {
      const tag = tags[first] ?? -1;
      const isPart = TAG_SETS.NOUN[tag] || tag === TAG.JJ || tag === TAG.VBN || tag === TAG.VBG;
      if (isPart && /^\p{L}[\p{L}'-]*$/u.test(words[first]?.form ?? "")) break;
      first++;
    }
    if (!words.slice(first, last).every(({ form }) => /^\p{L}[\p{L}'-]+$/u.test(form))) continue;
    yield { first, last };
  }
}

/** Counts the content words that stand in a sentence with a term. */
function keepCompany(
  { company, words: own }: Gathered,
  { sentenceFrom, sentenceTo, words, tags }: Syntax,
  first: number,
  last: number,
  { language }: Gathering,
): void {
  const end = Math.min(sentenceTo[first] ?? last, last + 12);
  for (let at = Math.max(sentenceFrom[first] ?? 0, first - 12); at < end; at++) {
    if (at >= first && at < last) continue;
    const tag = tags[at] ?? -1;
    const word = words[at];
    if (!word || word.form.length < 4 || word.frequency > COMMON) continue;
    const isNoun = TAG_SETS.NOUN[tag] === 1;
    if (!isNoun && !TAG_SETS.VERB[tag] && tag !== TAG.JJ) continue;
    const lemma = isNoun ? language.words.noun(word.form) : language.words.verb(word.form);
    if (!own.includes(lemma)) company.set(lemma, (company.get(lemma) ?? 0) + 1);
  }
}

function compare(terms: readonly Gathered[], source: Gathering): Evidence[] {
  const byPair = new Map<string, Evidence>();
  const known = new Map(terms.map((term) => [term.term, term]));
  const add = (one: Gathered, other: Gathered, told: string, weight: number) => {
    const key = pairKey(one.term, other.term);
    const before = byPair.get(key);
    if (!before) byPair.set(key, { one: one.term, other: other.term, told, weight });
    else {
      before.told += `; ${told}`;
      before.weight = 1 - (1 - before.weight) * (1 - weight);
    }
  };
  for (const { key, members } of buckets(terms, source)) {
    for (const [at, one] of members.entries()) {
      for (const other of members.slice(at + 1)) near(one, other, key, add);
    }
  }
  // What shares letters or words must keep the same company too, or be one letter apart.
  for (const evidence of byPair.values()) {
    const one = known.get(evidence.one);
    const other = known.get(evidence.other);
    if (!one || !other) continue;
    const shared = sharedCompany(one, other);
    if (shared.share > 0.15)
      add(one, other, `both stand with ${listed(shared.words)}`, shared.share);
  }
  const frequent = terms.filter(({ places }) => places.length >= FREQUENT).slice(0, MOST_FREQUENT);
  for (const [at, one] of frequent.entries()) {
    for (const other of frequent.slice(at + 1)) {
      if (byPair.has(pairKey(one.term, other.term))) continue;
      const { share, words } = sharedCompany(one, other);
      if (share >= LEAST && words.length > 2)
        add(one, other, `keep the same company: ${listed(words)}`, share);
    }
  }
  return [...byPair.values()];
}

type Sort = "letters" | "stem" | "sound" | "word";

/** Terms that meet under a key: one letter left out, the stem of each word, their sound, one word replaced. */
function buckets(
  terms: readonly Gathered[],
  { language }: Gathering,
): { key: Sort; members: Gathered[] }[] {
  const found = new Map<string, { key: Sort; members: Gathered[] }>();
  const put = (key: Sort, text: string, term: Gathered) => {
    const id = `${key} ${text}`;
    const bucket = found.get(id) ?? { key, members: [] };
    found.set(id, bucket);
    if (!bucket.members.includes(term)) bucket.members.push(term);
  };
  for (const term of terms) {
    const joined = term.words.join("").replace(/[^\p{L}]/gu, "");
    if (joined.length > 5) put("letters", joined, term);
    put(
      "stem",
      term.words
        .map((word) => stemOf(word, language))
        .sort()
        .join(" "),
      term,
    );
    put("sound", term.words.map(soundOf).join(" "), term);
    if (term.words.length < 2) continue;
    for (const [at] of term.words.entries()) {
      put("word", term.words.map((word, index) => (index === at ? "·" : word)).join(" "), term);
    }
    // "gauge" beside "tide gauge": the head alone.
    put("word", term.words.slice(1).join(" "), term);
  }
  return [...found.values()].filter(({ members }) => members.length > 1 && members.length <= 40);
}

function near(
  one: Gathered,
  other: Gathered,
  key: Sort,
  add: (one: Gathered, other: Gathered, told: string, weight: number) => void,
): void {
  const pair = `“${one.term}”, “${other.term}”`;
  if (key === "letters") add(one, other, "the same letters, parted otherwise", 0.8);
  else if (key === "stem") add(one, other, "words of the same stems", 0.6);
  else if (key === "sound") {
    const [mine, theirs] = [one, other].map(({ term }) => term.split(/[ -]/));
    const differing = mine?.filter((word) => !theirs?.includes(word)) ?? [];
    if (differing.length > 0 && differing.every((word) => PARTING.has(word))) return;
    add(one, other, "sound alike", isOneEdit(one.term, other.term) ? 0.6 : 0.4);
  } else {
    const differing = one.words.filter((word) => !other.words.includes(word));
    const instead = other.words.filter((word) => !one.words.includes(word));
    const [first = ""] = differing;
    const [second = ""] = instead;
    if (first && second && isOneEdit(first, second)) {
      add(one, other, `one letter apart: ${pair}`, 0.75);
    } else if (differing.length === 1 && instead.length === 1 && !areOpposite(first, second)) {
      const shared = one.words.find((word) => other.words.includes(word)) ?? "";
      add(one, other, `“${shared}” with “${first}” and with “${second}”`, 0.25);
    }
  }
}

/** Words that part two things rather than name one in two ways: numbers, sides, opposites. */
const PARTING = new Set(
  "first second third last next left right upper lower inner outer north south east west northern southern eastern western old new high low maximum minimum primary secondary main minor major front back top bottom early late long short large small big wide narrow positive negative internal external red blue green black white daily weekly monthly yearly annual spring autumn summer winter open closed wet dry hot cold".split(
    " ",
  ),
);

function areOpposite(one: string, other: string): boolean {
  return PARTING.has(one) || PARTING.has(other);
}

/** A word without the ending that makes a noun of a verb or an adjective of a noun. */
function stemOf(word: string, { words }: Gathering["language"]): string {
  const base = words.verb(words.noun(word));
  return base.length > 5
    ? base.replace(
        /(?:ation|ition|tion|sion|ment|ing|ance|ence|ness|ity|al|ic|ive|er|or|ed|e|y)$/,
        "",
      )
    : base;
}

/** The consonants of a word by their sound. */
function soundOf(word: string): string {
  return word
    .replace(/ph/g, "f")
    .replace(/ck|c(?![eiy])|q|k/g, "k")
    .replace(/c(?=[eiy])|z/g, "s")
    .replace(/(.)\1/g, "$1")
    .replace(/(?<=.)[aeiouyhw]/g, "");
}

/** How much of their company two terms share, 0 to 1 by the cosine, and the words that tell. */
function sharedCompany(one: Gathered, other: Gathered): { share: number; words: string[] } {
  let dot = 0;
  const shared: [string, number][] = [];
  for (const [word, times] of one.company) {
    const there = other.company.get(word);
    if (!there) continue;
    dot += times * there;
    shared.push([word, times * there]);
  }
  const length = ({ company }: Gathered) =>
    Math.sqrt([...company.values()].reduce((sum, times) => sum + times * times, 0));
  const product = length(one) * length(other);
  const words = shared.sort(([, a], [, b]) => b - a).map(([word]) => word);
  // One word in common is chance.
  return { share: words.length < 2 || product === 0 ? 0 : dot / product, words: words.slice(0, 3) };
}

function listed(words: readonly string[]): string {
  const quoted = words.map((word) => `“${word}”`);
  return quoted.length < 2
    ? quoted.join("")
    : `${quoted.slice(0, -1).join(", ")} and ${quoted.at(-1)}`;
}

/** Families: what hangs together by evidence, from the strongest on, while they stay small. */
function familiesOf(terms: readonly Gathered[], evidence: readonly Evidence[]): Family[] {
  const home = new Map<string, Set<string>>();
  for (const { one, other } of [...evidence].sort((a, b) => b.weight - a.weight)) {
    const first = home.get(one) ?? new Set([one]);
    const second = home.get(other) ?? new Set([other]);
    if (first !== second && first.size + second.size > LARGEST) continue;
    const joined = new Set([...first, ...second]);
    for (const term of joined) home.set(term, joined);
  }
  const byName = new Map(terms.map((term) => [term.term, term]));
  return [...new Set(home.values())]
    .map((members) => {
      const own = evidence
        .filter(({ one, other }) => members.has(one) && members.has(other))
        .sort((a, b) => b.weight - a.weight);
      const found = [...members].flatMap((name) => byName.get(name) ?? []);
      return {
        terms: found.sort((a, b) => b.places.length - a.places.length).map(plain),
        evidence: own,
        weight: own[0]?.weight ?? 0,
      };
    })
    .sort((a, b) => b.weight - a.weight);
}
