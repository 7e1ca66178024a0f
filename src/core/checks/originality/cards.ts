import type { Card } from "../card.ts";

/** The cards of the checks of overlaps: one for each way in which a passage agrees with a source. */

const SOURCES = [
  "The basin fills fastest in the two winters that follow a dry summer, because the stream then brings no flushing flow to the entrance, and what the ebb leaves behind is never carried out again before the spring tides return to the harbour.",
  "Every winter the old harbour office measures muddy channels near wooden piers with long chain poles, and patient clerks record shallow depths in leather books that nobody reads before the spring dredging season opens for coasting traders and fishing boats.",
] as const;

const LEFT =
  "After a dry summer the harbour silts up quickly; the stream is too weak to keep its mouth open.";

export const wordForWord: Card = {
  id: "originality/word-for-word",
  pass: "originality",
  weight: "settle",
  code: "ov",
  title: "Stands word for word in a source",
  why: "These words stand in the same order in a source. That may be a quotation without its marks, a stock phrase, or the writer’s own earlier text; only the writer knows. Overlap is measured here, not guilt.",
  source: "Winnowed fingerprints (Schleimer, Wilkerson, Aiken, 2003), then word beside word",
  sources: SOURCES,
  examples: [
    {
      wrong:
        "The basin fills fastest in the two winters that follow a dry summer, because the stream then brings no flushing flow.",
      marked:
        "The basin fills fastest in the two winters that follow a dry summer, because the stream then brings no flushing flow",
    },
    { leave: LEFT },
    {
      leave:
        "As has been shown, “the basin fills fastest in the two winters that follow a dry summer, because the stream then brings no flushing flow” (Vale, 2024).",
    },
  ],
};

export const lightlyChanged: Card = {
  id: "originality/lightly-changed",
  pass: "originality",
  weight: "settle",
  code: "ov",
  title: "Stands in a source with few changes",
  why: "At least seven words in ten are those of a source, in their order. A few words changed make a passage neither a quotation nor one’s own: quote it, or say it anew, and cite the source either way.",
  source: "Common practice: changed words here and there do not make a passage one’s own",
  sources: SOURCES,
  examples: [
    {
      wrong:
        "The basin fills quickest in the two winters that follow a dry summer, since the stream then brings no flushing flow to the mouth.",
      marked:
        "The basin fills quickest in the two winters that follow a dry summer, since the stream then brings no flushing flow to the",
    },
    { leave: LEFT },
  ],
};

export const reworded: Card = {
  id: "originality/reworded",
  pass: "originality",
  weight: "weigh",
  code: "ov",
  title: "Stands in a source, reworded",
  why: "About half of the words are those of a source, in their order. Where the thought is the source’s, a citation says so.",
  source: "Common practice: who takes a thought names its source",
  sources: SOURCES,
  examples: [
    {
      wrong:
        "The dock silts quickest in the two years that trail a warm season, because the brook then carries no scouring water to the mouth, and what the tide drops behind is never swept out again before the high waters return to the port.",
      marked:
        "The dock silts quickest in the two years that trail a warm season, because the brook then carries no scouring water to the mouth, and what the tide drops behind is never swept out again before the high waters return to the port",
    },
    { leave: LEFT },
  ],
};

export const possible: Card = {
  id: "originality/possible",
  pass: "originality",
  weight: "weigh",
  code: "ov",
  title: "Perhaps a source in other words",
  why: "Sentence after sentence hangs in the same frame of small words as a source, with other nouns and verbs in it. That may be chance. It is not counted unless that is asked for.",
  source: "Common practice; a guess by the frame of function words, told as one",
  sources: SOURCES,
  examples: [
    {
      wrong:
        "Every summer the new customs station surveys sandy basins near iron bridges with short brass rods, and careful officers note deep soundings in paper files that nobody checks before the autumn repair contract starts for passenger ferries and rowing craft.",
      marked:
        "Every summer the new customs station surveys sandy basins near iron bridges with short brass rods, and careful officers note deep soundings in paper files that nobody checks before the autumn repair contract starts for passenger ferries and rowing craft",
    },
    { leave: LEFT },
  ],
};
