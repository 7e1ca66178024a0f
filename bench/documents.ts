import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { longDocument } from "../demo/long.ts";

const folder = path.resolve(import.meta.dirname, "../.cache/bench");

/** A made-up .docx of about this many words, made once. */
export async function benchDocument(words: number): Promise<Uint8Array> {
  const file = path.join(folder, `${words}.docx`);
  if (!existsSync(file)) {
    mkdirSync(folder, { recursive: true });
    writeFileSync(file, await longDocument(words));
  }
  return new Uint8Array(readFileSync(file));
}
