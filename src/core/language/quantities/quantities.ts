import { valueOfWords } from "../words/number-words.ts";
import {
  kindOf,
  product,
  symbolOf,
  systemOf,
  type Unit,
  type UnitFault,
  type UnitSystem,
  unitByName,
  unitBySymbol,
  unitPhrase,
} from "./units.ts";

/** A number with its unit as it stands in a text. Offsets are in that text. */
export interface Quantity {
  from: number;
  to: number;
  /** In the unit written. */
  value: number;
  /** The number as written, and how many figures follow its point. */
  number: { from: number; to: number; decimals: number };
  /** The unit where it stands; null where it is shared with a number that follows: "5, 10 and 15 mm". */
  written: { from: number; to: number } | null;
  /** Its symbol, as the SI Brochure writes it. */
  unit: string;
  /** The kind of quantity: "length", "speed". */
  kind: string;
  system: UnitSystem;
  factor: number;
  offset: number;
  /** The unit is a name, not a symbol. */
  isName: boolean;
  /** The number is in words. */
  inWords: boolean;
  /** What stands between number and unit. */
  gap: string;
  faults: readonly { from: number; to: number; right: string; fault: UnitFault }[];
}

const FIGURES =
  /(?<![\p{L}_.,/#@$£€¥:]|\d[.,]?)(?<sign>(?<=^|[\s([–—])[−-](?=\d))?(?<number>\d{1,3}(?:[,\u00a0\u202f\u2009 ]\d{3})+(?!\d)(?:\.\d+)?|\d+(?:\.\d+)?|\.\d+)(?<half>[½¼¾])?(?<power>\s?[×x]\s?10(?:\^?[−-]?\d+|[⁻⁰¹²³⁴-⁹]+))?|(?<![\p{L}\d])(?<alone>[½¼¾])/gu;
const WORDS =
  /(?<![\p{L}-])(?:(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|hundred|and)(?:[ -]|(?![\p{L}-])))+/giu;
/** Numbers in words are looked for where the name of a unit is met. */
const MEASURED =
  /met(?:er|re)|feet|foot|inch|yard|mile|gram|kilo|pound|ounce|tons?\b|tonne|stone|lit(?:er|re)|gallon|pint|acre|hectare|degree|knot|hours?|minutes?|seconds?|days?|weeks?|months?|years?|watt|volt|amp|fathom|square|cubic/;
/** What numbers share one unit across. */
const SHARES = /^(?:\s?[–—-]\s?|,? (?:to|and|or|by) |, |\s?[×x]\s?)$/;
const TOLERANCE = /^\s?(?:±|\+\/-|\+\/−)\s?$/;
/** What gives the number after it to something else. */
const LABELLED =
  /(?:\b(?:figure|fig\.?|table|section|chapter|part|appendix|annex|no\.?|note|page|pp?\.|line|class|grade|type|group|step|item|level|question|equation|eq\.?|version|room|platform|gate|route|row|column|day|week|year|month|vol\.?)\s?|[$£€¥]\s?)$/i;
const HALVES: Readonly<Record<string, number>> = { "½": 0.5, "¼": 0.25, "¾": 0.75 };
const RAISED = "⁰¹²³⁴⁵⁶⁷⁸⁹";

interface Numeral {
  from: number;
  to: number;
  value: number;
  decimals: number;
  inWords: boolean;
}

/** The quantities of a text, in its order. */
export function quantitiesIn(text: string): Quantity[] {
  const found: Quantity[] = [];
  let next = null as { numeral: Numeral; quantity: Quantity } | null;
  for (const measured of measuredIn(text).reverse()) {
    const { numeral } = measured;
    const between = next ? text.slice(numeral.to, next.numeral.from) : "";
    let quantity: Quantity | null = measured.quantity;
    if (!quantity && next && TOLERANCE.test(between)) {
      found.pop();
      const { from, value } = numeral;
      quantity = { ...next.quantity, from, value, number: numberOf(numeral) };
    } else if (!quantity && next && isShared(text, numeral, between)) {
      const { from, to, value } = numeral;
      const number = numberOf(numeral);
      quantity = { ...next.quantity, from, to, value, number, written: null, faults: [] };
    }
    if (quantity) found.push(quantity);
    next = quantity && { numeral, quantity };
  }
  return joined(found.reverse(), text);
}

/** Units of one measure that are written beside each other: "3 ft 1 in", "2 h 30 min". */
const BESIDE: Readonly<Record<string, string>> = {
  ft: "in",
  yd: "ft",
  lb: "oz",
  st: "lb",
  h: "min",
  min: "s",
  "°": "′",
  "′": "″",
};

function joined(quantities: readonly Quantity[], text: string): Quantity[] {
  const whole: Quantity[] = [];
  for (const one of quantities) {
    const before = whole.at(-1);
    const isRest =
      before?.written &&
      BESIDE[before.unit] === one.unit &&
      /^,? ?(?:and )?$/.test(text.slice(before.to, one.from)) &&
      before.number.decimals === 0;
    if (!isRest) whole.push(one);
    else {
      const value = before.value + (one.value * one.factor) / before.factor;
      const faults = [...before.faults, ...one.faults];
      // What is measured to the smaller unit is rounded as that is.
      const number = { ...before.number, decimals: one.number.decimals + 1 };
      whole[whole.length - 1] = { ...before, to: one.to, value, number, faults };
    }
  }
  return whole;
}

/** Numbers with the units that stand after them; what is a part of a unit, such as its power, is none. */
function measuredIn(text: string): { numeral: Numeral; quantity: Quantity | null }[] {
  let end = 0;
  return numeralsIn(text).flatMap((numeral) => {
    if (numeral.from < end) return [];
    const quantity = quantityAt(text, numeral);
    end = quantity?.to ?? numeral.to;
    return [{ numeral, quantity }];
  });
}

/** Whether a number has the unit of the next one: "5–10 m". */
function isShared(text: string, { from, inWords }: Numeral, between: string): boolean {
  return (
    SHARES.test(between) && !inWords && !LABELLED.test(text.slice(Math.max(0, from - 14), from))
  );
}

function numberOf({ from, to, decimals }: Numeral): Quantity["number"] {
  return { from, to, decimals };
}

function numeralsIn(text: string): Numeral[] {
  const found: Numeral[] = [];
  for (const match of /[\d½¼¾]/.test(text) ? text.matchAll(FIGURES) : []) {
    const { sign, number = "", half, power = "", alone } = match.groups ?? {};
    const written = number.replace(/[,\s\u00a0\u202f\u2009]/g, "");
    const fraction = HALVES[half ?? alone ?? ""] ?? 0;
    const value = (Number(written || "0") + fraction) * 10 ** exponentOf(power);
    const decimals = written.includes(".") ? written.length - written.indexOf(".") - 1 : 0;
    const from = match.index;
    found.push({
      from,
      to: from + match[0].length,
      value: sign ? -value : value,
      decimals,
      inWords: false,
    });
  }
  for (const { 0: words, index } of MEASURED.test(text) ? text.matchAll(WORDS) : []) {
    const trimmed = words.replace(/[ -]+$/, "").replace(/ and$/i, "");
    const value = valueOfWords(trimmed.toLowerCase());
    if (value !== null) {
      found.push({ from: index, to: index + trimmed.length, value, decimals: 0, inWords: true });
    }
  }
  return found.sort((one, other) => one.from - other.from);
}

function exponentOf(power: string): number {
  const [, plain, raised] = /10(?:\^?([−-]?\d+)|([⁻⁰¹²³⁴-⁹]+))$/u.exec(power) ?? [];
  if (plain !== undefined) return Number(plain.replace("−", "-"));
  if (raised === undefined) return 0;
  const figures = [...raised]
    .map((one) => (one === "⁻" ? "-" : String(RAISED.indexOf(one))))
    .join("");
  return Number(figures);
}

function quantityAt(text: string, numeral: Numeral): Quantity | null {
  const { from, to, value, inWords } = numeral;
  const gap = /^(?:[ \u00a0\u202f\u2009]|-(?=\p{L}))?/u.exec(text.slice(to, to + 2))?.[0] ?? "";
  if (inWords && gap === "") return null;
  const parsed = unitAt(text, to + gap.length);
  if (!parsed || (inWords && !parsed.isName)) return null;
  if (!isMeasure(text, numeral, gap, parsed)) return null;
  const { unit, isName, faults } = parsed;
  return {
    from,
    to: parsed.to,
    value,
    number: numberOf(numeral),
    written: { from: to + gap.length, to: parsed.to },
    unit: unit.symbol,
    kind: kindOf(unit.powers),
    system: unit.system,
    factor: unit.factor,
    offset: unit.offset,
    isName,
    inWords,
    gap,
    faults,
  };
}

interface ParsedUnit {
  to: number;
  unit: Unit;
  isName: boolean;
  faults: Quantity["faults"];
}

/** Whether a number and what may be a unit after it are a measure, and not a label, a time or money. */
function isMeasure(
  text: string,
  { from, to, value }: Numeral,
  gap: string,
  parsed: ParsedUnit,
): boolean {
  const written = text.slice(to + gap.length, parsed.to);
  const before = text.slice(Math.max(0, from - 14), from);
  const after = text.slice(parsed.to, parsed.to + 24);
  if (/[$£€¥]\s?$/.test(before)) return false;
  const letter = /^[A-Za-z]$/.test(written);
  if (letter && LABELLED.test(before)) return false;
  // "the 1930s", "3D", "4K", "5C": closed up, a single letter is mostly something else.
  if (letter && gap === "" && !/^[mgVWlL]$/.test(written)) return false;
  if (letter && gap === "-") return false;
  if (written === "m" && gap === "" && /^\s?(?:people|users|years|copies|votes)/.test(after))
    return false;
  if (/^[CF]$/.test(written) && !/°$/.test(written)) return false;
  if (written === "in")
    return (
      gap !== "-" &&
      /^(?:[).,;:×]|$|\s(?:[×x]|wide|long|high|deep|thick|tall|in diameter)\b)/.test(after)
    );
  if (
    written === "d" ||
    written === "h" ||
    written === "t" ||
    written === "A" ||
    written === "S" ||
    written === "T"
  ) {
    if (/^['’.]?\p{L}/u.test(after)) return false;
  }
  if (/^pounds?$/.test(written)) return !isMoney(text, from, parsed.to);
  if (/^(?:second|minute|degree|foot|pint|cup|bit)s?$/.test(written) && value === 0) return false;
  return true;
}

/** Pounds that are paid, not weighed. */
function isMoney(text: string, from: number, to: number): boolean {
  const around = `${text.slice(Math.max(0, from - 50), from)} ${text.slice(to, to + 30)}`;
  return /\b(?:cost|costs|pay|pays|paid|price|priced|fee|fine|worth|spent|spend|sold|bought|charge|charged|owe|owed|budget|sterling|a year|per year|income|wages?|salary|grant|loan|debt)\b|[£$€]/i.test(
    around,
  );
}

const SYMBOL_PART = /^(?:[°º˚][A-Za-z]?|[℃℉′″%]|[\p{L}µμΩ\u2126]+)/u;
const EXPONENT = /^(?:\^?([−-]?[1-4])(?!\d)|([²³⁴])|⁻([¹²³]))/u;
const JOINT =
  /^(?:\s?\/\s?|[·⋅.](?=\p{L})|\s?[×](?=\p{L})| (?=(?:m|s|h|K|mol|kg|g|cm|Hg)(?:[\s.,;)−⁻-]|$)))/u;
const POWERS: Readonly<Record<string, number>> = { "²": 2, "³": 3, "⁴": 4, "¹": 1 };
const LONGEST_SYMBOL = 6;

/** The unit that begins at a place of a text; null for none. */
function unitAt(text: string, at: number): ParsedUnit | null {
  const ahead = text.slice(at, at + 80);
  const phrase = unitPhrase(ahead);
  if (phrase) {
    const { unit, isName } = phrase.form;
    return { to: at + phrase.length, unit, isName, faults: [] };
  }
  return namedUnitAt(text, at) ?? symbolUnitAt(text, at);
}

interface Part {
  unit: Unit;
  power: number;
}

function assembled(parts: readonly Part[]): Unit {
  const [only] = parts;
  if (parts.length === 1 && only?.power === 1) return only.unit;
  return { ...product(parts), symbol: symbolOf(parts), system: systemOf(parts) };
}

/** A unit by its symbols: "kg", "m/s", "kg m−3", "N·m". */
function symbolUnitAt(text: string, start: number): ParsedUnit | null {
  const parts: Part[] = [];
  const faults: { from: number; to: number; right: string; fault: UnitFault }[] = [];
  let at = start;
  let end = start;
  let below = false;
  while (parts.length < 5) {
    const written = SYMBOL_PART.exec(text.slice(at, at + 12))?.[0] ?? "";
    const squared = /^(?:sq|cu)$/.test(written);
    if (squared && parts.length === 0) {
      const raised = raisedAt(text, at, written === "sq" ? 2 : 3);
      return raised;
    }
    const form =
      written.length > 0 && written.length <= LONGEST_SYMBOL ? unitBySymbol(written) : null;
    if (!form) break;
    let to = at + written.length;
    if (/^[\p{L}_]/u.test(text.slice(to, to + 1))) break;
    if (form.right !== undefined && form.fault)
      faults.push({ from: at, to, right: form.right, fault: form.fault });
    const exponent = EXPONENT.exec(text.slice(to, to + 3));
    let power = 1;
    if (exponent && !isNextNumber(text, to, exponent[0])) {
      const [whole, plain, sign, minus] = exponent;
      power = plain
        ? Number(plain.replace("−", "-"))
        : sign
          ? (POWERS[sign] ?? 1)
          : -(POWERS[minus ?? ""] ?? 1);
      to += whole.length;
    }
    parts.push({ unit: form.unit, power: below ? -power : power });
    end = to;
    const joint = JOINT.exec(text.slice(to, to + 4))?.[0];
    if (joint === undefined) break;
    below = joint.includes("/");
    at = to + joint.length;
  }
  if (parts.length === 0) return null;
  return {
    to: end,
    unit: assembled(parts),
    isName: false,
    faults: faults.filter(({ to }) => to <= end),
  };
}

/** "m 2" is no square, and neither is the figure of "m2019" or of a range. */
function isNextNumber(text: string, at: number, exponent: string): boolean {
  return (
    /^\d/.test(exponent) &&
    /[\d.,]\d/.test(text.slice(at + exponent.length, at + exponent.length + 2))
  );
}

/** "sq ft", "cu m". */
function raisedAt(text: string, at: number, power: number): ParsedUnit | null {
  const [whole = "", written = ""] =
    /^(?:sq|cu)\.? ([a-z]{1,3})(?!\p{L})/u.exec(text.slice(at, at + 9)) ?? [];
  const form = written ? unitBySymbol(written) : null;
  return form
    ? {
        to: at + whole.length,
        unit: assembled([{ unit: form.unit, power }]),
        isName: false,
        faults: [],
      }
    : null;
}

const NAME_PART = /^(?:(square|cubic) )?([a-z]+)(?: (squared|cubed))?/;
const NAME_JOINT = /^(?: per | an? |-| )/;

/** A unit by its names: "metres per second", "square kilometre", "newton metres". */
function namedUnitAt(text: string, start: number): ParsedUnit | null {
  const parts: Part[] = [];
  let at = start;
  let end = start;
  let below = false;
  while (parts.length < 4) {
    const [whole = "", before, name = "", after] = NAME_PART.exec(text.slice(at, at + 48)) ?? [];
    const form = unitByName(name);
    if (!form || /^\p{L}/u.test(text.slice(at + whole.length, at + whole.length + 1))) break;
    const power = before === "square" || after === "squared" ? 2 : before || after ? 3 : 1;
    parts.push({ unit: form.unit, power: below ? -power : power });
    end = at + whole.length;
    const joint = NAME_JOINT.exec(text.slice(end, end + 6))?.[0];
    if (joint === undefined) break;
    below = /per|an? /.test(joint);
    at = end + joint.length;
  }
  return parts.length > 0 ? { to: end, unit: assembled(parts), isName: true, faults: [] } : null;
}
