import { readFileSync } from "node:fs";
import path from "node:path";
import { loadLanguage } from "../../src/command/checking.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import { gatherAbbreviations } from "../../src/core/gathered/abbreviations.ts";
import { realDocuments } from "../real/documents.ts";

/**
 * What is found of abbreviations in real documents, beside verdicts given by hand and kept by document, finding
 * and abbreviation; what has no verdict is counted by itself.
 */

const JUDGED = path.resolve(import.meta.dirname, "../data/consistency/abbreviations-judged.tsv");

export async function benchAbbreviations(): Promise<void> {
  const verdicts = new Map(
    readFileSync(JUDGED, "utf8")
      .split("\n")
      .filter((line) => line && !line.startsWith("#"))
      .map((line) => {
        const [document = "", kind = "", abbreviation = "", verdict = ""] = line.split("\t");
        return [`${document}\t${kind}\t${abbreviation}`, verdict];
      }),
  );
  const language = loadLanguage();
  const documents = await realDocuments();
  const counts = { right: 0, wrong: 0, unjudged: 0 };
  let words = 0;
  for (const { name, manuscript, variety, kind } of documents) {
    const engine = new Engine(manuscript, language, { variety, kind, appetites: {}, words: [] });
    for (const _done of engine.examineAll(["spelling", "consistency"]));
    words += engine.counts().words;
    for (const { abbreviation, findings } of gatherAbbreviations(engine.gathering())) {
      for (const finding of findings) {
        const key = `${name}\t${finding.kind}\t${abbreviation}`;
        const verdict = verdicts.get(key) ?? "unjudged";
        counts[verdict as keyof typeof counts]++;
        if (process.env.SHOW || verdict === "unjudged") console.log(`${key}\t${verdict}`);
      }
    }
  }
  const judged = counts.right + counts.wrong;
  const share = ((100 * counts.right) / Math.max(1, judged)).toFixed(1);
  console.log(
    `abbreviations in ${documents.length} real documents of ${words} words: ${counts.right} of ${judged} judged findings right, ${share}%; ${counts.unjudged} not judged`,
  );
}
