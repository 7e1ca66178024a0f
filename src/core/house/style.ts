import { z } from "zod";
import { KINDS, type Kind } from "../manuscript/model.ts";

/** What a person or a house has settled for all documents: word lists, replacements, sound rules. */

/** The two lists there always are. Lists of a subject carry ids of their own. */
export const PERSONAL = "personal";
export const HOUSE = "house";

export const listedWordSchema = z.object({
  word: z.string().trim().min(1).max(80),
  /** The list it stands on. */
  list: z.string().default(PERSONAL),
  note: z.string().optional(),
  /** ISO 8601. */
  addedAt: z.string(),
  /** Id of the document it was met in. */
  document: z.string().optional(),
});
export type ListedWord = z.infer<typeof listedWordSchema>;

/** A list of a subject, made by the person; it counts for the documents it is switched on for. */
export const ownListSchema = z.object({ id: z.string().min(1), name: z.string().trim().min(1) });
export type OwnList = z.infer<typeof ownListSchema>;

/** What is put in the place of a habitual slip. */
export const replacementSchema = z.object({
  from: z.string().trim().min(1).max(80),
  to: z.string().trim().min(1).max(200),
  /** Phrases in which it stays as it is. */
  exceptions: z.array(z.string().trim().min(1)).default([]),
  /** ISO 8601. */
  addedAt: z.string(),
});
export type Replacement = z.infer<typeof replacementSchema>;

/** Letters typed by ear, and the letters they may stand for. */
export const soundRuleSchema = z.object({
  typed: z.string().regex(/^\p{Ll}{1,6}$/u),
  meant: z.string().regex(/^\p{Ll}{1,6}$/u),
});

const appetiteSchema = z.enum(["all", "sure", "off"]);

export const houseStyleSchema = z.object({
  words: z.array(listedWordSchema).default([]),
  lists: z.array(ownListSchema).default([]),
  replacements: z.array(replacementSchema).default([]),
  soundRules: z.array(soundRuleSchema).default([]),
  /** How much of a check is wanted in every document, by the check's id. */
  appetites: z.record(z.string(), appetiteSchema).default({}),
  /** The same for single kinds of copy. */
  kinds: z.partialRecord(z.enum(KINDS), z.record(z.string(), appetiteSchema)).default({}),
});
export type HouseStyle = z.infer<typeof houseStyleSchema>;

export const EMPTY_STYLE: HouseStyle = {
  words: [],
  lists: [],
  replacements: [],
  soundRules: [],
  appetites: {},
  kinds: {},
};

/**
 * A short text that differs between two styles under which documents have other marks: what is listed
 * and how much of each check is wanted, not the notes beside it.
 */
export function styleStamp({ words, lists, appetites, kinds }: HouseStyle): string {
  const listed = words.map(({ word, list }) => `${list}:${word}`).sort();
  const text = JSON.stringify([listed, lists.map(({ id }) => id), appetites, kinds]);
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) {
    hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  }
  return (hash >>> 0).toString(36);
}

/** The words that count for a document: the personal and house lists, and its own subjects'. */
export function wordsFor(style: HouseStyle, subjects: readonly string[]): string[] {
  return style.words
    .filter(({ list }) => list === PERSONAL || list === HOUSE || subjects.includes(list))
    .map(({ word }) => word);
}

/** How much of each check the house wants in a kind of copy, where it says so. */
export function appetitesFor(style: HouseStyle, kind: Kind): HouseStyle["appetites"] {
  return { ...style.kinds[kind], ...style.appetites };
}
