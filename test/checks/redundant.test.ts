import { describe } from "node:test";
import { testLeft, testMended } from "../support/mended.ts";

/** Common practice, as handbooks of plain style have it. */
describe("pairs of which one says it all", () => {
  testMended("wording/redundant", [
    ["It is absolutely essential.", "It is essential."],
    ["It is an actual fact.", "It is a fact."],
    ["It was an added bonus.", "It was a bonus."],
    ["Give us advance warning.", "Give us warning."],
    ["He learned the basic fundamentals.", "He learned the fundamentals."],
    ["It lasted a brief moment.", "It lasted a moment."],
    ["They lived in close proximity.", "They lived in proximity."],
    ["It was the complete opposite.", "It was the opposite."],
    ["He was a complete stranger.", "He was a stranger."],
    ["It was completely destroyed.", "It was destroyed."],
    ["The well is completely empty.", "The well is empty."],
    ["The tank is completely full.", "The tank is full."],
    ["They collaborate together.", "They collaborate."],
    ["They combined together.", "They combined."],
    ["He asked for careful scrutiny.", "He asked for scrutiny."],
    ["It gave a brief summary.", "It gave a summary."],
    ["It rained, but however we went.", "It rained, but we went."],
    ["They were assembled together.", "They were assembled."],
  ]);
  testLeft("wording/redundant", [
    "The fact was actual, not supposed.",
    "They assembled the parts, and the men together read the log.",
    "The summary was brief.",
    "The moment passed.",
  ]);
});
