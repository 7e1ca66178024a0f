import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { PASSES } from "../../src/core/checks/card.ts";
import { loadReadings, PASS_PARTS, READINGS } from "../../src/ui/desk/pass-parts.ts";

describe("what a pass brings to the desk", () => {
  test("is a board and what the end of its walk says, for every pass", () => {
    for (const pass of PASSES) {
      const { board, done, nothing, beyond } = PASS_PARTS[pass];
      assert.notEqual(board.title, "");
      for (const said of [done, nothing, beyond]) assert.match(said, /^\p{Lu}/u, pass);
      assert.match(beyond, /can’t (?:see|judge)/, "it promises nothing");
    }
    assert.equal(PASS_PARTS.sentences.board, READINGS);
  });

  test("fetches the readings board only when it is asked for", async () => {
    const { default: Screen } = await loadReadings();
    assert.equal(typeof Screen, "function");
    assert.equal((Screen as { name: string }).name, "ReadingsBoard");
  });
});
