import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  initialsOf,
  isLongForm,
  longFormBefore,
  stemOf,
} from "../../src/core/checks/consistency/abbreviations/definitions.ts";

const before = (text: string, short: string) => {
  const at = longFormBefore(text, short);
  return at < 0 ? null : text.slice(at);
};

describe("the long form of an abbreviation", () => {
  test("is the words before it whose initials it has, small words between them", () => {
    assert.equal(before("It met at the Harbour Safety Board", "HSB"), "Harbour Safety Board");
    assert.equal(
      before("in the Bureau of Tides and Currents", "BTC"),
      "Bureau of Tides and Currents",
    );
    assert.equal(before("the mean range class", "MRC"), "mean range class");
    assert.equal(before("the low-level switch", "LLS"), "low-level switch");
  });

  // The paper's own example: Schwartz and Hearst 2003, section 2 (from memory).
  test("may have its letters inside its words", () => {
    assert.equal(
      before("the heat shock transcription factor", "HSF"),
      "heat shock transcription factor",
    );
    assert.equal(before("of thyroid-stimulating hormone", "TSH"), "thyroid-stimulating hormone");
  });

  test("is in the plural where the abbreviation is", () => {
    assert.equal(stemOf("CRLs"), "CRL");
    assert.equal(
      before("with certificate revocation lists", "CRLs"),
      "certificate revocation lists",
    );
  });

  test("is nothing where no words fit", () => {
    assert.equal(before("The lamp was lit at dusk", "HSB"), null);
    assert.equal(before("HSB", "HSB"), null);
    assert.equal(before("", "AB"), null);
    assert.equal(before("a word", "ABCDEFGHIJ"), null);
  });

  test("may follow in brackets, all of it", () => {
    assert.equal(isLongForm("Harbour Safety Board", "HSB"), true);
    assert.equal(isLongForm("the board of the harbour", "HSB"), false);
    assert.equal(isLongForm("harbour", "H"), false);
  });

  test("has initials without small words", () => {
    assert.equal(initialsOf("Bureau of Tides and Currents"), "BTC");
    assert.equal(initialsOf("low-level switch"), "LLS");
  });
});
