import { createInterface } from "node:readline";
import { z } from "zod";
import { Alignment } from "../core/carry/alignment.ts";
import { loadLanguage } from "./checking.ts";
import { openFile } from "./files.ts";
import { parseJson } from "./json-line.ts";
import { parseOptions, UsageError } from "./options.ts";

const placeSchema = z.object({
  id: z.union([z.string(), z.number()]),
  from: z.number().int().nonnegative(),
  to: z.number().int().nonnegative(),
});

/**
 * Carries places of one version of a document onto another: JSON Lines in, {id, from, to} in the old text,
 * and out, in the new text, or nulls where the text of a place is gone or changed.
 */
export async function runCarry(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseOptions(args, { json: { type: "boolean" } });
  const [first, second] = positionals;
  if (!first || !second || positionals.length > 2) {
    throw new UsageError("Name the old version and the new one.");
  }
  const { lexicon } = loadLanguage();
  const old = await openFile(first, lexicon);
  const now = await openFile(second, lexicon);
  if (!old || !now) return 2;
  const alignment = new Alignment(old.manuscript, now.manuscript);
  let status = 0;
  let number = 0;
  for await (const line of createInterface({ input: process.stdin })) {
    number++;
    if (line.trim() === "") continue;
    const place = placeSchema.safeParse(parseJson(line));
    const { text } = old.manuscript;
    if (!place.success || place.data.to < place.data.from || place.data.to > text.length) {
      process.stderr.write(`line ${number}: no place of the old version\n`);
      status = 2;
      continue;
    }
    const { id, from, to } = place.data;
    const carried = alignment.carry({ from, to });
    const out = carried
      ? `${JSON.stringify({ id, ...carried })}\n`
      : `${JSON.stringify({ id, from: null, to: null })}\n`;
    const told = carried ? `${id}: ${carried.from}–${carried.to}\n` : `${id}: not found\n`;
    process.stdout.write(values.json ? out : told);
  }
  return status;
}
