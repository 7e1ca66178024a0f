import type { Card } from "../../card.ts";

/** What is told of the checks of quantities. */

export const unitSystem: Card = {
  id: "consistency/unit-system",
  pass: "consistency",
  weight: "settle",
  code: "un",
  title: "Units of two systems for one kind of quantity",
  why: "A reader who compares two lengths wants them in one unit. Nothing is converted unasked: a figure that was measured in feet may have to stay so, with the other in brackets.",
  source: "NIST SP 811 (2008), 4.1 and 4.3; factors of the Unicode CLDR after its appendix B",
  examples: [
    {
      wrong: "The wall is 12 m long. The pier is 140 m long. The slip is 90 feet long.",
      right: "The wall is 12 m long. The pier is 140 m long. The slip is 27 m long.",
    },
    { leave: "The wall is 12 m (39 ft) long. The pier is 140 m long." },
  ],
};

export const unitSymbol: Card = {
  id: "consistency/unit-symbol",
  pass: "consistency",
  weight: "fix",
  code: "un",
  title: "Malformed symbol of a unit",
  why: "Symbols of units are fixed: capitals only where the unit is named after a person, and prefixes in their own case. “Mg” and “mg” are a thousand million times apart.",
  source:
    "SI Brochure, 9th edition (BIPM 2019), 5.2 and table 7; NIST SP 811 (2008), 6.1.2 and 6.2.1",
  examples: [
    { wrong: "The line is 14 Km long.", right: "The line is 14 km long." },
    { wrong: "The horn draws 2 KW at most.", right: "The horn draws 2 kW at most." },
    { wrong: "It took 14 sec in all.", right: "It took 14 s in all." },
    { leave: "The line is 14 km long and draws 2 kW for 14 s; the file has 3 KB." },
  ],
};

export const unitSpace: Card = {
  id: "consistency/unit-space",
  pass: "consistency",
  weight: "settle",
  code: "un",
  title: "Number and unit with and without a space",
  why: "A number and the symbol of its unit are set apart by a space, the degree Celsius too; only the signs of plane angle are closed up.",
  source: "SI Brochure, 9th edition (BIPM 2019), 5.4.3; NIST SP 811 (2008), 7.2",
  examples: [
    {
      wrong: "The wall is 12 m long. The slip is 90m long.",
      right: "The wall is 12 m long. The slip is 90 m long.",
    },
    {
      wrong: "The water was at 9 °C. The air was at 12°C then.",
      right: "The water was at 9 °C. The air was at 12 °C then.",
    },
    { leave: "The wall is 12 m long, and it leans by 3° 20′." },
  ],
};

export const unitPlural: Card = {
  id: "consistency/unit-plural",
  pass: "consistency",
  weight: "fix",
  code: "un",
  title: "Plural of a unit’s symbol",
  why: "Symbols of units are the same for one and for many.",
  source: "SI Brochure, 9th edition (BIPM 2019), 5.2; NIST SP 811 (2008), 6.1.2",
  examples: [
    { wrong: "The chain weighs 90 kgs or more.", right: "The chain weighs 90 kg or more." },
    { leave: "The chain weighs 90 kg, and the run took 9 h." },
  ],
};

export const unitStop: Card = {
  id: "consistency/unit-stop",
  pass: "consistency",
  weight: "fix",
  code: "un",
  title: "Full stop after a unit’s symbol",
  why: "A symbol is no abbreviation: it has no full stop but the one that ends a sentence.",
  source: "SI Brochure, 9th edition (BIPM 2019), 5.2; NIST SP 811 (2008), 6.1.3",
  examples: [
    { wrong: "The slip is 90 m. long and new.", right: "The slip is 90 m long and new." },
    { leave: "The slip is 90 m. It is new." },
  ],
};

export const precision: Card = {
  id: "consistency/precision",
  pass: "consistency",
  weight: "weigh",
  code: "un",
  title: "One of several quantities with other decimals",
  why: "Values that were measured alike are given alike. A figure less, or one more, says that this one was measured otherwise.",
  source: "NIST SP 811 (2008), 7.9 and B.7: figures that are significant",
  examples: [
    {
      wrong:
        "The sill lies at 3.25 m, the floor at 4.10 m, the roof at 9.05 m and the door at 5.2 m.",
      marked: "5.2 m",
    },
    {
      leave:
        "The sill lies at 3.25 m, the floor at 4.10 m, the roof at 9.05 m and the door at 5.20 m.",
    },
  ],
};

export const conversion: Card = {
  id: "consistency/conversion",
  pass: "consistency",
  weight: "fix",
  code: "un",
  title: "Two statements of a quantity that do not agree",
  why: "What is said in two units must be the same, each rounded as it is written.",
  source: "factors of NIST SP 811 (2008), appendix B, by way of the Unicode CLDR; rounding: B.7",
  examples: [
    { wrong: "The wall is 12 m (49 ft) high.", right: "The wall is 12 m (39 ft) high." },
    { leave: "The slip is 90 m (295 ft) long, at 15 °C (59 °F)." },
  ],
};

export const rangeUnits: Card = {
  id: "consistency/range-units",
  pass: "consistency",
  weight: "settle",
  code: "un",
  title: "Unit once and twice in ranges",
  why: "The unit of a range is written once, after the second number, or with both; either way throughout.",
  source: "NIST SP 811 (2008), 7.7",
  examples: [
    {
      wrong: "The rope is 5–10 m long, the chain 20–30 m. The warp is 40 m–50 m long.",
      right: "The rope is 5–10 m long, the chain 20–30 m. The warp is 40–50 m long.",
    },
    { leave: "The rope is 5–10 m long. Give 5 mg to 10 mg." },
  ],
};
