import assert from "node:assert/strict";
import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { after, before, describe, test } from "node:test";
import { bundle } from "../scripts/bundle.mjs";
import { readDocx } from "../src/core/formats/docx/read.ts";
import { docx, paragraph } from "./support/docx.ts";

const root = path.resolve(import.meta.dirname, "..");
const folder = mkdtempSync(path.join(tmpdir(), "dry-run-"));
after(() => rmSync(folder, { recursive: true }));
const command = path.join(root, `node_modules/.cache/command/test-${process.pid}.mjs`);
before(() => bundle([path.join(root, "src/command/main.ts")], { outfile: command }));
after(() => rmSync(command));

function run(args: string[], input = "") {
  const { stdout, stderr, status } = spawnSync(process.execPath, [command, ...args], {
    cwd: root,
    input,
    encoding: "utf8",
  });
  return { stdout, stderr, status };
}

function file(name: string, contents: string | Uint8Array): string {
  const place = path.join(folder, name);
  writeFileSync(place, contents);
  return place;
}

const letter = file("letter.txt", "The colour was recieved.\n\nWe met the the keeper.\n");
const report = file("report.docx", docx(paragraph("It was recieved.")));
const broken = file("broken.docx", "no document");

describe("the command", () => {
  test("check prints one JSON object a file, with offsets into its text", () => {
    const { stdout, status } = run(["check", "--json", letter, report]);
    assert.equal(status, 0);
    const [one, other] = stdout
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line));
    assert.deepEqual(Object.keys(one), ["file", "variety", "words", "text", "marks", "groups"]);
    assert.equal(one.variety, "en-GB");
    assert.equal(one.words, 9);
    for (const mark of one.marks) {
      assert.deepEqual(
        ["rule", "pass", "weight", "from", "to", "text", "reason", "choices"],
        Object.keys(mark),
      );
      assert.equal(one.text.slice(mark.from, mark.to), mark.text);
    }
    assert.deepEqual(
      one.marks.map((mark: { text: string }) => mark.text),
      ["recieved", "the the"],
    );
    assert.equal(other.marks[0].choices[0].edits[0].insert, "received");
  });

  test("check says with its status whether anything is to be fixed, or unreadable", () => {
    assert.equal(run(["check", letter]).status, 0);
    assert.equal(run(["check", "--fail", letter]).status, 1);
    const clean = file("clean.txt", "The tide turned.\n");
    assert.equal(run(["check", "--fail", clean]).status, 0);
    const { status, stderr, stdout } = run(["check", broken, letter]);
    assert.equal(status, 2);
    assert.match(stderr, /broken\.docx: .*plain text/);
    assert.match(stdout, /letter\.txt/);
  });

  test("lines answers one line for each, in order, and goes on after a bad one", () => {
    const input = [
      '{"id":"a","text":"It was recieved.","variety":"en-US"}',
      "nonsense",
      '{"id":2,"text":"All is well.\\nAnd the the end."}',
    ].join("\n");
    const { stdout, stderr, status } = run(["lines"], input);
    const answers = stdout
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line));
    assert.deepEqual(
      answers.map(({ id, marks }) => [id, marks.map((mark: { from: number }) => mark.from)]),
      [
        ["a", [7]],
        [2, [17]],
      ],
    );
    assert.match(stderr, /line 2/);
    assert.equal(status, 2);
  });

  test("words answers for each word whether it is known and what was meant", () => {
    const { stdout, status } = run(["words", "--variety", "en-GB"], "tide\nteh\n");
    assert.equal(status, 0);
    const [tide, teh] = stdout
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line));
    assert.deepEqual(tide, { word: "tide", known: true, corrections: [] });
    assert.equal(teh.known, false);
    assert.equal(teh.corrections[0], "the");
  });

  test("export writes each document, and goes on after one that cannot be read", () => {
    const out = path.join(folder, "out");
    const args = ["export", "--take", "first", "--as", "clean", "--out-dir", out];
    const { status, stderr } = run([...args, broken, letter, report]);
    assert.equal(status, 2);
    assert.match(stderr, /broken\.docx/);
    assert.equal(
      readFileSync(path.join(out, "letter.txt"), "utf8"),
      "The colour was received.\n\nWe met the keeper.\n",
    );
    const bytes = new Uint8Array(readFileSync(path.join(out, "report.docx")));
    assert.equal(readDocx(bytes, "report.docx").text, "It was received.");
  });

  test("export with nothing taken gives the same bytes; as Markdown, the words", () => {
    const out = path.join(folder, "none");
    run(["export", "--take", "none", "--as", "tracked", "--out-dir", out, report]);
    assert.deepEqual(readFileSync(path.join(out, "report.docx")), readFileSync(report));
    run(["export", "--take", "first", "--as", "md", "--out-dir", out, report]);
    assert.equal(readFileSync(path.join(out, "report.md"), "utf8"), "It was received.\n");
  });

  test("readings tells one JSON object a file, with counts, measures and sections", () => {
    const essay = file(
      "essay.md",
      "# Tides\n\nThe tide came in. The gauge rose.\n\n# Ebb\n\nIt fell.\n",
    );
    const { stdout, status } = run(["readings", "--json", essay, broken]);
    assert.equal(status, 2, "one of them cannot be read");
    const { file: name, counts, document, measures, sections } = JSON.parse(stdout);
    assert.equal(name, essay);
    assert.deepEqual(
      [counts.words, counts.sentences, counts.paragraphs, document.words],
      [9, 3, 2, 11],
    );
    for (const key of ["letters", "characters", "syllables", "polysyllables"]) {
      assert.equal(typeof counts[key], "number", key);
    }
    assert.deepEqual(Object.keys(measures[0]), ["id", "value", "inputs"]);
    assert.equal(measures.find(({ id }: { id: string }) => id === "smog").value, null);
    assert.deepEqual(
      sections.map((one: { title: string; from: number; counts: { words: number } }) => [
        one.title,
        one.from,
        one.counts.words,
      ]),
      [
        ["Tides", 6, 7],
        ["Ebb", 44, 2],
      ],
    );
    const withHeadings = run(["readings", "--json", "--with", "headings", essay]);
    assert.equal(JSON.parse(withHeadings.stdout).counts.words, 11);
    assert.match(run(["readings", essay]).stdout, /9 are measured in 3 sentences\n.*Flesch/);
  });

  test("report writes one file for each document, in the form asked for", () => {
    const out = path.join(folder, "reports");
    for (const form of ["html", "csv", "json", "docx"]) {
      const { status } = run(["report", "--as", form, "--out-dir", out, letter]);
      assert.equal(status, 0, form);
    }
    const at = (form: string) => path.join(out, `letter-report.${form}`);
    assert.match(readFileSync(at("html"), "utf8"), /2 marks: 0 corrected/);
    assert.match(readFileSync(at("csv"), "utf8"), /Marks,By check,Word in no dictionary,fix,1,/);
    const { outcomes, readings } = JSON.parse(readFileSync(at("json"), "utf8"));
    assert.equal(outcomes.length, 2);
    assert.equal(readings.counts.words, 9);
    const docx = new Uint8Array(readFileSync(at("docx")));
    assert.match(readDocx(docx, "r.docx").text, /What was not checked/);
  });

  test("a call that cannot be understood exits with 2 and says how", () => {
    for (const args of [
      [],
      ["chek"],
      ["check"],
      ["check", "--kind", "novel", letter],
      ["export", letter],
      ["readings"],
      ["readings", "--with", "pictures", letter],
      ["report", "--as", "pdf", "--out-dir", folder, letter],
      ["report", letter],
    ]) {
      const { status, stderr, stdout } = run(args);
      assert.equal(status, 2, args.join(" "));
      assert.match(stderr, /Usage:/);
      assert.equal(stdout, "");
    }
  });
});

describe("the command overlap", () => {
  const sentence =
    "Hang a staff beside the well, on the open face of the quay, and read the two together through one whole tide.";
  const rows = file(
    "sources.jsonl",
    `${JSON.stringify({ id: "well", text: `A stilling well lies. ${sentence}` })}\nno row\n`,
  );
  const index = path.join(folder, "sources.idx");
  const draft = file("draft.txt", `Our own words come first.\n\n${sentence}\n`);

  test("prints what each file shares with the sources, and keeps an index of them", () => {
    const { stdout, stderr, status } = run([
      "overlap",
      ...["--sources", rows, "--index", index, "--json"],
      draft,
    ]);
    assert.equal(status, 0);
    assert.match(stderr, /line 2/);
    const one = JSON.parse(stdout);
    assert.deepEqual([one.words, one.counted, one.share], [27, 22, 0.8148]);
    assert.deepEqual(one.sources, [{ id: "well", words: 22, share: 0.8148 }]);
    const [overlap, ...others] = one.overlaps;
    assert.deepEqual(others, []);
    assert.equal(one.text.slice(overlap.from, overlap.to), sentence.slice(0, -1));
    assert.deepEqual(
      [overlap.source, overlap.sourceFrom, overlap.sourceTo, overlap.tier, overlap.keptOut],
      ["well", 22, 22 + sentence.length - 1, "identical", null],
    );
    const again = run(["overlap", "--sources", rows, "--index", index, "--json", draft]);
    assert.equal(again.stdout, stdout);
    // An index of other sources is made anew.
    writeFileSync(index, "no index");
    assert.equal(
      run(["overlap", "--sources", rows, "--index", index, "--json", draft]).stdout,
      stdout,
    );
  });

  test("reads JSON Lines with sources, and a folder of documents", () => {
    const line = JSON.stringify({ id: 7, text: sentence });
    const { stdout } = run(["lines", "--sources", rows], `${line}\n`);
    assert.equal(JSON.parse(stdout).overlaps[0].source, "well");
    const { stdout: told } = run(["overlap", "--sources", folder, draft]);
    assert.match(told, /22|27/);
  });

  test("says what is missing", () => {
    assert.equal(run(["overlap", draft]).status, 2);
    assert.match(run(["overlap", "--sources", "/no/such/folder", draft]).stderr, /There is no/);
    assert.equal(run(["overlap", "--sources", rows, path.join(folder, "none.txt")]).status, 2);
  });
});
