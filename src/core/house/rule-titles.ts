import type { RuleType } from "./rules.ts";

/** What kinds of rules are called, one and many. */
export const HOUSE_TITLES: Readonly<Record<RuleType, string>> = {
  term: "the term",
  wording: "the wording",
  capitals: "the capitals of",
  compound: "the compound",
  name: "the name",
  abbreviation: "the abbreviation",
  form: "the form",
  pattern: "the pattern",
  expression: "the expression",
};

export const TYPE_TITLES: Readonly<Record<RuleType, string>> = {
  term: "Terms",
  wording: "Wording to weigh",
  capitals: "Capitals",
  compound: "Compounds, hyphens",
  name: "Names",
  abbreviation: "Abbreviations",
  form: "Numbers, dates, marks",
  pattern: "Patterns",
  expression: "Expressions",
};
