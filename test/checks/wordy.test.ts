import { describe } from "node:test";
import { testLeft, testMended } from "../support/mended.ts";

/** Common practice, as handbooks of plain style have it. */
describe("long-winded phrases", () => {
  testMended("wording/wordy", [
    ["We saw a considerable number of boats.", "We saw many boats."],
    ["A great deal of sand came in.", "Much sand came in."],
    ["A large majority of pilots came.", "Most pilots came."],
    ["A multitude of gulls came.", "Many gulls came."],
    ["A plethora of forms came.", "Many forms came."],
    ["He has a sufficient number of ropes.", "He has enough ropes."],
    ["We saw a small number of boats.", "We saw a few boats."],
    ["It fell after the conclusion of the trial.", "It fell after the trial."],
    ["It came ahead of schedule.", "It came early."],
    ["All of a sudden it rained.", "Suddenly it rained."],
    ["They are able to read it.", "They can read it."],
    ["They are in agreement.", "They agree."],
    ["They are in need of paint.", "They need paint."],
    ["They are in possession of it.", "They have it."],
    ["The tides are indicative of it.", "The tides show it."],
    ["We read it in order to learn.", "We read it to learn."],
    ["It closed due to the fact that it rained.", "It closed because it rained."],
    ["In the event that it rains, wait.", "If it rains, wait."],
    ["At this point in time it is dry.", "Now it is dry."],
    ["It rains on a daily basis.", "It rains daily."],
    ["It is dry for the purpose of reading.", "It is dry to read."],
  ]);
  testLeft("wording/wordy", [
    "A number was painted on the boat.",
    "The deal was a great one.",
    "They are able seamen.",
    "The order in which they came is known.",
  ]);
});
