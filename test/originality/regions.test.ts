import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { ComparedBlock } from "../../src/core/originality/regions.ts";
import { regionsOf, StockPhrases } from "../../src/core/originality/regions.ts";

const block = (text: string, changes: Partial<ComparedBlock> = {}): ComparedBlock => ({
  text,
  kind: "paragraph",
  story: "body",
  from: 0,
  spans: [],
  ...changes,
});
const kinds = (one: ComparedBlock) =>
  regionsOf([one], new StockPhrases("")).map(({ kind }) => kind);

/** A range as the Citations pass tells it, of words that have no citation's shape. */
const at = (text: string, cited: string) => {
  const from = text.indexOf(cited);
  return [{ from, to: from + cited.length }];
};

describe("a quotation", () => {
  test("is cited where a citation has its shape, behind it or in what leads in", () => {
    assert.deepEqual(kinds(block("He wrote “a stilling well lies to us” (Teesdale, 2021).")), [
      "quoted",
    ]);
    assert.deepEqual(kinds(block("Teesdale (2021) wrote “a stilling well lies to us”.")), [
      "quoted",
    ]);
    assert.deepEqual(kinds(block("He wrote “a stilling well lies to us” one day.")), [
      "quoted-uncited",
    ]);
  });

  test("is cited where the Citations pass has read one, whatever its shape", () => {
    const behind = "He wrote “a stilling well lies to us” (Teesdale, Rating).";
    assert.deepEqual(kinds(block(behind)), ["quoted-uncited"]);
    const cites = at(behind, "(Teesdale, Rating)");
    assert.deepEqual(kinds(block(behind, { cites })), ["quoted"]);
    const before = "Teesdale’s Rating has “a stilling well lies to us” somewhere.";
    assert.deepEqual(kinds(block(before, { cites: at(before, "Teesdale’s Rating") })), ["quoted"]);
    const apart =
      "It says “a stilling well lies to us” again. It rained. Then it froze (Teesdale, Rating).";
    assert.deepEqual(
      kinds(block(apart, { cites: at(apart, "(Teesdale, Rating)") })),
      ["quoted-uncited"],
      "sentences lie between",
    );
  });

  test("in a block of its own is cited by any citation in it", () => {
    const text = "A stilling well lies to us, as Teesdale has it.";
    assert.deepEqual(kinds(block(text, { kind: "quote" })), ["quoted-uncited"]);
    const cites = at(text, "Teesdale");
    assert.deepEqual(kinds(block(text, { kind: "quote", cites })), ["quoted"]);
  });
});
