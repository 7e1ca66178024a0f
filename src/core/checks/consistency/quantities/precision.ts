import type { Quantity } from "../../../language/quantities/quantities.ts";
import { precision as card } from "./cards.ts";
import { statedTwice } from "./conversions.ts";
import { quantityCheck, writtenOf } from "./facts.ts";

const LEAST = 4;
/** Values further apart are not measured alike. */
const SPREAD = 5;

/** Of quantities of one unit in one paragraph, the one that is given with other decimals. */
export const precision = quantityCheck(card, function* (quantities, text) {
  const stated = statedTwice(quantities, text);
  const byUnit = new Map<string, Quantity[]>();
  for (const quantity of quantities) {
    if (
      quantity.inWords ||
      quantity.kind === "time" ||
      stated.some(({ second }) => second === quantity)
    )
      continue;
    byUnit.set(quantity.unit, [...(byUnit.get(quantity.unit) ?? []), quantity]);
  }
  for (const alike of byUnit.values()) {
    const odd = alike.length < LEAST ? null : oddOne(alike);
    if (!odd) continue;
    const { quantity, decimals } = odd;
    const reason = `“${writtenOf(text, quantity)}” is given to ${places(quantity.number.decimals)}; the others here to ${places(decimals)}.`;
    yield { from: quantity.from, to: quantity.to, reason, mends: [] };
  }
});

/** The one value with other decimals than all the rest, where all are of one size. */
function oddOne(alike: readonly Quantity[]): { quantity: Quantity; decimals: number } | null {
  const sizes = alike.map(({ value }) => Math.abs(value)).sort((one, other) => one - other);
  const middle = sizes[sizes.length >> 1] ?? 0;
  for (const quantity of alike) {
    const rest = alike.filter((one) => one !== quantity);
    const decimals = rest[0]?.number.decimals ?? 0;
    if (decimals === 0 || quantity.number.decimals === decimals) continue;
    if (rest.some(({ number }) => number.decimals !== decimals)) continue;
    const size = Math.abs(quantity.value);
    return size > middle / SPREAD && size < middle * SPREAD ? { quantity, decimals } : null;
  }
  return null;
}

function places(decimals: number): string {
  return decimals === 0 ? "no decimals" : decimals === 1 ? "1 decimal" : `${decimals} decimals`;
}
