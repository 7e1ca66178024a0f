import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { brownTexts } from "../scripts/corpus/brown.ts";
import { htmlFiles, MANUALS, readPage } from "../scripts/corpus/manuals.ts";
import { loadLanguage } from "../src/command/checking.ts";
import { Engine } from "../src/core/engine/engine.ts";
import { readDocument } from "../src/core/formats/document.ts";
import { linesManuscript } from "../src/core/manuscript/lines.ts";
import type { Kind, Manuscript } from "../src/core/manuscript/model.ts";

/**
 * Writes every mark, with its group and corrections, of the demo documents, twenty pages of manuals
 * and the Brown test texts to the file that SAME names; where that is there already, says what differs.
 */
type Document = Pick<Manuscript, "text" | "blocks" | "spans"> & { name: string; kind: Kind };

async function documents(): Promise<Document[]> {
  const demo = path.resolve(import.meta.dirname, "../public/demo");
  const found: Document[] = [];
  for (const name of readdirSync(demo)
    .filter((one) => !one.endsWith(".json"))
    .sort()) {
    const read = await readDocument(
      new Uint8Array(readFileSync(path.join(demo, name))),
      name,
      () => "en-GB",
    );
    if ("manuscript" in read) found.push({ ...read.manuscript, name, kind: read.manuscript.kind });
  }
  for (const folder of MANUALS.test) {
    const files = htmlFiles(folder);
    const step = Math.max(1, Math.floor(files.length / 5));
    for (const file of files.filter((_, index) => index % step === 0).slice(0, 5)) {
      const page = readPage(file);
      found.push({
        ...linesManuscript(page.text),
        spans: page.spans,
        name: file,
        kind: "specification",
      });
    }
  }
  const tests = brownTexts().filter(({ part }) => part === "test");
  for (const { id, blocks } of tests) {
    const text = blocks.map((block) => block.text).join("\n");
    found.push({ ...linesManuscript(text), name: id, kind: "report" });
  }
  const all = tests.flatMap(({ blocks }) => blocks.map((block) => block.text)).join("\n");
  found.push({ ...linesManuscript(all), name: "all test texts", kind: "general" });
  return found;
}

/** A line for each mark; what a text says of how often something stands in it is left out. */
async function lines(): Promise<string[]> {
  const language = loadLanguage();
  return (await documents()).flatMap((document) => {
    const settings = { variety: "en-GB", kind: document.kind, appetites: {}, words: [] } as const;
    const engine = new Engine(document, language, settings);
    for (const _ of engine.examineAll());
    const withheld = [...engine.tables().withheld].map(
      ([rule, count]) => `${document.name} ${rule} withheld ${count}`,
    );
    const marks = engine.allMarks();
    // A group is told by its first place: what it is called is nothing that is seen.
    const first = new Map<string, string>();
    for (const { group, block, from } of marks) {
      if (!first.has(group)) first.set(group, `${block}:${from}`);
    }
    return [
      ...marks.map((mark) => {
        const choices = engine.choices(mark).map(({ label, edits, note }) => [label, note, edits]);
        const { rule, weight, block, from, to, text, group, follows } = mark;
        return JSON.stringify([
          document.name,
          block,
          from,
          to,
          rule,
          weight,
          text,
          first.get(group),
          follows,
          choices,
        ]);
      }),
      ...withheld.sort(),
    ];
  });
}

export async function benchSameMarks(): Promise<void> {
  const file = process.env["SAME"] ?? "/tmp/marks.txt";
  const found = await lines();
  if (!existsSync(file)) {
    writeFileSync(file, found.join("\n"));
    console.log(`\n${found.length} marks written to ${file}`);
    return;
  }
  const before = new Set(readFileSync(file, "utf8").split("\n"));
  const now = new Set(found);
  const gone = [...before].filter((line) => !now.has(line));
  const come = [...now].filter((line) => !before.has(line));
  console.log(
    `\n${before.size} marks before, ${now.size} now; ${gone.length} gone, ${come.length} come`,
  );
  for (const line of gone.slice(0, 40)) console.log(`- ${line}`);
  for (const line of come.slice(0, 40)) console.log(`+ ${line}`);
}
