/** What the board of the consistency pass shows, and what each view is called. */
export const SETTLING_VIEWS = {
  forms: "Forms",
  abbreviations: "Abbreviations",
  quantities: "Quantities",
  terms: "Terms",
  settled: "Settled",
} as const;
export type View = keyof typeof SETTLING_VIEWS;
