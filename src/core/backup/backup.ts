import { strFromU8, strToU8, zipSync } from "fflate";
import { z } from "zod";
import { FormatProblem } from "../formats/problem.ts";
import { openArchive } from "../formats/zip/archive.ts";
import { type HouseStyle, houseStyleSchema } from "../house/style.ts";
import { type Decision, decisionSchema } from "../ledger/decision.ts";

/**
 * Everything that is kept in the browser as one .zip: an index, the house styles, sets, sources and
 * preferences, and for each document its record, its original as it came and its ledger.
 */
export interface Backup {
  /** ISO 8601. */
  madeAt: string;
  style: HouseStyle;
  /** The houses beside the style that holds for every document. */
  houses: HouseStyle[];
  /** Sets of documents that are one work; whoever restores them checks their shape. */
  sets: unknown[];
  /** The person's own sources, likewise. */
  sources: unknown[];
  /** What the person prefers across documents, likewise; null in a backup from before it was kept. */
  settings: unknown;
  documents: BackedUp[];
}

export interface BackedUp {
  /** What the shelf keeps of it; whoever restores it checks its shape. */
  record: unknown;
  id: string;
  original: Uint8Array;
  decisions: Decision[];
  /** What outside services have answered about its works, likewise; null where nothing was asked. */
  answers: unknown;
}

const VERSION = 1;
const indexSchema = z.object({
  what: z.literal("Dry Run backup"),
  version: z.literal(VERSION),
  madeAt: z.string(),
  documents: z.array(z.string().regex(/^[\w-]{1,64}$/)),
  houses: z.array(z.string().regex(/^[\w-]{1,64}$/)).default([]),
});

/** A backup as the bytes of a .zip. */
export function writeBackup({
  madeAt,
  style,
  houses,
  sets,
  sources,
  settings,
  documents,
}: Backup): Uint8Array {
  const json = (value: unknown) => strToU8(JSON.stringify(value, null, 1));
  const files: Record<string, Uint8Array> = {
    "backup.json": json({
      what: "Dry Run backup",
      version: VERSION,
      madeAt,
      documents: documents.map(({ id }) => id),
      houses: houses.map(({ id }) => id),
    }),
    "house-style.json": json(style),
    "sets.json": json(sets),
    "sources.json": json(sources),
    "settings.json": json(settings),
  };
  for (const house of houses) files[`houses/${house.id}.json`] = json(house);
  for (const { id, record, original, decisions, answers } of documents) {
    files[`documents/${id}/record.json`] = json(record);
    files[`documents/${id}/ledger.json`] = json(decisions);
    files[`documents/${id}/original`] = original;
    if (answers !== null) files[`documents/${id}/answers.json`] = json(answers);
  }
  return zipSync(files, { level: 6 });
}

/** Reads a backup. Throws FormatProblem for anything that is not one, or not whole. */
export function readBackup(bytes: Uint8Array): Backup {
  const archive = openArchive(bytes);
  const file = (name: string) => {
    const found = archive.read(name);
    if (!found) throw notWhole(name);
    return found;
  };
  const json = <T>(name: string, schema: z.ZodType<T>): T => {
    try {
      return schema.parse(JSON.parse(strFromU8(file(name))));
    } catch (error) {
      throw error instanceof FormatProblem ? error : notWhole(name);
    }
  };
  // What earlier backups, or documents that need none, lack.
  const since = <T>(name: string, schema: z.ZodType<T>, otherwise: T): T =>
    archive.find(name) ? json(name, schema) : otherwise;
  if (!archive.find("backup.json")) {
    throw new FormatProblem(
      "wrong-type",
      "This .zip is no backup made by Dry Run. Choose the file that “Back up everything” saved.",
    );
  }
  const { madeAt, documents, houses } = json("backup.json", indexSchema);
  return {
    madeAt,
    style: json("house-style.json", houseStyleSchema),
    houses: houses.map((id) => ({ ...json(`houses/${id}.json`, houseStyleSchema), id })),
    sets: since("sets.json", z.array(z.unknown()), []),
    sources: since("sources.json", z.array(z.unknown()), []),
    settings: since("settings.json", z.unknown(), null),
    documents: documents.map((id) => ({
      id,
      record: json(`documents/${id}/record.json`, z.unknown()),
      original: file(`documents/${id}/original`).slice(),
      decisions: json(`documents/${id}/ledger.json`, z.array(decisionSchema)),
      answers: since(`documents/${id}/answers.json`, z.unknown(), null),
    })),
  };
}

function notWhole(name: string): FormatProblem {
  return new FormatProblem(
    "damaged",
    `This backup is not whole: ${name} is missing or can’t be read. Nothing was taken from it.`,
  );
}
