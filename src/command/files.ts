import { readFile } from "node:fs/promises";
import path from "node:path";
import { readDocument } from "../core/formats/document.ts";
import { guessVariety } from "../core/language/text/variety.ts";
import type { Lexicon } from "../core/language/words/lexicon.ts";
import type { Manuscript } from "../core/manuscript/model.ts";

/** Where nothing in the text tells. */
export const FALLBACK_VARIETY = "en-US";

/**
 * Reads one document; says on stderr why it cannot be read, and then returns null. Its variety is told
 * where there is a lexicon to tell it by.
 */
export async function openFile(
  file: string,
  lexicon: Lexicon | null,
): Promise<{ bytes: Uint8Array; manuscript: Manuscript } | null> {
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(await readFile(file));
  } catch (error) {
    process.stderr.write(`${file}: ${error instanceof Error ? error.message : String(error)}\n`);
    return null;
  }
  const guess = (text: string) =>
    lexicon ? guessVariety(text, lexicon, FALLBACK_VARIETY) : FALLBACK_VARIETY;
  const read = await readDocument(bytes, path.basename(file), guess);
  if ("problem" in read) {
    process.stderr.write(`${file}: ${read.problem.sentence}\n`);
    return null;
  }
  return { bytes, manuscript: read.manuscript };
}
