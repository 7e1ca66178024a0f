import { brownTexts } from "../scripts/corpus/brown.ts";
import { loadLanguage } from "../src/command/checking.ts";
import { Engine } from "../src/core/engine/engine.ts";
import { linesManuscript } from "../src/core/manuscript/lines.ts";
import type { Edit } from "../src/core/manuscript/model.ts";
import { DeskDocument } from "../src/ui/desk/desk-document.ts";
import { report, time } from "./timing.ts";

const WORDS = 100_000;
const LETTERS = "the tide ";

/** What a key typed costs the desk's own thread at 100,000 words, beside what the editor and the screen do. */
export async function benchDesk(): Promise<void> {
  const lines: string[] = [];
  let words = 0;
  for (const { text } of brownTexts().flatMap((one) => one.blocks)) {
    if (words >= WORDS) break;
    lines.push(text);
    words += text.split(/\s+/).length;
  }
  const manuscript = linesManuscript(lines.join("\n"));
  const settings = { variety: "en-US", kind: "report", appetites: {}, words: [] } as const;
  const engine = new Engine(manuscript, loadLanguage(), settings);
  for (const _ of engine.examineAll());
  const desk = new DeskDocument(manuscript, []);
  desk.reported.report(engine.wholeReport(), 0);
  const { from } = desk.layout.blocks[Math.floor(desk.layout.blocks.length / 2)] ?? { from: 0 };
  let typed = 0;
  const next = (): Edit[] => {
    const at = from + typed;
    return [{ from: at, to: at, insert: LETTERS[typed++ % LETTERS.length] ?? "" }];
  };
  console.log(`\n${words} words on the desk, ${desk.openMarks().length} open marks`);
  report(
    "a key: the text, its marks, and the note to be kept",
    await time(200, () => {
      desk.type(next());
      desk.typedNotes();
    }),
    2,
  );
  report(
    "a report of the worker: open marks anew",
    await time(200, () => {
      desk.reported.report(
        { document: "", whole: false, marks: new Map(), groups: new Map(), tables: {} },
        0,
      );
      desk.openMarks(desk.reported.all().filter(({ mark }) => !mark.follows));
    }),
  );
}
