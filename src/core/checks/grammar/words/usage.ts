import { markCheck } from "../../mark-check.ts";
import { usage as card } from "./cards.ts";

/** Constructions that English has not: "must to go", "since three weeks". */
export const usage = markCheck({
  ...card,
  reason: "English has “{1}”.",
  phraseList: "usage",
});
