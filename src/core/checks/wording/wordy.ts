import { markCheck } from "../mark-check.ts";
import { wordy as card } from "./cards.ts";

/** Checks that are a list of phrases, each in a file of data/phrases. */

export const wordy = markCheck({
  ...card,
  reason: "Shorter: “{1}”.",
  phraseList: "wordy",
  groups: true,
});
