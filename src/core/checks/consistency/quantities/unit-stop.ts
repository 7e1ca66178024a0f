import { unitStop as card } from "./cards.ts";
import { quantityCheck, writtenOf } from "./facts.ts";

/** Symbols that are shortened words rather than symbols, or that would be read as words. */
const MAY_HAVE_STOPS = new Set(["in", "oz", "lb", "ft", "yd", "gal", "pt", "qt", "min", "hp"]);

/** A full stop after a symbol where no sentence ends. */
export const unitStop = quantityCheck(card, function* (quantities, text) {
  for (const { written, to, isName, unit } of quantities) {
    if (!written || isName || MAY_HAVE_STOPS.has(unit)) continue;
    const inside = /^\.(?:\s+\p{Ll}|,|;|\))/u.test(text.slice(to, to + 4));
    if (!inside) continue;
    const symbol = writtenOf(text, written);
    const reason = `“${symbol}.” is a symbol, which has no full stop.`;
    yield { from: written.from, to: to + 1, reason, mends: [symbol] };
  }
});
