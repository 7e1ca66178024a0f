import { markCheck } from "../mark-check.ts";
import { redundant as card } from "./cards.ts";

export const redundant = markCheck({
  ...card,
  reason: "“{1}” alone says it.",
  phraseList: "redundant",
  groups: true,
});
