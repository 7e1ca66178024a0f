import { markCheck } from "../mark-check.ts";
import { vague as card } from "./cards.ts";

export const vague = markCheck({
  ...card,
  reason: "“{}” could be said of anything: which, and how many?",
  phraseList: "vague",
  groups: true,
});
