import { abbreviationCheck } from "./abbreviation-check.ts";
import { abbreviationExpandedAgain as card } from "./cards.ts";

/** What an abbreviation stands for, in full after it was explained. */
export const abbreviationExpandedAgain = abbreviationCheck({
  ...card,
  marks: "phrase",
  find({ definitions, phrases, uses }) {
    const [first] = definitions;
    // Where the abbreviation is hardly used, it is that which is too much.
    if (!first || first.inNote || uses.length < 2) return [];
    return phrases
      .filter(({ at, compared }) => at > first.at && compared === first.compared)
      .map(({ at }) => at);
  },
  reason: ({ expansion, abbreviation }) =>
    `“${expansion}” in full, after “${abbreviation}” was explained.`,
  offers: ({ abbreviation }) => [abbreviation],
  write: ({ plural, abbreviation }) => (plural ? `${abbreviation}s` : abbreviation),
});
