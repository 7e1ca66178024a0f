import type { UnitSystem } from "../language/quantities/units.ts";
import type { Gathering } from "./gathering.ts";

/** The quantities of a document, gathered by kind: which units serve it, how often and where. */

export interface PlacedQuantity {
  from: number;
  to: number;
  block: number;
  /** In the unit written. */
  value: number;
  /** As the SI Brochure writes it. */
  unit: string;
  kind: string;
  system: UnitSystem;
  /** As it stands in the text. */
  written: string;
  /** In the base unit of its kind. */
  size: number;
  factor: number;
  offset: number;
}

export interface UnitRow {
  unit: string;
  system: UnitSystem;
  /** In base units a value is this many times the number, plus `offset`. */
  factor: number;
  offset: number;
  places: PlacedQuantity[];
}

export interface KindRow {
  kind: string;
  units: UnitRow[];
  /** More than one of the systems serves it. */
  mixed: boolean;
  /** What was found of its quantities. */
  findings: { from: number; to: number; rule: string; reason: string }[];
}

const RULES = new Set(
  "unit-system unit-symbol unit-space unit-plural unit-stop range-units precision conversion"
    .split(" ")
    .map((name) => `consistency/${name}`),
);

/** Every quantity of a document in its order. */
export function quantitiesOfDocument(source: Gathering): PlacedQuantity[] {
  const found: PlacedQuantity[] = [];
  for (const { block, start, quantities } of source.quantities()) {
    const text = source.textOf(block);
    for (const { from, to, value, unit, kind, system, factor, offset } of quantities) {
      found.push({
        from: start + from,
        to: start + to,
        block,
        value,
        unit,
        kind,
        system,
        written: text.slice(from, to),
        size: value * factor + offset,
        factor,
        offset,
      });
    }
  }
  return found;
}

/** The kinds of quantity, those with more than one system or something found first, then the commonest. */
export function gatherQuantities(source: Gathering): KindRow[] {
  const kinds = new Map<string, Map<string, UnitRow>>();
  const all = quantitiesOfDocument(source);
  for (const quantity of all) {
    const { kind, unit, system, factor, offset } = quantity;
    const units = kinds.get(kind) ?? new Map<string, UnitRow>();
    kinds.set(kind, units);
    const row = units.get(unit) ?? { unit, system, factor, offset, places: [] };
    units.set(unit, row);
    row.places.push(quantity);
  }
  const marks = source
    .marks()
    .filter(({ rule }) => RULES.has(rule))
    .map(({ rule, reason, block, from, to }) => {
      const start = source.startOf(block);
      return { rule, reason, from: start + from, to: start + to };
    });
  return [...kinds]
    .map(([kind, units]) => {
      const rows = [...units.values()].sort(
        (one, other) => other.places.length - one.places.length,
      );
      const systems = new Set(rows.map(({ system }) => system).filter((one) => one !== "other"));
      const findings = marks.filter(({ from, to }) =>
        rows.some(({ places }) => places.some((place) => place.from < to && place.to > from)),
      );
      return { kind, units: rows, mixed: systems.size > 1 && kind !== "time", findings };
    })
    .sort(
      (one, other) =>
        Number(other.mixed || other.findings.length > 0) -
          Number(one.mixed || one.findings.length > 0) || placesIn(other) - placesIn(one),
    );
}

function placesIn({ units }: KindRow): number {
  return units.reduce((sum, { places }) => sum + places.length, 0);
}
