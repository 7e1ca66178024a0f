import type { Rule } from "../house/rules.ts";

/** One round of reading with one purpose, in working order. */
export const PASSES = [
  "spelling",
  "grammar",
  "wording",
  "sentences",
  "consistency",
  "citations",
  "originality",
] as const;
export type Pass = (typeof PASSES)[number];

/** fix: wrong by any book; settle: the house must choose; weigh: advice. */
export type Weight = "fix" | "settle" | "weigh";

/** How much of a check is wanted: all, only what it is sure of, or nothing. */
export const APPETITES = ["all", "sure", "off"] as const;
export type Appetite = (typeof APPETITES)[number];

/**
 * Shows what a check does: wrong and right; wrong with the part that is marked, where no correction fits
 * every case; or a sentence it leaves alone.
 */
export type Example =
  | { wrong: string; right: string }
  | { wrong: string; marked: string }
  | { leave: string };

/** What is told of a check, which a screen shows without its logic. Its examples are its tests too. */
export interface Card {
  id: string;
  pass: Pass;
  weight: Weight;
  /** The trade's short code, shown in the margin. */
  code: string;
  title: string;
  /** What is wrong and why it matters, in plain words. */
  why: string;
  /** The published rule it rests on, or "common practice". */
  source: string;
  examples: Example[];
  /** The house rules that its examples are read under. */
  houseRules?: readonly Rule[];
  /** The sources that its examples are compared with. */
  sources?: readonly string[];
  /** What it marks are words that can go on a word list. */
  takesWords?: boolean;
  /** At most this many marks a page (`readings/counts.ts`); the others are counted. */
  aPage?: number;
}
