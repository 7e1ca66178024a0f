import { unitPlural as card } from "./cards.ts";
import { quantityCheck, writtenOf } from "./facts.ts";

/** Symbols with a plural s. */
export const unitPlural = quantityCheck(card, function* (quantities, text) {
  for (const { faults } of quantities) {
    for (const { from, to, right, fault } of faults) {
      if (fault !== "plural") continue;
      const reason = `“${writtenOf(text, { from, to })}”: the symbol “${right}” has no plural.`;
      yield { from, to, reason, mends: [right] };
    }
  }
});
