import { brownTexts } from "../scripts/corpus/brown.ts";
import { checkText, loadLanguage, type PrintedMark } from "../src/command/checking.ts";
import { linesManuscript } from "../src/core/manuscript/lines.ts";

/** Marks on clean edited prose: each text of a part of the Brown corpus checked as one document. */
export function brownMarks(part: "train" | "tune" | "test"): {
  words: number;
  marks: (PrintedMark & { context: string })[];
} {
  const language = loadLanguage();
  let words = 0;
  const marks: (PrintedMark & { context: string })[] = [];
  for (const text of brownTexts().filter((one) => one.part === part)) {
    const whole = text.blocks.map((block) => block.text).join("\n");
    const checked = checkText(linesManuscript(whole), language, {
      variety: "en-US",
      kind: "report",
      passes: ["spelling"],
    });
    words += checked.words;
    for (const mark of checked.marks) {
      marks.push({ ...mark, context: whole.slice(Math.max(0, mark.from - 30), mark.to + 20) });
    }
  }
  return { words, marks };
}

export function benchFalseAlarms(): void {
  const { words, marks } = brownMarks("test");
  const per = (count: number) => ((1000 * count) / words).toFixed(2);
  const lower = marks.filter(({ text, weight }) => weight === "fix" && /^\p{Ll}/u.test(text));
  console.log(`\nSpelling marks on ${words} words of clean prose (Brown, test part)`);
  console.log(`  marks per 1,000 words: ${per(marks.length)} (goal 3)`);
  console.log(`  of weight “fix” on lower-case words: ${per(lower.length)} (goal 0.5)`);
}
