import { markCheck } from "../../mark-check.ts";
import { fixedPhrase as card } from "./cards.ts";

/** Phrases in which a word is mistaken for another: "with baited breath", "a mute point". */
export const fixedPhrase = markCheck({
  ...card,
  reason: "“{1}” is meant.",
  phraseList: "fixed-phrases",
});
