import type { Card } from "../card.ts";

/** The card of the check of the sentences pass. */

export const hardSentence: Card = {
  id: "sentences/hard-sentence",
  pass: "sentences",
  weight: "weigh",
  code: "hs",
  title: "Hard sentence",
  why: "The reader must hold too much in mind before the sentence is over: it is long, its clauses lie in each other, its verb comes late, nouns pile up, or one negation answers another. The mark shows what costs most, for the reader this document is for.",
  source:
    "Gibson 1998, “Linguistic complexity: locality of syntactic dependencies”; lengths: common practice of plain-language guides",
  examples: [
    {
      wrong:
        "The keeper who had read the gauge that was set in the well which the office had dug in the dry summer of the long war said nothing of it.",
      marked:
        "who had read the gauge that was set in the well which the office had dug in the dry summer of the long war",
    },
    {
      wrong:
        "The crew took the soundings along all nine lines of the inner harbour before the storm came in from the north that night and broke the staff at the end of the old pier, and the office entered the depths in the long table by the end of the following week, when the ink had dried and the letters from the harbour master had been read.",
      right:
        "The crew took the soundings along all nine lines of the inner harbour before the storm came in from the north that night and broke the staff at the end of the old pier. The office entered the depths in the long table by the end of the following week, when the ink had dried and the letters from the harbour master had been read.",
    },
    {
      leave: "The keeper read the gauge twice a day, and the office entered the depths in a table.",
    },
  ],
  aPage: 2,
};
