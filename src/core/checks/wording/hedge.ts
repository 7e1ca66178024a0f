import { markCheck } from "../mark-check.ts";
import { hedge as card } from "./cards.ts";

const HEDGES =
  "perhaps|possibly|maybe|probably|apparently|seemingly|presumably|arguably|conceivably|somewhat|rather|fairly";

/** "may possibly", "it seems that it might perhaps". */
export const hedge = markCheck({
  ...card,
  reason: "“{}” hedges twice; once is enough.",
  patterns: [
    `may|might|could [${HEDGES}] VB => -`,
    "<s> perhaps|possibly|maybe PRONOUN|the|a NOUN? [may|might|could] VB => will | may",
    "[seem~ to suggest] that => suggest~1",
    "[appear~ to suggest] that => suggest~1",
    "[tends to suggest] that => suggests",
    "would [seem to appear] => seem",
    "[it could perhaps|possibly be argued that] => -",
    "[somewhat|rather|fairly quite|somewhat|rather] JJ => $1",
    "[i|we would tend|venture to think|suggest|argue] => $1 $5",
  ],
});
