import { TAGS, type Tag } from "./tags.ts";

/** A set of parts of speech: one byte a tag, 1 where it belongs. */
export type TagSet = Uint8Array;

/** The number of a tag. */
export const TAG = Object.fromEntries(TAGS.map((tag, index) => [tag, index])) as Record<
  Tag,
  number
>;

/** The set of some tags, by their names. */
export function tagSet(...tags: Tag[]): TagSet {
  const set = new Uint8Array(TAGS.length);
  for (const tag of tags) set[TAG[tag]] = 1;
  return set;
}

/** What shows that the word before it is a verb: its object. */
export const OPENS_OBJECT = tagSet("DT", "PRP$", "PPO");

/** Sets that patterns and the phrase layer ask for by name. */
export const TAG_SETS = {
  NOUN: tagSet("NN", "NNS"),
  NAME: tagSet("NNP", "NNPS"),
  NOMINAL: tagSet("NN", "NNS", "NNP", "NNPS"),
  VERB: tagSet("VB", "VBD", "VBG", "VBN", "VBZ", "VBP"),
  FINITE: tagSet("VB", "VBD", "VBZ", "VBP", "MD"),
  PAST: tagSet("VBD", "VBN"),
  ADJ: tagSet("JJ", "JJR", "JJS"),
  ADV: tagSet("RB", "RBR", "RBS"),
  PRONOUN: tagSet("PPS", "PPSS", "PPO", "PPL", "PN", "EX"),
  SUBJECT: tagSet("PPS", "PPSS"),
  WH: tagSet("WDT", "WP", "WP$", "WRB"),
  DET: tagSet("DT", "PDT", "PRP$", "CD", "WP$"),
  STOP: tagSet(".", ",", ":", "BR", "QT"),
} as const;
