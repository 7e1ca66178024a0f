import { abbreviationCheck } from "./abbreviation-check.ts";
import { abbreviationDefinedTwice as card } from "./cards.ts";

/** An abbreviation that is explained once more in the same words. */
export const abbreviationDefinedTwice = abbreviationCheck({
  ...card,
  marks: "definition",
  find({ definitions }) {
    return definitions
      .filter(({ compared, inNote }, index) => {
        const before = definitions.slice(0, index);
        return !inNote && before.some((one) => !one.inNote && one.compared === compared);
      })
      .map(({ at }) => at);
  },
  reason: ({ abbreviation }) => `“${abbreviation}” has been explained before.`,
  offers: ({ abbreviation }) => [abbreviation],
  write: ({ plural, abbreviation }) => (plural ? `${abbreviation}s` : abbreviation),
});
