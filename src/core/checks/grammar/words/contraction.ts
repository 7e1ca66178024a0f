import { markCheck } from "../../mark-check.ts";
import { contraction as card } from "./cards.ts";

/** "dont", "thats": a contraction without its apostrophe. */
export const contraction = markCheck({
  ...card,
  inSpeechToo: true,
  reason: "An apostrophe is missing: “{1}”.",
  phraseList: "contractions",
});
