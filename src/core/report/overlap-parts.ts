import type { OverlapTable, PassageRow } from "../gathered/overlaps.ts";
import type { Tier } from "../originality/overlaps.ts";
import { KEPT_OUT, type KeptOut } from "../originality/passages.ts";
import type { ReportPart } from "./parts.ts";
import { dateLabel } from "./words.ts";

/** What the tiers are called. */
export const TIER_LABELS: Readonly<Record<Tier, string>> = {
  identical: "word for word",
  near: "lightly changed",
  reworded: "reworded",
  possible: "possible",
};

/** What may keep a passage out of the count. */
export const KEPT_OUT_LABELS: Readonly<Record<KeptOut, string>> = {
  quoted: "quotations with a citation",
  reference: "the reference list",
  heading: "headings",
  stock: "stock phrases",
  own: "my own earlier words",
};

/** What the report of overlaps is of. */
export interface AboutOverlaps {
  fileName: string;
  /** ISO 8601. */
  at: string;
  /** What the text was compared with, as a sentence. */
  comparedWith: string;
  /** The document's text, from which the passages are shown. */
  text: string;
}

/** Characters of a passage that its row shows. */
const SHOWN = 140;

const percent = (words: number, all: number) =>
  all === 0 ? "0%" : `${((100 * words) / all).toFixed(1)}%`;

/** The report of overlaps as parts: the figures and how they are made, by source, by passage, what was kept out. */
export function overlapParts(table: OverlapTable, about: AboutOverlaps): ReportPart[] {
  const { totals, sources, passages, kinds, limit, before } = table;
  const counted = passages.filter((one) => one.counts);
  const out = passages.filter((one) => !one.counts);
  const titles = new Map(sources.map(({ id, title }) => [id, title]));
  const row = (one: PassageRow, why: string) => [
    shortened(about.text.slice(one.from, one.to)),
    titles.get(one.source) ?? "",
    why,
    one.words,
  ];
  return [
    {
      title: "What stands elsewhere",
      lines: [
        `${totals.words} of ${totals.all} words stand in sources too, ${percent(totals.words, totals.all)}. This is overlap and no verdict: the passages below tell what it is.`,
        ...(before
          ? [
              `Before it was changed: ${before.words} of ${before.all} words, ${percent(before.words, before.all)}.`,
            ]
          : []),
        ...(limit
          ? [
              limit.over > 0
                ? `Over the limit of ${percent(limit.share, 1)} by ${limit.over} words.`
                : `Within the limit of ${percent(limit.share, 1)}.`,
            ]
          : []),
      ],
      tables: [
        {
          title: "How the figure is made",
          columns: ["", ""],
          rows: [
            ["File", about.fileName],
            ["Report made", dateLabel(about.at)],
            ["Compared with", about.comparedWith],
            ...(["identical", "near", "reworded"] as const).map((tier) => [
              TIER_LABELS[tier],
              totals.byTier[tier],
            ]),
            [`possible, ${kinds.possible ? "counted" : "not counted"}`, totals.possible],
            ...KEPT_OUT.map((kind) => [
              `${KEPT_OUT_LABELS[kind]}, ${kinds.keepsOut[kind] ? "kept out" : "counted"}`,
              totals.keptOut[kind],
            ]),
          ],
        },
      ],
    },
    {
      title: "By source",
      lines: sources.length === 0 ? ["No source has a passage of this text."] : [],
      tables: [
        {
          title: "Words of each source",
          columns: ["Source", "Which", "Words that count", "Kept out", "Share"],
          rows: sources.map(({ title, detail, shared, keptOut }) => [
            title,
            detail,
            shared,
            keptOut,
            percent(shared, totals.all),
          ]),
        },
      ],
    },
    {
      title: "By passage",
      lines: [],
      tables: [
        {
          title: "What counts",
          columns: ["Passage", "Source", "How", "Words"],
          rows: counted.map((one) => row(one, TIER_LABELS[one.tier])),
        },
        {
          title: "What was kept out, and why",
          columns: ["Passage", "Source", "Why", "Words"],
          rows: out.map((one) => row(one, whyOut(one))),
        },
      ],
    },
  ];
}

function whyOut({ said, keptOut, tier }: PassageRow): string {
  if (said === "own") return "the writer’s own words, as was said";
  if (said === "stock") return "a stock phrase, as was said";
  if (keptOut) return KEPT_OUT_LABELS[keptOut];
  return TIER_LABELS[tier];
}

function shortened(text: string): string {
  const line = text.replace(/\s+/gu, " ").trim();
  return line.length > SHOWN ? `${line.slice(0, SHOWN - 1)}…` : line;
}
