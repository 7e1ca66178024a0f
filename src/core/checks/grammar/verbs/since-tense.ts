import { markCheck } from "../../mark-check.ts";
import { sinceTense as card } from "./cards.ts";

/** "We are waiting since noon." */
export const sinceTense = markCheck({
  ...card,
  reason: "With “since” the perfect: “{1}”.",
  patterns: [
    "i|we|they|you [am|are|'re|'m] VBG since CD|noon|@months|@weekdays|last|yesterday => have been",
    "he|she|it [is] VBG since CD|noon|@months|@weekdays|last|yesterday => has been",
    "he|she [works|lives|stands|waits|knows|stays] here|there|RB? since => has $2:VBN",
    "i|we|they [work|live|stand|wait|know|stay] here|there|RB? since => have $2:VBN",
    "[since] two|three|four|five|six|seven|eight|nine|ten|twenty|many|several years|days|months|weeks|hours .|, => for :: A span of time takes “for”.",
  ],
});
