import { z } from "zod";

/**
 * Entries of a dictionary of meanings, made from WordNet (Miller 1995, "WordNet: a lexical database
 * for English"): what the endpoint answers, and the lines the meanings are stored in.
 */

/** Changes when the data does, so that answers can be kept for ever. */
export const WORDNET_VERSION = "3.1-1";
export const SYNSETS_A_FILE = 1500;

export const PARTS_OF_SPEECH = ["noun", "verb", "adj", "adv"] as const;
export type PartOfSpeech = (typeof PARTS_OF_SPEECH)[number];

/** How other words stand to a meaning, in the order in which they are shown. */
export const RELATIONS = [
  "opposite",
  "similar",
  "broader",
  "narrower",
  "part",
  "whole",
  "derived",
  "subject",
] as const;
export type Relation = (typeof RELATIONS)[number];

const RELATION_OF: Record<string, Relation> = {
  "!": "opposite",
  "&": "similar",
  "@": "broader",
  "~": "narrower",
  "%p": "part",
  "#p": "whole",
  "+": "derived",
  ";c": "subject",
};

export const senseSchema = z.object({
  part: z.enum(PARTS_OF_SPEECH),
  definition: z.string(),
  examples: z.array(z.string()),
  /** Other words with this meaning. */
  synonyms: z.array(z.string()),
  related: z.array(z.object({ relation: z.enum(RELATIONS), words: z.array(z.string()) })),
});
export type Sense = z.infer<typeof senseSchema>;

export const wordEntrySchema = z.object({ word: z.string(), senses: z.array(senseSchema) });
export type WordEntry = z.infer<typeof wordEntrySchema>;

/** A word that can be asked for: letters, with spaces, hyphens, apostrophes and full stops inside. */
export const askedWordSchema = z
  .string()
  .trim()
  .min(1)
  .max(64)
  .regex(/^[\p{L}\p{N}][\p{L}\p{N}\p{M}'’ .-]*$/u);

/** One meaning as it is stored. */
export interface Synset {
  part: PartOfSpeech;
  words: string[];
  definition: string;
  examples: string[];
  /** `source` and `target` are the words meant, from 1; 0 for the meaning as a whole. */
  relations: { kind: string; id: number; source: number; target: number }[];
}

/** A meaning as a line. */
export function synsetLine({ part, words, definition, examples, relations }: Synset): string {
  const pointers = relations.map(({ kind, id, source, target }) =>
    source || target
      ? `${kind}${id.toString(36)}.${source.toString(36)}.${target.toString(36)}`
      : `${kind}${id.toString(36)}`,
  );
  return [
    PARTS_OF_SPEECH.indexOf(part),
    words.join("|"),
    definition,
    examples.join("|"),
    pointers.join(" "),
  ].join("\t");
}

/** A meaning from its line. */
export function parseSynset(line: string): Synset {
  const [part = "0", words = "", definition = "", examples = "", pointers = ""] = line.split("\t");
  return {
    part: PARTS_OF_SPEECH[Number(part)] ?? "noun",
    words: words.split("|"),
    definition,
    examples: examples === "" ? [] : examples.split("|"),
    relations: pointers.split(" ").flatMap((pointer) => {
      const match = /^(%p|#p|;c|[!&@~+])([0-9a-z]+)(?:\.([0-9a-z]+)\.([0-9a-z]+))?$/.exec(pointer);
      if (!match) return [];
      const [, kind = "", id = "", source = "0", target = "0"] = match;
      return [
        {
          kind,
          id: Number.parseInt(id, 36),
          source: Number.parseInt(source, 36),
          target: Number.parseInt(target, 36),
        },
      ];
    }),
  };
}

/**
 * The sense of a word that a meaning is; `wordsOf` gives the words of other meanings by number. A
 * relation of another word of the same meaning is left out.
 */
export function senseOf(
  word: string,
  { part, words, definition, examples, relations }: Synset,
  wordsOf: (id: number) => readonly string[],
): Sense {
  const own = words.findIndex((one) => one.toLowerCase() === word.toLowerCase()) + 1;
  const related = new Map<Relation, Set<string>>();
  for (const { kind, id, source, target } of relations) {
    const relation = RELATION_OF[kind];
    if (!relation || (source > 0 && source !== own)) continue;
    const others = wordsOf(id);
    const meant = target > 0 ? others.slice(target - 1, target) : others.slice(0, 1);
    const known = related.get(relation) ?? new Set();
    related.set(relation, known);
    for (const other of meant) known.add(other);
  }
  return {
    part,
    definition,
    examples,
    synonyms: words.filter((_, index) => index + 1 !== own),
    related: RELATIONS.flatMap((relation) => {
      const found = [...(related.get(relation) ?? [])];
      return found.length > 0 ? [{ relation, words: found }] : [];
    }),
  };
}
