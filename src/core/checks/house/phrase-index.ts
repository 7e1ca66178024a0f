/**
 * Many phrases looked for together in one walk over the words of a text. A word is a run of letters and
 * digits; between the words of a phrase stands what stands between them in the text, be it a hyphen or
 * any space.
 */

export interface FoundPhrase<T> {
  from: number;
  to: number;
  /** What the phrases found there were put in with. */
  entries: readonly T[];
}

interface Node<T> {
  /** By what stands before the next word, and that word. */
  next: Map<string, Node<T>> | null;
  entries: T[] | null;
}

const WORD = /[\p{L}\p{M}\p{N}]+/gu;
/** A clitic after a word: "customer’s" has the word, "don’t" has not. */
const POSSESSIVE = /^['’]s?(?![\p{L}\p{N}])/iu;

export class PhraseIndex<T> {
  private readonly roots = new Map<string, Node<T>>();
  /** Phrases that begin or end with a sign, such as "&c." or "C++", which the walk over words can't see. */
  private readonly signs: { text: string; entry: T }[] = [];
  private count = 0;

  get size(): number {
    return this.count;
  }

  add(phrase: string, entry: T): void {
    this.count++;
    const parts = wordsOf(phrase.toLowerCase());
    const [first] = parts;
    const last = parts.at(-1);
    if (!first || !last || first.from > 0 || last.to < phrase.length) {
      this.signs.push({ text: phrase.toLowerCase(), entry });
      return;
    }
    let node = this.roots.get(first.word);
    if (!node) {
      node = { next: null, entries: null };
      this.roots.set(first.word, node);
    }
    for (const [at, { word, from }] of parts.entries()) {
      const before = parts[at - 1];
      if (!before) continue;
      const key = keyOf(phrase.slice(before.to, from), word);
      node.next ??= new Map();
      let next: Node<T> | undefined = node.next.get(key);
      if (!next) {
        next = { next: null, entries: null };
        node.next.set(key, next);
      }
      node = next;
    }
    node.entries ??= [];
    node.entries.push(entry);
  }

  /** Every phrase at each place of a text, in the order of the places. */
  find(text: string): FoundPhrase<T>[] {
    const found: FoundPhrase<T>[] = [];
    if (this.roots.size > 0) this.findWords(text, found);
    if (this.signs.length > 0) this.findSigns(text, found);
    return found;
  }

  private findWords(text: string, found: FoundPhrase<T>[]): void {
    const lower = lowered(text);
    const starts: number[] = [];
    const ends: number[] = [];
    WORD.lastIndex = 0;
    for (let match = WORD.exec(lower); match; match = WORD.exec(lower)) {
      starts.push(match.index);
      ends.push(WORD.lastIndex);
    }
    for (let at = 0; at < starts.length; at++) {
      const from = starts[at] ?? 0;
      let node = this.roots.get(lower.slice(from, ends[at]));
      if (!node || isClitic(text, from)) continue;
      for (let last = at; node; ) {
        const to = ends[last] ?? from;
        if (node.entries && endsWord(text, to)) found.push({ from, to, entries: node.entries });
        const next = starts[last + 1];
        if (!node.next || next === undefined) break;
        node = node.next.get(keyOf(text.slice(to, next), lower.slice(next, ends[last + 1])));
        last++;
      }
    }
  }

  private findSigns(text: string, found: FoundPhrase<T>[]): void {
    const lower = lowered(text);
    const isWord = (sign: string | undefined) => sign !== undefined && /[\p{L}\p{N}]/u.test(sign);
    for (const { text: phrase, entry } of this.signs) {
      for (let from = lower.indexOf(phrase); from >= 0; from = lower.indexOf(phrase, from + 1)) {
        const to = from + phrase.length;
        if (isWord(phrase[0]) && isWord(lower[from - 1])) continue;
        if (isWord(phrase.at(-1)) && isWord(lower[to])) continue;
        found.push({ from, to, entries: [entry] });
      }
    }
    found.sort((one, other) => one.from - other.from);
  }
}

/** Lower case with every character in its place, whatever its lower form is long. */
function lowered(text: string): string {
  const lower = text.toLowerCase();
  return lower.length === text.length
    ? lower
    : Array.from({ length: text.length }, (_, at) => {
        const one = text.charAt(at).toLowerCase();
        return one.length === 1 ? one : text.charAt(at);
      }).join("");
}

function keyOf(between: string, word: string): string {
  if (between === " ") return ` ${word}`;
  if (/^\s+$/.test(between)) return ` ${word}`;
  return `${between.replace(/[\u2010\u2011]/g, "-").replaceAll("’", "'")}${word}`;
}

/** Whether a word is the rest of another, after an apostrophe. */
function isClitic(text: string, from: number): boolean {
  return /['’]/.test(text[from - 1] ?? "") && /\p{L}/u.test(text[from - 2] ?? "");
}

/** Whether a word ends here, or goes on only with the ending of an owner. */
function endsWord(text: string, to: number): boolean {
  const sign = text[to];
  if (sign !== "'" && sign !== "’") return true;
  return POSSESSIVE.test(text.slice(to, to + 4));
}

function wordsOf(text: string): { word: string; from: number; to: number }[] {
  return [...text.matchAll(WORD)].map((match) => ({
    word: match[0],
    from: match.index,
    to: match.index + match[0].length,
  }));
}
