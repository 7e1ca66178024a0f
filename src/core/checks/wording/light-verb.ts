import { markCheck } from "../mark-check.ts";
import { lightVerb as card } from "./cards.ts";

export const lightVerb = markCheck({
  ...card,
  reason: "The verb alone says it: “{1}”.",
  phraseList: "light-verbs",
});
