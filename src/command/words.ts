import { createInterface } from "node:readline";
import { correctWord } from "../core/language/corrections/corrections.ts";
import { judgeWord } from "../core/language/words/known.ts";
import { loadLanguage } from "./checking.ts";
import { FALLBACK_VARIETY } from "./files.ts";
import { CHECK_OPTIONS, checkOptions, parseOptions } from "./options.ts";

const CORRECTIONS = 8;

/** Says of each word whether it is known, and what may have been meant where it is not. */
export async function runWords(args: readonly string[]): Promise<number> {
  const { values } = parseOptions(args, { variety: CHECK_OPTIONS.variety });
  const variety = checkOptions(values).variety ?? FALLBACK_VARIETY;
  const language = loadLanguage();
  for await (const line of createInterface({ input: process.stdin })) {
    const word = line.trim();
    if (word === "") continue;
    const known = judgeWord(word, language.lexicon, variety) === "known";
    const corrections = known ? [] : correctWord(word, { ...language, variety }, CORRECTIONS);
    if (!process.stdout.write(`${JSON.stringify({ word, known, corrections })}\n`)) {
      await new Promise((resolve) => process.stdout.once("drain", resolve));
    }
  }
  return 0;
}
