import { written } from "../../../language/phrases/syntax.ts";
import { markCheck } from "../../mark-check.ts";
import { dateComma as card } from "./cards.ts";

/** "May 5 1962", "5 May, 1962". */
export const dateComma = markCheck({
  ...card,
  reason: "A comma is missing between day and year: “{1}”.",
  patterns: ["@months [CD] CD => $2,"],
  accepts: ({ bounds }, syntax) => {
    const day = written(syntax, bounds[2] ?? 0);
    const year = written(syntax, bounds[4] ?? 0);
    const month = written(syntax, bounds[0] ?? 0);
    return (
      /^\p{Lu}/u.test(month) &&
      /^(?:[1-9]|[12]\d|3[01])(?:st|nd|rd|th)?$/.test(day) &&
      /^(?:1[0-9]|20)\d\d$/.test(year)
    );
  },
});
