import type { Quantity } from "../../../language/quantities/quantities.ts";
import { unitBySymbol } from "../../../language/quantities/units.ts";

/** Quantities stated in two units, and what one is in the other. */

/** Two quantities of one kind, the second in brackets after the first. */
export interface Stated {
  first: Quantity;
  second: Quantity;
}

const OPENS =
  /^\s?[([](?:about |approximately |approx\.? |c\. |ca\. |roughly |some |or |i\.e\. |≈\s?|~)?$/;

/** The pairs of a text in which the second says the first in another unit. */
export function statedTwice(quantities: readonly Quantity[], text: string): Stated[] {
  return quantities.flatMap((second, index) => {
    const first = quantities[index - 1];
    if (!first || first.kind !== second.kind || first.unit === second.unit) return [];
    if (!OPENS.test(text.slice(first.to, second.from))) return [];
    return /^[^()[\]]{0,12}[)\]]/.test(text.slice(second.to)) ? [{ first, second }] : [];
  });
}

/** Units of one name that are another size in the other country. Imperial measures: UK Weights and Measures Act 1985. */
const ALSO: Readonly<Record<string, number>> = {
  gal: 0.00454609,
  qt: 0.001136523,
  pt: 0.000568261,
  ton: 1016.0469,
  bbl: 0.16365924,
  kt: 1000,
};
const BIG = 100;

/** Half of what the last figure counts; that of a round number is a round one. */
function rounding({ value, number }: Quantity): number {
  const size = Math.abs(value);
  if (number.decimals > 0 || size < BIG || !Number.isInteger(size))
    return 0.5 * 10 ** -number.decimals;
  const zeros = /0*$/.exec(String(size))?.[0].length ?? 0;
  return 0.5 * 10 ** zeros;
}

/** Whether two statements of a quantity agree, each being rounded as it is written. */
export function agree({ first, second }: Stated): boolean {
  const room = rounding(first) * first.factor + rounding(second) * second.factor;
  const sizes = (one: Quantity) => [one.factor, ...(ALSO[one.unit] ? [ALSO[one.unit] ?? 0] : [])];
  return sizes(first).some((one) =>
    sizes(second).some((other) => {
      // A difference of temperatures has no zero point.
      const offsets = first.offset === second.offset ? [0] : [first.offset - second.offset, 0];
      return offsets.some((offset) => {
        const apart = Math.abs(first.value * one + offset - second.value * other);
        return apart <= room * 1.05;
      });
    }),
  );
}

/** What units of the one system become in the other, as they are usually stated. */
const COUNTERPARTS: Readonly<Record<string, string>> = {
  in: "mm",
  ft: "m",
  yd: "m",
  mi: "km",
  fathom: "m",
  furlong: "m",
  lb: "kg",
  oz: "g",
  st: "kg",
  ton: "t",
  ac: "ha",
  gal: "L",
  pt: "L",
  qt: "L",
  floz: "mL",
  "°F": "°C",
  mph: "km/h",
  psi: "kPa",
  lbf: "N",
  hp: "kW",
  Btu: "kJ",
  mm: "in",
  cm: "in",
  m: "ft",
  km: "mi",
  g: "oz",
  kg: "lb",
  t: "ton",
  ha: "ac",
  L: "gal",
  mL: "floz",
  "°C": "°F",
  "km/h": "mph",
  "m/s": "mph",
  kPa: "psi",
  kW: "hp",
};

/** Units that are products have no symbol of their own to be looked up by. */
const KMH = 1000 / 3600;

function sizeOf(symbol: string): { factor: number; offset: number } | null {
  if (symbol === "km/h") return { factor: KMH, offset: 0 };
  return unitBySymbol(symbol)?.unit ?? null;
}

/** A quantity in the counterpart of its unit, to as many figures as it is given with, "27 m"; null without one. */
export function converted(quantity: Quantity): string | null {
  const symbol = COUNTERPARTS[quantity.unit];
  const other = symbol === undefined ? null : sizeOf(symbol);
  if (symbol === undefined || !other) return null;
  return `${inUnit(quantity, other)} ${symbol}`;
}

/** The number of a quantity in another unit. */
export function inUnit(quantity: Quantity, other: { factor: number; offset: number }): string {
  const value = (quantity.value * quantity.factor + quantity.offset - other.offset) / other.factor;
  if (other.offset > 0)
    return String(
      Math.round(value * 10 ** quantity.number.decimals) / 10 ** quantity.number.decimals,
    );
  const figures = Math.max(2, significant(quantity));
  return String(Number(value.toPrecision(figures)));
}

function significant({ value, number: { decimals } }: Quantity): number {
  const size = Math.abs(value);
  if (size === 0) return 2;
  return Math.floor(Math.log10(size)) + 1 + decimals;
}
