import { z } from "zod";
import { type WordList, wordListSchema } from "../core/house/word-list.ts";
import { houseDatabase } from "./databases.ts";
import { keep } from "./failure.ts";

/** What the person keeps across documents. */

const settingsSchema = z.object({
  /** Name written into tracked changes and comments. */
  author: z.string(),
  /** The demo documents were put on the shelf once; deleting them is final. */
  demoShelved: z.boolean(),
  /** Typing is checked at once. */
  whileTyping: z.boolean().default(true),
});
export type Settings = z.infer<typeof settingsSchema>;

const DEFAULTS: Settings = { author: "", demoShelved: false, whileTyping: true };

/** The settings, with defaults where nothing is stored. */
export async function readSettings(): Promise<Settings> {
  const parsed = settingsSchema.safeParse(await houseDatabase.getItem("settings"));
  return parsed.success ? parsed.data : DEFAULTS;
}

/** Changes some settings. Throws NotKept. */
export async function updateSettings(changes: Partial<Settings>): Promise<void> {
  const settings = await readSettings();
  await keep(() => houseDatabase.setItem("settings", { ...settings, ...changes }));
}

/** The word list. */
export async function readWords(): Promise<WordList["words"]> {
  const parsed = wordListSchema.safeParse(await houseDatabase.getItem("words"));
  return parsed.success ? parsed.data.words : [];
}

/** Adds a word, once, and returns the list. Throws NotKept. */
export async function addWord(word: string, document: string): Promise<WordList["words"]> {
  const words = await readWords();
  if (words.some((one) => one.word === word)) return words;
  const next = [...words, { word, document, addedAt: new Date().toISOString() }];
  await keep(() => houseDatabase.setItem("words", { words: next }));
  return next;
}

/** Takes a word off the list and returns the list. Throws NotKept. */
export async function removeWord(word: string): Promise<WordList["words"]> {
  const next = (await readWords()).filter((one) => one.word !== word);
  await keep(() => houseDatabase.setItem("words", { words: next }));
  return next;
}

/** Takes a document's name out of the word list; the words stay. Throws NotKept. */
export async function forgetDocument(document: string): Promise<void> {
  const words = await readWords();
  if (!words.some((one) => one.document === document)) return;
  const next = words.map((one) =>
    one.document === document ? { word: one.word, addedAt: one.addedAt } : one,
  );
  await keep(() => houseDatabase.setItem("words", { words: next }));
}
