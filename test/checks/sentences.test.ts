import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { marksOf } from "../support/marks.ts";

/**
 * Sentences beyond the checks' own examples: what misled a check when its marks in read-me files,
 * change logs and protocols were judged by hand, and slips of the same kinds that were real.
 */
const LEFT_ALONE = [
  "The reason for not allowing other keys is that the log reserves them.",
  "The pump often degenerates at high tides and can even stop.",
  "A rare sign flip in the record has been fixed.",
  "The first entry to expect is shown to the keeper.",
  "Some readers of this gauge are only looking for the second figure.",
  "A lot of old wire was pulled out and replaced.",
  "The repair team schedules rebuilds for the gauges that need them.",
  "We assume that the name of the well and its depth are passed on.",
  "None of these lamps is fit for use in the tower.",
  "The program preserves comments when it writes the log.",
  "This configure option allows the keeper to build the chart.",
  "Does Marlow handle such gauges?",
  "The examples/ folder is still there and for simple cases only.",
  "Use of these methods is open to question.",
  "The sum of the two values is often used as the mean.",
  "The keeper and her brother live by the quay, and so does the clerk.",
  "That boats leave at noon is known to all.",
  "What he saw from the tower was two lamps.",
  "There is bread and there is cheese.",
  "The number of boats has grown, and a number of them are new.",
  "The entry refers to readings that were made before.",
  "The clerk must have write access to the log.",
  "When this page is typeset, the marks are drawn by hand.",
  "In addition to labelling the lamps, she cleaned them.",
  "What it lets you do is install two lamps at once.",
  "If the state is Continue, the gauge waits.",
  "The lamp that she had was broken.",
  "One of the hardest chores a keeper has is waiting for the tide.",
  "They look forward to reading it and are used to waiting.",
  "The gauge has to be read, and the log is to be signed.",
  "Russia has showed us nothing, and the plan has proved good.",
  "Your report is not judged by who you are.",
  "They keep track of who did what in the log.",
  "If the values are right, nothing need be done.",
  "Keep it off, because the wire, while thin, is live.",
  "The words between ( and ) are left out.",
  "Mount it with remount,rw and go on.",
  "tower,lamps: the old wire is gone",
  "There is not an mmap-based log, but an 18-foot boat and a one-way street.",
  "An MP and a UN envoy saw a European chart and an hourly reading.",
  "He stands in for the clerk, in the on position.",
  "The keepers of the gauge were there, and the boats went out.",
  "It is a friend of hers, and the lamp is theirs.",
  "“Was it shut?” nobody asked.",
  "The tide rose to approx. five metres at 3 p.m. on Monday.",
  "See Table 1 (p. 5), and Fig. 2 for the rest.",
  "GH-406 If the two gauges differ, the clerk is told.",
  "The rest is silt from the river, and the floor is sand.",
  "Does the office still have the key to the staff at the old pier?",
  "The one he had was broken, and all she had was gone.",
  "The gauge that was rebuilt in May by the harbour crew",
  "How the gauge at the end of the pier was rebuilt",
  "She had put up the notice “No boats will leave after six.”",
  "He called the boat “Second Wind” and she said “It is too slow.”",
  "The lamp was lit at 4.45 p.m. by the keeper.",
  "They wiped the salt off the glass and took the lid off the box.",
  "Will the harbour office let the house so soon after the storm?",
  "No sooner were they through the lock than the whole crew slept.",
  "Are there boats in the harbour, and were there any last night?",
  "The keepers too left at noon, and the clerk chose too not to stay.",
  "They saw four boats off the head and sold two lamps to the crew.",
  "There is about three miles of wire in the store.",
  "There are also the captain, the mate and the cook to pay.",
  "There are two ways in: 1) the stair by the quay; 2) the lift in the tower.",
  "Marlow kept the lamp. He was sent to Ada Rusk was not, and Tom Marlow was late.",
  "They looked out the window and were unable to lay hold of the rope.",
  "It was not murder at all, and the tower is beset from all sides.",
  "It did not hold; on Monday, it broke.",
  "Every time the lamp went out, we lit it again.",
  "Many food and drink firms have left, in search of a unanimous vote.",
  "The oil content of the silt is high, and its effect in the north is small.",
  "Hence the name, and of course the boat.",
  "What the two keepers point to is an old lamp, and the data in there is worn.",
  "The marks that have meaning on a chart are few.",
  "The rope (a thick one, approx.) held, and the float (see p. 4.) was lost.",
  "They left the gauge (Ada Rusk had the key) and went home, as the clerk (Mr. Hale) did.",
  "Later the play would be called Welcome To Our Head, and it was sent home.",
  "Send Form B to the office, and ask for Will Rusk.",
];

/** A slip, and what the first correction makes of it. */
const MENDED: [wrong: string, right: string][] = [
  [
    "They met the clerk for whom she have kept the log over the years.",
    "They met the clerk for whom she has kept the log over the years.",
  ],
  ["It was night, and there were no sound.", "It was night, and there was no sound."],
  [
    "The usual pattern of the winter tides have limited most of them to the bay.",
    "The usual pattern of the winter tides has limited most of them to the bay.",
  ],
  [
    "The lamp had gone out in the storm (The keeper knew it.) They lit another.",
    "The lamp had gone out in the storm. (The keeper knew it.) They lit another.",
  ],
  [
    "(1) They read the gauge. (2) They sign the log (3) They send the copy home.",
    "(1) They read the gauge. (2) They sign the log. (3) They send the copy home.",
  ],
  [
    "The drift was small (to the eye) Its growth was steady all summer.",
    "The drift was small (to the eye). Its growth was steady all summer.",
  ],
  ["They came in on the 13th. he was late.", "They came in on the 13th. He was late."],
  ["(The door was not shut.) he left at noon.", "(The door was not shut.) He left at noon."],
  ["They saw two boats. it's a long way home.", "They saw two boats. It's a long way home."],
  [
    "The hours are in Table 1. great care was taken.",
    "The hours are in Table 1. Great care was taken.",
  ],
  [
    "They asked Emmanuela. as more boats came in, she left.",
    "They asked Emmanuela. As more boats came in, she left.",
  ],
  [
    "The drift is cancelled by the float (see above) The gauge then reads the tide.",
    "The drift is cancelled by the float (see above). The gauge then reads the tide.",
  ],
  [
    "They asked Marlow for Dr. Rusk Interestingly the keeper knew him well.",
    "They asked Marlow for Dr. Rusk. Interestingly the keeper knew him well.",
  ],
  [
    "Marlow had kept the lamp for years. He sent a letter to Rusk Marlow was old by then.",
    "Marlow had kept the lamp for years. He sent a letter to Rusk. Marlow was old by then.",
  ],
  ["The clerk says that this are the best lamp.", "The clerk says that this is the best lamp."],
  ["There is lots of boats in the harbour.", "There are lots of boats in the harbour."],
  ["There is about forty boats in the bay.", "There are about forty boats in the bay."],
  ["There is more than thirty keys on the ring.", "There are more than thirty keys on the ring."],
  ["There are also a chance of fog.", "There is also a chance of fog."],
  [
    "1) Read the gauge. 2) Sign the log each week 3) Send the copy to the office.",
    "1) Read the gauge. 2) Sign the log each week. 3) Send the copy to the office.",
  ],
  [
    "Was the lamp red at noon? and is the door shut now?",
    "Was the lamp red at noon? And is the door shut now?",
  ],
  [
    "She said, “That leaves you a lot of room.” and I believed her that day.",
    "She said, “That leaves you a lot of room.” And I believed her that day.",
  ],
  [
    "The cells were lost in the flood. serological methods were tried after that.",
    "The cells were lost in the flood. Serological methods were tried after that.",
  ],
  [
    "The times of the reading is stored in the log.",
    "The times of the reading are stored in the log.",
  ],
  ["A slight leak of the pipes have been sealed.", "A slight leak of the pipes has been sealed."],
  [
    "The first seven marks in the row determines the hour.",
    "The first seven marks in the row determine the hour.",
  ],
  ["Generally, most lamps does not need oil.", "Generally, most lamps do not need oil."],
  ["Each of these doors are locked at night.", "Each of these doors is locked at night."],
  ["There is no lamps in the tower.", "There are no lamps in the tower."],
  ["She have the only copy of the chart.", "She has the only copy of the chart."],
  [
    "We went on to the town where he teach. Even though it rained, we had gone on foot.",
    "We went on to the town where he teaches. Even though it rained, we had gone on foot.",
  ],
  ["An ivy-clad lamp-post were all we saw.", "An ivy-clad lamp-post was all we saw."],
  [
    "The keeper turned away from the lamp and walked home along the quay",
    "The keeper turned away from the lamp and walked home along the quay.",
  ],
  [
    "He laid the log down and went to the window “Is there anybody out there?” he shouted.",
    "He laid the log down and went to the window. “Is there anybody out there?” he shouted.",
  ],
  [
    "At noon the boat came back to Boston. within a week she had left again.",
    "At noon the boat came back to Boston. Within a week she had left again.",
  ],
  ["They met Ian McLeod. the rest had left.", "They met Ian McLeod. The rest had left."],
  [
    "In all the years there were 4,081. none was lost.",
    "In all the years there were 4,081. None was lost.",
  ],
  [
    "They spoke for an hour. He urged a cease-fire",
    "They spoke for an hour. He urged a cease-fire.",
  ],
  [
    "The second value was 0.85. the third reading was lower.",
    "The second value was 0.85. The third reading was lower.",
  ],
  ["He could got along with the crew.", "He could get along with the crew."],
  ["The log will showed that it was shut.", "The log will show that it was shut."],
  ["It is recommend to shut the door.", "It is recommended to shut the door."],
  [
    "The old viewer has be replaced by a new one.",
    "The old viewer has been replaced by a new one.",
  ],
  ["The lamp will tries to start again.", "The lamp will try to start again."],
  ["There is an option to suppresses the bell.", "There is an option to suppress the bell."],
  ["It is difficult to returns the key.", "It is difficult to return the key."],
  ["The logs have was labelled by hand.", "The logs have been labelled by hand."],
  ["The crew had yearn for the harbour.", "The crew had yearned for the harbour."],
  ["They used an valid reading of the gauge.", "They used a valid reading of the gauge."],
  ["It ends with a LF after each line.", "It ends with an LF after each line."],
  ["The door is locked for an user like her.", "The door is locked for a user like her."],
  ["They made a error in the log.", "They made an error in the log."],
  ["It takes an one-line note to say so.", "It takes a one-line note to say so."],
  ["The pump will will start at noon.", "The pump will start at noon."],
  ["They waited for the their turn.", "They waited for their turn."],
  ["Less then an hour was left.", "Less than an hour was left."],
  [
    "Those who are interested in improve the gauge can help.",
    "Those who are interested in improving the gauge can help.",
  ],
  ["The wire was cut,, and it sank.", "The wire was cut, and it sank."],
  ["The lamps ,which are old, were lit.", "The lamps, which are old, were lit."],
  ["The plan was dropped.. It was too dear.", "The plan was dropped. It was too dear."],
  ["The clerk keeps it under it's old name.", "The clerk keeps it under its old name."],
  ["All the boat's were out at sea that night.", "All the boats were out at sea that night."],
  ["The tide turned at noon. they all went home.", "The tide turned at noon. They all went home."],
  [
    "They asked (as a rule). the clerk wrote it down.",
    "They asked (as a rule). The clerk wrote it down.",
  ],
];

describe("sentences like those that misled a check", () => {
  for (const text of LEFT_ALONE) {
    test(`no correction in: ${text}`, () => {
      const marks = marksOf(text).filter(
        ({ pass, weight }) => pass === "grammar" && weight !== "weigh",
      );
      assert.deepEqual(
        marks.map(({ rule, text: marked }) => `${rule}: ${marked}`),
        [],
      );
    });
  }
});

describe("slips found in such texts", () => {
  for (const [wrong, right] of MENDED) {
    test(`${wrong} becomes: ${right}`, () => {
      const made = marksOf(wrong).map(({ choices }) => applyEdits(wrong, choices[0]?.edits ?? []));
      assert.ok(made.includes(right), made.join(" | ") || "marked by nothing");
    });
  }
});
