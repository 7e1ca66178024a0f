import { type Backup, readBackup, writeBackup } from "../core/backup/backup.ts";
import { merge } from "../core/house/merge.ts";
import { type HouseStyle, PERSONAL } from "../core/house/style.ts";
import type { Decision } from "../core/ledger/decision.ts";
import { isHeld } from "./hold.ts";
import {
  changeHouse,
  changeStyle,
  listHouses,
  readHouse,
  readSettings,
  readStyle,
  restoreHouse,
  restoreSettings,
} from "./house.ts";
import { readDecisions, writeDecisions } from "./ledger.ts";
import { answersSchema, keepAnswers, readAnswers } from "./outside.ts";
import { documentSetSchema, keepSet, listSets, readSet } from "./sets.ts";
import { listShelf, readOriginal, readRecord, shelfRecordSchema, shelve } from "./shelf.ts";
import { keptSourceSchema, restoreSource, sourcesToKeep } from "./sources.ts";

/** Everything kept in this browser as a file, and back. */

/** The bytes of a backup of all documents, their ledgers and the house style. */
export async function makeBackup(
  madeAt: string,
): Promise<{ bytes: Uint8Array; documents: number }> {
  const documents: Backup["documents"] = [];
  for (const record of await listShelf()) {
    const original = await readOriginal(record.id);
    if (!original) continue;
    const decisions = await readDecisions(record.id);
    const known = await readAnswers(record.id);
    const answers = known.works || known.notices ? known : null;
    documents.push({ id: record.id, record, original, decisions, answers });
  }
  const bytes = writeBackup({
    madeAt,
    style: await readStyle(),
    houses: await listHouses(),
    sets: await listSets(),
    sources: await sourcesToKeep(),
    settings: await readSettings(),
    documents,
  });
  return { bytes, documents: documents.length };
}

/** What restoring did, by number of documents. */
export interface Restored {
  /** Those that were not on the shelf. */
  added: number;
  /** Those on the shelf whose ledger in the backup goes on from the one here. */
  continued: number;
  /** Those that are here just as in the backup, or further on. */
  known: number;
  /** Titles of those that differ from the backup, or are open on a desk, and stay as they are. */
  left: string[];
}

/**
 * Takes a backup in and replaces nothing: what is missing here is added, a ledger that the backup has
 * more of is continued, what differs stays as it is. Words, replacements and settings of the house
 * style are merged; where the two contradict each other, those here stand, and so does a preference that
 * was set here. Throws FormatProblem for a
 * file that is no whole backup, before anything is written, and NotKept.
 */
export async function restoreBackup(bytes: Uint8Array): Promise<Restored> {
  const { style, houses, sets, sources, settings, documents } = readBackup(bytes);
  const checkedSets = sets.map((set) => documentSetSchema.parse(set));
  const checkedSources = sources.map((source) => keptSourceSchema.parse(source));
  const checked = documents.map((one) => ({ ...one, record: shelfRecordSchema.parse(one.record) }));
  const restored: Restored = { added: 0, continued: 0, known: 0, left: [] };
  for (const { id, record, original, decisions, answers } of checked) {
    const here = await readRecord(id);
    if (!here) {
      await writeDecisions(id, decisions);
      await shelve(record, original);
      if (answers !== null) await keepAnswers(id, answersSchema.parse(answers));
      restored.added++;
      continue;
    }
    const own = await readDecisions(id);
    if (isStartOf(decisions, own)) restored.known++;
    else if (isStartOf(own, decisions) && !(await isHeld(id))) {
      await writeDecisions(id, decisions.slice(own.length));
      restored.continued++;
    } else restored.left.push(here.title);
  }
  for (const set of checkedSets) if (!(await readSet(set.id))) await keepSet(set);
  for (const source of checkedSources) await restoreSource(source);
  await restoreSettings(settings);
  const now = new Date().toISOString();
  const merged = (mine: HouseStyle, theirs: HouseStyle) =>
    merge(mine, { words: [], replacements: [], style: theirs, notes: [] }, PERSONAL, now).style;
  await changeStyle((mine) => merged(mine, style));
  for (const house of houses) {
    if (!(await readHouse(house.id))) await restoreHouse(house);
    else await changeHouse(house.id, (mine) => merged(mine, house));
  }
  return restored;
}

function isStartOf(shorter: readonly Decision[], longer: readonly Decision[]): boolean {
  return (
    shorter.length <= longer.length &&
    shorter.every((decision, index) => decision.at === longer[index]?.at)
  );
}
