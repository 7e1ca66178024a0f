import type { Kind } from "../manuscript/model.ts";

/** Whom a text is for, and what such readers take with ease. */

export interface Bounds {
  /** Words a sentence: below and above the band of ease. */
  shortest: number;
  longest: number;
  /** Highest US school grade. */
  grade: number;
}

export const READER_IDS = ["public", "teenager", "law", "professional", "specialist"] as const;
export type ReaderId = (typeof READER_IDS)[number];

export interface Reader extends Bounds {
  id: ReaderId;
  title: string;
  /** As the board calls them: "this reader’s ease". */
  note: string;
}

/**
 * Bounds of named readers. Grades: adult literacy surveys put the public at the eighth grade; lengths:
 * plain-language guides advise 15 to 20 words on average and none above 25; the others are common
 * practice of publishers. A reader of one's own may have others.
 */
export const READERS: readonly Reader[] = [
  {
    id: "public",
    title: "General public",
    note: "grown readers of any schooling",
    shortest: 8,
    longest: 25,
    grade: 9,
  },
  {
    id: "teenager",
    title: "Teenagers",
    note: "readers of thirteen to fifteen",
    shortest: 6,
    longest: 20,
    grade: 8,
  },
  {
    id: "law",
    title: "Plain-language law",
    note: "contracts and notices that anybody must understand",
    shortest: 8,
    longest: 25,
    grade: 10,
  },
  {
    id: "professional",
    title: "Professionals",
    note: "people who read for their work",
    shortest: 10,
    longest: 30,
    grade: 13,
  },
  {
    id: "specialist",
    title: "Specialists",
    note: "people of the same field",
    shortest: 10,
    longest: 35,
    grade: 16,
  },
];

/** Who usually reads a kind of copy; common practice. */
const USUAL: Readonly<Record<Kind, ReaderId>> = {
  paper: "specialist",
  report: "professional",
  specification: "specialist",
  brief: "professional",
  clinical: "specialist",
  fiction: "public",
  letter: "public",
  sheet: "public",
  general: "public",
};

/** How a reader is kept: an id, or bounds as "8-25@9". */
export type ReaderSetting = string;

const OWN = /^(\d{1,2})-(\d{1,3})@(\d{1,2}(?:\.\d)?)$/;

/** A reader as it is kept. */
export function readerSetting(reader: Bounds | ReaderId): ReaderSetting {
  if (typeof reader === "string") return reader;
  return `${reader.shortest}-${reader.longest}@${reader.grade}`;
}

/** A named reader. */
function named(id: string): Reader | undefined {
  return READERS.find((one) => one.id === id);
}

/**
 * The reader that a setting names, or its own bounds, which have no title; whoever usually reads the
 * kind of copy where it says nothing.
 */
export function readerOf(
  setting: ReaderSetting | null | undefined,
  kind: Kind,
): Bounds & Partial<Reader> {
  const known = named(setting ?? USUAL[kind]);
  if (known) return known;
  const [, shortest, longest, grade] = OWN.exec(setting ?? "") ?? [];
  const bounds = { shortest: Number(shortest), longest: Number(longest), grade: Number(grade) };
  const fits = shortest !== undefined && bounds.shortest < bounds.longest && bounds.grade > 0;
  return fits ? bounds : (named(USUAL[kind]) ?? bounds);
}

/**
 * How much harder a sentence may read than an easy one before this reader stumbles, in words. On edited
 * prose (Brown corpus, tuning part) 8% of sentences are beyond it for the public, 5% for specialists.
 */
export function costBound({ longest }: Bounds): number {
  return longest + 5;
}
