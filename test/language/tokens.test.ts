import assert from "node:assert/strict";
import { existsSync, readFileSync } from "node:fs";
import { describe, test } from "node:test";
import { tokenise, wordParts } from "../../src/core/language/tokens.ts";

const kinds = (text: string) =>
  tokenise(text)
    .filter(({ kind }) => kind !== "punctuation")
    .map(({ kind, from, to }) => `${kind}:${text.slice(from, to)}`);

/** Latin letters, the diaeresis, the apostrophe and the space. */
const isPlain = (code: number) => code === 0x308 || /[a-zA-Z' ]/.test(String.fromCodePoint(code));

/** Debian's unicode-data package. */
const UNICODE_TESTS = "/usr/share/unicode/auxiliary/WordBreakTest.txt";

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
    assert.ok(existsSync(UNICODE_TESTS), "install the package unicode-data");
    let applied = 0;
    for (const line of readFileSync(UNICODE_TESTS, "utf8").split("\n")) {
      const [rule] = line.split("#");
      const steps = [...(rule ?? "").matchAll(/([÷×])\s*([0-9A-F]+)?/g)];
      const letters = steps.flatMap(([, , hex]) => (hex ? [Number.parseInt(hex, 16)] : []));
      // Applies where the line holds only Latin letters, marks, spaces and the apostrophe.
      if (!letters.length || !letters.every((code) => isPlain(code))) {
        continue;
      }
      applied++;
      const text = String.fromCodePoint(...letters);
      let position = 0;
      const forbidden = new Set<number>();
      for (const [, sign, hex] of steps) {
        const code = Number.parseInt(hex ?? "0", 16);
        const before = text[position - 1] ?? "";
        if (
          sign === "×" &&
          /\p{L}/u.test(String.fromCodePoint(code)) &&
          /[\p{L}\p{M}']/u.test(before)
        ) {
          forbidden.add(position);
        }
        position += hex ? String.fromCodePoint(code).length : 0;
      }
      for (const { from, to } of tokenise(text)) {
        assert.equal(forbidden.has(to) || forbidden.has(from), false, JSON.stringify(text));
      }
    }
    assert.ok(applied >= 15, `${applied} lines apply`);
  });

  test("a text of a million characters without a space is cut in a moment", () => {
    const started = performance.now();
    tokenise("ab1".repeat(330_000));
    tokenise("-".repeat(1_000_000));
    assert.ok(performance.now() - started < 10_000, "time grows with the length, not its square");
  });
});
