import { z } from "zod";
import { type Decision, inForce } from "../ledger/decision.ts";
import { draftFrom } from "./draft-from.ts";
import { formChoice } from "./form-choices.ts";
import type { RuleDraft } from "./rule-draft.ts";

/**
 * The style sheet of a document: every choice that was made in it, as editors keep it, worked out from its
 * ledger and edited by hand.
 */

export const SHEET_GROUPS = [
  "words",
  "numbers",
  "punctuation",
  "abbreviations",
  "names",
  "capitals",
  "layout",
  "citations",
  "queries",
] as const;
export type SheetGroup = (typeof SHEET_GROUPS)[number];

export const SHEET_TITLES: Readonly<Record<SheetGroup, string>> = {
  words: "Words, A to Z",
  numbers: "Numbers, dates, units",
  punctuation: "Punctuation",
  abbreviations: "Abbreviations",
  names: "Names and places",
  capitals: "Capitals",
  layout: "Headings, lists, captions",
  citations: "Citations",
  queries: "Queries",
};

export interface SheetEntry {
  id: string;
  group: SheetGroup;
  text: string;
  note: string;
  /** Places that were brought to it; 0 where none is known. */
  places: number;
  /** When it was decided, ISO 8601; empty for what was written by hand. */
  at: string;
  /** What it chose, where a rule can be made of it. */
  choice: { of: string; form: string } | null;
}

/** What a person has changed on a sheet by hand. */
export const handSchema = z.object({
  added: z
    .array(
      z.object({
        id: z.string(),
        group: z.enum(SHEET_GROUPS),
        text: z.string(),
        note: z.string().default(""),
      }),
    )
    .default([]),
  /** Entries taken off, by their ids. */
  hidden: z.array(z.string()).default([]),
  /** Notes put beside entries, by their ids. */
  notes: z.record(z.string(), z.string()).default({}),
});
export type SheetByHand = z.infer<typeof handSchema>;
export const NO_HAND: SheetByHand = { added: [], hidden: [], notes: {} };

/** The group of a check of forms. */
const GROUP_OF: Readonly<Record<string, SheetGroup>> = {
  compound: "words",
  prefix: "words",
  spelling: "words",
  accent: "words",
  italics: "words",
  contraction: "words",
  capitals: "capitals",
  "fixed-capitals": "capitals",
  name: "names",
  possessive: "names",
  "quotation-marks": "punctuation",
  dash: "punctuation",
  ellipsis: "punctuation",
  "serial-comma": "punctuation",
  points: "abbreviations",
  label: "abbreviations",
  "abbreviation-plural": "abbreviations",
  abbreviations: "abbreviations",
  "abbreviation-undefined": "abbreviations",
  "heading-case": "layout",
  caption: "layout",
  "list-end": "layout",
  "list-capital": "layout",
  "list-grammar": "layout",
};

function groupOf(of: string): SheetGroup {
  const check = of.slice(of.indexOf("/") + 1, of.indexOf(":"));
  return GROUP_OF[check] ?? "numbers";
}

/** Choices of a document that are no matter of style: which terms differ, which work is meant, what counts as overlap. */
const NO_STYLE = /^(?:terms:|citations:tie:|overlap:)/;
/** Marks whose corrections say nothing of how words are written. */
const NO_WORDS = /^(?:citations|originality)\//;

/**
 * The entries of a sheet: what standing decisions chose, and what was written by hand. `styleName` tells how a
 * style of citations is called.
 */
export function sheetOf(
  decisions: readonly Decision[],
  hand: SheetByHand,
  styleName: (id: string) => string = (id) => id,
): SheetEntry[] {
  const standing = inForce(decisions);
  const entries = new Map<string, SheetEntry>();
  const put = (entry: SheetEntry) => {
    if (entry.text.trim() !== "") entries.set(entry.id, entry);
  };
  for (const decision of decisions) {
    if (!standing.has(decision.seq)) continue;
    for (const entry of entriesOf(decision, styleName)) {
      if (entry.isGone) entries.delete(entry.id);
      else put(entry);
    }
  }
  for (const { id, group, text, note } of hand.added) {
    put({ id, group, text, note, places: 0, at: "", choice: null });
  }
  const hidden = new Set(hand.hidden);
  return [...entries.values()]
    .filter(({ id }) => !hidden.has(id))
    .map((entry) => ({ ...entry, note: hand.notes[entry.id] ?? entry.note }))
    .sort((one, other) => {
      const by = SHEET_GROUPS.indexOf(one.group) - SHEET_GROUPS.indexOf(other.group);
      return by || one.text.localeCompare(other.text, "en");
    });
}

function entriesOf(
  decision: Decision,
  styleName: (id: string) => string,
): (SheetEntry & { isGone?: boolean })[] {
  const { act, at, setting, word, scope, marks, edits, kept = [] } = decision;
  const found: (SheetEntry & { isGone?: boolean })[] = [];
  const plain = { note: "", places: 0, at, choice: null };
  if (word !== undefined) found.push({ ...plain, id: `word:${word}`, group: "words", text: word });
  if (setting?.name === "listed" && setting.of) {
    const id = `word:${setting.of}`;
    const isGone = setting.after === null;
    found.push({ ...plain, id, group: "words", text: setting.of, isGone });
  }
  if (setting?.name === "citations") {
    const text = `References and citations: ${styleName(String(setting.after))}`;
    const isGone = typeof setting.after !== "string";
    found.push({ ...plain, id: "citations", group: "citations", text, isGone });
  }
  if (setting?.name === "form" && setting.of === "citations:sorted") {
    const text = "The list leaves in its right order";
    const isGone = setting.after !== "yes";
    found.push({ ...plain, id: "citations:sorted", group: "citations", text, isGone });
  } else if (setting?.name === "form" && setting.of && !NO_STYLE.test(setting.of)) {
    const { of, after } = setting;
    const isGone = typeof after !== "string";
    const left = kept.length > 0 ? `${kept.length} left as they were` : "";
    found.push({
      id: `form:${of}`,
      group: groupOf(of),
      text: formText(of, after),
      note: after === "" ? "all its forms are meant" : left,
      places: edits.length,
      at,
      choice: typeof after === "string" && after !== "" ? { of, form: after } : null,
      isGone,
    });
  }
  if (act === "stet" && scope === "everywhere") {
    for (const { text, rule } of marks.slice(0, 1)) {
      if (NO_WORDS.test(rule)) continue;
      const group = rule.startsWith("consistency/") ? groupOf(`${rule}:`) : "words";
      found.push({ ...plain, id: `stet:${rule}:${text}`, group, text, note: "let stand" });
    }
  }
  if (act === "correct" && scope === "everywhere" && !setting && marks.length > 1) {
    const [first] = marks;
    const insert = edits[0]?.insert ?? "";
    if (first && !NO_WORDS.test(first.rule) && insert !== "" && insert.length < 60) {
      const note = `not “${first.text}”`;
      const id = `correct:${first.text.toLowerCase()}`;
      found.push({ ...plain, id, group: "words", text: insert, note, places: edits.length });
    }
  }
  if (act === "query" && decision.note) {
    const about = marks[0]?.text ?? "";
    const id = `query:${decision.seq}`;
    found.push({
      ...plain,
      id,
      group: "queries",
      text: decision.note,
      note: about && `at “${about}”`,
    });
  }
  return found;
}

function formText(of: string, form: string | boolean | null): string {
  const known = formChoice(of);
  const about = of.slice(of.indexOf(":") + 1);
  if (form === "") return about;
  return known ? `${known.title}: ${String(form)}` : String(form ?? about);
}

/** The house rule that an entry comes to; null for a query, or what only its note tells. */
export function draftOfEntry({ choice, group, text, id }: SheetEntry): RuleDraft | null {
  if (choice) {
    const check = choice.of.slice(0, choice.of.indexOf(":"));
    const { of, form } = choice;
    return draftFrom({ text: form, check, group: of, put: null, preferred: form, others: [] });
  }
  const corrected = /^correct:(.+)$/.exec(id)?.[1];
  if (corrected) {
    return draftFrom({
      text: corrected,
      check: "",
      group: "",
      put: text,
      preferred: null,
      others: [],
    });
  }
  if (group === "names" || group === "capitals") {
    const type = group === "names" ? "consistency/name" : "consistency/capitals";
    return draftFrom({ text, check: type, group: "", put: text, preferred: text, others: [] });
  }
  return null;
}

/** The choices of a sheet that another document may start from. */
export function choicesOf(entries: readonly SheetEntry[]): {
  forms: Record<string, string>;
  added: SheetByHand["added"];
} {
  const forms: Record<string, string> = {};
  const added: SheetByHand["added"] = [];
  for (const { choice, group, id, text, note } of entries) {
    // A list or a heading's level is of one document.
    if (choice && !/:list \d/.test(choice.of)) forms[choice.of] = choice.form;
    else if (group !== "queries") added.push({ id: `hand:${id}`, group, text, note });
  }
  return { forms, added };
}
