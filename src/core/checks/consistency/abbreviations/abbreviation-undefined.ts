import type { Kind } from "../../../manuscript/model.ts";
import { abbreviationCheck } from "./abbreviation-check.ts";
import { abbreviationUndefined as card } from "./cards.ts";
import { isWellKnown } from "./known.ts";

/** An abbreviation that is explained nowhere. */
export const abbreviationUndefined = abbreviationCheck({
  ...card,
  marks: "use",
  find({ abbreviation, uses, doubtful, definitions, entries }, circumstances) {
    if (definitions.length > 0 || entries.length > 0 || uses.length === 0) return [];
    // Where one of its places is plainly an abbreviation, all are.
    if (doubtful === uses.length || isWellKnown(abbreviation, circumstances)) return [];
    return uses.slice(0, 1).map(({ at }) => at);
  },
  unsure: ({ uses }) => uses.length === 1,
  asking: new Set<Kind>(["paper", "clinical", "report", "brief"]),
  reason: ({ abbreviation }) => `“${abbreviation}” is explained nowhere in the text.`,
  note: ({ uses }) => (uses.length > 1 ? `It is used ${uses.length} times.` : ""),
  offers: ({ phrases }) => [
    ...new Map(phrases.map((one) => [one.compared, one.expansion])).values(),
  ],
  write: ({ from, to }, expansion, text) => `${expansion} (${text.slice(from, to)})`,
});
