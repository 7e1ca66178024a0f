import type { Entry, EntryName, WorkType } from "./entry.ts";

/** A person or a group that made a work. */
export type Maker = { family: string; given: string; suffix?: string } | { literal: string };

/** A work by its fields, without any style. */
export interface Work {
  type: WorkType;
  authors: readonly Maker[];
  /** Four figures, or “n.d.”. */
  year: string;
  /** The letter that tells works of one year apart. */
  suffix?: string;
  title: string;
  container?: string;
  volume?: string;
  issue?: string;
  /** First and last, with an en dash, in full. */
  pages?: string;
  publisher?: string;
  place?: string;
  /** A number alone where it has one. */
  edition?: string;
  editors?: readonly Maker[];
  doi?: string;
  url?: string;
}

/** What an entry says of its work; `names` are those before it where a dash stands for them. */
export function workOf(entry: Entry, names: readonly EntryName[]): Work {
  const { fields, year } = entry;
  const text = (field: keyof typeof fields) => fields[field]?.text;
  const pages = text("pages");
  return {
    type: entry.type,
    authors: entry.authors || entry.repeated ? names.map(makerOf) : [],
    year: year?.text ?? "n.d.",
    ...(year?.suffix ? { suffix: year.suffix } : {}),
    title: text("title") ?? "",
    ...some({
      container: text("container"),
      volume: text("volume"),
      issue: text("issue"),
      pages: pages && inFull(pages),
      publisher: text("publisher"),
      place: text("place"),
      edition: text("edition")?.replace(/^(\d+).*$/u, "$1"),
      doi: text("doi"),
      url: text("url"),
    }),
    ...(entry.editors ? { editors: entry.editors.names.map(makerOf) } : {}),
  };
}

function makerOf({ family, given, suffix, literal }: EntryName): Maker {
  if (family === undefined) return { literal: literal ?? "" };
  return { family, given: given ?? "", ...(suffix ? { suffix } : {}) };
}

function some<T extends Record<string, string | undefined>>(
  fields: T,
): { [K in keyof T]?: string } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value)) as {
    [K in keyof T]?: string;
  };
}

/** Pages with all figures of the second. */
function inFull(pages: string): string {
  const [first = "", second] = pages.split(/\s?[–—-]+\s?/u);
  if (!second) return first;
  const whole =
    second.length < first.length && /^\d+$/u.test(second)
      ? first.slice(0, first.length - second.length) + second
      : second;
  return `${first}–${whole}`;
}
