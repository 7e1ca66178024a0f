import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { splitSentences } from "../../src/core/language/text/sentences.ts";
import { breakLines } from "../support/unicode.ts";

const split = (text: string) => splitSentences(text).map(({ from, to }) => text.slice(from, to));

/** Letters, digits, stops, quotes, brackets, the diaeresis and the space. */
const isPlain = (code: number) =>
  code === 0x308 || /[A-Za-z0-9.?"'() ,:]/.test(String.fromCodePoint(code));

describe("sentences", () => {
  test("end at full stops, question and exclamation marks, closing quotes included", () => {
    assert.deepEqual(split("It fell. Did it? “Yes!” He wrote it down.  Then he slept."), [
      "It fell.",
      "Did it?",
      "“Yes!”",
      "He wrote it down.",
      "Then he slept.",
    ]);
  });

  test("do not end at abbreviations, initials, decimals or in addresses", () => {
    for (const text of [
      "Mr. Vale and Dr. R. J. Penhale read 2.34 m at 5 p.m. on the gauge.",
      "See Fig. 4, p. 12 and vol. 3, e.g. the lines of J. W. Orrin et al. in no. 7.",
      "The value, i.e. 3.14, is at www.gannet-head.example in the file log.txt on it.",
      "It was 5 ft. 3 in. deep, approx. as before.",
    ]) {
      assert.deepEqual(split(text), [text]);
    }
  });

  test("end after an abbreviation when a new sentence clearly starts", () => {
    assert.equal(split("They took the lead, the line, etc. The rest stayed.").length, 2);
    assert.equal(split("It was read at 5 p.m. The keeper slept.").length, 2);
  });

  test("do not end before lower case, after an ellipsis, or after a list number", () => {
    assert.equal(split("It fell … and rose again.").length, 1);
    assert.equal(split("“Did it fall?” asked the pilot.").length, 1);
    assert.equal(split("1. The basin is dredged.").length, 1);
  });

  test("break nowhere that Unicode forbids, in the test lines that apply (SentenceBreakTest)", () => {
    const lines = breakLines("SentenceBreakTest", isPlain);
    assert.ok(lines.length >= 20, `${lines.length} lines apply`);
    for (const { text, allowed } of lines) {
      // The standard's breaks come after the white space; ours come before it.
      for (const { from } of splitSentences(text)) {
        if (text.slice(0, from).trim() === "") continue;
        assert.ok(allowed.has(from), `${JSON.stringify(text)} breaks at ${from}`);
      }
    }
  });
});
