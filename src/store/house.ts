import { z } from "zod";
import { newRuleId } from "../core/house/rules.ts";
import {
  EMPTY_STYLE,
  type HouseStyle,
  houseStyleSchema,
  listedWordSchema,
  newHouse,
  OWN,
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
  /** The collection that ships is compared with; null before that was asked. */
  asksShipped: z.boolean().nullable().default(null),
  /** Columns the shelf shows; null for the usual ones. */
  shelfColumns: z.array(z.string()).nullable().default(null),
});
export type Settings = z.infer<typeof settingsSchema>;

const DEFAULTS: Settings = {
  author: "",
  demoShelved: false,
  whileTyping: true,
  replaceTyping: false,
  asksShipped: null,
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

/** Takes in the preferences of a backup where none was set here. Throws NotKept. */
export async function restoreSettings(kept: unknown): Promise<void> {
  const parsed = settingsSchema.safeParse(kept);
  if (!parsed.success) return;
  const here: Record<string, unknown> = await readSettings();
  const usual: Record<string, unknown> = DEFAULTS;
  const missing = Object.entries(parsed.data).filter(([name]) => here[name] === usual[name]);
  await updateSettings(Object.fromEntries(missing));
}

/** Word lists as they were kept before there was more than one. */
const earlierSchema = z.object({ words: z.array(listedWordSchema) });

/** The style that holds for every document. */
export async function readStyle(): Promise<HouseStyle> {
  const parsed = houseStyleSchema.safeParse(await houseDatabase.getItem("style"));
  if (parsed.success) return parsed.data;
  const earlier = earlierSchema.safeParse(await houseDatabase.getItem("words"));
  return earlier.success ? { ...EMPTY_STYLE, words: earlier.data.words } : EMPTY_STYLE;
}

/** Changes the style that holds for every document; see `changeHouse`. Throws NotKept. */
export function changeStyle(change: (style: HouseStyle) => HouseStyle): Promise<HouseStyle> {
  return changeHouse(OWN, change);
}

/**
 * Changes a house and returns it; changes asked for at once, in whatever tab, are made one after the other,
 * each on what the one before it left. Throws NotKept, and RangeError for a house that is gone.
 */
export function changeHouse(
  id: string,
  change: (style: HouseStyle) => HouseStyle,
): Promise<HouseStyle> {
  return oneAtATime(async () => {
    const before = await readHouse(id);
    if (!before) throw new RangeError("This house is gone: another tab has removed it.");
    const style = { ...change(before), id };
    await keep(() => houseDatabase.setItem(id === OWN ? "style" : `${HOUSES}${id}`, style));
    tellOthers();
    return style;
  });
}

/** Where houses other than the person's own are kept. */
const HOUSES = "house:";

/** One house; null for one that there is not. */
export async function readHouse(id: string): Promise<HouseStyle | null> {
  if (id === OWN) return readStyle();
  const parsed = houseStyleSchema.safeParse(await houseDatabase.getItem(`${HOUSES}${id}`));
  return parsed.success ? parsed.data : null;
}

/** The houses beside the style that holds for every document, by their names. */
export async function listHouses(): Promise<HouseStyle[]> {
  const houses: HouseStyle[] = [];
  await houseDatabase.iterate((value, key) => {
    if (!key.startsWith(HOUSES)) return;
    const parsed = houseStyleSchema.safeParse(value);
    if (parsed.success) houses.push(parsed.data);
  });
  return houses.sort((one, other) => one.name.localeCompare(other.name, "en"));
}

/** The layers of a document: the houses it follows, in their order, then what holds for every document. */
export async function readLayers(houses: readonly string[]): Promise<HouseStyle[]> {
  const followed = await Promise.all(houses.map((id) => readHouse(id)));
  return [...followed.filter((one) => one !== null), await readStyle()];
}

/** Makes a new house of a name, with what another has or with nothing. Throws NotKept. */
export function addHouse(name: string, from: HouseStyle | null = null): Promise<HouseStyle> {
  return oneAtATime(async () => {
    const taken = new Set((await listHouses()).map(({ id }) => id));
    const id = newRuleId(new Set([...taken, OWN]), name);
    const style = { ...(from ?? newHouse(id, name)), id, name };
    await keep(() => houseDatabase.setItem(`${HOUSES}${id}`, style));
    tellOthers();
    return style;
  });
}

/** Puts a house back as a backup has it. Throws NotKept. */
export function restoreHouse(style: HouseStyle): Promise<void> {
  return oneAtATime(async () => {
    await keep(() => houseDatabase.setItem(`${HOUSES}${style.id}`, style));
  });
}

/** Removes a house for good; documents that follow it go on without. Throws NotKept. */
export function deleteHouse(id: string): Promise<void> {
  return oneAtATime(async () => {
    await keep(() => houseDatabase.removeItem(`${HOUSES}${id}`));
    tellOthers();
  });
}

/** Tells other tabs that a house was changed. */
const channel =
  typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel("dry-run house");
// In Node an open channel would keep the process going.
(channel as { unref?: () => void } | null)?.unref?.();

function tellOthers(): void {
  channel?.postMessage("changed");
}

/** Calls back whenever another tab has changed a house; gives back what ends that. */
export function onHousesChanged(changed: () => void): () => void {
  const heard = () => changed();
  channel?.addEventListener("message", heard);
  return () => channel?.removeEventListener("message", heard);
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
