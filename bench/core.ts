import { readFileSync } from "node:fs";
import path from "node:path";
import dictionary from "dictionary-en-gb";
import mammoth from "mammoth";
import nspell from "nspell";
import { checkText, firstChoices, loadLanguage } from "../src/command/checking.ts";
import { PASSES, type Pass } from "../src/core/checks/card.ts";
import { Engine } from "../src/core/engine/engine.ts";
import type { CheckSettings } from "../src/core/engine/mark.ts";
import { readText } from "../src/core/engine/reading.ts";
import { readDocx } from "../src/core/formats/docx/read.ts";
import { writeDocx } from "../src/core/formats/docx/write.ts";
import type { Language } from "../src/core/language/analysis.ts";
import { tokenise } from "../src/core/language/text/tokens.ts";
import { Lexicon } from "../src/core/language/words/lexicon.ts";
import type { Manuscript } from "../src/core/manuscript/model.ts";
import { USUAL_SCOPE } from "../src/core/readings/scope.ts";
import { benchDocument } from "./documents.ts";
import { median, report, time } from "./timing.ts";

/**
 * Speed of the core in Node, beside general-purpose libraries doing the same work: mammoth reading
 * the document, nspell looking up its words. Goals are the issue's, for two cores.
 */
export async function benchCore(): Promise<void> {
  const bytes = new Uint8Array(
    readFileSync(path.resolve(import.meta.dirname, "../data/lexicon.bin")),
  );
  report("load the dictionary", await time(9, () => new Lexicon(bytes)), 400);
  const language = loadLanguage();
  const settings: CheckSettings = { variety: "en-GB", kind: "report", appetites: {}, words: [] };
  for (const words of [3_000, 100_000, 300_000]) {
    const file = await benchDocument(words);
    console.log(`\n${words} words, .docx of ${(file.length / 1000).toFixed(0)} kB`);
    if (words > 100_000) {
      await benchEdits(readDocx(file, "b.docx"), language, settings, 10);
      continue;
    }
    const runs = words > 10_000 ? 5 : 15;
    report("read", await time(runs, () => readDocx(file, "b.docx")));
    report(
      "  mammoth, raw text of the body",
      await time(Math.min(3, runs), () => mammoth.extractRawText({ buffer: Buffer.from(file) })),
    );
    const manuscript = readDocx(file, "b.docx");
    const check = (passes = PASSES as readonly Pass[]) => {
      const engine = new Engine(manuscript, language, settings);
      for (const _ of engine.examineAll(passes));
      return engine;
    };
    report(
      "check: split, tokenise, tag, spell, judge",
      await time(runs, () => check(["spelling"])),
      words > 10_000 ? 600 : undefined,
    );
    report("all passes", await time(runs, () => check()), words > 10_000 ? 1600 : undefined);
    const read = check();
    report(
      "readings: counts, measures, hard sentences",
      await time(runs, () => readText(read, language, USUAL_SCOPE, null)),
      words > 10_000 ? 250 : undefined,
    );
    const nspelled = nspell({ aff: Buffer.from(dictionary.aff), dic: Buffer.from(dictionary.dic) });
    report(
      "  nspell, looking up the same words",
      await time(Math.min(3, runs), () => {
        for (const { kind, from, to } of tokenise(manuscript.text)) {
          if (kind === "word") nspelled.correct(manuscript.text.slice(from, to));
        }
      }),
    );
    const engine = await benchEdits(manuscript, language, settings, words > 10_000 ? 8 : 4);
    let step = 0;
    const marks = check().allMarks();
    report(
      "corrections of one mark",
      await time(60, () => engine.choices(marks[step++ % marks.length] as never)),
    );
    const options = { variety: "en-GB", kind: "report", passes: ["spelling"] } as const;
    const edits = firstChoices(checkText(manuscript, language, options).marks);
    for (const as of ["tracked", "clean"] as const) {
      report(
        `export, ${as}, ${edits.length} corrections`,
        await time(Math.min(5, runs), () =>
          writeDocx(file, edits, [], { as, author: "Bench", date: "2031-01-01T00:00:00Z" }),
        ),
      );
    }
  }
}

/** One edit after the other, each in another paragraph, and the facts looked at for it. */
async function benchEdits(
  manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
  language: Language,
  settings: CheckSettings,
  goal: number,
): Promise<Engine> {
  const engine = new Engine(manuscript, language, settings);
  for (const _ of engine.examineAll());
  const places = manuscript.blocks.flatMap(({ from, to }, index) =>
    to - from > 100 ? [index] : [],
  );
  const visits: number[] = [];
  let step = 0;
  const edit = () => {
    const { from } = engine.blockRange(places[(step++ * 37) % places.length] ?? 0);
    engine.edit([{ from: from + 3, to: from + 3, insert: step % 2 ? "x" : " the tide " }]);
    visits.push(engine.visited);
  };
  const times = await time(200, edit);
  report("one edit, re-checked, all passes", times, goal);
  visits.sort((a, b) => a - b);
  const p95 = times[Math.floor(0.95 * times.length)] ?? Number.NaN;
  console.log(
    `  95 of 100 within ${p95.toFixed(1)} ms; facts looked at: ${median(visits)}, at most ${visits.at(-1)}`,
  );
  return engine;
}
