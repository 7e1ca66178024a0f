import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { checkText } from "../../src/command/checking.ts";
import { analyse } from "../../src/core/language/analysis.ts";
import { inCode, type Shape, structureOf } from "../../src/core/language/text/structure.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { BlockKind } from "../../src/core/manuscript/model.ts";
import { loadLanguage } from "../support/language.ts";

const shapeOf = (text: string, kind: BlockKind = "paragraph") =>
  structureOf(kind, text, [], []).shape;

describe("what a block is", () => {
  const cases: readonly [Shape, string][] = [
    ["text", "The keeper read the gauge at noon, and wrote it down."],
    ["text", "Bring rope (two coils), tar & oil; leave the rest."],
    ["text", "It cost $40 and/or five hours, i.e. too much."],
    ["text", "“Sit,” she said, and he sat."],
    // RFC 5322, section 3.6, and RFC 2045, section 3.
    ["header", "Subject: the float in the well"],
    ["header", "Message-ID: <1234@gannet-head.example>"],
    ["header", "Content-Type: text/plain; charset=us-ascii"],
    // RFC 3676, section 4.5.
    ["quoted", "> can you check the float before noon?"],
    ["quoted", ">> it is stuck again"],
    ["code", "$ gaugectl show --format=json"],
    ["code", '{"port": 4100, "interval": 10, "unit": "mm"}'],
    ["code", "for (let i = 0; i < n; i++) { sum += levels[i]; }"],
    ["columns", "Date      Time      Level"],
    ["columns", "| day | level | wind |"],
    ["columns", "noon\t2.41\tWSW"],
    ["foreign", "Der Pegel steht auf der Mole und wird jeden Tag von Hand gelesen."],
    ["foreign", "Le marégraphe est sur le môle, et les relevés sont faits à la main."],
    ["foreign", "El mareógrafo está en el muelle y se lee todos los días."],
    ["foreign", "Lorem ipsum dolor sit amet, consectetur adipiscing elit, sed do eiusmod."],
    ["foreign", "Уровень воды читают каждый день в полдень у мола."],
  ];
  for (const [shape, text] of cases) {
    test(`${shape}: ${text}`, () => assert.equal(shapeOf(text), shape));
  }

  test("a heading or an item is no quoted line, and a cell no column", () => {
    assert.equal(shapeOf("> 40 mm of rain", "item"), "text");
    assert.equal(shapeOf("noon   read   by   hand", "cell"), "text");
  });

  test("what the file says is code is code", () => {
    assert.equal(shapeOf("read the gauge", "code"), "code");
  });
});

describe("code in running text", () => {
  const found = (text: string) =>
    structureOf("paragraph", text, [], []).code.map(({ from, to }) => text.slice(from, to));
  const cases: readonly [string, string[]][] = [
    ["Pass --port or -p to change it.", ["--port", "-p"]],
    ["Set read_timeout and readTimeout to ten.", ["read_timeout", "readTimeout"]],
    ["Call levelStore.flush() before you read it.", ["levelStore.flush()"]],
    ["Edit /etc/gaugectl.conf by hand.", ["/etc/gaugectl.conf"]],
    ["The `tideLog` key holds it.", ["`tideLog`"]],
    ["It is in $HOME/tides and $PATH.", ["$HOME/tides", "$PATH"]],
    ["See readings.csv.gz and *.lock files.", ["readings.csv.gz", "*.lock"]],
    ["Mended in 655c288f for good.", ["655c288f"]],
    ["See L<perlpod/Level> for more.", ["L<perlpod/Level>"]],
    ["Write std::vector and a->b there.", ["std::vector", "a->b"]],
    ["Two &mdash; no more.", ["&mdash;"]],
    // Nothing of this is code.
    ["He or she (or both) may come and/or go.", []],
    ["Bring the file(s) and the boat(s).", []],
    ["It fell by 40-50 mm - no more - at 9 a.m. on 3/4/1984.", []],
    ["Mail J. R. Tarn & Co., 14 Mole St. (near the quay).", []],
    ["The pH of it was 8.1; the McTavish boat was out.", []],
    ["The watEr rose, and tHE tide fell.", []],
  ];
  for (const [text, expected] of cases) {
    test(text, () => assert.deepEqual(found(text), expected));
  }

  test("is asked about by place", () => {
    const text = "Pass --port to it.";
    const structure = structureOf("paragraph", text, [], []);
    assert.ok(inCode(structure, 7, 11));
    assert.ok(!inCode(structure, 0, 4));
  });

  test("is looked for in time that grows with the text, whatever it is", () => {
    for (const piece of [
      "a",
      "_",
      "a_",
      ".a",
      "/a",
      "-",
      "<",
      "a.",
      "`",
      "&a",
      "$",
      "a(",
      "=",
      ":",
    ]) {
      const time = (length: number) => {
        const text = piece.repeat(length / piece.length);
        const start = process.hrtime.bigint();
        structureOf("paragraph", text, [], []);
        return Number(process.hrtime.bigint() - start) / 1e6;
      };
      time(2_000);
      // Windows are 8,000 characters long: whatever stands in one is read in a blink.
      assert.ok(time(8_000) < 400, piece);
    }
  });
});

test("nothing is marked in code, headers, quoted lines and other languages", () => {
  const text = [
    "Subject: teh float",
    "> can u check teh float",
    "$ gaugectl recieve --teh",
    "Der Pegel steht auf der Mole und wird von Hand gelesen, recieve.",
    "Pass --recieve or call recieve_it() then.",
    "It was recieved.",
  ].join("\n");
  const { marks } = checkText(linesManuscript(text), loadLanguage(), {
    variety: "en-US",
    kind: "general",
    passes: ["spelling", "grammar"],
  });
  assert.deepEqual(
    marks.map((mark) => mark.text),
    ["recieved"],
  );
});

describe("a short line", () => {
  const shape = (text: string) => analyse("heading", text, [], loadLanguage()).structure.shape;

  for (const line of [
    "Configuración inicial",
    "Introdução ao sistema",
    "Uso del programa",
    "Kapitel fünf: Wartung",
    "Règles générales",
    "Übersicht der Pegelstände",
    "Información sobre las mareas",
  ]) {
    test(`is in another language: ${line}`, () => assert.equal(shape(line), "foreign"));
  }

  for (const line of [
    "Recieving teh documants",
    "Door brekage repar",
    "Met at the harbur",
    "Señor Muñoz of Gannet Head",
    "The Brundlemore gague",
    "Naïve café owners",
    "Quillfrost",
  ]) {
    test(`is English, whatever is wrong in it: ${line}`, () => assert.equal(shape(line), "text"));
  }
});
