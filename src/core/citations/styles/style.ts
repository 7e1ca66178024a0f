/** Ids of the shipped styles; a publisher's own rules stand on top of one of them. */
export const STYLE_IDS = [
  "apa-6",
  "apa-7",
  "mla-9",
  "chicago-author-date",
  "chicago-notes",
  "harvard",
  "vancouver",
  "ieee",
  "ama-11",
] as const;
export type StyleId = (typeof STYLE_IDS)[number];

/** What a citation in the text consists of. */
export type System = "author-date" | "author-page" | "numeric" | "notes";

/** How the names of an entry are written. */
export interface AuthorRules {
  /** Family before initials ("Orrin, I. K."), without marks ("Orrin IK"), after them ("I. K. Orrin"), or with given names. */
  form: "inverted-initials" | "bare-initials" | "initials-first" | "given-names";
  /** What stands between two initials: a space or nothing. */
  betweenInitials: "" | " ";
  /** Before the last of two names, and before the last of more; with spaces and commas. */
  lastOfTwo: string;
  lastOfMore: string;
  /** As many names are all listed; of more, the first `shown` and what `rest` says. */
  most: number;
  shown: number;
  rest: "et al." | "ellipsis";
  /** Before “et al.”. */
  beforeEtAl: string;
}

/** How titles are written. */
export interface TitleRules {
  /** The quotation marks of articles and chapters; null where they have none. */
  quotes: readonly [string, string] | null;
  /** The capitals of titles of articles and chapters, and of books. */
  part: "sentence" | "headline" | "any";
  whole: "sentence" | "headline" | "any";
}

/** How the numbers of a periodical are written; `volume`, `issue` and `pages` stand for them. */
export interface PeriodicalRules {
  /** With an issue, and without: what stands between the periodical and its pages. */
  withIssue: string;
  withoutIssue: string;
  /** Between that and the pages. */
  beforePages: string;
  /** Before one page and before several, such as "p. " and "pp. ". */
  pageLabels: readonly [string, string];
}

export interface PageRules {
  dash: "–" | "-";
  /** All digits; two at least; only those that differ; or the rule of one manual for hundreds. */
  second: "full" | "two" | "short" | "hundreds";
}

/** What a citation in the text looks like. */
export interface InTextRules {
  system: System;
  /** Between the last two names within brackets and in running text. */
  joinBracketed: "&" | "and";
  joinRunning: "&" | "and";
  /** So many names are all given; of more, the first and “et al.”. */
  most: number;
  /** How many are all given at the first mention, where that is more. */
  mostAtFirst?: number;
  /** Between name and year, or name and page. */
  afterName: ", " | " ";
  /** Between year and page. */
  beforePage: string;
  /** Before pages: one, several; empty where there is none. */
  pageLabels: readonly [string, string];
  /** Between works in one pair of brackets. */
  betweenWorks: "; " | "," | ", ";
  /** The order of works in one pair of brackets. */
  order: "alphabetical" | "chronological" | "any";
  /** The signs around numbers; superscripts have none. */
  brackets?: readonly [string, string] | "superscript";
  /** Between the ends of a range of numbers. */
  rangeDash?: "–" | "-";
}

/** A style as data: what a manual asks for, in the edition it is named by. */
export interface CitationStyle {
  id: StyleId;
  /** As a person calls it. */
  name: string;
  /** What a house has otherwise, by the id of the point: how the house's point is called. */
  own?: Readonly<Record<string, string>>;
  /** What its rules were checked against. */
  source: string;
  inText: InTextRules;
  /** What stands around an entry's number; null where entries have none. */
  number: readonly [string, string] | null;
  order: "alphabetical" | "appearance";
  /** Stands for the names of the entry before, where they are the same. */
  repeated: string | null;
  authors: AuthorRules;
  /** Behind the names of editors, of one and of several. */
  editors: readonly [string, string];
  /** The year stands behind the names, in brackets or between stops; or near the end. */
  year: "brackets" | "stops" | "end";
  /** What follows the bracket of the year. */
  afterYear: ". " | " ";
  titles: TitleRules;
  periodical: PeriodicalRules;
  pages: PageRules;
  /** Whether names of periodicals and titles of books are set in italics. */
  italics: boolean;
  /** How an edition is written, behind its number. */
  edition: "ed." | "edn";
  /** Whether the place of a publisher is named. */
  place: boolean;
  /** What stands before a DOI. */
  doi: "https://doi.org/" | "doi:" | "doi: " | "any";
  /** What stands before an address. */
  url: readonly string[];
  /** Whether pages of the web name the day on which they were read, and the word before it; none where it may be any. */
  visited: { when: "always" | "undated" | "never"; lead: string | null };
  /** Whether an entry ends with a stop: always, never behind a DOI or address, or never behind an address alone. */
  finalStop: "always" | "not-after-address" | "not-after-url";
}
