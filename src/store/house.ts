import { z } from "zod";
import {
  EMPTY_STYLE,
  type HouseStyle,
  houseStyleSchema,
  listedWordSchema,
} from "../core/house/style.ts";
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
  /** Replacements are made while typing. */
  replaceTyping: z.boolean().default(false),
  /** Columns the shelf shows; null for the usual ones. */
  shelfColumns: z.array(z.string()).nullable().default(null),
});
export type Settings = z.infer<typeof settingsSchema>;

const DEFAULTS: Settings = {
  author: "",
  demoShelved: false,
  whileTyping: true,
  replaceTyping: false,
  shelfColumns: null,
};

/** The settings, with defaults where nothing is stored. */
export async function readSettings(): Promise<Settings> {
  const parsed = settingsSchema.safeParse(await houseDatabase.getItem("settings"));
  return parsed.success ? parsed.data : DEFAULTS;
}

/** Changes some settings. Throws NotKept. */
export function updateSettings(changes: Partial<Settings>): Promise<void> {
  return oneAtATime(async () => {
    const settings = await readSettings();
    await keep(() => houseDatabase.setItem("settings", { ...settings, ...changes }));
  });
}

/** Word lists as they were kept before there was more than one. */
const earlierSchema = z.object({ words: z.array(listedWordSchema) });

/** The house style. */
export async function readStyle(): Promise<HouseStyle> {
  const parsed = houseStyleSchema.safeParse(await houseDatabase.getItem("style"));
  if (parsed.success) return parsed.data;
  const earlier = earlierSchema.safeParse(await houseDatabase.getItem("words"));
  return earlier.success ? { ...EMPTY_STYLE, words: earlier.data.words } : EMPTY_STYLE;
}

/** Changes the house style and returns it; changes asked for at once are made one after the other. Throws NotKept. */
export function changeStyle(change: (style: HouseStyle) => HouseStyle): Promise<HouseStyle> {
  return oneAtATime(async () => {
    const style = change(await readStyle());
    await keep(() => houseDatabase.setItem("style", style));
    return style;
  });
}

let latest: Promise<unknown> = Promise.resolve();

/**
 * Runs a change of what is kept here when those before it are through, lest it read what they are
 * about to write: in all tabs where the browser has Web Locks, otherwise in this one.
 */
function oneAtATime<T>(change: () => Promise<T>): Promise<T> {
  const locked = async (): Promise<T> =>
    navigator.locks ? navigator.locks.request("dry-run house", change) : change();
  const result = latest.then(locked, locked);
  latest = result.catch(() => undefined);
  return result;
}

/** Takes a document's name out of the word lists; the words stay. Throws NotKept. */
export async function forgetDocument(document: string): Promise<void> {
  const { words } = await readStyle();
  if (!words.some((one) => one.document === document)) return;
  await changeStyle((style) => ({
    ...style,
    words: style.words.map(({ document: met, ...one }) =>
      met === undefined || met === document ? one : { ...one, document: met },
    ),
  }));
}
