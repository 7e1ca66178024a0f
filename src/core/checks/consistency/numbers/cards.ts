import type { Card } from "../../card.ts";

/** What is told of the checks of numbers, dates and sums that are written in several ways. */

export const numberForm: Card = {
  id: "consistency/number",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Numbers in words and in figures",
  why: "A house writes small numbers in words up to a bound, and larger ones in figures. Measures, money, ages, times and numbers of things keep figures; a sentence does not begin with them.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "We saw three boats. There were seven men. The pilot had 5 sons.",
      right: "We saw three boats. There were seven men. The pilot had five sons.",
    },
    { leave: "We saw three boats. The rope is 5 m long, and page 7 is torn." },
  ],
};

export const thousandsMark: Card = {
  id: "consistency/thousands",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Thousands parted in two ways",
  why: "Large numbers have a comma, a space or nothing between their thousands, and the same throughout; numbers of four figures may differ from longer ones.",
  source: "common practice; spaces: SI Brochure, 9th edition, 5.4.4",
  examples: [
    {
      wrong: "It drew 45,000 people. Then 52,300 came. Some 61900 stayed.",
      right: "It drew 45,000 people. Then 52,300 came. Some 61,900 stayed.",
    },
    { leave: "In 1931 it drew 45,000 people." },
  ],
};

export const decimalForm: Card = {
  id: "consistency/decimal",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Decimals written in two ways",
  why: "A value below one has a nought before its point everywhere or nowhere, and the point is one sign throughout.",
  source: "SI Brochure, 9th edition, 5.4.4: the decimal marker, and a zero before it",
  examples: [
    {
      wrong: "The slope was 0.5. It fell to 0.3. The last was .7 then.",
      right: "The slope was 0.5. It fell to 0.3. The last was 0.7 then.",
    },
    { leave: "The slope was 0.5 and fell to 0.3." },
  ],
};

export const rangeForm: Card = {
  id: "consistency/range",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Ranges of numbers written in two ways",
  why: "A range has one dash throughout. “From” goes with “to” and “between” with “and”, not with a dash.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "See pages 12–18. Rows 4–9 are blank. Turn to pages 31-40 now.",
      right: "See pages 12–18. Rows 4–9 are blank. Turn to pages 31–40 now.",
    },
    {
      wrong: "The pump ran from 1981–1990 daily.",
      right: "The pump ran from 1981 to 1990 daily.",
    },
    { leave: "See pages 12–18, and ring 020-7946-0123." },
  ],
};

export const dateForm: Card = {
  id: "consistency/date",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Dates written in two ways",
  why: "Dates in running text have one order and one length throughout; tables may have their own.",
  source: "common practice of house styles; year-month-day: ISO 8601-1:2019",
  examples: [
    {
      wrong:
        "It began on 12 March 2031. On 19 June 2031 it rained. We met on July 7, 2031 at noon.",
      right: "It began on 12 March 2031. On 19 June 2031 it rained. We met on 7 July 2031 at noon.",
    },
    { leave: "It began on 12 March 2031, and on 19 June it rained." },
  ],
};

export const timeForm: Card = {
  id: "consistency/time",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Times of day written in two ways",
  why: "A text counts twelve hours or twenty-four, and writes the halves of the day and the minutes one way.",
  source: "common practice of house styles; hours and minutes: ISO 8601-1:2019",
  examples: [
    {
      wrong: "It opens at 9 am. It shuts at 5 pm. The talk is at 6pm there.",
      right: "It opens at 9 am. It shuts at 5 pm. The talk is at 6 pm there.",
    },
    { leave: "It opens at 9 am and shuts at 5 pm." },
  ],
};

export const eraForm: Card = {
  id: "consistency/era",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Eras, centuries or decades written in two ways",
  why: "One text has BC and AD or BCE and CE, centuries in words or in figures, and decades one way.",
  source: "common practice of house styles",
  examples: [
    {
      wrong:
        "In the 19th century it stood. The 18th century saw it. In the seventeenth century it was a field.",
      right:
        "In the 19th century it stood. The 18th century saw it. In the 17th century it was a field.",
    },
    { leave: "In the 19th century it stood, and the 1980s were dry." },
  ],
};

export const percentForm: Card = {
  id: "consistency/percent",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Percentages written in two ways",
  why: "A percentage in running text has the sign or the word, and the same throughout.",
  source:
    "common practice of house styles; a space before the sign: SI Brochure, 9th edition, 5.4.7",
  examples: [
    {
      wrong: "It rose by 5% in May. It fell by 12% in June. About 30 per cent stayed.",
      right: "It rose by 5% in May. It fell by 12% in June. About 30% stayed.",
    },
    { leave: "It rose by 5% in May and fell by 12% in June." },
  ],
};

export const currencyForm: Card = {
  id: "consistency/currency",
  pass: "consistency",
  weight: "settle",
  code: "num",
  title: "Sums of money written in two ways",
  why: "One currency has its sign, its code or its name, and millions are written one way.",
  source: "common practice of house styles; codes: ISO 4217",
  examples: [
    {
      wrong: "It cost £400. We paid £1,250. The fine was 60 pounds then.",
      right: "It cost £400. We paid £1,250. The fine was £60 then.",
    },
    { leave: "It cost £400, and the rope weighs 60 pounds." },
  ],
};
