import { createInterface } from "node:readline";
import { z } from "zod";
import { type CitedDocument, documentOfEntries } from "../core/citations/cited-text.ts";
import type { Entry, EntryName } from "../core/citations/entry.ts";
import { guessStyle } from "../core/citations/guess-style.ts";
import { readEntry } from "../core/citations/read-entry.ts";
import { reviewEntries } from "../core/citations/review-entries.ts";
import { STYLE_IDS, type StyleId } from "../core/citations/styles/style.ts";
import { styleOf } from "../core/citations/styles/styles.ts";
import { duplicateEntry, listOrder } from "../core/citations/text-rules/list.ts";
import { Engine } from "../core/engine/engine.ts";
import { loadLanguage, printed } from "./checking.ts";
import { openFile } from "./files.ts";
import { parseJson, printLine } from "./json-line.ts";
import { oneOf, parseOptions, UsageError } from "./options.ts";

/** Prints the citations and the entries of each file, how they are tied, and what is marked. */
export async function runReferences(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseOptions(args, {
    style: { type: "string" },
    json: { type: "boolean" },
  });
  if (positionals.length === 0) throw new UsageError("Name a file to read.");
  const style = oneOf("style", values.style, STYLE_IDS) ?? null;
  const language = loadLanguage();
  let unreadable = false;
  for (const file of positionals) {
    const opened = await openFile(file, language.lexicon);
    if (!opened) {
      unreadable = true;
      continue;
    }
    const { manuscript } = opened;
    const { variety, kind } = manuscript;
    const settings = { variety, kind, appetites: {}, words: [], citationStyle: style };
    const engine = new Engine(manuscript, language, settings);
    for (const _done of engine.examineAll(["citations"]));
    const marks = engine.allMarks().map((mark) => printed(engine, mark));
    const result = { file, ...shown(engine, style), text: manuscript.text, marks };
    process.stdout.write(`${values.json ? JSON.stringify(result) : readable(result)}\n`);
  }
  return unreadable ? 2 : 0;
}

/** What is printed of a document's citations; offsets in the whole text. */
function shown(engine: Engine, chosen: StyleId | null) {
  const document = engine.cited;
  const start = (block: number) => engine.blockRange(block).from;
  return {
    style: chosen ?? document.style.id,
    guessed: document.guess?.id ?? null,
    citations: shownCitations(document, start),
    references: shownReferences(document, start),
  };
}

function shownCitations(document: CitedDocument, start: (block: number) => number) {
  return document.citations.map(({ block, citation, items }) => {
    const at = start(block);
    return {
      from: at + citation.from,
      to: at + citation.to,
      text: citation.text,
      kind: citation.kind,
      items: items.map(({ item, tied }) => ({
        names: item.names.map(({ text }) => text),
        year: item.year?.value ?? item.year?.text ?? null,
        suffix: item.year?.suffix || null,
        number: item.number,
        pinpoint: item.pinpoint?.text ?? null,
        reference: tied.reference,
        tie: tied.tie,
        likely: tied.likely,
      })),
    };
  });
}

function shownReferences(document: CitedDocument, start: (block: number) => number) {
  const uses = document.references.map((): { from: number; to: number }[] => []);
  for (const { block, items } of document.citations) {
    for (const { item, tied } of items) {
      const at = start(block);
      if (tied.reference !== null)
        uses[tied.reference]?.push({ from: at + item.from, to: at + item.to });
    }
  }
  return document.references.map(({ place, entry }, index) => {
    const at = start(place.block);
    return {
      index,
      from: at + place.from,
      to: at + place.to,
      text: entry.text,
      type: entry.type,
      fields: shownFields(entry, document.index.namesOf(index)),
      uses: uses[index] ?? [],
    };
  });
}

/** The fields of an entry; `authors` are those of the entry before where a dash stands for them. */
function shownFields(entry: Entry, authors: readonly EntryName[] = entry.authors?.names ?? []) {
  const { fields } = entry;
  const text = (field: keyof typeof fields) => fields[field]?.text ?? null;
  return {
    authors: (entry.authors || entry.repeated ? authors : []).map(shownName),
    etAl: Boolean(entry.authors?.etAl ?? entry.authors?.ellipsis),
    year: entry.year?.value ?? entry.year?.text ?? null,
    suffix: entry.year?.suffix || null,
    title: text("title"),
    container: text("container"),
    volume: text("volume"),
    issue: text("issue"),
    pages: text("pages"),
    publisher: text("publisher"),
    place: text("place"),
    edition: text("edition"),
    editors: (entry.editors?.names ?? []).map(shownName),
    doi: text("doi"),
    url: text("url"),
    accessed: text("accessed"),
    number: entry.number?.value ?? null,
    unsure: entry.unsure,
  };
}

function shownName({ family, given, suffix, literal }: EntryName) {
  if (literal !== undefined) return { literal };
  return { family: family ?? "", given: given ?? "", ...(suffix ? { suffix } : {}) };
}

function readable({
  file,
  style,
  citations,
  references,
  marks,
}: { file: string; marks: { rule: string; text: string; reason: string }[] } & ReturnType<
  typeof shown
>): string {
  const open = citations.filter(({ items }) => items.some(({ tie }) => tie !== "tied"));
  return [
    `${file}: ${styleOf(style).name}; ${citations.length} citations, ${open.length} open; ${references.length} entries`,
    ...marks.map(({ rule, text, reason }) => `  ${rule}  ${text.slice(0, 60)}  ${reason}`),
  ].join("\n");
}

/** What is looked at over a whole list. */
const LIST_RULES = [
  ["list-order", listOrder],
  ["duplicate-entry", duplicateEntry],
] as const;

const rangeSchema = z.object({ from: z.number(), to: z.number() });
const listSchema = z.object({
  id: z.union([z.string(), z.number()]),
  style: z.enum(STYLE_IDS).nullish(),
  entries: z.array(z.string()),
  /** Italic ranges of each entry: pairs of offsets, or records. */
  italics: z.array(z.array(z.union([rangeSchema, z.tuple([z.number(), z.number()])]))).nullish(),
});

/** Reads lists of entries, one a line, in order as they come. */
export async function runReferenceList(args: readonly string[]): Promise<number> {
  parseOptions(args, {});
  const { lexicon } = loadLanguage();
  const isWord = (word: string) => lexicon.varieties(word) > 0;
  const thisYear = new Date().getFullYear();
  let status = 0;
  let number = 0;
  for await (const line of createInterface({ input: process.stdin })) {
    number++;
    if (line.trim() === "") continue;
    const request = listSchema.safeParse(parseJson(line));
    if (!request.success) {
      process.stderr.write(`line ${number}: ${z.prettifyError(request.error)}\n`);
      status = 2;
      continue;
    }
    const { id, entries, italics } = request.data;
    const style = styleOf(request.data.style ?? guessStyle(entries)?.id ?? "apa-7");
    const ranges = entries.map((_, at) =>
      (italics?.[at] ?? []).map((one) => (Array.isArray(one) ? { from: one[0], to: one[1] } : one)),
    );
    const read = entries.map((text, at) => readEntry(text, style, ranges[at]));
    const found = reviewEntries({ entries: read, italics: ranges, style, thisYear, isWord });
    const result = {
      id,
      style: style.id,
      entries: read.map((entry, at) => ({
        fields: { ...shownFields(entry), type: entry.type },
        marks: (found[at] ?? []).map(({ rule, ...mark }) => ({
          rule: `citations/${rule}`,
          text: entry.text.slice(mark.from, mark.to),
          ...mark,
        })),
      })),
      marks: LIST_RULES.flatMap(([rule, find]) =>
        find(documentOfEntries(read, ranges, style, { isWord, thisYear })).map(
          ({ block, from, to, reason }) => ({
            rule: `citations/${rule}`,
            entry: block,
            from,
            to,
            reason,
          }),
        ),
      ),
    };
    await printLine(result);
  }
  return status;
}
