import { createInterface } from "node:readline";
import { z } from "zod";
import { guessVariety } from "../core/language/text/variety.ts";
import { linesManuscript } from "../core/manuscript/lines.ts";
import { KINDS, VARIETIES } from "../core/manuscript/model.ts";
import { checkText, loadLanguage } from "./checking.ts";
import { FALLBACK_VARIETY } from "./files.ts";
import { printedQuantity } from "./gathered.ts";
import { parseJson, printLine } from "./json-line.ts";
import { CHECK_OPTIONS, checkOptions, parseOptions } from "./options.ts";
import { openCompared, printedOverlaps } from "./overlap.ts";

const lineSchema = z.object({
  id: z.union([z.string(), z.number()]),
  text: z.string(),
  variety: z.enum(VARIETIES).optional(),
  kind: z.enum(KINDS).optional(),
});

/** Checks one text a line, in order, as they come; a line that is no request is reported and skipped. */
export async function runLines(args: readonly string[]): Promise<number> {
  const { values } = parseOptions(args, {
    ...CHECK_OPTIONS,
    sources: { type: "string" },
    index: { type: "string" },
  });
  const options = checkOptions(values);
  const compared = values.sources ? await openCompared(values.sources, values.index) : null;
  // Who asks what a text shares with sources and names no pass wants no marks.
  const language = compared && !values.passes ? null : loadLanguage();
  let status = 0;
  let number = 0;
  for await (const line of createInterface({ input: process.stdin })) {
    number++;
    if (line.trim() === "") continue;
    const request = lineSchema.safeParse(parseJson(line));
    if (!request.success) {
      process.stderr.write(`line ${number}: ${z.prettifyError(request.error)}\n`);
      status = 2;
      continue;
    }
    const { id, text } = request.data;
    const manuscript = linesManuscript(text);
    const overlaps = compared ? printedOverlaps(manuscript, compared) : {};
    if (!language) {
      await printLine({ id, ...overlaps });
      continue;
    }
    const variety =
      request.data.variety ??
      options.variety ??
      guessVariety(text, language.lexicon, FALLBACK_VARIETY);
    const kind = request.data.kind ?? options.kind ?? "report";
    const {
      words: _words,
      quantities,
      ...found
    } = checkText(manuscript, language, {
      variety,
      kind,
      passes: options.passes,
    });
    await printLine({
      id,
      ...found,
      ...(quantities ? { quantities: quantities().map(printedQuantity) } : {}),
      ...overlaps,
    });
  }
  return status;
}
