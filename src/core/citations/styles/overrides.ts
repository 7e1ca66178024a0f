import type { CitationStyle } from "./style.ts";

/** A point in which a publisher may differ from a style. */
export interface OverridePoint {
  id: string;
  title: string;
  choices: readonly { value: string; label: string }[];
  /** The style with this point as chosen. */
  apply(style: CitationStyle, value: string): CitationStyle;
}

const QUOTES: Readonly<Record<string, readonly [string, string] | null>> = {
  none: null,
  double: ["“", "”"],
  single: ["‘", "’"],
};

type Capitals = CitationStyle["titles"]["part"];

const CAPITALS: OverridePoint["choices"] = [
  { value: "sentence", label: "as in a sentence" },
  { value: "headline", label: "as in a headline" },
  { value: "any", label: "as they come" },
];

/** The points that a house may settle, in the order they are offered. */
export const OVERRIDE_POINTS: readonly OverridePoint[] = [
  {
    id: "names",
    title: "Names listed before the rest are left out",
    choices: ["3", "6", "7", "10", "20"].map((value) => ({ value, label: `up to ${value}` })),
    apply: (style, value) => {
      const most = Number(value);
      const shown =
        style.authors.rest === "ellipsis" ? most - 1 : Math.min(most, style.authors.shown);
      return { ...style, authors: { ...style.authors, most, shown } };
    },
  },
  {
    id: "joining",
    title: "Before the last name",
    choices: [
      { value: "&", label: "&" },
      { value: "and", label: "and" },
    ],
    apply: (style, value) => {
      const joined = (text: string) => text.replace(/&|\band\b/u, value);
      const { lastOfTwo, lastOfMore } = style.authors;
      return {
        ...style,
        authors: { ...style.authors, lastOfTwo: joined(lastOfTwo), lastOfMore: joined(lastOfMore) },
        inText: { ...style.inText, joinBracketed: value as "&" | "and" },
      };
    },
  },
  {
    id: "part-capitals",
    title: "Titles of articles and chapters",
    choices: CAPITALS,
    apply: (style, value) => ({ ...style, titles: { ...style.titles, part: value as Capitals } }),
  },
  {
    id: "whole-capitals",
    title: "Titles of books",
    choices: CAPITALS,
    apply: (style, value) => ({ ...style, titles: { ...style.titles, whole: value as Capitals } }),
  },
  {
    id: "quotes",
    title: "Around titles of articles and chapters",
    choices: [
      { value: "none", label: "nothing" },
      { value: "double", label: "“ ”" },
      { value: "single", label: "‘ ’" },
    ],
    apply: (style, value) => ({
      ...style,
      titles: { ...style.titles, quotes: QUOTES[value] ?? null },
    }),
  },
  {
    id: "page-dash",
    title: "Between pages",
    choices: [
      { value: "–", label: "an en dash" },
      { value: "-", label: "a hyphen" },
    ],
    apply: (style, value) => ({ ...style, pages: { ...style.pages, dash: value as "–" | "-" } }),
  },
  {
    id: "page-digits",
    title: "The second page",
    choices: [
      { value: "full", label: "in full: 140–152" },
      { value: "two", label: "two digits: 140–52" },
      { value: "short", label: "what differs: 140–52, 141–9" },
    ],
    apply: (style, value) => ({
      ...style,
      pages: { ...style.pages, second: value as CitationStyle["pages"]["second"] },
    }),
  },
  {
    id: "place",
    title: "The place of a publisher",
    choices: [
      { value: "named", label: "named" },
      { value: "left-out", label: "left out" },
    ],
    apply: (style, value) => ({ ...style, place: value === "named" }),
  },
  {
    id: "doi",
    title: "A DOI",
    choices: [
      { value: "https://doi.org/", label: "https://doi.org/10.5555/1" },
      { value: "doi:", label: "doi:10.5555/1" },
      { value: "any", label: "either" },
    ],
    apply: (style, value) => ({ ...style, doi: value as CitationStyle["doi"] }),
  },
  {
    id: "final-stop",
    title: "The stop behind an address",
    choices: [
      { value: "always", label: "set" },
      { value: "not-after-address", label: "left out" },
    ],
    apply: (style, value) => ({ ...style, finalStop: value as CitationStyle["finalStop"] }),
  },
  {
    id: "order",
    title: "Order of the list",
    choices: [
      { value: "alphabetical", label: "by the alphabet" },
      { value: "appearance", label: "as first cited" },
    ],
    apply: (style, value) => ({ ...style, order: value as CitationStyle["order"] }),
  },
];

/** What a house has otherwise than the style, by the id of the point, and whose house it is. */
export interface StyleOverrides {
  points: Readonly<Record<string, string>>;
  house: string;
}

/** Rules that speak for a point, by the last part of their check's id. */
const RULES_OF_POINT: Readonly<Record<string, readonly string[]>> = {
  names: ["author-count"],
  joining: ["author-joining", "cited-joining"],
  "part-capitals": ["title-capitals"],
  "whole-capitals": ["title-capitals"],
  quotes: ["title-quotes"],
  "page-dash": ["page-range"],
  "page-digits": ["page-range"],
  place: ["publisher-place"],
  doi: ["doi-form"],
  "final-stop": ["entry-end"],
  order: ["list-order", "number-order"],
};

/** A style with a house's own points on top; the same style where there are none. */
export function withOverrides(
  style: CitationStyle,
  overrides: StyleOverrides | null,
): CitationStyle {
  let adapted = style;
  const own: Record<string, string> = {};
  for (const { id, title, choices, apply } of OVERRIDE_POINTS) {
    const choice = choices.find((one) => one.value === overrides?.points[id]);
    // What a later version settled is passed over.
    if (!choice) continue;
    adapted = apply(adapted, choice.value);
    own[id] =
      `${capitalised(overrides?.house ?? "")} (${title.charAt(0).toLowerCase()}${title.slice(1)}: ${choice.label})`;
  }
  return adapted === style ? style : { ...adapted, own };
}

/** A style as a rule speaks for it: where a house settled the point, the house and its point are named. */
export function asRuleSpeaks(style: CitationStyle, rule: string): CitationStyle {
  const [named] = Object.entries(style.own ?? {}).filter(([point]) =>
    RULES_OF_POINT[point]?.includes(rule),
  );
  return named ? { ...style, name: named[1] } : style;
}

function capitalised(name: string): string {
  return name.charAt(0).toUpperCase() + name.slice(1);
}
