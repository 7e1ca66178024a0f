import { abbreviationCheck } from "./abbreviation-check.ts";
import { abbreviationDefinedDifferently as card } from "./cards.ts";

/** One abbreviation for two things. */
export const abbreviationDefinedDifferently = abbreviationCheck({
  ...card,
  marks: "definition",
  find({ definitions, entries }) {
    const [first] = [...definitions, ...entries.filter(({ compared }) => compared !== "")];
    return definitions.filter(({ compared }) => compared !== first?.compared).map(({ at }) => at);
  },
  reason: ({ abbreviation, expansion }) =>
    `“${abbreviation}” is “${expansion}” here, and something else before.`,
  note: ({ definitions: [first] }) => (first ? `First it is “${first.expansion}”.` : ""),
  offers: () => [],
  write: () => null,
});
