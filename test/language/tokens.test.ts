import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { tokenise, wordParts } from "../../src/core/language/text/tokens.ts";
import { cpuTime } from "../support/cpu.ts";
import { breakLines } from "../support/unicode.ts";

const kinds = (text: string) =>
  tokenise(text)
    .filter(({ kind }) => kind !== "punctuation")
    .map(({ kind, from, to }) => `${kind}:${text.slice(from, to)}`);

/** Latin letters, the diaeresis, the apostrophe and the space. */
const isPlain = (code: number) => code === 0x308 || /[a-zA-Z' ]/.test(String.fromCodePoint(code));

describe("tokens", () => {
  test("words keep their apostrophes, and possessive ones at the end do not", () => {
    assert.deepEqual(kinds("the keeper's and the pilots' boats don’t"), [
      "word:the",
      "word:keeper's",
      "word:and",
      "word:the",
      "word:pilots",
      "word:boats",
      "word:don’t",
    ]);
  });

  test("hyphenated compounds are one token with parts", () => {
    const text = "a well-known single-beam sounder";
    const token = tokenise(text)[1];
    assert.ok(token);
    assert.deepEqual(
      wordParts(text, token).map(({ from, to }) => text.slice(from, to)),
      ["well", "known"],
    );
  });

  test("addresses, files, identifiers and numbers are no words", () => {
    assert.deepEqual(
      kinds(
        "See https://gannet-head.example/tydes, keper@gannet-head.example or C:\\tydes\\log.txt; GH-104, snake_case, v2.1 and 4,900 m³ on the 3rd.",
      ).filter((one) => !one.startsWith("word")),
      [
        "address:https://gannet-head.example/tydes",
        "address:keper@gannet-head.example",
        "address:C:\\tydes\\log.txt;".replace(";", ""),
        "identifier:GH-104",
        "identifier:snake_case",
        "identifier:v2.1",
        "number:4,900",
        "identifier:m³",
        "number:3rd",
      ],
    );
  });

  test("every character but white space belongs to exactly one token", () => {
    const texts = [
      "“It’s 5.30 p.m.,” she said—twice; e.g. naïve co-operation (see p. 7).",
      "don't... won't!? [sic] 10% £4.50 −10 °C 5–10 a/b and/or x=y",
      "Wörter mit Ümlauten, ça va, ἀλήθεια и слово 潮汐",
    ];
    for (const text of texts) {
      const covered = new Array(text.length).fill(0);
      for (const { from, to } of tokenise(text)) for (let at = from; at < to; at++) covered[at]++;
      for (const [at, count] of covered.entries()) {
        assert.equal(count, /\s/.test(text[at] ?? "") ? 0 : 1, `${text[at]} in ${text}`);
      }
    }
  });

  test("words never end where Unicode forbids a break between letters (WordBreakTest)", () => {
    const lines = breakLines("WordBreakTest", isPlain);
    assert.ok(lines.length >= 15, `${lines.length} lines apply`);
    for (const { text, allowed } of lines) {
      for (const { from, to } of tokenise(text)) {
        for (const at of [from, to]) {
          const between = /[\p{L}\p{M}'][\p{L}]$/u.test(text.slice(Math.max(0, at - 1), at + 1));
          assert.ok(!between || allowed.has(at), `${JSON.stringify(text)} at ${at}`);
        }
      }
    }
  });

  test("a text of a million characters without a space is cut in a moment", () => {
    const started = process.cpuUsage();
    tokenise("ab1".repeat(330_000));
    tokenise("-".repeat(1_000_000));
    assert.ok(cpuTime(started) < 10_000, "time grows with the length, not its square");
  });
});
