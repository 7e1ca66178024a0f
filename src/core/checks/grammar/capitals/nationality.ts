import { written } from "../../../language/phrases/syntax.ts";
import { markCheck } from "../../mark-check.ts";
import { calendarCapital as card } from "./cards.ts";

/** "the English custom" in small letters, where the word alone is known small too. */
export const calendarCapital = markCheck({
  ...card,
  reason: "Peoples and languages take a capital: “{1}”.",
  patterns: [
    "speak~|speaks|spoke|learn~|read~|teach~|taught|study|in|into|from [french|german|welsh|polish|danish|turkish|finnish|scotch|dutch|english|irish|spanish|italian|russian|chinese|japanese] .|,|and|or|at|to|well|fluently|with|</s> => $2:CAP",
    "and|or [french|german|welsh|danish|turkish|finnish|dutch|english|irish|spanish|italian|russian] .|,|</s> => $2:CAP",
  ],
  accepts: ({ bounds, pattern }, syntax) =>
    /^\p{Ll}/u.test(written(syntax, bounds[2 * pattern.marked.from] ?? 0)),
});
