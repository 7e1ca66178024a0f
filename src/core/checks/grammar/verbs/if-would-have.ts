import { markCheck } from "../../mark-check.ts";
import { ifWouldHave as card } from "./cards.ts";

/** "If I would have known". */
export const ifWouldHave = markCheck({
  ...card,
  reason: "After “if” and “wish”: “{1}”.",
  patterns: [
    "<s> if PRONOUN [would have] VBN => had",
    "<s> if the|a|my|our|his|her NOUN [would have] VBN => had",
    "wish~ that? PRONOUN [would have] VBN => had",
  ],
});
