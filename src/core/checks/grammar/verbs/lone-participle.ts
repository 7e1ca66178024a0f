import { markCheck } from "../../mark-check.ts";
import { loneParticiple as card } from "./cards.ts";

/** "I seen", "they done": a participle without "have". */
export const loneParticiple = markCheck({
  ...card,
  reason: "“{}” needs “have” before it, or the past: “{1}”.",
  patterns: [
    "<s> i|we|they|he|she|you [seen|done|gone|taken|given|written|driven|spoken|known|begun|rung|drunk|broken|chosen|eaten|fallen] => $3:VBD | have $3",
    "and|but|because|when|that|, i|we|they|he|she [seen|done] => $3:VBD | have $3",
    "<s> i|we|they|you [been] => have been | were",
    "<s> he|she|it [been] => has been | was",
  ],
});
