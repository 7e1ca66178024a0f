import { z } from "zod";
import type { SourcePrints } from "./collection.ts";
import type { Posting } from "./source-index.ts";

/**
 * What is asked of a collection elsewhere, and answered. Of a document only the first bits of its
 * fingerprints are sent, sorted, each once: no word and no whole fingerprint. What comes back are the
 * places of all fingerprints that begin so; which of them are the document's is found out here.
 */

/** Bits of a fingerprint that are sent; 4,096 fingerprints begin with the same. */
export const PREFIX_BITS = 20;
const BYTES = 3;
/** More is not answered at once: a book of a million words. */
export const MOST_PREFIXES = 600_000;

/** The question as it is sent. */
export function askedPlaces({ words, frame }: SourcePrints): Uint8Array {
  const lists = [prefixesOf(words.hashes), prefixesOf(frame.hashes)];
  const bytes = new Uint8Array(8 + lists.reduce((sum, { length }) => sum + length, 0) * BYTES);
  const view = new DataView(bytes.buffer);
  let at = 8;
  for (const [index, list] of lists.entries()) {
    view.setUint32(index * 4, list.length);
    for (const prefix of list) {
      bytes[at++] = prefix >>> 16;
      bytes[at++] = (prefix >>> 8) & 0xff;
      bytes[at++] = prefix & 0xff;
    }
  }
  return bytes;
}

function prefixesOf(hashes: Uint32Array): Uint32Array {
  const prefixes = hashes.map((hash) => hash >>> (32 - PREFIX_BITS));
  return Uint32Array.from(new Set(prefixes.sort()));
}

/** Reads a question; null where it is none, or asks too much. */
export function readAsked(bytes: Uint8Array): { words: number[]; frame: number[] } | null {
  if (bytes.length < 8) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  const [words, frame] = [view.getUint32(0), view.getUint32(4)];
  if (words + frame > MOST_PREFIXES || bytes.length !== 8 + (words + frame) * BYTES) return null;
  const all: number[] = [];
  for (let at = 8; at < bytes.length; at += BYTES)
    all.push(((bytes[at] ?? 0) << 16) | ((bytes[at + 1] ?? 0) << 8) | (bytes[at + 2] ?? 0));
  return { words: all.slice(0, words), frame: all.slice(words) };
}

/** A place with the whole fingerprint that stands there; sources are told by number. */
export interface AnsweredPlace {
  hash: number;
  source: number;
  word: number;
}

/** The places as they are answered. */
export function answeredPlaces(
  words: readonly AnsweredPlace[],
  frame: readonly AnsweredPlace[],
): Uint8Array {
  const numbers = new Uint32Array(1 + (words.length + frame.length) * 3);
  numbers[0] = words.length;
  let at = 1;
  for (const { hash, source, word } of [...words, ...frame]) {
    numbers[at++] = hash;
    numbers[at++] = source;
    numbers[at++] = word;
  }
  return new Uint8Array(numbers.buffer);
}

/** The places by their fingerprints. */
export type PlacesByHash = ReadonlyMap<number, readonly Posting[]>;

/** Reads the answer; null where it is none. `idOf` names the sources. */
export function readPlaces(
  bytes: Uint8Array,
  idOf: (source: number) => string,
): { words: PlacesByHash; frame: PlacesByHash } | null {
  if (bytes.length < 4 || bytes.length % 4 !== 0) return null;
  const numbers = new Uint32Array(bytes.slice().buffer);
  const words = numbers[0] ?? 0;
  if ((numbers.length - 1) % 3 !== 0 || words * 3 > numbers.length - 1) return null;
  const found = { words: new Map<number, Posting[]>(), frame: new Map<number, Posting[]>() };
  for (let at = 1; at < numbers.length; at += 3) {
    const list = at <= words * 3 ? found.words : found.frame;
    const hash = numbers[at] ?? 0;
    const place = { source: idOf(numbers[at + 1] ?? 0), word: numbers[at + 2] ?? 0 };
    const known = list.get(hash);
    if (known) known.push(place);
    else list.set(hash, [place]);
  }
  return found;
}

/** Words of a source that may be asked for at once, and stretches in one question. */
export const MOST_WORDS_ASKED = 2_000;
export const MOST_STRETCHES = 3_000;

/** A stretch of a source: its number, and its words from and to. */
const stretchSchema = z.tuple([
  z.number().int().nonnegative(),
  z.number().int().nonnegative(),
  z.number().int().positive(),
]);
export type Stretch = z.infer<typeof stretchSchema>;
export const askedPassagesSchema = z.object({
  stretches: z.array(stretchSchema).max(MOST_STRETCHES),
});

/** What is told of a source. */
export const toldSourceSchema = z.object({
  number: z.number().int().nonnegative(),
  id: z.string(),
  title: z.string(),
  origin: z.string(),
  licence: z.string(),
  author: z.string().optional(),
  year: z.number().int().optional(),
  words: z.number().int().nonnegative(),
  /** It is compared with, and not shown. */
  closed: z.boolean(),
});
export type ToldSource = z.infer<typeof toldSourceSchema>;

/** A stretch as it is answered: its text, or for a closed source the hashes of its words. */
const passageSchema = z.object({
  source: z.number().int().nonnegative(),
  from: z.number().int().nonnegative(),
  text: z.string().nullable(),
  words: z.array(z.number().int().nonnegative()).nullable(),
});
export const answeredPassagesSchema = z.object({
  /** Of the collection. */
  version: z.string(),
  sources: z.array(toldSourceSchema),
  passages: z.array(passageSchema),
});
export type AnsweredPassages = z.infer<typeof answeredPassagesSchema>;

/** What is told of the collection as a whole. */
export const sourceListSchema = z.object({
  version: z.string(),
  /** Sources and words in all, whatever was searched for. */
  sources: z.number().int().nonnegative(),
  words: z.number().int().nonnegative(),
  /** Sources that match the search. */
  matching: z.number().int().nonnegative(),
  rows: z.array(toldSourceSchema),
});
export type SourceList = z.infer<typeof sourceListSchema>;
