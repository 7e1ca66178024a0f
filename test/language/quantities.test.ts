import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { quantitiesIn } from "../../src/core/language/quantities/quantities.ts";
import { unitBySymbol } from "../../src/core/language/quantities/units.ts";

const told = (text: string) =>
  quantitiesIn(text).map(({ value, unit, kind }) => `${value} ${unit} ${kind}`);

describe("quantities in text", () => {
  // SI Brochure, 9th edition (BIPM 2019), 5.4.3 and 5.4.6: examples of how quantities are written.
  const BROCHURE: [text: string, value: number, unit: string, kind: string][] = [
    ["the resistivity was 20 kΩ", 20, "kΩ", "electric resistance"],
    ["it was 30.2 °C outside", 30.2, "°C", "temperature"],
    ["a length of 10.234 m", 10.234, "m", "length"],
    ["a field of 5 kV/m", 5, "kV/m", "ampere-1 kilogram meter second-3"],
    ["a density of 1.2 kg/m³", 1.2, "kg/m³", "mass density"],
    ["an acceleration of 9.8 m s−2", 9.8, "m/s²", "acceleration"],
    ["a moment of 3 N m", 3, "N·m", "energy"],
    ["a viscosity of 2 Pa s", 2, "Pa·s", "kilogram meter-1 second-1"],
    ["a mass of 35.4 mm long", 35.4, "mm", "length"],
    ["a speed of 25 m/s", 25, "m/s", "speed"],
    ["a dose of 4 Gy", 4, "Gy", "ionizing radiation"],
    ["an activity of 7 MBq", 7, "MBq", "radioactivity"],
  ];
  for (const [text, value, unit, kind] of BROCHURE) {
    test(`“${text}”`, () => assert.deepEqual(told(text), [`${value} ${unit} ${kind}`]));
  }

  test("share one unit across a range or a list, and a tolerance belongs to its value", () => {
    assert.deepEqual(told("5, 10 and 15 mm"), ["5 mm length", "10 mm length", "15 mm length"]);
    assert.deepEqual(told("5–10 m"), ["5 m length", "10 m length"]);
    assert.deepEqual(told("12 ± 0.5 mm"), ["12 mm length"]);
    assert.deepEqual(told("3 × 4 m"), ["3 m length", "4 m length"]);
  });

  test("are read from names and number words, and in two units beside each other", () => {
    assert.deepEqual(told("sixty metres"), ["60 m length"]);
    assert.deepEqual(told("20 miles per hour"), ["20 mph speed"]);
    assert.deepEqual(told("five square kilometres"), ["5 km² area"]);
    const [height] = quantitiesIn("3 ft 6 in, by the book");
    assert.equal(height?.value, 3.5);
    assert.equal(height?.to, "3 ft 6 in".length);
  });

  test("have thousands, powers of ten and signs", () => {
    assert.deepEqual(told("10,000 km"), ["10000 km length"]);
    assert.deepEqual(told("12 500 m"), ["12500 m length"]);
    assert.deepEqual(told("2 × 10^3 Pa"), ["2000 Pa pressure"]);
    assert.deepEqual(told("at −10 °C"), ["-10 °C temperature"]);
    assert.deepEqual(told("2½ miles"), ["2.5 mi length"]);
  });

  for (const text of [
    "in the 1930s",
    "see Figure 5 A",
    "a 3D film in 4K",
    "5 in the morning",
    "it cost £5 m",
    "he paid 300 pounds for it",
    "in 1953 has begun",
    "Section 3 m",
  ]) {
    test(`are not in “${text}”`, () => assert.deepEqual(told(text), []));
  }
});

describe("symbols of units", () => {
  // NIST SP 811 (2008), appendix B.8: factors to SI units; exact ones are in bold there.
  const NIST: [symbol: string, factor: number][] = [
    ["in", 2.54e-2],
    ["ft", 3.048e-1],
    ["yd", 9.144e-1],
    ["mi", 1.609344e3],
    ["lb", 4.5359237e-1],
    ["oz", 2.834952e-2],
    ["gal", 3.785412e-3],
    ["ac", 4.046856e3],
    ["lbf", 4.448222],
    ["psi", 6.894757e3],
    ["hp", 7.456999e2],
    ["atm", 1.01325e5],
    ["mmHg", 1.333224e2],
    ["kn", 5.144444e-1],
    ["ha", 1e4],
    ["t", 1e3],
    ["bar", 1e5],
    ["L", 1e-3],
    ["kWh", 3.6e6],
    ["mph", 4.4704e-1],
  ];
  for (const [symbol, factor] of NIST) {
    test(`one ${symbol} is ${factor} of its SI unit`, () => {
      const known = unitBySymbol(symbol)?.unit.factor ?? 0;
      assert.ok(Math.abs(known - factor) <= 5e-6 * factor, String(known));
    });
  }

  // SI Brochure, 9th edition, 3 and 5.2: capitals and plurals; NIST SP 811, 6.1.2 and 6.2.1.
  const MALFORMED: [written: string, right: string][] = [
    ["Km", "km"],
    ["KG", "kg"],
    ["kgs", "kg"],
    ["cms", "cm"],
    ["KW", "kW"],
    ["Mhz", "MHz"],
    ["khz", "kHz"],
    ["sec", "s"],
    ["hrs", "h"],
    ["cc", "cm³"],
    ["ug", "µg"],
    ["kph", "km/h"],
  ];
  for (const [written, right] of MALFORMED) {
    test(`“${written}” should be “${right}”`, () =>
      assert.equal(unitBySymbol(written)?.right, right));
  }

  test("that differ in capitals are different units", () => {
    for (const symbol of ["mg", "Mg", "mW", "MW", "mm", "Pa", "kPa", "hPa", "MPa"]) {
      const form = unitBySymbol(symbol);
      assert.equal(form?.right, undefined, symbol);
      assert.equal(form?.unit.symbol, symbol);
    }
    assert.equal(unitBySymbol("has"), null);
    assert.equal(unitBySymbol("pm"), null);
  });
});
