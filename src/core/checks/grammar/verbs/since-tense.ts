import { markCheck } from "../../mark-check.ts";
import { sinceTense as card } from "./cards.ts";

/** "We are waiting since noon." */
export const sinceTense = markCheck({
  ...card,
  reason: "With “since” the perfect: “{1}”.",
  patterns: [
    "i|we|they|you [am|are|'re|'m] VBG since CD|noon|@months|@weekdays|last|yesterday => have been",
    "he|she|it [is] VBG since CD|noon|@months|@weekdays|last|yesterday => has been",
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
