import data from "../../../../data/units.json" with { type: "json" };

/**
 * Units of measurement by their symbols and names: the SI with its prefixes, units accepted beside it, those
 * of the imperial and US systems, and some that are customary in a trade. Factors, systems and kinds of
 * quantity are those of the Unicode CLDR; symbols are those of the SI Brochure (BIPM, 9th edition, 2019,
 * tables 2 to 8) and of NIST SP 811 (2008), appendix B.
 */

export type UnitSystem = "metric" | "customary" | "nautical" | "other";

/** One unit, or a product of several. */
export interface Unit {
  /** Its symbol, as the SI Brochure writes it. */
  symbol: string;
  /** Value in base units: `factor` times the number, plus `offset`. */
  factor: number;
  offset: number;
  /** Powers of base units. */
  powers: ReadonlyMap<string, number>;
  system: UnitSystem;
}

/** What a symbol or name in a text stands for. */
export interface UnitForm {
  unit: Unit;
  /** It is a name, not a symbol. */
  isName: boolean;
  /** What should stand there, where the symbol is malformed, and what is wrong with it. */
  right?: string;
  fault?: UnitFault;
}

/** A plural of a symbol, capitals or small letters where others belong, or no symbol of the unit at all. */
export type UnitFault = "plural" | "case" | "symbol";

/** Prefixes that are met in text; the others make words of their own with symbols of a letter. */
const PREFIXES = data.prefixes.filter(({ power }) => power >= -12 && power <= 15 && power !== 1);
/** Prefixes of these alone are in use. */
const PREFIXES_OF: Readonly<Record<string, string>> = {
  m: "kcdmμnp",
  g: "kmμnpM",
  s: "mμnp",
  L: "mμdchkM",
  l: "mμdch",
  t: "kMG",
  bar: "mk",
  B: "kMGTP",
  bit: "kMGT",
  cal: "k",
  px: "M",
  pc: "kM",
  rad: "mμ",
  K: "mμ",
  mol: "mμnpk",
  cd: "m",
  lm: "k",
  lx: "k",
  Da: "kM",
};
/** Symbols that would be words or other units. */
const NO_SYMBOLS = new Set("pm pt ft cd mad Pl pa".split(" "));
/** Names that are mostly other things. */
const NO_NAMES = new Set("stones grains grays bars cups points chain".split(" "));
/** Words that only look like the plural of a symbol. */
const NO_PLURALS = new Set("has bars ins its was gas pas mas as is us this days".split(" "));
const MICRO = ["µ", "μ", "u"];

const SYMBOLS = new Map<string, UnitForm>();
const NAMES = new Map<string, UnitForm>();
const PHRASES: { phrase: string; form: UnitForm }[] = [];

function powersOf(base: string): ReadonlyMap<string, number> {
  return new Map(
    base.split(" ").map((part) => {
      const [, name = part, power = "1"] = /^([a-z]+)(-?\d+)?$/.exec(part) ?? [];
      return [name, Number(power)];
    }),
  );
}

function unitOf(symbol: string, one: (typeof data.units)[number], by = 1): Unit {
  const { factor, offset = 0, base, system } = one;
  return {
    symbol,
    factor: factor * by,
    offset,
    powers: powersOf(base),
    system: system as UnitSystem,
  };
}

for (const one of data.units) {
  const [main = one.names[0] ?? one.id] = one.symbols;
  const unit = unitOf(main, one);
  for (const symbol of one.symbols) SYMBOLS.set(symbol, { unit, isName: false });
  for (const name of one.names) if (!NO_NAMES.has(name)) NAMES.set(name, { unit, isName: true });
  for (const phrase of one.phrases ?? []) {
    PHRASES.push({ phrase, form: { unit, isName: !phrase.startsWith("fl") } });
  }
  if (!one.prefixable) continue;
  for (const { name, symbol: sign, power } of PREFIXES) {
    for (const symbol of one.symbols) {
      const allowed = PREFIXES_OF[symbol];
      const written = sign === "μ" ? "µ" : sign;
      if (
        allowed !== undefined
          ? !allowed.includes(sign)
          : !"TGMkmμnp".includes(sign) && symbol !== "Pa"
      )
        continue;
      const prefixed = unitOf(`${written}${symbol}`, one, 10 ** power);
      const form: UnitForm = { unit: prefixed, isName: false };
      if (!NO_SYMBOLS.has(`${written}${symbol}`) && !SYMBOLS.has(`${written}${symbol}`)) {
        for (const micro of sign === "μ" ? MICRO : [sign]) {
          const met = `${micro}${symbol}`;
          if (micro === "u") SYMBOLS.set(met, { ...form, right: prefixed.symbol, fault: "symbol" });
          else SYMBOLS.set(met, form);
        }
      }
    }
    const main = SYMBOLS.get(`${sign}${one.symbols[0]}`) ?? SYMBOLS.get(`µ${one.symbols[0]}`);
    const prefixed = main?.unit ?? unitOf(`${sign}${one.symbols[0]}`, one, 10 ** power);
    for (const unprefixed of one.names)
      NAMES.set(`${name}${unprefixed}`, { unit: prefixed, isName: true });
  }
}
PHRASES.sort((one, other) => other.phrase.length - one.phrase.length);

/** Symbols in use that are products or ratios of others. */
const PRODUCTS: Readonly<Record<string, readonly [of: string, right?: string]>> = {
  mph: ["mi/h"],
  kph: ["km/h", "km/h"],
  kmh: ["km/h", "km/h"],
  kmph: ["km/h", "km/h"],
  psi: ["lbf/in2"],
  mpg: ["mi/gal"],
  kWh: ["kW·h"],
  MWh: ["MW·h"],
  GWh: ["GW·h"],
  TWh: ["TW·h"],
  Wh: ["W·h"],
  mAh: ["mA·h"],
  Ah: ["A·h"],
  Nm: ["N·m", "N m"],
  bps: ["bit/s"],
  kbps: ["kbit/s"],
  Mbps: ["Mbit/s"],
  Gbps: ["Gbit/s"],
  cc: ["cm3", "cm³"],
  sqm: ["m2", "m²"],
};

/** Powers of base units multiplied out. */
export function product(
  parts: readonly { unit: Unit; power: number }[],
): Pick<Unit, "factor" | "offset" | "powers"> {
  const powers = new Map<string, number>();
  let factor = 1;
  for (const { unit, power } of parts) {
    factor *= unit.factor ** power;
    for (const [base, own] of unit.powers) powers.set(base, (powers.get(base) ?? 0) + own * power);
  }
  for (const [base, power] of powers) if (power === 0) powers.delete(base);
  const [only] = parts;
  const offset = parts.length === 1 && only?.power === 1 ? only.unit.offset : 0;
  return { factor, offset, powers };
}

const RAISED: Readonly<Record<number, string>> = { 2: "²", 3: "³", 4: "⁴" };

/** The symbol of a product as the SI Brochure writes it: "kg/m³", "N·m". */
export function symbolOf(parts: readonly { unit: Unit; power: number }[]): string {
  const raised = (symbol: string, power: number) =>
    symbol + (power === 1 ? "" : (RAISED[power] ?? `^${power}`));
  const above = parts
    .filter(({ power }) => power > 0)
    .map(({ unit, power }) => raised(unit.symbol, power));
  const below = parts
    .filter(({ power }) => power < 0)
    .map(({ unit, power }) => raised(unit.symbol, -power));
  if (below.length === 0) return above.join("·");
  const under = below.length === 1 ? below[0] : `(${below.join("·")})`;
  const ratio = `${above.length === 0 ? "1" : above.join("·")}/${under}`;
  return ratio === "mi/h" ? "mph" : ratio;
}

/** The system of a product: the first of its parts that has one of its own. */
export function systemOf(parts: readonly { unit: Unit }[]): UnitSystem {
  const systems = parts.filter(({ unit }) => !unit.powers.has("second") || unit.powers.size > 1);
  const [first] = systems.length > 0 ? systems : parts;
  return (
    systems.find(({ unit }) => unit.system === "customary")?.unit.system ??
    first?.unit.system ??
    "other"
  );
}

for (const [symbol, [of, right]] of Object.entries(PRODUCTS)) {
  const parts = of.split(/[·/]/).map((part, index) => {
    const [, name = "", power = "1"] = /^(\D+)(\d)?$/.exec(part) ?? [];
    const unit = SYMBOLS.get(name)?.unit;
    if (!unit) throw new Error(`no unit ${name}`);
    return { unit, power: Number(power) * (index > 0 && of.includes("/") ? -1 : 1) };
  });
  const unit: Unit = {
    ...product(parts),
    symbol: right ? symbolOf(parts) : symbol,
    system: systemOf(parts),
  };
  SYMBOLS.set(symbol, {
    unit,
    isName: false,
    ...(right ? { right, fault: "symbol" as const } : {}),
  });
}
const [pressure, portion] = [SYMBOLS.get("Pa")?.unit, powersOf("part")];
if (pressure) {
  // NIST SP 811, appendix B.8: conventional millimetre and inch of mercury.
  const mercury = { ...pressure, offset: 0 };
  SYMBOLS.set("mmHg", {
    unit: { ...mercury, symbol: "mmHg", factor: 133.3224, system: "other" },
    isName: false,
  });
  SYMBOLS.set("inHg", {
    unit: { ...mercury, symbol: "inHg", factor: 3386.389, system: "customary" },
    isName: false,
  });
}
for (const [symbol, factor] of [
  ["ppm", 1e-6],
  ["ppb", 1e-9],
] as const) {
  const unit: Unit = { symbol, factor, offset: 0, powers: portion, system: "other" };
  SYMBOLS.set(symbol, { unit, isName: false });
}
const turns = powersOf("revolution second-1");
SYMBOLS.set("rpm", {
  unit: { symbol: "rpm", factor: 1 / 60, offset: 0, powers: turns, system: "other" },
  isName: false,
});
SYMBOLS.set("dB", {
  unit: { symbol: "dB", factor: 1, offset: 0, powers: new Map([["decibel", 1]]), system: "metric" },
  isName: false,
});

/** What is written for a symbol that has another. */
const MISWRITTEN: Readonly<Record<string, readonly [right: string, fault: UnitFault]>> = {
  sec: ["s", "symbol"],
  secs: ["s", "plural"],
  hr: ["h", "symbol"],
  hrs: ["h", "plural"],
  mins: ["min", "plural"],
  gm: ["g", "symbol"],
  gms: ["g", "plural"],
  grm: ["g", "symbol"],
  mtr: ["m", "symbol"],
  mtrs: ["m", "plural"],
  ltr: ["L", "symbol"],
  ltrs: ["L", "plural"],
  lt: ["L", "symbol"],
  amp: ["A", "symbol"],
  msec: ["ms", "symbol"],
  ºC: ["°C", "symbol"],
  ºF: ["°F", "symbol"],
  "˚C": ["°C", "symbol"],
  "˚F": ["°F", "symbol"],
  "°c": ["°C", "case"],
  "°f": ["°F", "case"],
  Kilo: ["kg", "symbol"],
};
for (const [written, [right, fault]] of Object.entries(MISWRITTEN)) {
  const known = SYMBOLS.get(right);
  if (known && !NAMES.has(written)) SYMBOLS.set(written, { ...known, right, fault });
}

/** Symbols by their small letters, where only one has these. */
const BY_LETTERS = new Map<string, UnitForm | null>();
for (const [symbol, form] of SYMBOLS) {
  const letters = symbol.toLowerCase();
  if (
    form.right !== undefined ||
    symbol.length < 2 ||
    /^(?:kn|nm|bit|min|cal|bar|hp|in|st|ton)$/.test(letters)
  )
    continue;
  const known = BY_LETTERS.get(letters);
  BY_LETTERS.set(
    letters,
    known === undefined || known?.unit.symbol === form.unit.symbol ? form : null,
  );
}
/** Of two symbols that differ in capitals only, the one that is meant. */
const MEANT: Readonly<Record<string, string>> = {
  mhz: "MHz",
  mpa: "MPa",
  ml: "mL",
  kw: "kW",
  mw: "MW",
};

/** What a symbol stands for, malformed ones too; null for none. */
export function unitBySymbol(written: string): UnitForm | null {
  const known = SYMBOLS.get(written);
  if (known) return known;
  if (/^[\p{L}°µμΩ]{2,4}s$/u.test(written) && !NO_PLURALS.has(written)) {
    const single = SYMBOLS.get(written.slice(0, -1));
    if (single && single.unit.symbol.length > 1 && !single.right) {
      return { ...single, right: written.slice(0, -1), fault: "plural" };
    }
  }
  if (!/^[A-Za-z°]{2,4}s?$/.test(written)) return null;
  const letters = written.toLowerCase();
  const meant =
    SYMBOLS.get(MEANT[letters] ?? "") ??
    BY_LETTERS.get(letters) ??
    BY_LETTERS.get(letters.replace(/s$/, ""));
  if (!meant || (written === letters && !/^(?:k|m|h|g)(?:hz|pa|w|wh|v|j)$/.test(letters)))
    return null;
  return {
    ...meant,
    right: meant.unit.symbol,
    fault: letters.endsWith("s") && !BY_LETTERS.get(letters) ? "plural" : "case",
  };
}

/** What a name stands for, small letters. */
export function unitByName(name: string): UnitForm | null {
  return NAMES.get(name) ?? null;
}

/** The name or symbol of several words that a text begins with. */
export function unitPhrase(text: string): { length: number; form: UnitForm } | null {
  for (const { phrase, form } of PHRASES) {
    if (text.startsWith(phrase) && !/^\p{L}/u.test(text.slice(phrase.length))) {
      return { length: phrase.length, form };
    }
  }
  return null;
}

const KINDS: ReadonlyMap<string, string> = new Map([
  ...Object.entries(data.kinds),
  ["decibel", "level"],
  ["meter3 second-1", "flow of volume"],
  ["kilogram second-1", "flow of mass"],
  ["bit second-1", "data rate"],
]);

/** The kind of quantity of powers of base units: "length", "speed"; the powers themselves where it has no name. */
export function kindOf(powers: ReadonlyMap<string, number>): string {
  const key = [...powers]
    .sort(([one], [other]) => one.localeCompare(other))
    .map(([base, power]) => (power === 1 ? base : `${base}${power}`))
    .join(" ");
  return KINDS.get(key) ?? (key || "ratio");
}
