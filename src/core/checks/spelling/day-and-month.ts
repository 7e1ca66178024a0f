import { isDayOrMonth, mayBeMonth } from "../../language/words/days-and-months.ts";
import type { Check, Fact } from "../check.ts";
import { dayAndMonth as card } from "./cards.ts";

/** The name of a day or month without its capital. */
export const dayAndMonth: Check = {
  ...card,
  examine({ text, tokens, unusual }) {
    const facts: Fact[] = [];
    for (const { from, text: written, token } of unusual) {
      const word = written.replace(/['’]s$/, "");
      const numbered = () =>
        [tokens[token - 1], tokens[token + 1]].some(
          (other) =>
            other?.kind === "number" &&
            /^\d{1,4}(?:st|nd|rd|th)?$/.test(text.slice(other.from, other.to)),
        );
      if (isDayOrMonth(word) || (mayBeMonth(word) && numbered())) {
        facts.push({ from, to: from + word.length });
      }
    }
    return facts;
  },
  conclude: ({ from, to }) => ({
    from,
    to,
    reason: "Days and months take a capital.",
    group: dayAndMonth.id,
  }),
  choose(text, { from, to }) {
    const insert = capitalised(text.slice(from, to));
    return [{ label: insert, edits: [{ from, to, insert }] }];
  },
};

function capitalised(word: string): string {
  return (word[0] ?? "").toUpperCase() + word.slice(1);
}
