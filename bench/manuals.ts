import { htmlFiles, MANUALS, readPage } from "../scripts/corpus/manuals.ts";
import { checkText, loadLanguage, type PrintedMark } from "../src/command/checking.ts";
import { linesManuscript } from "../src/core/manuscript/lines.ts";
import type { Span } from "../src/core/manuscript/model.ts";

const FILES = 60;

export type ManualMark = PrintedMark & { context: string };

/** A sample of the pages of each manual, each manual as one text. */
export function manualTexts(
  part: "train" | "tune" | "test",
): { name: string; text: string; spans: Span[] }[] {
  return MANUALS[part].flatMap((folder) => {
    const files = htmlFiles(folder);
    if (files.length === 0) return [];
    const step = Math.max(1, Math.floor(files.length / FILES));
    let text = "";
    const spans: Span[] = [];
    for (const file of files.filter((_, index) => index % step === 0)) {
      const page = readPage(file);
      const at = text.length;
      for (const span of page.spans) {
        spans.push({ ...span, from: span.from + at, to: span.to + at });
      }
      text += `${page.text}\n`;
    }
    return [{ name: folder, text, spans }];
  });
}

/** Spelling marks on the sample of each manual. */
export function manualMarks(part: "tune" | "test"): {
  name: string;
  words: number;
  marks: ManualMark[];
}[] {
  return manualTexts(part).map(({ name, text, spans }) => {
    const options = { variety: "en-US", kind: "specification", passes: ["spelling"] } as const;
    const manuscript = { ...linesManuscript(text), spans };
    const { words, marks } = checkText(manuscript, loadLanguage(), options);
    return {
      name,
      words,
      marks: marks.map((mark) => ({
        ...mark,
        context: text.slice(Math.max(0, mark.from - 30), mark.to + 20),
      })),
    };
  });
}

export function benchManuals(): void {
  const manuals = manualMarks("test");
  if (manuals.length === 0) {
    console.log(
      "\nNo technical manuals here: install git-doc, sqlite3-doc, apache2-doc, postgresql-doc",
    );
    return;
  }
  console.log("\nSpelling marks on technical manuals (goal 6 per 1,000 words)");
  let all = 0;
  let marked = 0;
  for (const { name, words, marks } of manuals) {
    all += words;
    marked += marks.length;
    console.log(`  ${((1000 * marks.length) / words).toFixed(2)}  ${name}, ${words} words`);
  }
  console.log(`  ${((1000 * marked) / all).toFixed(2)}  together`);
}
