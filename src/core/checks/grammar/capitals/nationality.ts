import { markCheck } from "../../mark-check.ts";
import { calendarCapital as card } from "./cards.ts";

/** Peoples whose small-letter form dictionaries have too. */
const PEOPLES = "french|german|english|irish|spanish|italian|russian|chinese|japanese|welsh|danish";

/** "the English custom" in small letters, where the word alone is known small too. */
export const calendarCapital = markCheck({
  ...card,
  reason: "Peoples and languages take a capital: “{1}”.",
  patterns: [
    "speak~|speaks|spoke|learn~|read~|teach~|taught|study|in|into|from [french|german|welsh|polish|danish|turkish|finnish|scotch|dutch|english|irish|spanish|italian|russian|chinese|japanese] .|,|and|or|at|to|well|fluently|with|</s> => $2:CAP",
    "and|or [french|german|welsh|danish|turkish|finnish|dutch|english|irish|spanish|italian|russian] .|,|</s> => $2:CAP",
    `the|a|an|our|their|his|her|this|these|two|some|many|most [${PEOPLES}] NN|NNS => $2:CAP`,
  ],
  accepts: ({ bounds, pattern }, { words, units, text }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    if (!/^\p{Ll}/u.test(text.slice(units[marked]?.from))) return false;
    return !NAMED_AFTER.test(words[marked + 1]?.form ?? "");
  },
});

/** What many write small after a people's name: things that are not theirs any more. */
const NAMED_AFTER =
  /^(?:fry|fries|windows?|doors?|horns?|beans?|toast|cuffs?|polish|pastry|pastries|curves?|chalk|measles|shepherds?)$/;
