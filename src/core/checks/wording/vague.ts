import { markCheck } from "../mark-check.ts";
import { vague as card } from "./cards.ts";

export const vague = markCheck({
  ...card,
  reason: "“{}” could be anything: which, and how many?",
  phraseList: "vague",
  groups: true,
});
