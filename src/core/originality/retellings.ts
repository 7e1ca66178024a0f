import { stemmer } from "stemmer";
import { identityOf } from "./alignment.ts";
import { isFunctionWord } from "./frames.ts";
import type { Overlap } from "./overlaps.ts";
import { type ComparedWords, comparedWords, wordHash } from "./words.ts";

/**
 * Passages told again in other words: windows of sentences of text and source with so many stems in common,
 * rare ones before common ones, that one may go back on the other. It is a guess, for the person's own sources
 * alone, whose texts are at hand.
 */

/** A text by the stems of its words; 0 for words that tell nothing: function words, numbers, letters. */
export interface StemmedText {
  stems: Uint32Array;
  /** The first word of each sentence, and of each line. */
  starts: readonly number[];
}

/** Sentences of a span; in words it is no shorter and no longer than these. */
const SENTENCES = 3;
const LEAST = 24;
const MOST = 140;
/** Windows are alike from this cosine on, with so many stems in common. */
const ALIKE = 0.38;
const SHARED = 8;
/** A stem of so many windows, where it is also in this share of them, tells nothing. */
const COMMON = 40;
const COMMON_SHARE = 0.2;
/** So much of a span must not have been found before. */
const FRESH = 0.6;

const STEMS = new Map<number, number>();

/** The stems of a text's words. */
export function stemmedText(text: string, words: ComparedWords): StemmedText {
  const { hashes, from, to } = words;
  const stems = new Uint32Array(hashes.length);
  const starts: number[] = [];
  let end = 0;
  for (let word = 0; word < hashes.length; word++) {
    const hash = hashes[word] ?? 0;
    const start = from[word] ?? 0;
    const between = text.slice(end, start);
    if (word === 0 || /[.!?…]["”’')\]]*\s|\n/u.test(between)) starts.push(word);
    end = to[word] ?? start;
    let stem = STEMS.get(hash);
    if (stem === undefined) {
      const written = text.slice(start, end).toLowerCase();
      const tells = !isFunctionWord(hash) && /^\p{L}[\p{L}’'-]{2,}$/u.test(written);
      stem = tells ? wordHash(stemmer(written.replace(/[’']s?$/u, ""))) : 0;
      STEMS.set(hash, stem);
    }
    stems[word] = stem;
  }
  return { stems, starts };
}

/** A text in which some words tell nothing, since they were found to stand elsewhere word for word. */
export function withoutWords(
  text: StemmedText,
  ranges: readonly (readonly [number, number])[],
): StemmedText {
  if (ranges.length === 0) return text;
  const stems = text.stems.slice();
  for (const [from, to] of ranges) stems.fill(0, from, to);
  return { ...text, stems };
}

interface Window {
  from: number;
  to: number;
}

/** Overlapping windows of sentences, each beginning with another sentence. */
function windowsOf({ stems, starts }: StemmedText): Window[] {
  const windows: Window[] = [];
  for (const [at, from] of starts.entries()) {
    let last = at + SENTENCES;
    while (last < starts.length && (starts[last] ?? 0) - from < LEAST) last++;
    const to = Math.min(starts[last] ?? stems.length, from + MOST);
    if (to - from >= LEAST) windows.push({ from, to });
    if (to >= stems.length) break;
  }
  return windows;
}

function stemsIn({ stems }: StemmedText, { from, to }: Window): Set<number> {
  const own = new Set(stems.subarray(from, to));
  own.delete(0);
  return own;
}

interface SourceWindow extends Window {
  source: string;
  stems: ReadonlySet<number>;
}

/** The windows of sources by their stems. */
export class RetoldSources {
  private readonly texts = new Map<string, StemmedText>();
  private windows: SourceWindow[] = [];
  private byStem = new Map<number, number[]>();
  private isStale = false;
  /** Of each span the squared length of its weights, and what a search adds up; zero between searches. */
  private lengths = new Float64Array();
  private dots = new Float64Array();
  private shared = new Uint16Array();

  /** Takes a source in, or in the place of what was under its name. */
  add(source: string, text: string): void {
    this.texts.set(source, stemmedText(text, comparedWords(text)));
    this.isStale = true;
  }

  remove(source: string): void {
    if (this.texts.delete(source)) this.isStale = true;
  }

  /** Passages of a text that may be a source's told again; ranges in words of either. */
  find(text: StemmedText): Overlap[] {
    this.refresh();
    if (this.windows.length === 0) return [];
    const found: { span: Window; source: SourceWindow }[] = [];
    for (const span of windowsOf(text)) {
      const best = this.likest(stemsIn(text, span));
      if (best) found.push({ span, ...best });
    }
    return joined(found).flatMap((one) => {
      const source = this.texts.get(one.source);
      return source ? [overlapOf(one, text, source)] : [];
    });
  }

  /** The span of a source that is most like these stems; null where none is enough. */
  private likest(stems: ReadonlySet<number>): { source: SourceWindow } | null {
    const { dots, shared } = this;
    const touched: number[] = [];
    let length = 0;
    for (const stem of stems) {
      const weight = this.weightOf(stem);
      length += weight * weight;
      if (weight === 0) continue;
      for (const span of this.byStem.get(stem) ?? []) {
        if (shared[span] === 0) touched.push(span);
        dots[span] = (dots[span] ?? 0) + weight * weight;
        shared[span] = (shared[span] ?? 0) + 1;
      }
    }
    let best = -1;
    let highest = ALIKE;
    for (const span of touched) {
      const cosine = (dots[span] ?? 0) / Math.sqrt(length * (this.lengths[span] ?? 1));
      if ((shared[span] ?? 0) >= SHARED && cosine >= highest) [best, highest] = [span, cosine];
      dots[span] = 0;
      shared[span] = 0;
    }
    const source = this.windows[best];
    return source ? { source } : null;
  }

  /** Rare stems tell more; one of no span tells as much as one of a single one. */
  private weightOf(stem: number): number {
    const times = this.byStem.get(stem)?.length ?? 0;
    const all = this.windows.length;
    if (times > COMMON && times > COMMON_SHARE * all) return 0;
    return Math.log(1 + (all + SENTENCES) / (Math.max(times, 1) + SENTENCES));
  }

  private refresh(): void {
    if (!this.isStale) return;
    this.isStale = false;
    this.windows = [];
    this.byStem = new Map();
    for (const [source, text] of this.texts) {
      for (const span of windowsOf(text)) {
        const stems = stemsIn(text, span);
        for (const stem of stems) {
          const list = this.byStem.get(stem);
          if (list) list.push(this.windows.length);
          else this.byStem.set(stem, [this.windows.length]);
        }
        this.windows.push({ ...span, source, stems });
      }
    }
    this.dots = new Float64Array(this.windows.length);
    this.shared = new Uint16Array(this.windows.length);
    this.lengths = Float64Array.from(this.windows, ({ stems }) => {
      let length = 0;
      for (const stem of stems) length += this.weightOf(stem) ** 2;
      return length;
    });
  }
}

interface Retelling extends Window {
  source: string;
  sourceFrom: number;
  sourceTo: number;
}

/** Windows that overlap in text and source are one passage. */
function joined(found: readonly { span: Window; source: SourceWindow }[]): Retelling[] {
  const passages: Retelling[] = [];
  for (const { span, source } of found) {
    const last = passages.at(-1);
    const goesOn =
      last &&
      last.source === source.source &&
      span.from < last.to &&
      source.from < last.sourceTo + LEAST &&
      source.to > last.sourceFrom - LEAST;
    if (goesOn) {
      last.to = Math.max(last.to, span.to);
      last.sourceFrom = Math.min(last.sourceFrom, source.from);
      last.sourceTo = Math.max(last.sourceTo, source.to);
    } else
      passages.push({
        ...span,
        source: source.source,
        sourceFrom: source.from,
        sourceTo: source.to,
      });
  }
  return passages;
}

/** A passage with the words of one stem laid beside each other, as many as keep their order. */
function overlapOf(
  { source, from, to, sourceFrom, sourceTo }: Retelling,
  text: StemmedText,
  other: StemmedText,
): Overlap {
  const range = { from, to, sourceFrom, sourceTo };
  const pairs = inOrder(text.stems.subarray(from, to), other.stems.subarray(sourceFrom, sourceTo));
  const placed = pairs.map(([one, two]) => [one + from, two + sourceFrom] as const);
  const found = { ...range, source, tier: "possible" as const, pairs: placed };
  return { ...found, identity: identityOf(found) };
}

/** The longest common subsequence of two short texts, as pairs of places; 0 is like nothing. */
function inOrder(one: Uint32Array, other: Uint32Array): [number, number][] {
  const width = other.length + 1;
  const longest = new Uint16Array((one.length + 1) * width);
  for (let i = one.length - 1; i >= 0; i--) {
    for (let j = other.length - 1; j >= 0; j--) {
      const isSame = one[i] !== 0 && one[i] === other[j];
      longest[i * width + j] = isSame
        ? (longest[(i + 1) * width + j + 1] ?? 0) + 1
        : Math.max(longest[(i + 1) * width + j] ?? 0, longest[i * width + j + 1] ?? 0);
    }
  }
  const pairs: [number, number][] = [];
  for (let i = 0, j = 0; i < one.length && j < other.length; ) {
    if (one[i] !== 0 && one[i] === other[j]) pairs.push([i++, j++]);
    else if ((longest[(i + 1) * width + j] ?? 0) >= (longest[i * width + j + 1] ?? 0)) i++;
    else j++;
  }
  return pairs;
}

/** Those of which enough was not found before, among the overlaps of a text. */
export function freshOnes(retold: readonly Overlap[], overlaps: readonly Overlap[]): Overlap[] {
  return retold.filter(({ from, to }) => {
    let known = 0;
    for (const one of overlaps)
      known += Math.max(0, Math.min(to, one.to) - Math.max(from, one.from));
    return known <= (1 - FRESH) * (to - from);
  });
}
