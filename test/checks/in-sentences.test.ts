import assert from "node:assert/strict";
import { test } from "node:test";
import { type Cases, testCases } from "../support/cases.ts";
import { marksOf } from "../support/marks.ts";
import { speaksFor } from "../support/speaking.ts";

/**
 * Checks in whole sentences: what each makes of a mistake, and what looks like one and is none. The
 * rules are those of handbooks of English usage (common practice); the sentences are our own.
 */
const CASES: readonly Cases[] = [
  {
    rule: "grammar/question-mark",
    mends: [
      ["Where is the spare key.", "Where is the spare key?"],
      ["How many visitors came on Sunday.", "How many visitors came on Sunday?"],
      ["Did the keeper sign the log.", "Did the keeper sign the log?"],
      ["Why was the gauge moved to the pier.", "Why was the gauge moved to the pier?"],
      ["Have you read the report on the well.", "Have you read the report on the well?"],
      ["The clerk asked where the key was?", "The clerk asked where the key was."],
      ["They wanted to know why it was late?", "They wanted to know why it was late."],
    ],
    leaves: [
      "What the keeper wrote was lost in the fire.",
      "When the tide fell the boats lay dry.",
      "How the gauge was lost is not known.",
      "Where the wall ends the path begins.",
      "What is needed is a longer chain.",
      "Who wrote it is another matter.",
      "Whose boat it was nobody could say.",
      "Had the pump failed, the well would have filled.",
      "You asked where the key was?",
      "Do close the gate behind you.",
      "Which of the two it was remains unclear.",
      "How strange the harbour looked that night.",
    ],
  },
  {
    rule: "grammar/verb-form",
    mends: [
      ["We are plan to install a new gauge.", "We are planning to install a new gauge."],
      ["Do not turning the screw.", "Do not turn the screw."],
    ],
    leaves: [
      "The keeper was reduced to imitating himself.",
      "The gauge defaults to not asking for a key.",
      "It lends itself to measuring at night.",
    ],
  },
  {
    rule: "grammar/agreement",
    mends: [["The weather look good so far.", "The weather looks good so far."]],
    leaves: [
      "What tools does the station provide to mend the float?",
      "Moreover, parsing of the dotted numbers works well.",
      "Tideway Release 3",
      "At the prompt type make",
    ],
  },
  {
    rule: "grammar/subject-comma",
    mends: [],
    leaves: ["Tideway font engine, shared library files"],
  },
  {
    rule: "grammar/confused-words",
    mends: [],
    leaves: ["Make sure that the message is filled on throw."],
  },
  {
    rule: "grammar/clause-verb",
    mends: [
      [
        "On Tuesday the watchman notice that the door was open.",
        "On Tuesday the watchman noticed that the door was open.",
      ],
      ["The pump stopped and they looks pale.", "The pump stopped and they look pale."],
      ["In the morning we spoken to the crew.", "In the morning we spoke to the crew."],
      ["She going to the quay every day.", "She is going to the quay every day."],
      ["Before you using the clock, wind it.", "Before you use the clock, wind it."],
      ["How does it looks from the tower?", "How does it look from the tower?"],
      ["It is well know that the tide turns.", "It is well known that the tide turns."],
      ["When the tide rise, the float moves.", "When the tide rises, the float moves."],
      ["The glass come with a scratch.", "The glass comes with a scratch."],
      ["Her mother die when she was ten.", "Her mother died when she was ten."],
      ["Their going home.", "They’re going home."],
      ["Were delighted to see them.", "We’re delighted to see them."],
      ["If it rains, were late again.", "If it rains, we’re late again."],
      ["I live here since I born.", "I live here since I was born."],
    ],
    leaves: [
      "Had they spoken before it began?",
      "He being late, they left without him.",
      "Never have we seen the sea so high.",
      "The notice that he wrote was lost.",
      "He and his wife serve as keepers.",
      "The oil change the crew made was late.",
      "Their going home was no surprise.",
      "Your late father was a kind man.",
      "Were the lamps lit in time?",
      "If the boats were late, were the crews told?",
      "The staff report to the harbour office.",
      "We saw them leaving, they waving and we not.",
      "What does the new plan attract?",
      "They saw him going to the pier.",
    ],
  },
  {
    rule: "grammar/usage",
    mends: [
      ["It is important to checking the oil.", "It is important to check the oil."],
      ["We see it from ours window.", "We see it from our window."],
      ["He told that he would come.", "He said that he would come."],
      ["She waited, but he not came.", "She waited, but he did not come."],
      ["Please find attach the log.", "Please find attached the log."],
      ["He works as teacher in a school.", "He works as a teacher in a school."],
      ["It was so much cold that we left.", "It was so cold that we left."],
      ["They learned us how to row.", "They taught us how to row."],
      ["Both values are same.", "Both values are the same."],
      [
        "Compare with the old lamp, the new one is bright.",
        "Compared with the old lamp, the new one is bright.",
      ],
      ["Lets aim for noon.", "Let’s aim for noon."],
      ["The news are good today.", "The news is good today."],
      ["I used to working there.", "I used to work there."],
      ["That key is her's.", "That key is hers."],
      ["Under no circumstances you should open it.", "Under no circumstances should you open it."],
    ],
    leaves: [
      "That is important to understanding the tide.",
      "A boat like ours today costs more.",
      "It is important that we not expect too much.",
      "Compare with the table below, and note the date.",
      "He lets people in at noon.",
      "We are used to working at night.",
      "He was told that it would rain.",
      "Never had I seen it.",
    ],
  },
  {
    rule: "grammar/word-division",
    mends: [
      ["We need to up date the list.", "We need to update the list."],
      ["They looked else where for it.", "They looked elsewhere for it."],
      ["I like foot ball and rowing.", "I like football and rowing."],
    ],
    leaves: [
      "Ten per cent of them left.",
      "Any one of the boats will do.",
      "It may be late when they come.",
      "They went in to eat.",
    ],
  },
  {
    rule: "grammar/gerund-after-preposition",
    mends: [
      ["Thanks for choose our lamp.", "Thanks for choosing our lamp."],
      ["It can be improved by add two terms.", "It can be improved by adding two terms."],
    ],
    leaves: [
      "What they asked for become clear.",
      "The one he waited for brought it.",
      "Threads are found better in configure scripts.",
    ],
  },
  {
    rule: "grammar/number-noun",
    mends: [
      ["This takes about two minute.", "This takes about two minutes."],
      ["It has one lamp, two screw and a book.", "It has one lamp, two screws and a book."],
      ["All cable are connected.", "All cables are connected."],
    ],
    leaves: ["All water is wet, and all furniture must be dry.", "He won the last four this year."],
  },
  {
    rule: "grammar/unpaired",
    mends: [["The well (dug in 1904] was dry.", "The well (dug in 1904) was dry."]],
    leaves: [
      "The values lie in [0, 1) and never reach it.",
      "There are two kinds: a) open and b) closed.",
      "He smiled :) and went home.",
      "“It rained all week and the log got wet.",
      'It is 5" wide and 7" long at the mouth.',
      "The staff (see the note (in the log)) was moved.",
      "“The tide,” he said, “is late.”",
    ],
  },
  {
    rule: "grammar/apostrophe-plural",
    mends: [
      ["The gauge's were read at noon.", "The gauges were read at noon."],
      ["All the boat's were dry at noon.", "All the boats were dry at noon."],
      ["Two year's ago the pier was shut.", "Two years ago the pier was shut."],
    ],
    leaves: [
      "It is the first time that the poor fellow's been in the same cast.",
      "The gauge's float was worn.",
      "The log's lost, and nobody knows where.",
      "She is a friend of my sister's.",
      "They met at the clerk's on Monday.",
      "What's done is done.",
      "The keeper's and the clerk's reports agree.",
      "The harbour master's here.",
      "It was nobody's fault but the pump's.",
    ],
  },
  {
    rule: "grammar/missing-apostrophe",
    mends: [
      ["We read yesterdays report.", "We read yesterday’s report."],
      ["The womens entrance is on the left.", "The women’s entrance is on the left."],
      ["He gave two weeks notice.", "He gave two weeks’ notice."],
      ["She took a days leave.", "She took a day’s leave."],
      ["It needs several months work.", "It needs several months’ work."],
    ],
    leaves: [
      "The savings bank is shut.",
      "Two weeks later the gauge failed.",
      "The sports field lies behind the school.",
      "The goods train was late.",
      "Months passed before the answer came.",
      "The readings for the year are in the log.",
    ],
  },
  {
    rule: "grammar/pronoun-case",
    mends: [
      ["Between you and I, the gauge is wrong.", "Between you and me, the gauge is wrong."],
      ["Him and his brother rowed out.", "He and his brother rowed out."],
      ["The letter was for him and I.", "The letter was for him and me."],
      ["She told my brother and I.", "She told my brother and me."],
      ["Them and the keeper went home.", "They and the keeper went home."],
    ],
    leaves: [
      "It was not for him that they came.",
      "This is the best of what he wrote.",
      "They let him and his brother go.",
      "You and I were late, and they were not.",
      "He made them and let them go.",
      "“So it is,” said he.",
    ],
  },
  {
    rule: "grammar/extra-word",
    mends: [
      ["He is was late for the tide.", "He was late for the tide."],
      ["They will can read it at noon.", "They will read it at noon."],
      ["You should to read the log.", "You should read the log."],
      ["She read a the report on the well.", "She read the report on the well."],
      ["The keys of in the office are lost.", "The keys of the office are lost."],
    ],
    leaves: [
      "What it is is a mystery.",
      "The boat they came in on the Monday was old.",
      "We went on to the pier.",
      "The man they waited for to the end never came.",
      "It is what it was.",
      "They looked at in the end all of them.",
      "He came in for the winter.",
    ],
  },
  {
    rule: "grammar/demonstrative",
    mends: [
      ["This readings were lost.", "These readings were lost."],
      ["These reading was lost.", "This reading was lost."],
      ["We began with that readings.", "We began with those readings."],
      ["These kind of gauge is rare.", "This kind of gauge is rare."],
    ],
    leaves: [
      "This series of readings is complete.",
      "This rounds toward zero.",
      "These default to none.",
      "Those wishing to come must write first.",
      "This means that the well was dry.",
      "He said that boats were late.",
      "These sheep belong to the station.",
      "This physics is beyond me.",
    ],
  },
  {
    rule: "grammar/missing-word",
    mends: [
      ["It is one the oldest gauges on the coast.", "It is one of the oldest gauges on the coast."],
      ["A lot people came to the opening.", "A lot of people came to the opening."],
      ["They are going be late.", "They are going to be late."],
      ["He wants go home.", "He wants to go home."],
      ["According the log, it rained.", "According to the log, it rained."],
      ["The lamp stood in front the door.", "The lamp stood in front of the door."],
      ["It will ready by noon.", "It will be ready by noon."],
      ["She went back in spite the rain.", "She went back in spite of the rain."],
    ],
    leaves: [
      "Nothing need be done about it.",
      "They need not be told.",
      "A lot depends on the weather.",
      "He was going home when it rained.",
      "The rent is due the first of May.",
      "She tried hard and got it.",
      "Because the road was shut, they walked.",
    ],
  },
  {
    rule: "grammar/paragraph-start",
    mends: [
      [
        "the keeper reads the gauge, and the clerk writes it down every day.",
        "The keeper reads the gauge, and the clerk writes it down every day.",
      ],
      [
        "Was it shut at noon? the keeper did not know anything of it.",
        "Was it shut at noon? The keeper did not know anything of it.",
      ],
    ],
    leaves: [
      "“Is it late?” he asked.",
      "“Run!” cried the keeper.",
      "e.g. a gauge with a drum.",
      "What a night! and what a morning.",
    ],
  },
  {
    rule: "grammar/fragment",
    mends: [
      [
        "The line was dead. Because the wire was broken.",
        "The line was dead because the wire was broken.",
      ],
      [
        "The gauge was read. Although the lamp was out.",
        "The gauge was read, although the lamp was out.",
      ],
    ],
    leaves: [
      "Because the wire was broken, the line was dead.",
      "Why was it dead? Because the wire was broken.",
      "Because of the rain nobody came to the opening.",
      "Unless it rains we go at noon.",
      "Which is the older gauge?",
      "Until the pump was mended they carried water.",
    ],
  },
  {
    rule: "grammar/compound-hyphen",
    mends: [
      ["It is a well known fact.", "It is a well-known fact."],
      ["They made a five year plan.", "They made a five-year plan."],
      ["She has a full time job.", "She has a full-time job."],
      ["We need an up to date chart.", "We need an up-to-date chart."],
      ["It is a newly-built boat.", "It is a newly built boat."],
    ],
    leaves: [
      "The fact is well known.",
      "The plan covers five years.",
      "He works full time.",
      "The first year students came by boat.",
      "A family-owned yard built it.",
      "The chart is up to date.",
    ],
  },
  {
    rule: "grammar/verb-form",
    mends: [
      ["He has went home already.", "He has gone home already."],
      ["She did not knew the way.", "She did not know the way."],
      ["It was wrote by the keeper.", "It was written by the keeper."],
      ["They have been waited for hours.", "They have been waiting for hours."],
      ["She can reads the dial.", "She can read the dial."],
    ],
    leaves: [
      "He has read the log, and she had read it before.",
      "They used to feed the gulls.",
      "The key to opening the valve is patience.",
      "She helped carry the chain.",
      "What he did was open the gate.",
      "They had had enough of the rain.",
      "It is used to keeping time.",
    ],
  },
  {
    rule: "grammar/gerund-after-preposition",
    mends: [
      ["They insisted on to read it.", "They insisted on reading it."],
      ["She is good at to draw charts.", "She is good at drawing charts."],
      ["We look forward to see you.", "We look forward to seeing you."],
      ["He left without say a word.", "He left without saying a word."],
    ],
    leaves: [
      "They went on to read the rest.",
      "He came in to ask the way.",
      "What he was looking at to begin with was the chart.",
    ],
  },
  {
    rule: "grammar/adverb-form",
    mends: [
      ["The pump works perfect now.", "The pump works perfectly now."],
      ["He rowed very slow to the pier.", "He rowed very slowly to the pier."],
    ],
    leaves: [
      "The water looks clear.",
      "The door stood open.",
      "They painted the wall green.",
      "The milk turned sour.",
      "He came home late and tired.",
    ],
  },
  {
    rule: "grammar/a-or-an",
    mends: [
      ["It took a hour.", "It took an hour."],
      ["She bought an unit of coal.", "She bought a unit of coal."],
      ["He is a MP for the coast.", "He is an MP for the coast."],
      ["They drew a 8-inch pipe.", "They drew an 8-inch pipe."],
      ["It is an one-way street.", "It is a one-way street."],
    ],
    leaves: [
      "It is a one-off, a U-turn and a European rule.",
      "An heir, an honest man and an hour were all it took.",
      "A NATO ship and an RAF crew came.",
      "A history of the pier was written.",
    ],
  },
  {
    rule: "grammar/fewer-less",
    mends: [
      ["There were less boats this year.", "There were fewer boats this year."],
      ["We have less readings than before.", "We have fewer readings than before."],
    ],
    leaves: [
      "It took less than ten minutes.",
      "Less water came in.",
      "They paid less than forty pounds.",
      "It is less than two miles to the pier.",
    ],
  },
  {
    rule: "grammar/many-much",
    mends: [
      ["There was not many water in the well.", "There was not much water in the well."],
      ["How much boats came in?", "How many boats came in?"],
    ],
    leaves: ["How much is it?", "Many a keeper has said so.", "Much of it was lost."],
  },
  {
    rule: "grammar/double-negative",
    mends: [
      ["Nobody did not see it.", "Nobody saw it."],
      ["They could not find nothing.", "They could not find anything."],
    ],
    leaves: ["It is not that nobody came.", "Not one of them had no key.", "Nothing was not read."],
  },
  {
    rule: "grammar/comma-splice",
    mends: [],
    leaves: [
      "He came, he saw, he left.",
      "The gauge, which was old, stood in the well.",
      "If it rains, we stay.",
      "The longer it stood, the worse it got.",
      "It was late, said the clerk.",
    ],
  },
  {
    rule: "grammar/them-those",
    mends: [["Give me them keys.", "Give me those keys."]],
    leaves: ["He gave them keys to both doors.", "They left them there.", "She told them stories."],
  },
  {
    rule: "grammar/its-or-its",
    mends: [
      ["Its too late to row out.", "It’s too late to row out."],
      ["Its been raining since noon.", "It’s been raining since noon."],
      ["Its clear that the well was dry.", "It’s clear that the well was dry."],
      ["Its very cold today.", "It’s very cold today."],
      ["Its time to go.", "It’s time to go."],
      ["They say its going to rain.", "They say it’s going to rain."],
    ],
    leaves: [
      "Its clear purpose is to keep the time.",
      "Its very existence was denied.",
      "Its only lamp went out.",
      "Its time had come.",
      "Its likely cause is the wind.",
      "The trust knew its going rate.",
      "The well and its pipe were cleared.",
      "It’s the keeper’s own log.",
    ],
  },
  {
    rule: "grammar/agreement",
    mends: [
      ["The levels of the tide is high.", "The levels of the tide are high."],
      ["The keeper and the clerk was late.", "The keeper and the clerk were late."],
      ["He don’t read the log.", "He doesn’t read the log."],
      ["The readings shows a fall.", "The readings show a fall."],
      ["Neither of the gauges are right.", "Neither of the gauges is right."],
    ],
    leaves: [
      "Specifying the levels takes an hour.",
      "The number of boats is small.",
      "A number of boats are late.",
      "The trust, like the keepers, wants it shut.",
      "Bread and butter is all we had.",
      "What matters are the readings.",
      "Ten metres is too deep.",
    ],
  },
  {
    rule: "grammar/there-agreement",
    mends: [
      ["There is three boats in the harbour.", "There are three boats in the harbour."],
      ["There are a boat in the harbour.", "There is a boat in the harbour."],
    ],
    leaves: [
      "There is a boat and two rafts.",
      "There are a few left.",
      "There is ten pounds in the box.",
      "There are a number of ways to do it.",
    ],
  },
  {
    rule: "grammar/number-noun",
    mends: [["Two keeper came in.", "Two keepers came in."]],
    leaves: [
      "A two metre pole stood there.",
      "Ten percent of it was lost.",
      "One boat came in.",
      "The five year plan was dropped.",
      "Three hundred people came.",
      "Two sheep stood on the mole.",
    ],
  },
  {
    rule: "grammar/one-of",
    mends: [
      ["It is one of the oldest gauge.", "It is one of the oldest gauges."],
      ["One of my friend wrote it.", "One of my friends wrote it."],
    ],
    leaves: ["One of the crew was ill.", "One of the sheep was lost.", "He is one of a kind."],
  },
  {
    rule: "grammar/mass-noun",
    mends: [
      ["We need more informations.", "We need more information."],
      ["They bought new equipments.", "They bought new equipment."],
    ],
    leaves: ["Two coffees, please.", "The waters rose.", "It is of many uses."],
  },
  {
    rule: "grammar/double-comparison",
    mends: [
      ["It is more taller than the old one.", "It is taller than the old one."],
      ["This is the most easiest way.", "This is the easiest way."],
    ],
    leaves: ["There are more older boats here.", "It is more or less dry.", "The more the better."],
  },
  {
    rule: "grammar/who-which",
    mends: [["The keeper which wrote it is dead.", "The keeper who wrote it is dead."]],
    leaves: ["The gauge which failed was old.", "The crew which won was ours."],
  },
  {
    rule: "grammar/usage",
    mends: [
      ["They built it theirselves.", "They built it themselves."],
      ["He did it hisself.", "He did it himself."],
      ["They have several gauge.", "They have several gauges."],
    ],
    leaves: ["He himself wrote it.", "They saw themselves in the glass."],
  },
  {
    rule: "grammar/date-comma",
    mends: [],
    leaves: [
      "On 4 April 2031 it rained.",
      "In April 2031 it rained.",
      "On Monday, 4 April, it rained.",
    ],
  },
  {
    rule: "grammar/clause-comma",
    mends: [
      [
        "The clerk wrote it all down but the keeper lost it.",
        "The clerk wrote it all down, but the keeper lost it.",
      ],
    ],
    leaves: [
      "It rained but not much.",
      "He was tired but happy.",
      "Nobody but the keeper came.",
      "They had nothing but water.",
    ],
  },
  {
    rule: "grammar/since-tense",
    mends: [["I work here since 2019.", "I have worked here since 2019."]],
    leaves: [
      "Since it rains, we stay.",
      "It has been shut since May.",
      "He left in 2019 and nobody has seen him since.",
    ],
  },
  {
    rule: "grammar/perfect-past",
    mends: [["They have come yesterday.", "They came yesterday."]],
    leaves: [
      "They have come today.",
      "They had come the day before.",
      "They have been here since yesterday.",
    ],
  },
  {
    rule: "grammar/state-verb",
    mends: [["I am knowing the way.", "I know the way."]],
    leaves: ["He is having tea.", "She is seeing a doctor.", "They are being careful."],
  },
  {
    rule: "grammar/of-for-have",
    mends: [
      ["They could of come.", "They could have come."],
      ["You must of read it.", "You must have read it."],
      ["She should not of gone.", "She should not have gone."],
    ],
    leaves: [
      "He thought of it, as he could of anything.",
      "The best of what he could, of course, was lost.",
    ],
  },
  {
    rule: "grammar/if-would-have",
    mends: [["If he would have come, we had been late.", "If he had come, we had been late."]],
    leaves: ["If he had come, we would have been late.", "If you would be so kind, shut it."],
  },
  {
    rule: "grammar/reported-question",
    mends: [["He asked where was the key.", "He asked where the key was."]],
    leaves: [
      "He asked what was wrong.",
      "“Where was the key?” he asked.",
      "She knows who is there.",
    ],
  },
  {
    rule: "grammar/contraction",
    mends: [
      ["It dont matter now.", "It doesn’t matter now."],
      ["Thats the older one.", "That’s the older one."],
      ["They couldnt see it.", "They couldn’t see it."],
    ],
    leaves: ["As is his wont, he left.", "The cant of the deck was steep.", "He fell ill in May."],
  },
  {
    rule: "wording/redundant",
    mends: [["It was a free gift.", "It was a gift."]],
    leaves: ["It was a free boat.", "The end came soon."],
  },
  {
    rule: "wording/light-verb",
    mends: [["They made a decision to shut it.", "They decided to shut it."]],
    leaves: ["They made a boat.", "He took the log."],
  },
  {
    rule: "wording/passive",
    mends: [],
    leaves: ["The boat was by the pier.", "It was shut by noon.", "The wall was built by hand."],
  },
  {
    rule: "wording/negative",
    mends: [],
    leaves: ["It is not here.", "She did not come."],
  },
  {
    rule: "wording/double-meaning",
    mends: [
      ["The bulletin is bimonthly.", "The bulletin is every two months."],
      ["We meet next Tuesday.", "We meet this Tuesday."],
    ],
    leaves: [
      "We meet every two weeks.",
      "On 13/4/2031 the pier was shut.",
      "On 4/4/2031 it opened.",
    ],
  },
];

testCases(CASES);

test("a date whose day and month are in doubt is asked about, once it can be read in two ways", () => {
  const asked = (text: string) =>
    marksOf(text).filter((one) => speaksFor(one, "wording/double-meaning")).length;
  assert.equal(asked("The pier was shut on 3/4/2031."), 1);
  assert.equal(asked("The pier was shut on 13/4/2031."), 0);
});

test("what has no partner is marked where it stands", () => {
  for (const [text, marked] of [
    ["The well (dug in 1904 was dry.", "("],
    ["The well dug in 1904) was dry.", ")"],
    ["It was shut in 1904” by the trust.", "”"],
  ] as const) {
    const [own] = marksOf(text).filter((one) => speaksFor(one, "grammar/unpaired"));
    assert.equal(own?.text, marked, text);
  }
});
