import { loadLanguage } from "../../src/command/checking.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { makeArticle } from "./articles.ts";
import { realRecords } from "./records.ts";

const ENTRIES = 300;
const WORDS = 30_000;
const EDITS = 40;
const FILLER =
  "The tide rose and fell at Gannet Head, and the keeper wrote it down in the book that lay beside the well, as he had done for years. ";

/** How long the pass takes on a long paper after the others have read it, and how long an edit does. */
export function benchPace(): void {
  const records = realRecords("test").filter(({ author }) => author);
  const article = makeArticle(records.slice(0, ENTRIES), "apa-7", 3);
  const own = article.paragraphs.join(" ").split(/\s+/).length;
  const each = Math.max(1, Math.round((WORDS - own) / article.paragraphs.length / 27));
  const paragraphs = article.paragraphs.flatMap((text) => [text, FILLER.repeat(each)]);
  const text = ["Soundings", ...paragraphs, "References", ...article.entries].join("\n");
  const manuscript = linesManuscript(text);
  const language = loadLanguage();
  const settings = { variety: "en-US", kind: "paper", appetites: {}, words: [] } as const;
  const times = [];
  for (let round = 0; round < 5; round++) {
    const engine = new Engine(manuscript, language, settings);
    for (const _done of engine.examineAll(["spelling"]));
    const start = performance.now();
    for (const _done of engine.examineAll(["spelling", "citations"]));
    times.push(performance.now() - start);
    if (round < 4) continue;
    const edits = Array.from({ length: EDITS }, (_, at) => {
      const from = 400 + at * 2500;
      const before = performance.now();
      engine.edit([{ from, to: from, insert: "x" }]);
      return performance.now() - before;
    }).sort((a, b) => a - b);
    const words = text.split(/\s+/).length;
    console.log(`\nA paper of ${words} words with ${article.entries.length} entries`);
    times.sort((a, b) => a - b);
    console.log(`  the pass after spelling: ${times[2]?.toFixed(0)} ms (goal 500)`);
    console.log(
      `  an edit, all of it: ${edits[EDITS / 2]?.toFixed(1)} ms, worst ${edits.at(-1)?.toFixed(1)} (goal 16)`,
    );
  }
}
