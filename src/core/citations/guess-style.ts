import { STYLE_IDS, type StyleId } from "./styles/style.ts";

/** One thing about an entry that speaks for some styles. */
interface Clue {
  /** What it is, as a person would say it behind “the entries have”. */
  says: string;
  pattern: RegExp;
  /** How much one entry speaks for each style; against one where it is below nothing. */
  weights: Partial<Record<StyleId, number>>;
}

const YEAR = "(?:1[4-9]|20)\\d\\d(?:[–-]\\d{2,4})?[a-z]?";

const CLUES: readonly Clue[] = [
  {
    says: "numbers in square brackets",
    pattern: /^\[\d{1,4}\]\s/u,
    weights: { ieee: 4, vancouver: 1, "ama-11": 0.5 },
  },
  {
    says: "numbers with a stop",
    pattern: /^\d{1,4}\.\s/u,
    weights: { vancouver: 2, "ama-11": 2, ieee: 0.5 },
  },
  {
    says: "the year in brackets and a stop behind the names",
    pattern: new RegExp(`^[^“‘"]{3,400}?\\((?:${YEAR}|n\\.d\\.|in press)(?:, [^)]+)?\\)\\.`, "u"),
    weights: { "apa-7": 3, "apa-6": 3, harvard: 0.5 },
  },
  {
    says: "the year in brackets without a stop behind the names",
    pattern: new RegExp(
      `^[^“‘"]{3,400}?\\((?:${YEAR}|no date|n\\.d\\.)\\)\\s(?=[‘\\p{Lu}\\p{Ll}\\d])`,
      "u",
    ),
    weights: { harvard: 3 },
  },
  { says: "titles in single quotation marks", pattern: /\)\s‘/u, weights: { harvard: 2 } },
  {
    says: "ampersands between names",
    pattern: /,\s&\s\p{Lu}[\p{L}’'-]+,\s\p{Lu}\./u,
    weights: { "apa-7": 1.5, "apa-6": 1.5 },
  },
  {
    says: "the year between stops behind the names",
    pattern: new RegExp(`^[^“"]{3,400}?[.)—]\\s${YEAR}\\.\\s`, "u"),
    weights: { "chicago-author-date": 4 },
  },
  {
    says: "volume and issue as “12 (3): 4–5”",
    pattern: /\s\w+\s\(\d[^)]*\):\s?\w?\d/u,
    weights: { "chicago-author-date": 1.5 },
  },
  {
    says: "volume and issue as “12, no. 3 (2001): 4–5”",
    pattern: /\s\w+(?:, no\. \S+)?\s\((?:\p{Lu}\p{Ll}+\.? )?(?:1[4-9]|20)\d\d\)(?::\s|\.)/u,
    weights: { "chicago-notes": 4 },
  },
  {
    says: "“vol.” and “no.” with the year before “pp.”",
    pattern:
      /,\s(?:vol|no)\.\s[^,]+(?:,\sno\.\s[^,]+)?,\s(?:\p{Lu}[\p{L}.]+\s)?(?:1[4-9]|20)\d\d(?:,\spp?\.|,\shttps?:|\.$)/u,
    weights: { "mla-9": 4, ieee: -1 },
  },
  {
    says: "titles in quotation marks that close behind a comma",
    pattern: /,”\s/u,
    weights: { ieee: 3 },
  },
  {
    says: "titles in quotation marks that close behind a stop",
    pattern: /[.?!]”\s/u,
    weights: { "mla-9": 1, "chicago-notes": 1, "chicago-author-date": 1 },
  },
  {
    says: "initials before family names",
    pattern: /^(?:\[\d+\]\s)?(?:\p{Lu}\.[\s-]?)+\p{Lu}?[\p{L}’' -]+(?:,|\sand)\s/u,
    weights: { ieee: 2 },
  },
  {
    says: "initials without stops",
    pattern: /^(?:\d+\.\s)?[\p{L}’' -]+\s\p{Lu}{1,3}(?:,\s|\.\s)/u,
    weights: { vancouver: 1.5, "ama-11": 1.5 },
  },
  {
    says: "“year;volume(issue):pages”",
    pattern: /(?:1[4-9]|20)\d\d(?:\s\p{Lu}\p{Ll}{2}(?:\s\d+)?)?;[\w(]/u,
    weights: { vancouver: 1.5, "ama-11": 1.5 },
  },
  {
    says: "page ranges shortened, with an en dash",
    pattern: /[:;.]\s?(\w?\d{2,})–(?!\1)\d{1,2}(?=[.;]|$)/u,
    weights: { vancouver: 2, "ama-11": -1 },
  },
  {
    says: "page ranges in full, with a hyphen",
    pattern: /:\w?\d+-\w?\d+/u,
    weights: { "ama-11": 3, vancouver: -1 },
  },
  {
    says: "“Available from:”",
    pattern: /Available from:|\[Internet\]|\[cited\s/u,
    weights: { vancouver: 2.5 },
  },
  { says: "“Available at:”", pattern: /Available at:|\(Accessed:/u, weights: { harvard: 2.5 } },
  {
    says: "“[Online]. Available:”",
    pattern: /\[Online\]\.? Available:|,\sdoi:\s10/u,
    weights: { ieee: 2.5 },
  },
  { says: "“doi:10”", pattern: /\.\sdoi:10\./u, weights: { "ama-11": 2 } },
  { says: "“Retrieved from”", pattern: /Retrieved from\s/u, weights: { "apa-6": 3, "apa-7": -1 } },
  {
    says: "“In:” before editors",
    pattern: /\.\sIn:\s/u,
    weights: { vancouver: 1, "ama-11": 1 },
  },
  {
    says: "“editor” behind names",
    pattern: /\p{Lu},\seditors?\.\s/u,
    weights: { vancouver: 1.5, "ama-11": -1 },
  },
  {
    says: "“ed.” behind bare initials",
    pattern: /\s\p{Lu}{1,3},\seds?\.\s/u,
    weights: { "ama-11": 2 },
  },
  {
    says: "places before publishers",
    pattern:
      /(?<!\d{4}[a-z]?\))[.)\]]\s(?:\p{Lu}[\p{L}.’'-]*,?\s?(?:\/\s|&\s)?){1,6}:\s\p{Lu}[^:()\d]*?[.;,](?:\s(?:1[4-9]|20)\d\d\b[^:]*)?(?=\s*$|\s(?:Retrieved|https?:|doi|Available))/u,
    weights: {
      "apa-6": 2.5,
      "apa-7": -0.5,
      "chicago-notes": 1,
      vancouver: 1,
      harvard: 0.5,
      "mla-9": -1,
      "ama-11": -1.5,
      ieee: 0.3,
    },
  },
  {
    says: "publishers without a place",
    pattern: /\)\.\s[^.]+?(?:\s\([^)]*\))?\.\s\p{Lu}[^.:\d]*\.(?:$|\shttps?:)/u,
    weights: { "apa-7": 1 },
  },
  {
    says: "publisher and year at the end, without a place",
    pattern: /[.,]\s\p{Lu}[^.:,]*,\s(?:1[4-9]|20)\d\d\.$/u,
    weights: { "mla-9": 1.5 },
  },
  {
    says: "a first name in full behind the family name",
    pattern: /^(?!\d|\[)[\p{L}’' -]+,\s\p{Lu}\p{Ll}+(?:[.,]|\s\p{Lu})/u,
    weights: { "mla-9": 1, "chicago-notes": 1, "chicago-author-date": 1 },
  },
  { says: "three hyphens for names", pattern: /^---[.,]/u, weights: { "mla-9": 3 } },
  {
    says: "dashes for names",
    pattern: /^———/u,
    weights: { "chicago-notes": 1.5, "chicago-author-date": 1.5 },
  },
  {
    says: "pages named behind the publisher",
    pattern: /;\s(?:1[4-9]|20)\d\d\.\sp\.\s/u,
    weights: { vancouver: 2 },
  },
  { says: "pages behind the year", pattern: /;\s(?:1[4-9]|20)\d\d:\d/u, weights: { "ama-11": 2 } },
  { says: "“edn”", pattern: /\bedn\b/u, weights: { harvard: 2 } },
];

/** A single entry in the manner of an older edition is a slip. */
const ENOUGH_FOR_OLD = 2;

/** A style that a list may have been written in. */
export interface StyleGuess {
  id: StyleId;
  /** Of the evidence for all styles, how much speaks for this one: 0 to 1. */
  share: number;
  /** What speaks for it, each with how many entries have it, the strongest first. */
  evidence: readonly { says: string; entries: number }[];
}

/** How many entries have each clue, and what that comes to for each style. */
function weigh(entries: readonly string[]): { counts: number[]; scores: number[] } {
  const counts = CLUES.map(({ pattern }) => entries.filter((entry) => pattern.test(entry)).length);
  const scores = STYLE_IDS.map((id) =>
    CLUES.reduce((sum, { weights }, at) => sum + (weights[id] ?? 0) * (counts[at] ?? 0), 0),
  );
  return { counts, scores };
}

/** Of the clues of an entry, so much more must speak for another style than for its list's. */
const OTHER_LEAD = 5;

/** The style an entry was written in, where that is plainly another than its list's; null where it is not. */
export function otherStyleOf(entry: string, own: StyleId): StyleId | null {
  const { scores } = weigh([entry]);
  const best = Math.max(...scores);
  const mine = scores[STYLE_IDS.indexOf(own)] ?? 0;
  if (best - mine < OTHER_LEAD) return null;
  return STYLE_IDS[scores.indexOf(best)] ?? null;
}

/** Which style the entries of a list were written in; null where nothing speaks for any. */
export function guessStyle(entries: readonly string[]): StyleGuess | null {
  const { counts, scores } = weigh(entries);
  // The newer edition, unless more than a slip speaks for the older one.
  const best = Math.max(...scores);
  if (best <= 0) return null;
  const first = STYLE_IDS[scores.indexOf(best)] ?? "apa-7";
  const old = CLUES.reduce((sum, { weights }, at) => {
    const speaks = (weights["apa-6"] ?? 0) > (weights["apa-7"] ?? 0);
    return sum + (speaks ? (counts[at] ?? 0) : 0);
  }, 0);
  const id = first === "apa-6" && old < ENOUGH_FOR_OLD ? "apa-7" : first;
  const positive = scores.reduce((sum, score) => sum + Math.max(0, score), 0);
  const evidence = CLUES.flatMap(({ says, weights }, at) => {
    const weight = weights[id] ?? 0;
    const found = counts[at] ?? 0;
    return weight > 0 && found > 0 ? [{ says, entries: found, weight: weight * found }] : [];
  })
    .sort((a, b) => b.weight - a.weight)
    .map(({ says, entries: found }) => ({ says, entries: found }));
  return { id, share: best / positive, evidence };
}
