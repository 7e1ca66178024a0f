import { TAG, TAG_SETS, type TagSet } from "../../language/tags/tag-sets.ts";
import { TAGS } from "../../language/tags/tags.ts";
import { INFLECTIONS } from "../../language/words/lemmas.ts";
import type { WordTable } from "../../language/words/words.ts";

/**
 * The pattern language of checks. A pattern is a line of elements with spaces between them, each
 * for one unit of text (a word, a clitic, a number or a punctuation mark):
 *
 *     word         that word, in any case         word~     it in any inflection
 *     NN           a part of speech (`tags.ts`)   NOUN      a set of them (`tag-sets.ts`)
 *     word/NN      that word as that part         a|b|c     any of these
 *     !a|b         none of these                  _         anything
 *     @list        a word of a named list         <s> </s>  the sentence's ends
 *     x?  x*       may be missing; up to four
 *     [x y]        what the mark covers; everything without brackets
 *
 * After "=>" come the ways to mend it, with "|" between them: words, "$2" for what the second
 * element matched, "$2:VBN" for it inflected, "$2-$3" joined, "word~2" for a word inflected as the
 * second element is, "-" for nothing at all. After "::" a reason of its own may follow.
 */
export interface Pattern {
  elements: Element[];
  /** The marked elements, [from, to). */
  marked: { from: number; to: number };
  mends: Mend[];
  reason: string | null;
  /** The line it was read from. */
  source: string;
}

export interface Element {
  /** Numbers of the words that fit, and what each must be tagged; null for any word. */
  words: Map<number, TagSet | null> | null;
  tags: TagSet | null;
  negated: boolean;
  least: number;
  most: number;
  /** Stands for a place between units. */
  edge: "start" | "end" | null;
  /** The sentence's end will do as well. */
  orEnd: boolean;
}

/** The parts of a way to mend a match, in order. */
export type Mend = MendPart[];
export type MendPart = (
  | { kind: "text"; text: string }
  | { kind: "copy"; element: number; inflection: string | null }
  | { kind: "inflected"; lemma: string; element: number }
) & { /** Follows the part before it without a space. */ glued: boolean };

export type WordLists = Readonly<Record<string, readonly string[]>>;

const MOST = 4;

/** Reads one line. Throws RangeError that names what cannot be read. */
export function parsePattern(line: string, table: WordTable, lists: WordLists = {}): Pattern {
  const [rule = "", reason = null] = line.split(" :: ");
  const [left = "", right = null] = rule.split(" => ");
  const elements: Element[] = [];
  let from = -1;
  let to = -1;
  for (let piece of left.trim().split(/\s+/)) {
    if (piece.startsWith("[") && piece.length > 1) {
      from = elements.length;
      piece = piece.slice(1);
    }
    const closes = piece.endsWith("]") && piece.length > 1;
    if (closes) piece = piece.slice(0, -1);
    elements.push(parseElement(piece, table, lists, line));
    if (closes) to = elements.length;
  }
  if (elements.length === 0 || from >= 0 !== to >= 0) throw new RangeError(`pattern: ${line}`);
  const marked = from >= 0 ? { from, to } : { from: 0, to: elements.length };
  const mends = right === null ? [] : right.split(" | ").map((mend) => parseMend(mend, line));
  return { elements, marked, mends, reason: reason?.trim() ?? null, source: line };
}

function parseElement(written: string, table: WordTable, lists: WordLists, line: string): Element {
  let body = written;
  let least = 1;
  let most = 1;
  if (body.length > 1 && /[?*]$/.test(body)) {
    least = 0;
    most = body.endsWith("*") ? MOST : 1;
    body = body.slice(0, -1);
  }
  const negated = body.length > 1 && body.startsWith("!");
  if (negated) body = body.slice(1);
  const element: Element = {
    words: null,
    tags: null,
    negated,
    least,
    most,
    edge: null,
    orEnd: false,
  };
  if (body === "<s>" || body === "</s>") {
    return { ...element, edge: body === "<s>" ? "start" : "end", least: 0, most: 0 };
  }
  if (body === "_") return { ...element, negated: true };
  const words = new Map<number, TagSet | null>();
  let tags: TagSet | null = null;
  const alternatives = body === "|" ? [body] : body.split("|");
  let orEnd = false;
  for (const alternative of alternatives) {
    if (alternative === "</s>") {
      orEnd = true;
      continue;
    }
    const slash = alternative.lastIndexOf("/");
    const form = slash > 0 ? alternative.slice(0, slash) : alternative;
    const part = slash > 0 ? tagsNamed(alternative.slice(slash + 1)) : null;
    if (slash > 0 && !part) throw new RangeError(`unknown part of speech in pattern: ${line}`);
    const own = slash > 0 ? null : tagsNamed(form);
    if (own) {
      const both: TagSet = tags ?? new Uint8Array(TAGS.length);
      for (let tag = 0; tag < own.length; tag++) both[tag] = (both[tag] ?? 0) | (own[tag] ?? 0);
      tags = both;
      continue;
    }
    for (const one of formsNamed(form, table, lists, line)) words.set(table.intern(one), part);
  }
  return { ...element, words: words.size > 0 ? words : null, tags, orEnd };
}

function tagsNamed(name: string): TagSet | null {
  const set = TAG_SETS[name as keyof typeof TAG_SETS];
  if (set) return set;
  if (!(name in TAG)) return null;
  const one = new Uint8Array(TAGS.length);
  one[TAG[name as keyof typeof TAG]] = 1;
  return one;
}

function formsNamed(form: string, table: WordTable, lists: WordLists, line: string): string[] {
  if (form.startsWith("@")) {
    const list = lists[form.slice(1)];
    if (!list) throw new RangeError(`unknown list in pattern: ${line}`);
    return list.flatMap((one) => (one.endsWith("~") ? allForms(one.slice(0, -1), table) : [one]));
  }
  if (/[A-Z]/.test(form)) throw new RangeError(`unknown part of speech in pattern: ${line}`);
  return form.endsWith("~") ? allForms(form.slice(0, -1), table) : [form];
}

/** A base form with all its inflected forms, in both spellings where a final l may double. */
function allForms(lemma: string, table: WordTable): string[] {
  const forms = INFLECTIONS.map((inflection) => table.inflect(lemma, inflection));
  const british = /[^aeiou][aeiou]l$/.test(lemma) ? [`${lemma}led`, `${lemma}ling`] : [];
  const se = forms
    .filter((form) => /iz(?:e|es|ed|ing)$/.test(form))
    .map((f) => f.replace(/z(?=[^z]*$)/, "s"));
  const be = lemma === "be" ? ["am", "are", "were", "'m", "'re"] : lemma === "have" ? ["'ve"] : [];
  const base = /ize$/.test(lemma) ? [lemma, lemma.replace(/ze$/, "se")] : [lemma];
  return [...new Set([...base, ...forms, ...british, ...se, ...be])];
}

function parseMend(written: string, line: string): Mend {
  const trimmed = written.trim();
  if (trimmed === "-") return [];
  const mend: Mend = [];
  for (const part of trimmed.split(/\s+/)) {
    const inflected = /^([\p{L}'’-]+)~(\d+)$/u.exec(part);
    if (inflected) {
      const [, lemma = "", element] = inflected;
      mend.push({ kind: "inflected", lemma, element: Number(element) - 1, glued: false });
      continue;
    }
    if (/\$(?!\d)/.test(part)) throw new RangeError(`mend in pattern: ${line}`);
    let glued = false;
    for (const [piece, element, inflection] of part.matchAll(/\$(\d+)(?::([A-Z]+))?|[^$]+/g)) {
      if (element === undefined) {
        if (piece.includes("~")) throw new RangeError(`mend in pattern: ${line}`);
        mend.push({ kind: "text", text: piece, glued });
      } else {
        const at = Number(element) - 1;
        mend.push({ kind: "copy", element: at, inflection: inflection ?? null, glued });
      }
      glued = true;
    }
  }
  return mend;
}
