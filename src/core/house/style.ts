import { z } from "zod";
import { KINDS, type Kind } from "../manuscript/model.ts";
import { type Rule, ruleSchema } from "./rules.ts";

/**
 * What a person or a house has settled: word lists, replacements, sound rules, rules of style. One is the
 * person's own and holds for every document; of the others, each document names those it follows.
 */

/** The style that holds for every document. */
export const OWN = "own";
/** What files of this shape say of themselves; earlier ones say nothing. */
export const STYLE_VERSION = 2;

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

export const citationsSchema = z.object({
  /** The style of citations that the house wants. */
  style: z.string().optional(),
  /** Where it differs from that style, by the name of the point. */
  overrides: z.record(z.string(), z.string()).default({}),
});

export const houseStyleSchema = z.object({
  version: z.literal(STYLE_VERSION).default(STYLE_VERSION),
  id: z
    .string()
    .regex(/^[\w-]{1,64}$/)
    .default(OWN),
  name: z.string().trim().max(80).default(""),
  words: z.array(listedWordSchema).default([]),
  lists: z.array(ownListSchema).default([]),
  replacements: z.array(replacementSchema).default([]),
  soundRules: z.array(soundRuleSchema).default([]),
  /** How much of a check is wanted in every document, by the check's id. */
  appetites: z.record(z.string(), appetiteSchema).default({}),
  /** The same for single kinds of copy. */
  kinds: z.partialRecord(z.enum(KINDS), z.record(z.string(), appetiteSchema)).default({}),
  rules: z.array(ruleSchema).default([]),
  /** Steps of the clean-up that are wanted, or not, against what is usual. */
  cleanup: z.record(z.string(), z.boolean()).default({}),
  citations: citationsSchema.default({ overrides: {} }),
  /** The share of a document's words that may stand elsewhere, by kind of copy, from 0 to 1. */
  overlapLimits: z.partialRecord(z.enum(KINDS), z.number().min(0).max(1)).default({}),
});
export type HouseStyle = z.infer<typeof houseStyleSchema>;

export const EMPTY_STYLE: HouseStyle = {
  version: STYLE_VERSION,
  id: OWN,
  name: "",
  words: [],
  lists: [],
  replacements: [],
  soundRules: [],
  appetites: {},
  kinds: {},
  rules: [],
  cleanup: {},
  citations: { overrides: {} },
  overlapLimits: {},
};

/** A house with nothing in it yet. */
export function newHouse(id: string, name: string): HouseStyle {
  return { ...EMPTY_STYLE, id, name };
}

/** What a house is called where nobody has named it. */
export function houseName({ id, name }: Pick<HouseStyle, "id" | "name">): string {
  return name !== "" ? name : id === OWN ? "the house" : id;
}

/**
 * Reads a house style in this shape or an earlier one. Throws RangeError with a sentence that names the
 * first thing that can't be read.
 */
export function readHouseStyle(value: unknown): HouseStyle {
  const version = versionOf(value);
  if (version !== null && version > STYLE_VERSION) {
    throw new RangeError("This house style was written by a later version of Dry Run.");
  }
  const parsed = houseStyleSchema.safeParse(
    version !== null && version < STYLE_VERSION
      ? { ...(value as object), version: STYLE_VERSION }
      : value,
  );
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  const where = issue?.path.join(".") ?? "";
  throw new RangeError(
    `This house style can’t be read${where ? ` at “${where}”` : ""}: ${issue?.message ?? "unknown shape"}.`,
  );
}

function versionOf(value: unknown): number | null {
  if (typeof value !== "object" || value === null || !("version" in value)) return null;
  return typeof value.version === "number" ? value.version : null;
}

/**
 * A short text that differs between two styles under which documents have other marks: what is listed
 * and how much of each check is wanted, not the notes beside it.
 */
export function styleStamp(style: HouseStyle): string {
  const { words, lists, appetites, kinds, rules, citations } = style;
  const listed = words.map(({ word, list }) => `${list}:${word}`).sort();
  const parts: unknown[] = [listed, lists.map(({ id }) => id), appetites, kinds];
  if (rules.length > 0) parts.push(rules.map(withoutExamples));
  if (citations.style || Object.keys(citations.overrides).length > 0) parts.push(citations);
  return stampOf(parts);
}

/** What of a rule decides where it marks. */
function withoutExamples({ examples: _examples, addedAt: _addedAt, ...rule }: Rule): object {
  return rule;
}

/** A short text that differs between values that are written differently. */
export function stampOf(value: unknown): string {
  const text = JSON.stringify(value);
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
