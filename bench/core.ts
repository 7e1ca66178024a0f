import { readFileSync } from "node:fs";
import path from "node:path";
import dictionary from "dictionary-en-gb";
import mammoth from "mammoth";
import nspell from "nspell";
import { checkText, firstChoices, loadLanguage } from "../src/command/checking.ts";
import { PASSES, type Pass } from "../src/core/checks/card.ts";
import { Engine } from "../src/core/engine/engine.ts";
import type { CheckSettings } from "../src/core/engine/mark.ts";
import { readDocx } from "../src/core/formats/docx/read.ts";
import { writeDocx } from "../src/core/formats/docx/write.ts";
import { tokenise } from "../src/core/language/text/tokens.ts";
import { Lexicon } from "../src/core/language/words/lexicon.ts";
import { benchDocument } from "./documents.ts";
import { report, time } from "./timing.ts";

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
  for (const words of [3_000, 100_000]) {
    const file = await benchDocument(words);
    console.log(`\n${words} words, .docx of ${(file.length / 1000).toFixed(0)} kB`);
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
    const nspelled = nspell({ aff: Buffer.from(dictionary.aff), dic: Buffer.from(dictionary.dic) });
    report(
      "  nspell, looking up the same words",
      await time(Math.min(3, runs), () => {
        for (const { kind, from, to } of tokenise(manuscript.text)) {
          if (kind === "word") nspelled.correct(manuscript.text.slice(from, to));
        }
      }),
    );
    const engine = check();
    const blocks = manuscript.blocks.filter(({ from, to }) => to - from > 100);
    let step = 0;
    const edit = () => {
      const { from } = engine.blockRange(
        manuscript.blocks.indexOf(
          blocks[step++ % blocks.length] ?? (manuscript.blocks[0] as never),
        ),
      );
      return engine.edit([{ from: from + 3, to: from + 3, insert: "x" }]);
    };
    report("one edit, re-checked", await time(60, edit), 16);
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
