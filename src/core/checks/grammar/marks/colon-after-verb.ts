import { written } from "../../../language/phrases/syntax.ts";
import { markCheck } from "../../mark-check.ts";
import { colonAfterVerb as card } from "./cards.ts";

/** "consists of: four lamps". */
export const colonAfterVerb = markCheck({
  ...card,
  reason: "No colon after “{before}”: the list completes the sentence.",
  patterns: [
    "consist~|comprise~|composed|consists of [:] NOUN|DT|CD|ADJ => -",
    "such as [:] NOUN|DT|CD|ADJ => -",
    "include|includes|including|included [:] NOUN|DT|CD|ADJ => -",
  ],
  accepts: ({ bounds, pattern }, syntax) => {
    const colon = bounds[2 * pattern.marked.from] ?? 0;
    if (written(syntax, colon) !== ":") return false;
    return !/["“\u2028]/.test(
      syntax.text.slice(syntax.units[colon]?.to ?? 0, syntax.units[colon + 1]?.to ?? 0),
    );
  },
});
