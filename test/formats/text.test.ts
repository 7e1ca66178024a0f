import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readTxt, writeTxt } from "../../src/core/formats/txt/format.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { seeded } from "../support/random.ts";

const utf8 = (text: string) => new TextEncoder().encode(text);
const text = (bytes: Uint8Array) => new TextDecoder("utf-8", { ignoreBOM: true }).decode(bytes);

function replace(bytes: Uint8Array, from: string, insert: string) {
  const read = readTxt(bytes, "t.txt");
  const at = read.text.indexOf(from);
  assert.ok(at >= 0, from);
  return writeTxt(bytes, [{ from: at, to: at + from.length, insert }]);
}

const WRAPPED =
  "Thank you for your letter of the third and for the tracing that came\r\n" +
  "with it. I have compared the tracing with our own sheet of the the\r\n" +
  "same year, and I think we can now say which mooring it was, and who\r\n" +
  "was there that day.\r\n\r\nYours,\r\n";

describe("plain text", () => {
  test("entries of a list begin anew, and go on over their lines", () => {
    const source = [
      "The lead sinks in mud before it stops, as the keepers of the gauge",
      "wrote in the book that lay beside the well for all of those years.",
      "",
      "References",
      "",
      "Lock, M. (1989). Moles and their shadows on the north coast. Leet.",
      "Orrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a",
      "soft bottom. Estuary Letters, 11(2), 140–152.",
      "World Gauge Office. (2020). Levels of the north coast, part three.",
      "[4] T. Vale, “The silting of the float well,” Tidal Records, 1999.",
    ].join("\n");
    const { text: copy, blocks } = readTxt(utf8(source), "t.txt");
    const ends = blocks
      .slice(2)
      .map(({ from, to }) => [copy.slice(from, from + 8), copy.slice(to - 6, to)]);
    assert.deepEqual(ends, [
      ["Lock, M.", " Leet."],
      ["Orrin, I", "0–152."],
      ["World Ga", "three."],
      ["[4] T. V", " 1999."],
    ]);
  });

  test("wrapped lines are one paragraph, and short lines are their own", () => {
    const { blocks, text: copy } = readTxt(utf8(WRAPPED), "t.txt");
    assert.equal(blocks.length, 2);
    assert.match(copy, /came with it/);
    const unwrapped = readTxt(utf8("one\ntwo\nthree\n"), "t.txt");
    assert.equal(unwrapped.blocks.length, 3);
    // Among many short lines a wrapped paragraph is still one, and a list of titles is none.
    const short = "Well A\nWell B\nWell C\nWell D\nWell E\nWell F\nWell G\nWell H\n";
    const paragraph =
      "The gauge in the harbour is read twice a day by the keeper and\nthe figures are sent on to the office in town.\n";
    const titles =
      "Report of the tide observatory for the first half year\nReport of the tide observatory for the second half year\n";
    const mixed = readTxt(utf8(`${short}\n${paragraph}\n${titles}`), "t.txt");
    assert.equal(mixed.blocks.length, 8 + 1 + 2);
  });

  test("a narrow column is one paragraph where its lines leave phrases open; verse and lists are not", () => {
    const blocksOf = (source: string) => {
      const { text: copy, blocks } = readTxt(utf8(source), "t.txt");
      return blocks.map(({ from, to }) => copy.slice(from, to));
    };
    const notice = "\tAny keeper who lights the\n\tstove in the lower room may\n\tnot leave it.\n";
    assert.deepEqual(blocksOf(notice), [
      "Any keeper who lights the stove in the lower room may not leave it.",
    ]);
    const verse = "the tide goes out tonight\nthe gulls come in again\nand nobody is home\n";
    assert.equal(blocksOf(verse).length, 3);
    assert.equal(blocksOf("two lamps from the store\na coil of rope, oiled\nsoap\n").length, 3);
    const said =
      "A clock that is never wound is\nright as often as the keeper\nwho winds it.\n\t-- Orrin Pell\n";
    assert.deepEqual(blocksOf(said), [
      "A clock that is never wound is right as often as the keeper who winds it.",
      "-- Orrin Pell",
    ]);
  });

  test("keeps byte order mark, line ends and wraps around a change", () => {
    const bytes = utf8(`\ufeff${WRAPPED}`);
    const { bytes: written } = replace(bytes, "mooring", "moorings");
    assert.equal(text(written), `\ufeff${WRAPPED.replace("mooring", "moorings")}`);
  });

  test("a word taken out at a line's end leaves the line end", () => {
    const { bytes } = replace(utf8(WRAPPED), "the the same", "the same");
    assert.match(text(bytes), /sheet of the\r\nsame year/);
    const acrossLines =
      "so that the gauge in the harbour will be read by the keeper and the\nthe pilots in turn from the first of May and then by nobody at all.\n";
    const { bytes: mended } = replace(utf8(acrossLines), "the the pilots", "the pilots");
    assert.equal(text(mended).split("\n").length, acrossLines.split("\n").length);
    assert.match(text(mended), /keeper and the\s+pilots in turn/);
  });

  test("UTF-16 and Windows-1252 come back in their own encoding", () => {
    const utf16 = Uint8Array.from([
      0xff,
      0xfe,
      ...[..."tide caf\u00e9"].flatMap((c) => [c.charCodeAt(0), 0]),
    ]);
    const { bytes } = replace(utf16, "tide", "ebb");
    assert.equal(new TextDecoder("utf-16le").decode(bytes), "ebb caf\u00e9");
    const latin = Uint8Array.from([..."caf\u00e9 tide"].map((c) => c.charCodeAt(0)));
    const { bytes: written } = replace(latin, "tide", "“tide”");
    // Bytes 0x93 and 0x94 of the WHATWG Encoding Standard's index windows-1252.
    assert.deepEqual(
      [...written],
      [..."caf\u00e9 \u0093tide\u0094"].map((c) => c.charCodeAt(0)),
    );
    assert.equal(readTxt(written, "t.txt").text, "caf\u00e9 “tide”");
    assert.match(replace(latin, "tide", "潮").refused[0]?.reason ?? "", /encoding/);
  });

  test("line breaks typed into a paragraph become line ends of the file", () => {
    const { bytes } = replace(utf8("one two\r\n\r\nthree\r\n"), " two", "\u2028two");
    assert.equal(text(bytes), "one\r\ntwo\r\n\r\nthree\r\n");
  });

  test("lists, underlined and capital headings are told apart", () => {
    const source = "THE KEEPER\n\nTimes\n-----\n\n- first\n- second\n\n1. one\n2. two\n";
    const { blocks } = readTxt(utf8(source), "t.txt");
    assert.deepEqual(
      blocks.map(({ kind, marker }) => `${kind}${marker ?? ""}`),
      ["heading", "heading", "item•", "item•", "item1.", "item2."],
    );
  });

  test("a wrap that moves stays out of the next change", () => {
    const source =
      "so that the gauge in the harbour will be read by the keeper and the\nthe pilots in turn from the first of May and then by nobody at all.\n";
    const { text: copy } = readTxt(utf8(source), "t.txt");
    const at = copy.indexOf("the the pilots");
    const edits = [
      { from: at + 3, to: at + 7, insert: "" },
      { from: at + 7, to: at + 14, insert: "" },
    ];
    const { bytes, refused } = writeTxt(utf8(source), edits);
    assert.deepEqual(refused, []);
    const squeezed = (one: string) => one.replace(/\s+/g, " ").trim();
    assert.equal(squeezed(text(bytes)), squeezed(applyEdits(copy, edits)));
  });

  test("random edits in files of every line end read back as the edited text", () => {
    const random = seeded(6);
    for (let run = 0; run < 400; run++) {
      const end = ["\n", "\r\n", "\r"][run % 3] ?? "\n";
      const source = utf8(WRAPPED.replaceAll("\r\n", end));
      const { text: copy, blocks } = readTxt(source, "t.txt");
      const edits: Edit[] = blocks.flatMap(({ from, to }) => {
        const start = from + Math.floor(random() * (to - from));
        const stop = Math.min(to, start + Math.floor(random() * 20));
        return start < stop
          ? [{ from: start, to: stop, insert: ["", "ebb", "a b"][run % 3] ?? "" }]
          : [];
      });
      const { bytes, refused } = writeTxt(source, edits);
      assert.deepEqual(refused, []);
      const squeezed = (one: string) => one.replace(/\s+/g, " ").trim();
      assert.equal(squeezed(text(bytes)), squeezed(applyEdits(copy, edits)), JSON.stringify(edits));
    }
  });
});
