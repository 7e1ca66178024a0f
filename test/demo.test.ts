import assert from "node:assert/strict";
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { parseSource, toDocx } from "../demo/markdown-to-docx.ts";
import { checkText } from "../src/command/checking.ts";
import { readDocument } from "../src/core/formats/document.ts";
import { loadLanguage } from "./support/language.ts";

const language = loadLanguage();
const sources = path.resolve(import.meta.dirname, "../demo/sources");
const shipped = path.resolve(import.meta.dirname, "../public/demo");

async function read(bytes: Uint8Array, name: string) {
  const result = await readDocument(bytes, name, () => "en-GB");
  assert.ok("manuscript" in result, name);
  return result.manuscript;
}

describe("the demo documents", () => {
  test("are the ones that their sources make", async () => {
    for (const name of readdirSync(sources)) {
      const source = readFileSync(path.join(sources, name), "utf8");
      const made = source.startsWith("---\n");
      const file = made ? name.replace(/\.md$/, ".docx") : name;
      const bytes = made ? await toDocx(parseSource(source)) : new TextEncoder().encode(source);
      const fresh = await read(bytes, file);
      const old = await read(new Uint8Array(readFileSync(path.join(shipped, file))), file);
      assert.equal(old.text, fresh.text, `run npm run build:demo for ${file}`);
      assert.deepEqual(old.blocks, fresh.blocks);
    }
  });

  test("include a report of about 3,000 words with headings, tables, notes and references", async () => {
    const name = "harbour-siltation.docx";
    const manuscript = await read(new Uint8Array(readFileSync(path.join(shipped, name))), name);
    const kinds = new Set(manuscript.blocks.map(({ kind }) => kind));
    for (const kind of ["heading", "cell", "note", "reference", "item"] as const) {
      assert.ok(kinds.has(kind), kind);
    }
    const options = { variety: "en-GB", kind: "report", passes: ["spelling"] } as const;
    const { words, marks } = checkText(manuscript, language, options);
    assert.ok(words > 2700 && words < 3300, `${words} words`);
    assert.ok(marks.length > 10 && marks.length < 40, `${marks.length} marks`);
    assert.equal(manuscript.kind, "report");
  });
});
