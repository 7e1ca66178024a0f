import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { marksOf } from "../support/marks.ts";

/** What the checks of subject and verb mark in a text. */
function disagreements(text: string): string[] {
  return marksOf(text)
    .filter(({ rule }) => /agreement/.test(rule))
    .map((mark) => mark.text);
}

/** A sentence with the verb that disagrees, and as it should be. */
const PAIRS: [wrong: string, verb: string, right: string][] = [
  ["The lamps at the end of the pier is lit.", "is", "The lamps at the end of the pier are lit."],
  ["The key to both sheds hang by the door.", "hang", "The key to both sheds hangs by the door."],
  ["The readings of the old gauge was kept.", "was", "The readings of the old gauge were kept."],
  ["She have the tide tables with her.", "have", "She has the tide tables with her."],
  ["They was out on the water at dawn.", "was", "They were out on the water at dawn."],
  ["It don't matter which gauge is read.", "do", "It doesn't matter which gauge is read."],
  ["The keepers writes down every height.", "writes", "The keepers write down every height."],
  ["These entries in the log is in pencil.", "is", "These entries in the log are in pencil."],
  ["The crew says that the pumps has failed.", "has", "The crew says that the pumps have failed."],
];

/** Sentences in which the verb is right, each for another reason. */
const RIGHT = [
  "If the gauge were shut, we would wait for the next tide.",
  "He wishes the well were deeper.",
  "The keeper and her brother live by the quay.",
  "A number of boats are moored outside.",
  "The number of boats is small.",
  "None of the gauges were read that night.",
  "Does the office still have the key?",
  "Neither the keeper nor the pilots know the rock.",
  "There are a lamp and a rope in the shed.",
  "What the pilots saw was a seal.",
  "That the boats leave at noon is known.",
  "The boats, like the pier, are old.",
  "Three metres of water is enough for the launch.",
  "The news from the pier is good.",
  "Let the float hang freely in the well.",
  "The office asks that each reading be signed.",
  "Either of the two gauges serves the purpose.",
  "The keeper, with two pilots, has gone out.",
  "Will the keepers read the gauge tonight?",
  "The board asked that the office return the key.",
  "They demanded that he surrender the log.",
  "She sat there letting the smoke lie warm in the room.",
  "Up sixty-two steps is the lantern.",
  "The pair of lamps by the gate has been mended.",
];

describe("subject and verb", () => {
  for (const [wrong, verb, right] of PAIRS) {
    test(`“${verb}” is marked in “${wrong}”`, () => {
      assert.deepEqual(disagreements(wrong), [verb]);
      assert.deepEqual(disagreements(right), []);
    });
  }

  test("are let alone where a mood, a sum, a clause or a second subject makes the verb right", () => {
    for (const text of RIGHT) assert.deepEqual(disagreements(text), [], text);
  });

  test("are not asked about in code, in capitals and in a command", () => {
    assert.deepEqual(disagreements("READINGS WAS KEPT BY THE OFFICE."), []);
    assert.deepEqual(disagreements("Read the gauge and write the height down."), []);
  });
});
