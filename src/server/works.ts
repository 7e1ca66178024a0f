import { readFile } from "node:fs/promises";
import path from "node:path";
import { z } from "zod";
import { folded, lettersApart } from "../core/citations/fold.ts";
import {
  type AskedWork,
  type IndexedWork,
  indexedWorkSchema,
  type Notice,
  noticeSchema,
} from "../core/citations/outside/asking.ts";

/**
 * A simulated index of works and a register of notices, in the place of outside services: several
 * hundred made-up works, and what is said of some of them.
 */

const registeredSchema = z.object({ doi: z.string(), notices: z.array(noticeSchema) });

interface Known {
  works: readonly IndexedWork[];
  /** Works by the folded family name of their first author. */
  byAuthor: ReadonlyMap<string, readonly IndexedWork[]>;
  notices: ReadonlyMap<string, readonly Notice[]>;
}

/** Letters by which the name of a first author may be off. */
const NAME_SLACK = 2;
/** Of the words of a title, how many must be in that of a work. */
const TITLE_SHARE = 0.6;
/** Years by which a year may be off. */
const YEAR_SLACK = 2;

let reading: Promise<Known> | null = null;

function known(): Promise<Known> {
  reading ??= read();
  reading.catch(() => {
    reading = null;
  });
  return reading;
}

async function read(): Promise<Known> {
  const folder = path.join(process.env["DRY_RUN_DATA"] ?? path.resolve("data"), "works");
  const json = async (name: string): Promise<unknown> =>
    JSON.parse(await readFile(path.join(folder, name), "utf8"));
  const works = z.array(indexedWorkSchema).parse(await json("works.json"));
  const registered = z.array(registeredSchema).parse(await json("notices.json"));
  const byAuthor = new Map<string, IndexedWork[]>();
  for (const work of works) {
    const key = folded(work.authors[0]?.family ?? "");
    byAuthor.set(key, [...(byAuthor.get(key) ?? []), work]);
  }
  return {
    works,
    byAuthor,
    notices: new Map(registered.map(({ doi, notices }) => [doi, notices])),
  };
}

/** The works that an index takes those asked for to be, one for one. */
export async function findWorks(asked: readonly AskedWork[]): Promise<(IndexedWork | null)[]> {
  const index = await known();
  return asked.map((one) => find(index, one));
}

/** The work of a DOI; null where the index has none. */
export async function findDoi(doi: string): Promise<IndexedWork | null> {
  const { works } = await known();
  const wanted = doi.toLowerCase();
  return works.find((work) => work.doi?.toLowerCase() === wanted) ?? null;
}

/** What a register says of the works asked for, one for one. */
export async function findNotices(asked: readonly AskedWork[]): Promise<Notice[][]> {
  const index = await known();
  return asked.map((one) => {
    const doi = find(index, one)?.doi;
    return doi ? [...(index.notices.get(doi) ?? [])] : [];
  });
}

/** The work whose title is nearest, among those of nearly that author and nearly that year. */
function find({ byAuthor }: Known, { title, author, year }: AskedWork): IndexedWork | null {
  const name = folded(author);
  const words = wordsOf(title);
  let best: { work: IndexedWork; share: number } | null = null;
  for (const [key, works] of byAuthor) {
    if (lettersApart(name, key, NAME_SLACK) > NAME_SLACK) continue;
    for (const work of works) {
      if (year !== null && Math.abs(work.year - year) > YEAR_SLACK) continue;
      const own = new Set(wordsOf(work.title));
      const share = words.filter((word) => own.has(word)).length / Math.max(1, words.length);
      if (share >= TITLE_SHARE && share > (best?.share ?? 0)) best = { work, share };
    }
  }
  return best?.work ?? null;
}

function wordsOf(title: string): string[] {
  return title
    .split(/[\s\-–—:,.]+/u)
    .map(folded)
    .filter((word) => word.length > 2);
}
