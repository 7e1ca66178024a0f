import { markCheck } from "../mark-check.ts";
import { cliche as card } from "./cards.ts";

export const cliche = markCheck({
  ...card,
  reason: "“{}” has been heard too often; plain words say more.",
  phraseList: "cliches",
  groups: true,
});
