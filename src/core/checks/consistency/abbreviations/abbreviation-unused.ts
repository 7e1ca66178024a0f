import { abbreviationCheck } from "./abbreviation-check.ts";
import { abbreviationUnused as card } from "./cards.ts";

/** An abbreviation that is explained and then not used, or only once. */
export const abbreviationUnused = abbreviationCheck({
  ...card,
  marks: "definition",
  find({ definitions, uses, entries }) {
    const [first] = definitions;
    if (!first || first.inLine || entries.length > 0 || uses.length > 1) return [];
    return [first.at];
  },
  unsure: ({ uses }) => uses.length > 0,
  reason: ({ abbreviation }) => `“${abbreviation}” is explained and hardly used.`,
  note: ({ uses }) => (uses.length === 0 ? "It is not used again." : "It is used once more."),
  offers: ({ definitions }) => definitions.slice(0, 1).map(({ expansion }) => expansion),
  write: ({ long }, _offer, text) => (long ? text.slice(long.from, long.to) : null),
});
