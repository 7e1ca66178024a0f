import { bracketOrder, citedComma, citedJoining, citedNames, pinpointForm } from "./form.ts";
import { duplicateEntry, listOrder } from "./list.ts";
import { ibidem, noteOrder } from "./notes.ts";
import { numberOrder, numberRange } from "./numbers.ts";
import type { TextRule } from "./rule.ts";
import { citationOrYear, nearName, nearYear, neverCited, noEntry, yearLetter } from "./ties.ts";

/** The rules of citations and lists, by the last part of their check's id. */
export const TEXT_RULES: Readonly<Record<string, TextRule>> = {
  "no-entry": noEntry,
  "citation-or-year": citationOrYear,
  "near-name": nearName,
  "near-year": nearYear,
  "year-letter": yearLetter,
  "never-cited": neverCited,
  "cited-names": citedNames,
  "cited-joining": citedJoining,
  "cited-comma": citedComma,
  "pinpoint-form": pinpointForm,
  "bracket-order": bracketOrder,
  "number-order": numberOrder,
  "number-range": numberRange,
  "note-order": noteOrder,
  ibidem,
  "list-order": listOrder,
  "duplicate-entry": duplicateEntry,
};
