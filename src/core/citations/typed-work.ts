import type { TextField, WorkType } from "./entry.ts";
import type { Maker, Work } from "./work.ts";

/** A work as a person types it into a form, one text a field; authors one to a line. */
export type TypedFields = { authors: string; year: string; title: string } & {
  [K in Exclude<TextField, "title" | "accessed">]?: string;
};

const YEAR = /^(?:(1[4-9]\d\d|20\d\d)([a-z]?)|n\.\s?d\.|in press|forthcoming)$/iu;

/** The work that was typed, or a sentence on what can't be read of it. */
export function workFromFields(type: WorkType, fields: TypedFields): Work | { problem: string } {
  const { authors, year, title, doi = "", ...others } = fields;
  if (title.trim() === "") return { problem: "A reference needs a title." };
  const dated = YEAR.exec(year.trim());
  if (year.trim() !== "" && !dated) {
    return { problem: `“${year.trim()}” is no year: four figures, “n.d.” or “in press”.` };
  }
  const identifier = doi.trim().replace(/^(?:https?:\/\/(?:dx\.)?doi\.org\/|doi:\s?)/iu, "");
  if (identifier !== "" && !/^10\.\d{4,9}\/\S+$/u.test(identifier)) {
    return { problem: `“${doi.trim()}” is no DOI: one begins with “10.” and has a stroke.` };
  }
  const typed = Object.entries(others).flatMap(([name, value]) => {
    const text = value?.trim() ?? "";
    return text === ""
      ? []
      : [[name, name === "pages" ? text.replace(/\s*[-–—]+\s*/u, "–") : text]];
  });
  return {
    type,
    title: title.trim(),
    authors: authors.split("\n").flatMap(makersOf),
    year: dated?.[1] ?? (year.trim() || "n.d."),
    ...(dated?.[2] ? { suffix: dated[2] } : {}),
    ...Object.fromEntries(typed),
    ...(identifier ? { doi: identifier } : {}),
  };
}

/** “Orrin, I. K.” is a person, “Harbour Board” a group. */
function makersOf(line: string): Maker[] {
  const text = line.trim().replace(/[;]$/u, "");
  if (text === "") return [];
  const [family = "", given, suffix] = text.split(/,\s*/u);
  if (given === undefined) return [{ literal: text }];
  return [{ family, given, ...(suffix ? { suffix } : {}) }];
}
