import type { Syntax } from "../../language/phrases/syntax.ts";
import { TAGS } from "../../language/tags/tags.ts";
import type { WordTable } from "../../language/words/words.ts";
import type { Element, Pattern } from "./pattern.ts";

/** A place where a pattern fits. */
export interface Match {
  pattern: Pattern;
  /** For each element the units it took, as [from, to) pairs one after another. */
  bounds: Int32Array;
}

interface Entry {
  pattern: Pattern;
  owner: number;
  /** How many units before the indexed one the pattern begins. */
  offset: number;
  /** What must stand right before the indexed unit, or right after it; null where that is not fixed. */
  before: Element | null;
  after: Element | null;
}

/**
 * Many patterns looked for together in one walk over a block. Each is found by one of its words,
 * the least frequent that has a fixed place in it, together with the word next to it where that is
 * fixed as well, or by the parts of speech of its first element.
 */
export class Matcher {
  private readonly byWord: (Entry[] | undefined)[] = [];
  /** By the indexed word and the one after it, or the one before it. */
  private readonly byNext = new Map<number, Entry[]>();
  private readonly byPrevious = new Map<number, Entry[]>();
  private readonly byTag: (Entry[] | undefined)[] = [];
  private readonly bounds = new Int32Array(64);

  /** `owners` are the patterns of each check; matches come back by the same numbers. */
  constructor(
    owners: readonly (readonly Pattern[])[],
    table: WordTable,
    frequency: (form: string) => number,
  ) {
    const commonness = new Map<number, number>();
    const rarity = (element: Element) => {
      let most = 0;
      for (const id of element.words?.keys() ?? []) most = Math.max(most, commonness.get(id) ?? 0);
      return most;
    };
    for (const [form, id] of table.interned()) commonness.set(id, frequency(form));
    for (const [owner, patterns] of owners.entries()) {
      for (const pattern of patterns) this.add(pattern, owner, rarity);
    }
  }

  private add(pattern: Pattern, owner: number, rarity: (element: Element) => number): void {
    let offset = 0;
    let best: { element: Element; offset: number; index: number } | null = null;
    for (const [index, element] of pattern.elements.entries()) {
      if (element.edge) continue;
      if (
        isLiteral(element) &&
        element.least === 1 &&
        (!best || rarity(element) < rarity(best.element))
      ) {
        best = { element, offset, index };
      }
      if (element.least !== element.most) break;
      offset += element.most;
    }
    if (best) {
      const { offset, index } = best;
      const before = fixed(pattern.elements[index - 1]);
      const after = best.element.most === 1 ? fixed(pattern.elements[index + 1]) : null;
      const entry = { pattern, owner, offset, before, after };
      for (const id of best.element.words?.keys() ?? []) {
        if (isLiteral(after)) {
          for (const next of after.words?.keys() ?? []) pushPair(this.byNext, id, next, entry);
        } else if (isLiteral(before)) {
          for (const one of before.words?.keys() ?? []) pushPair(this.byPrevious, one, id, entry);
        } else push(this.byWord, id, entry);
      }
      return;
    }
    const first = pattern.elements.find(({ edge }) => !edge);
    if (!first || first.negated || first.least === 0) {
      throw new RangeError(
        `a pattern needs a word or a part of speech to start: ${pattern.source}`,
      );
    }
    const entry = { pattern, owner, offset: 0, before: null, after: null };
    for (const id of first.words?.keys() ?? []) push(this.byWord, id, entry);
    for (let tag = 0; tag < TAGS.length; tag++) {
      if (first.tags?.[tag]) push(this.byTag, tag, entry);
    }
  }

  /** Every match, with the number of its owner, in the order of the places. */
  match(syntax: Syntax, found: (owner: number, match: Match) => void): void {
    const { words, tags } = syntax;
    let id = 0;
    let next = words[0]?.id ?? 0;
    for (let at = 0; at < words.length; at++) {
      const previous = id;
      id = next;
      next = words[at + 1]?.id ?? 0;
      if (id > 0) {
        if (next > 0) this.tryAll(this.byNext.get(id * PAIR_SPACE + next), syntax, at, found);
        if (previous > 0) {
          this.tryAll(this.byPrevious.get(previous * PAIR_SPACE + id), syntax, at, found);
        }
        this.tryAll(this.byWord[id], syntax, at, found);
      }
      this.tryAll(this.byTag[tags[at] ?? 0], syntax, at, found);
    }
  }

  private tryAll(
    entries: Entry[] | undefined,
    syntax: Syntax,
    at: number,
    found: (owner: number, match: Match) => void,
  ): void {
    if (!entries) return;
    const end = syntax.sentenceTo[at] ?? 0;
    for (const { pattern, owner, offset, before, after } of entries) {
      const start = at - offset;
      if (start < (syntax.sentenceFrom[at] ?? 0)) continue;
      if (after && (at + 1 >= end || !unitFits(after, at + 1, syntax))) continue;
      if (before && !unitFits(before, at - 1, syntax)) continue;
      if (this.fits(pattern.elements, 0, start, syntax)) {
        const bounds = this.bounds.slice(0, 2 * pattern.elements.length);
        found(owner, { pattern, bounds });
      }
    }
  }

  /** Whether the elements from this one on fit the units from this one on; longest first. */
  private fits(elements: readonly Element[], index: number, at: number, syntax: Syntax): boolean {
    const element = elements[index];
    if (!element) return true;
    const { sentenceFrom, sentenceTo } = syntax;
    const anchor = Math.min(at, syntax.words.length - 1);
    if (element.edge) {
      const there = element.edge === "start" ? sentenceFrom[anchor] === at : isEnd(syntax, at);
      if (!there) return false;
      this.bounds[2 * index] = at;
      this.bounds[2 * index + 1] = at;
      return this.fits(elements, index + 1, at, syntax);
    }
    const first = index === 0 ? at : (this.bounds[0] ?? at);
    const end = sentenceTo[Math.min(first, syntax.words.length - 1)] ?? 0;
    let taken = 0;
    while (taken < element.most && at + taken < end && unitFits(element, at + taken, syntax)) {
      taken++;
    }
    for (; taken >= element.least; taken--) {
      this.bounds[2 * index] = at;
      this.bounds[2 * index + 1] = at + taken;
      if (this.fits(elements, index + 1, at + taken, syntax)) return true;
    }
    if (element.orEnd && element.least > 0 && isEnd(syntax, at)) {
      this.bounds[2 * index] = at;
      this.bounds[2 * index + 1] = at;
      return this.fits(elements, index + 1, at, syntax);
    }
    return false;
  }
}

/** An element that takes one unit and no more. */
function fixed(element: Element | undefined): Element | null {
  const single = element && !element.edge && !element.orEnd;
  return single && element.least === 1 && element.most === 1 ? element : null;
}

function isEnd(syntax: Syntax, at: number): boolean {
  return at >= syntax.words.length || syntax.sentenceFrom[at] === at || isClosing(syntax, at);
}

/** A stop and what closes after it count as the sentence's end. */
function isClosing({ words, sentenceTo }: Syntax, at: number): boolean {
  const end = sentenceTo[at] ?? 0;
  for (let rest = at; rest < end; rest++) {
    if (!/^[.?!…"'”’)\]]+$/.test(words[rest]?.form ?? "")) return false;
  }
  return true;
}

function unitFits({ words, tags, negated }: Element, at: number, syntax: Syntax): boolean {
  if (!words && !tags) return true;
  const tag = syntax.tags[at] ?? 0;
  let fits = tags !== null && tags[tag] === 1;
  if (!fits && words) {
    const part = words.get(syntax.words[at]?.id ?? 0);
    fits = part !== undefined && (part === null || part[tag] === 1);
  }
  return fits !== negated;
}

/** Whether an element is words and nothing else. */
function isLiteral(element: Element | null): element is Element {
  return element !== null && element.words !== null && !element.tags && !element.negated;
}

/** Keeps keys small whole numbers; two pairs of the same key would only be tried for nothing. */
const PAIR_SPACE = 1 << 15;

function pushPair(index: Map<number, Entry[]>, first: number, second: number, entry: Entry): void {
  const key = first * PAIR_SPACE + second;
  const entries = index.get(key);
  if (entries) entries.push(entry);
  else index.set(key, [entry]);
}

function push(index: (Entry[] | undefined)[], key: number, entry: Entry): void {
  const entries = index[key];
  if (entries) entries.push(entry);
  else index[key] = [entry];
}
