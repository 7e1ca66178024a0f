import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { tmpdir } from "node:os";
import path from "node:path";
import { recordInputs } from "./inputs.ts";

/**
 * Builds data/units.json from the Unicode CLDR: factors, systems and kinds of quantity of `cldr-core`, names of
 * `cldr-units-full`, of which only English is unpacked. Symbols are those of the SI Brochure (9th edition,
 * tables 2 to 8) and of NIST SP 811 (2008), appendix B, where CLDR has others for display.
 */
const CLDR_UNITS = "cldr-units-full@48.2.0";
const LOCALES = ["en", "en-GB"];

interface Converting {
  _baseUnit: string;
  _factor?: string;
  _offset?: string;
  _systems: string[];
}
interface Supplemental {
  supplemental: {
    unitPrefixes: Record<string, { _symbol: string; _power10?: string }>;
    unitConstants: Record<string, { _value: string }>;
    unitQuantities: Record<string, { _quantity: string }>;
    convertUnits: Record<string, Converting>;
  };
}

/** Symbols by CLDR's name of the unit; the first is the right one, the others are right beside it. */
const SYMBOLS: Record<string, string> = {
  meter: "m",
  gram: "g",
  second: "s",
  ampere: "A",
  kelvin: "K",
  mole: "mol",
  candela: "cd",
  radian: "rad",
  steradian: "sr",
  hertz: "Hz",
  newton: "N",
  pascal: "Pa",
  joule: "J",
  watt: "W",
  coulomb: "C",
  volt: "V",
  farad: "F",
  ohm: "Ω \u2126",
  siemens: "S",
  weber: "Wb",
  tesla: "T",
  henry: "H",
  celsius: "°C ℃",
  lumen: "lm",
  lux: "lx",
  becquerel: "Bq",
  gray: "Gy",
  sievert: "Sv",
  katal: "kat",
  minute: "min",
  hour: "h",
  day: "d",
  degree: "°",
  hectare: "ha",
  liter: "L l",
  tonne: "t",
  dalton: "Da",
  electronvolt: "eV",
  bar: "bar",
  "astronomical-unit": "au",
  "nautical-mile": "nmi",
  knot: "kn kt",
  byte: "B",
  bit: "bit",
  week: "wk",
  year: "yr",
  inch: "in",
  foot: "ft",
  yard: "yd",
  mile: "mi",
  fathom: "fathom",
  furlong: "furlong",
  chain: "chain",
  pound: "lb",
  ounce: "oz",
  stone: "st",
  ton: "ton",
  grain: "gr",
  "ounce-troy": "ozt",
  acre: "ac",
  gallon: "gal",
  quart: "qt",
  pint: "pt",
  cup: "cup",
  "fluid-ounce": "floz",
  tablespoon: "tbsp",
  teaspoon: "tsp",
  barrel: "bbl",
  bushel: "bu",
  fahrenheit: "°F ℉",
  "pound-force": "lbf",
  atmosphere: "atm",
  calorie: "cal",
  "british-thermal-unit": "Btu BTU",
  horsepower: "hp",
  carat: "ct",
  pixel: "px",
  point: "",
  fortnight: "",
  century: "",
  decade: "",
  "light-year": "ly",
  parsec: "pc",
  month: "",
  "arc-minute": "′",
  "arc-second": "″",
  "kilogram-force": "kgf",
  slug: "slug",
};
/** Names that CLDR's patterns do not have. */
const NAMES: Record<string, string> = {
  liter: "litre liter",
  meter: "metre meter",
  gram: "gram gramme",
  ampere: "ampere amp",
  tonne: "tonne",
  ton: "ton",
  foot: "foot feet",
  inch: "inch inches",
  degree: "degree",
  "pound-force": "",
  calorie: "calorie",
  gallon: "gallon",
  pint: "pint",
  quart: "quart",
  cup: "",
  pound: "pound",
  ounce: "ounce",
  stone: "stone",
  carat: "carat",
  point: "",
  bar: "bar bars",
  day: "day",
  knot: "knot",
  celsius: "",
  fahrenheit: "",
  atmosphere: "atmosphere",
  byte: "byte",
  bit: "bit",
  "nautical-mile": "",
  "light-year": "",
  henry: "henry henries henrys",
  hertz: "hertz",
  lux: "lux",
  siemens: "siemens",
  chain: "",
  fathom: "fathom",
  furlong: "furlong",
  fortnight: "fortnight",
  tesla: "tesla",
  weber: "weber",
  gray: "gray",
  slug: "",
  tablespoon: "tablespoon",
  teaspoon: "teaspoon",
  "fluid-ounce": "",
  "ounce-troy": "",
  "arc-minute": "arcminute",
  "arc-second": "arcsecond",
  decade: "",
  century: "",
  "astronomical-unit": "",
  "kilogram-force": "",
  "british-thermal-unit": "",
  horsepower: "horsepower",
  pixel: "pixel",
  steradian: "steradian",
  katal: "katal",
  coulomb: "coulomb",
  farad: "farad",
  mole: "mole",
  candela: "candela",
};
/** Names of two words, and symbols of two, as they are met in text. */
const PHRASES: Record<string, string[]> = {
  celsius: ["degree Celsius", "degrees Celsius", "degree centigrade", "degrees centigrade"],
  fahrenheit: ["degree Fahrenheit", "degrees Fahrenheit"],
  "nautical-mile": ["nautical mile", "nautical miles"],
  "fluid-ounce": ["fluid ounce", "fluid ounces", "fl oz", "fl. oz."],
  "light-year": ["light year", "light years"],
  "astronomical-unit": ["astronomical unit", "astronomical units"],
  "british-thermal-unit": ["British thermal unit", "British thermal units"],
  "pound-force": ["pound-force", "pounds-force"],
};
const IRREGULAR = new Set([
  "foot feet",
  "inch inches",
  "bar bars",
  "henry henries henrys",
  "hertz",
  "lux",
  "siemens",
  "horsepower",
]);

const require = createRequire(import.meta.url);
const core = (require("cldr-core/supplemental/units.json") as Supplemental).supplemental;

/** A product of constants and numbers over another; CLDR binds "*" closer than "/". */
function value(expression: string): number {
  const [above = "1", ...below] = expression.split("/");
  const product = (part: string) =>
    part
      .split("*")
      .map((factor) => factor.trim())
      .reduce((all, factor) => {
        const constant = core.unitConstants[factor];
        return all * (constant ? value(constant._value) : Number(factor));
      }, 1);
  return below.reduce((all, part) => all / product(part), product(above));
}

/** Base units with their powers, in one order: "kilogram-meter-per-square-second" as "kg m s-2". */
function dimension(base: string): string {
  const powers = new Map<string, number>();
  const [above = "", below] = base.startsWith("per-") ? ["", base.slice(4)] : base.split("-per-");
  const add = (part: string, sign: number) => {
    let power = 1;
    for (const word of part.split("-").filter(Boolean)) {
      if (word === "square") power = 2;
      else if (word === "cubic") power = 3;
      else if (/^pow\d$/.test(word)) power = Number(word.slice(3));
      else {
        powers.set(word, (powers.get(word) ?? 0) + sign * power);
        power = 1;
      }
    }
  };
  add(above, 1);
  add(below ?? "", -1);
  return [...powers]
    .filter(([, power]) => power !== 0)
    .sort(([one], [other]) => one.localeCompare(other))
    .map(([word, power]) => (power === 1 ? word : `${word}${power}`))
    .join(" ");
}

const SYSTEMS: Record<string, string> = { si: "metric", metric: "metric", si_acceptable: "metric" };

function systemOf(id: string, systems: readonly string[]): string {
  if (id === "knot" || id === "nautical-mile") return "nautical";
  const found = systems.map((one) => SYSTEMS[one]).find(Boolean);
  if (found) return found;
  return systems.some((one) => one === "ussystem" || one === "uksystem") &&
    !systems.includes("metric_adjacent")
    ? "customary"
    : "other";
}

/** English names of each unit in CLDR, one and many. */
function namesFrom(folder: string): Map<string, Set<string>> {
  const names = new Map<string, Set<string>>();
  for (const locale of LOCALES) {
    const file = path.join(folder, "package/main", locale, "units.json");
    const { main } = JSON.parse(readFileSync(file, "utf8")) as {
      main: Record<string, { units: { long: Record<string, Record<string, string>> } }>;
    };
    for (const [id, patterns] of Object.entries(main[locale]?.units.long ?? {})) {
      const unit = id.slice(id.indexOf("-") + 1);
      for (const key of ["unitPattern-count-one", "unitPattern-count-other"]) {
        const name = patterns[key]?.replace("{0} ", "");
        if (name) names.set(unit, (names.get(unit) ?? new Set()).add(name));
      }
    }
  }
  return names;
}

const folder = mkdtempSync(path.join(tmpdir(), "units-"));
try {
  const [packed = ""] = execFileSync("npm", ["pack", CLDR_UNITS, "--silent"], { cwd: folder })
    .toString()
    .trim()
    .split("\n");
  const members = LOCALES.map((locale) => `package/main/${locale}/units.json`);
  execFileSync("tar", ["xzf", packed, ...members], { cwd: folder });
  const named = namesFrom(folder);
  const units = Object.entries(SYMBOLS).map(([id, symbols]) => {
    const converting = core.convertUnits[id];
    if (!converting) throw new Error(`CLDR has no unit ${id}`);
    const { _baseUnit, _factor = "1", _offset = "0", _systems } = converting;
    const own = NAMES[id];
    const listed = own === undefined ? [] : own.split(" ").filter(Boolean);
    const plural = own !== undefined && IRREGULAR.has(own) ? [] : listed.map((name) => `${name}s`);
    const known =
      own === undefined
        ? [...(named.get(id) ?? [])].filter((name) => !/[^a-zA-Z-]/.test(name))
        : [];
    const year = _baseUnit === "year";
    return {
      id,
      symbols: symbols.split(" ").filter(Boolean),
      names: [...new Set([...listed, ...plural, ...known])],
      ...(PHRASES[id] ? { phrases: PHRASES[id] } : {}),
      // A year is 365.25 days (SI Brochure, note to table 8, leaves it undefined; the Julian year is IAU's).
      factor: value(_factor) * (year ? 31_557_600 : 1),
      ...(_offset === "0" ? {} : { offset: value(_offset) }),
      base: year ? "second" : dimension(_baseUnit),
      system: systemOf(id, _systems),
      ...(_systems.includes("prefixable") &&
      !/^(?:minute|hour|day|year|week|hectare|degree)$/.test(id)
        ? { prefixable: true }
        : {}),
    };
  });
  const kinds = Object.fromEntries(
    Object.entries(core.unitQuantities)
      .map(([base, { _quantity }]) => [dimension(base), _quantity.replaceAll("-", " ")])
      .filter(([base]) => base !== "year"),
  );
  kinds.second = "time";
  const prefixes = Object.entries(core.unitPrefixes)
    .filter(([, { _power10 }]) => _power10 !== undefined)
    .map(([name, { _symbol, _power10 }]) => ({ name, symbol: _symbol, power: Number(_power10) }));
  const target = path.resolve(import.meta.dirname, "../data/units.json");
  writeFileSync(target, `${JSON.stringify({ units, kinds, prefixes }, null, 1)}\n`);
  console.log(
    `${units.length} units, ${Object.keys(kinds).length} kinds, ${prefixes.length} prefixes`,
  );
} finally {
  rmSync(folder, { recursive: true });
}
recordInputs("units.json");
