import { abbreviationCheck } from "./abbreviation-check.ts";
import { abbreviationBeforeDefinition as card } from "./cards.ts";
import { isInDictionary } from "./known.ts";

/** An abbreviation that is used before it is explained. */
export const abbreviationBeforeDefinition = abbreviationCheck({
  ...card,
  marks: "use",
  find({ abbreviation, uses, definitions, entries }, { language }) {
    const [first] = definitions;
    const [use] = uses;
    if (!first || !use || first.inNote || entries.length > 0) return [];
    if (isInDictionary(abbreviation, language)) return [];
    return use.at < first.at ? [use.at] : [];
  },
  reason: ({ abbreviation }) => `“${abbreviation}” is explained only later.`,
  note: ({ definitions: [first] }) => (first ? `There it is “${first.expansion}”.` : ""),
  offers: ({ definitions }) => definitions.slice(0, 1).map(({ expansion }) => expansion),
  write: ({ from, to }, expansion, text) => `${expansion} (${text.slice(from, to)})`,
});
