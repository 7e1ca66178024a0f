import { markCheck } from "../../mark-check.ts";
import { wordDivision as card } from "./cards.ts";

/** "alot", "in stead of": one word or two. */
export const wordDivision = markCheck({
  ...card,
  inSpeechToo: true,
  reason: "Written “{1}”.",
  phraseList: "word-division",
});
