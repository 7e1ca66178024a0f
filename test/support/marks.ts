import { checkText } from "../../src/command/checking.ts";
import { PASSES } from "../../src/core/checks/card.ts";
import { CARDS } from "../../src/core/checks/cards.ts";
import { readMd } from "../../src/core/formats/md/format.ts";
import { readTxt } from "../../src/core/formats/txt/format.ts";
import { newHouse } from "../../src/core/house/style.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Manuscript } from "../../src/core/manuscript/model.ts";
import { StockPhrases } from "../../src/core/originality/regions.ts";
import { TextSources } from "../../src/core/originality/text-sources.ts";
import { loadLanguage } from "./language.ts";

/** The rules that examples of house rules are read under. */
const HOUSE = {
  ...newHouse("example", "Gannet Head Press"),
  rules: CARDS.flatMap(({ houseRules = [] }) => houseRules),
};

/** The sources that examples of overlaps are compared with. */
const COMPARED = {
  sources: new TextSources(
    new Map(
      [...new Set(CARDS.flatMap(({ sources = [] }) => sources))].map((text, at) => [`${at}`, text]),
    ),
  ),
  stock: new StockPhrases(""),
};

/** The marks of all passes in a report in British spelling, one paragraph a line. */
export function marksOf(text: string) {
  return marksIn(linesManuscript(text));
}

/** The marks of an example; one of several lines is a document, in Markdown where that has no numbers of its own. */
export function marksOfExample(text: string) {
  if (!text.includes("\n")) return marksOf(text);
  const bytes = new TextEncoder().encode(text);
  return marksIn(/^\d\. /.test(text) ? readTxt(bytes, "example.txt") : readMd(bytes, "example.md"));
}

function marksIn(manuscript: Pick<Manuscript, "text" | "blocks" | "spans">) {
  const options = {
    variety: "en-GB",
    kind: "report",
    passes: PASSES,
    houses: [HOUSE],
    compared: COMPARED,
  } as const;
  return checkText(manuscript, loadLanguage(), options).marks;
}
