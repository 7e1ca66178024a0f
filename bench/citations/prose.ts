import { brownTexts } from "../../scripts/corpus/brown.ts";
import { checkText, loadLanguage } from "../../src/command/checking.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { manualTexts } from "../manuals.ts";

/** Marks of the citations pass on prose that has no list: each text of the Brown corpus outside its reserved files, and manuals. */
export function benchProse(): void {
  const language = loadLanguage();
  const brown = brownTexts()
    .filter(({ part }) => part === "tune")
    .map(({ blocks }) => blocks.map(({ text }) => text).join("\n"));
  const manuals = manualTexts("tune").map(({ text }) => text);
  console.log("\nCitations marked in prose without a list");
  for (const [name, texts] of [
    ["Brown", brown],
    ["manuals", manuals],
  ] as const) {
    let words = 0;
    let marks = 0;
    for (const text of texts) {
      const checked = checkText(linesManuscript(text), language, {
        variety: "en-US",
        kind: "report",
        passes: ["citations"],
      });
      words += checked.words;
      marks += checked.marks.length;
    }
    const rate = ((1000 * marks) / Math.max(1, words)).toFixed(3);
    console.log(`  ${name}: ${marks} marks in ${words} words, ${rate} per 1,000 (goal 0.05)`);
  }
}
