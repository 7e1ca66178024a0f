import { describe } from "node:test";
import { testLeft, testMended } from "../support/mended.ts";

/** Common practice: the apostrophe stands where letters are left out. */
describe("contractions without their apostrophe", () => {
  testMended("grammar/contraction", [
    ["They dont read it.", "They don’t read it."],
    ["It doesnt work.", "It doesn’t work."],
    ["He didnt come.", "He didn’t come."],
    ["It isnt here.", "It isn’t here."],
    ["We arent late.", "We aren’t late."],
    ["It wasnt read.", "It wasn’t read."],
    ["They werent there.", "They weren’t there."],
    ["It hasnt rained.", "It hasn’t rained."],
    ["We havent seen it.", "We haven’t seen it."],
    ["He hadnt known.", "He hadn’t known."],
    ["She couldnt see.", "She couldn’t see."],
    ["I wouldnt go.", "I wouldn’t go."],
    ["You shouldnt wait.", "You shouldn’t wait."],
    ["You neednt wait.", "You needn’t wait."],
    ["We do'nt know.", "We don't know."],
    ["Thats all.", "That’s all."],
    ["Whats the time?", "What’s the time?"],
    ["Theres a boat.", "There’s a boat."],
    ["Heres the key.", "Here’s the key."],
    ["Youre late.", "You’re late."],
    ["Theyre late.", "They’re late."],
    ["Weve seen it.", "We’ve seen it."],
    ["Ive seen it.", "I’ve seen it."],
    ["It is six oclock.", "It is six o’clock."],
    ["The lamp wont go out.", "The lamp won’t go out."],
    ["We cant see the mole.", "We can’t see the mole."],
    ["Its been a long day.", "It’s been a long day."],
    ["Its not far.", "It’s not far."],
  ]);
  testLeft("grammar/contraction", [
    "He spoke, as is his wont, of tides.",
    "Religious cant bores him.",
    "The boat has lost its own anchor.",
    "They read its very old log.",
    "Because of its not inconsiderable weight it sank.",
    "The hens are in the shed, and so were we.",
    "He did not know what was there.",
  ]);
});
