import { apa7 } from "./apa-7.ts";
import type { CitationStyle } from "./style.ts";

/** The sixth edition (2010): up to seven authors, places named, three to five authors in full at first. */
export const apa6: CitationStyle = {
  ...apa7,
  id: "apa-6",
  name: "APA, 6th edition",
  source: "the published style file “apa-6th-edition.csl”",
  inText: { ...apa7.inText, mostAtFirst: 5 },
  authors: { ...apa7.authors, most: 7, shown: 6 },
  place: true,
  doi: "any",
  url: ["Retrieved from "],
};
