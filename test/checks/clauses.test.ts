import { describe } from "node:test";
import { testLeft, testMended } from "../support/mended.ts";

/** Common practice; what grammars of English for learners teach about clauses. */
describe("a subject or an object named twice", () => {
  testMended("grammar/repeated-part", [
    ["My brother he is a pilot.", "My brother is a pilot."],
    ["The lamps they were broken.", "The lamps were broken."],
    ["The clerk she wrote us a letter.", "The clerk wrote us a letter."],
    ["We stayed, and the boat it was full.", "We stayed, and the boat was full."],
    ["This is the chart that she drew it.", "This is the chart that she drew."],
    ["The hut which they live in it is warm.", "The hut which they live in is warm."],
    ["The pilot whom we met him was old.", "The pilot whom we met was old."],
  ]);
  testLeft("grammar/repeated-part", [
    "The house he built us is old.",
    "The lamp she was carrying went out.",
    "The day they left was cold.",
    "She told the officials that she had seen them.",
    "The news that he knew it came late.",
    "The boat that he gave them in May sank.",
    "My brother and she are pilots.",
    "When the tide turns the boats they built float.",
  ]);
});

describe("a sentence without its subject or its verb", () => {
  testMended("grammar/missing-part", [
    ["Is necessary to open the tap.", "It is necessary to open the tap."],
    ["Was clear that nobody had come.", "It was clear that nobody had come."],
    ["They not ready for the storm.", "They are not ready for the storm."],
    ["My sister not like the noise.", "My sister does not like the noise."],
    ["The water so cold this morning.", "The water is so cold this morning."],
  ]);
  testLeft("grammar/missing-part", [
    "Is it necessary to open the tap?",
    "Not the keeper, but his wife.",
    "What a very cold morning.",
    "They did not like the noise.",
  ]);
});

describe("two sentences run together", () => {
  testMended("grammar/run-on", [
    ["The rope snapped we lost the anchor.", "The rope snapped; we lost the anchor."],
    ["The road was dark she fell twice.", "The road was dark; she fell twice."],
  ]);
  testLeft("grammar/run-on", [
    "I believe she fell twice.",
    "The rope we bought was new.",
    "We were sure they had gone.",
    "The year he came was wet.",
    "It is so dark we cannot read.",
  ]);
  testMended("grammar/comma-splice", [
    ["The anchor was old, the rope broke.", "The anchor was old; the rope broke."],
  ]);
  testLeft("grammar/comma-splice", [
    "The anchor, the rope and the chain held.",
    "The keeper, the man in the boat, waved.",
    "When the anchor held, the rope broke.",
  ]);
});

describe("tense of clauses", () => {
  testMended("grammar/clause-will", [
    ["Call me when the boat will arrive.", "Call me when the boat arrives."],
    ["If you will open it, it breaks.", "If you open it, it breaks."],
    ["Wait until they will be ready.", "Wait until they are ready."],
    ["If she would know, she would tell us.", "If she knew, she would tell us."],
    ["It would help if he would be here.", "It would help if he were here."],
  ]);
  testLeft("grammar/clause-will", [
    "Ask them when the boat will arrive.",
    "I wonder if she would know.",
    "The day will come when it will end.",
    "If you will excuse me, I must go.",
    "If you would like tea, tell me.",
    "When will the boat arrive?",
  ]);
  testMended("grammar/perfect-past", [
    ["She has sold the boat last year.", "She sold the boat last year."],
    ["The lamp has been lit two hours ago.", "The lamp was lit two hours ago."],
    ["In 1987 the council has built a wall.", "In 1987 the council built a wall."],
    ["The gates have been closed yesterday.", "The gates were closed yesterday."],
  ]);
  testLeft("grammar/perfect-past", [
    "She has sold boats since 1987.",
    "The wall, which was built in 1987, has cracked.",
    "They have known it ever since last year.",
    "She has sold the boat that she bought last year.",
    "It has been dry in the last year.",
  ]);
  testMended("grammar/state-verb", [
    ["This key is belonging to the office.", "This key belongs to the office."],
    ["They are owning two boats.", "They own two boats."],
    ["He was knowing the answer.", "He knew the answer."],
    ["It is depending on the wind.", "It depends on the wind."],
  ]);
  testLeft("grammar/state-verb", [
    "She has been knowing to a fault.",
    "Owning two boats is dear.",
    "The text was found wanting.",
  ]);
  testMended("grammar/since-tense", [
    ["The bridge is closed since Monday.", "The bridge has been closed since Monday."],
    ["She is ill since last week.", "She has been ill since last week."],
    ["I live in the tower for two years.", "I have lived in the tower for two years."],
  ]);
});

describe("reported questions", () => {
  testMended("grammar/reported-question", [
    ["I know how does the pump work.", "I know how the pump works."],
    ["She asked where did the boat go.", "She asked where the boat went."],
    ["They wonder why is the door shut.", "They wonder why the door is shut."],
    ["He forgot what time does it open.", "He forgot what time it opens."],
    ["We asked when has the ferry left.", "We asked when the ferry has left."],
  ]);
  testLeft("grammar/reported-question", [
    "How does the pump work?",
    "I know what is the best way.",
    "I wonder who has the key.",
    "She asked where the boat went.",
    "Where did the boat go, she asked.",
  ]);
});

describe("an opening clause", () => {
  testMended("grammar/introductory-comma", [
    ["If the pump fails you must call us.", "If the pump fails, you must call us."],
    ["After the lamp broke he went home.", "After the lamp broke, he went home."],
    ["Although it rained the road was dry.", "Although it rained, the road was dry."],
  ]);
  testLeft("grammar/introductory-comma", [
    "If the pump stops, you must call us.",
    "After the war the road was dry.",
    "When they unite and he sails the road is dry.",
    "If you think the road is dry you err.",
    "Because of the rain the road was wet.",
  ]);
  testMended("grammar/paired-conjunctions", [
    ["Although it is cheap, but it works well.", "Although it is cheap, it works well."],
    ["Because it rained, so we stayed there.", "Because it rained, we stayed there."],
  ]);
  testLeft("grammar/paired-conjunctions", [
    "Although it is cheap, it works, but not well.",
    "Because it rained, soon we left.",
  ]);
});

describe("adjectives compared by their ending", () => {
  testMended("grammar/double-comparison", [
    ["It was more cheap.", "It was cheaper."],
    ["It became more strong.", "It became stronger."],
    ["It is the most big boat.", "It is the biggest boat."],
    ["The rope is more old than ours.", "The rope is older than ours."],
  ]);
  testLeft("grammar/double-comparison", [
    "It is more real than a dream.",
    "We need more cold water.",
    "Most old gauges are wet.",
    "It was more clear to them.",
  ]);
});

describe("commas that part what belongs together", () => {
  testMended("grammar/subject-comma", [
    ["What she wrote in the log, is true.", "What she wrote in the log is true."],
  ]);
  testLeft("grammar/subject-comma", ["What she wrote, she said, is true.", "What, is it true?"]);
  testMended("grammar/that-comma", [
    ["It is possible, that the pump failed.", "It is possible that the pump failed."],
    ["It was clear, that nobody knew.", "It was clear that nobody knew."],
  ]);
});

describe("nouns after a number", () => {
  testMended("grammar/number-noun", [
    ["It runs for 36 hour.", "It runs for 36 hours."],
    ["She waited sixteen day.", "She waited sixteen days."],
    ["Both lamp were lit.", "Both lamps were lit."],
    ["They had three child.", "They had three children."],
  ]);
  testLeft("grammar/number-noun", [
    "It runs for 1 hour.",
    "Both sheep were lit.",
    "A 36-hour run.",
    "Version 2.1 page.",
  ]);
});
