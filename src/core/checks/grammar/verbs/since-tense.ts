import { markCheck } from "../../mark-check.ts";
import { sinceTense as card } from "./cards.ts";

/** What lasts, and since when: a point of time, or a day or a part of the year that is named. */
const GOING_ON = "VBG RB|IN|RP|DT|PRP$|NN|NNP*";
const POINT = "since CD|noon|yesterday|childhood|@months|@weekdays|last";
const NAMED =
  "since this|early morning|week|month|year|summer|winter|spring|autumn|afternoon|january|may";

/** "We are waiting since noon." */
export const sinceTense = markCheck({
  ...card,
  reason: "With “since” the perfect: “{1}”.",
  patterns: [
    ...[POINT, NAMED].flatMap((since) => [
      `i|we|they|you [am|are] ${GOING_ON} ${since} => have been`,
      `he|she|it [is] ${GOING_ON} ${since} => has been`,
    ]),
    "the|this|my|our|his|her NOUN [is] JJ|VBN|ill|here|there|closed|open since CD|noon|@months|@weekdays|last|yesterday => has been",
    "he|she|it [is] JJ|VBN|ill|here|there|closed|open since CD|noon|@months|@weekdays|last|yesterday => has been",
    "i|we|they|you [am|are] JJ|VBN|ill|here|there since CD|noon|@months|@weekdays|last|yesterday => have been",
    "i|we|they [work|live|stay] in|at|for|with DT|PRP$|NNP NN|NNP? since|for CD|two|three|four|five|six|seven|ten|many .|years|months|weeks|,|</s> => have $2:VBN",
    "he|she [works|lives|stays] in|at|for|with DT|PRP$|NNP NN|NNP? since|for CD|two|three|four|five|six|seven|ten|many .|years|months|weeks|,|</s> => has $2:VBN",
    "he|she [works|lives|stands|waits|knows|stays] here|there|RB? since => has $2:VBN",
    "i|we|they [work|live|stand|wait|know|stay] here|there|RB? since => have $2:VBN",
    "[since] two|three|four|five|six|seven|eight|nine|ten|twenty|many|several years|days|months|weeks|hours .|, => for :: A span of time takes “for”.",
  ],
});
