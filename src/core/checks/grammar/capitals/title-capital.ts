import { written } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { titleCapital as card } from "./cards.ts";

const TITLES =
  "captain|professor|doctor|sergeant|colonel|general|admiral|major|lieutenant|inspector|bishop|lord|lady|sir|president|king|queen|prince|princess|mister|dame";

/** "captain Rusk", "in the Spring". */
export const titleCapital = markCheck({
  ...card,
  reason: "Before a name the title takes a capital: “{1}”.",
  patterns: [`[${TITLES}] NNP => $1:CAP`],
  accepts: ({ bounds }, syntax) => {
    const unit = bounds[0] ?? 0;
    const before = syntax.words[unit - 1]?.form ?? "";
    if (
      !/^\p{Ll}/u.test(written(syntax, unit)) ||
      !/^\p{Lu}\p{Ll}/u.test(written(syntax, unit + 1))
    )
      return false;
    return (
      !BEFORE_COMMON_OFFICE.has(before) &&
      syntax.tags[unit - 1] !== TAG.JJ &&
      syntax.tags[unit - 1] !== TAG.NN
    );
  },
});

const BEFORE_COMMON_OFFICE = wordList("title-capital/before-common-office");
