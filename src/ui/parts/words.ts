import type { Appetite, Pass, Weight } from "../../core/checks/card.ts";
import type { Kind, Variety } from "../../core/manuscript/model.ts";

/** The interface's words for the model's values. */

export const VARIETY_LABELS: Record<Variety, string> = {
  "en-US": "English, US",
  "en-GB": "English, GB",
  "en-GB-oxendict": "English, GB -ize",
  "en-CA": "English, Canada",
  "en-AU": "English, Australia",
};

export const KIND_LABELS: Record<Kind, string> = {
  paper: "Paper",
  report: "Report",
  specification: "Specification",
  brief: "Brief",
  clinical: "Clinical",
  fiction: "Fiction",
  letter: "Letter",
  sheet: "Sheet",
  general: "General copy",
};

export const PASS_LABELS: Record<Pass, string> = {
  spelling: "Spelling",
  grammar: "Grammar",
  wording: "Wording",
  sentences: "Sentences",
};

/** What is to be done about a mark. */
export const WEIGHT_LABELS: Record<Weight, string> = {
  fix: "fix",
  settle: "settle",
  weigh: "weigh",
};

export const APPETITE_LABELS: Record<Appetite, string> = {
  all: "all",
  sure: "when sure",
  off: "off",
};

const numberFormat = new Intl.NumberFormat("en-GB");

/** 3,104 */
export function figure(value: number): string {
  return numberFormat.format(value);
}

/** "1 place", "4 places" */
export function count(value: number, one: string, many = `${one}s`): string {
  return `${figure(value)} ${value === 1 ? one : many}`;
}

const time = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric" });

/** 10:42 */
export function clock(date: Date): string {
  return time.format(date);
}

/** "today 10:42", or a date. */
export function when(iso: string, now = new Date()): string {
  const date = new Date(iso);
  return date.toDateString() === now.toDateString() ? `today ${clock(date)}` : day.format(date);
}
