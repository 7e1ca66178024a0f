import { unitSymbol as card } from "./cards.ts";
import { quantityCheck, writtenOf } from "./facts.ts";

/** Symbols that are none, or have the wrong capitals. Data units are written in many ways, and left alone. */
export const unitSymbol = quantityCheck(card, function* (quantities, text) {
  for (const { faults, kind } of quantities) {
    if (kind === "digital" || kind === "data rate") continue;
    for (const { from, to, right, fault } of faults) {
      if (fault === "plural") continue;
      // "WordNet 3.0 DB": a version of something, and a word of its name.
      if (/\p{Lu}\p{L}+ \d+(?:\.\d+)+ ?$/u.test(text.slice(0, from))) continue;
      const written = writtenOf(text, { from, to });
      const reason = `“${written}” is no symbol of a unit: “${right}” is meant.`;
      yield { from, to, reason, mends: [right] };
    }
  }
});
