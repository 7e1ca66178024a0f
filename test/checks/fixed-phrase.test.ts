import { describe } from "node:test";
import { testLeft, testMended } from "../support/mended.ts";

/** Common practice, as dictionaries of idiom have them. */
describe("fixed phrases as they are misheard", () => {
  testMended("grammar/fixed-phrase", [
    ["It holds for all intensive purposes.", "It holds for all intents and purposes."],
    ["He took it for granite.", "He took it for granted."],
    ["It is a mute point.", "It is a moot point."],
    ["Nip it in the butt.", "Nip it in the bud."],
    ["They waited with baited breath.", "They waited with bated breath."],
    ["He gave them free reign.", "He gave them free rein."],
    ["They are one in the same.", "They are one and the same."],
    ["By in large it was dry.", "By and large it was dry."],
    ["They were on tender hooks.", "They were on tenterhooks."],
    ["It is an old wise tale.", "It is an old wives’ tale."],
    ["He was made the escape goat.", "He was made the scapegoat."],
    ["They had to make due with less.", "They had to make do with less."],
    ["It was mind boggling.", "It was mind-boggling."],
    ["It does not pass mustard.", "It does not pass muster."],
    ["He had a soar throat.", "He had a sore throat."],
    ["She is the spit and image of him.", "She is the spitting image of him."],
    ["All of the sudden it rained.", "All of a sudden it rained."],
    ["He did it on accident.", "He did it by accident."],
    ["They wreck havoc.", "They wreak havoc."],
    ["He missed it by a hare's breath.", "He missed it by a hair's breadth."],
    ["Please bare in mind that it rains.", "Please bear in mind that it rains."],
    ["The box was chalk full.", "The box was chock full."],
    ["It fell by the waste side.", "It fell by the wayside."],
    ["They sewed and sewn the seeds.", "They sewed and sown the seeds."],
    ["It was a site for sore eyes.", "It was a sight for sore eyes."],
    ["It was slight of hand.", "It was sleight of hand."],
    ["He put him through the ringer.", "He put him through the wringer."],
    ["Without further adieu he left.", "Without further ado he left."],
    ["It is good per say.", "It is good per se."],
    ["It is a doggy dog world.", "It is a dog-eat-dog world."],
  ]);
  testLeft("grammar/fixed-phrase", [
    "He took the granite to the quay.",
    "They sat on hooks of tender steel.",
    "Bare rock stood in the way.",
    "The ringer of the bell left.",
    "It was of slight help.",
    "The goat made its escape.",
  ]);
});
