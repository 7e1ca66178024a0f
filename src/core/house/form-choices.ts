/** The forms that a house may choose between, kind of thing by kind of thing. */

export interface FormChoice {
  /** The group of forms, as rules name it: a check, and what it is about; “*” for all of the check. */
  of: string;
  title: string;
  /** As rules name them; each is an example of itself. */
  forms: readonly string[];
}

export interface FormFamily {
  title: string;
  choices: readonly FormChoice[];
}

const choice = (of: string, title: string, ...forms: string[]): FormChoice => ({
  of: `consistency/${of}`,
  title,
  forms,
});

export const FORM_FAMILIES: readonly FormFamily[] = [
  {
    title: "Numbers",
    choices: [
      choice("number:two to nine", "Two to nine", "in words", "in figures"),
      choice("number:ten", "Ten", "in words", "in figures"),
      choice("number:eleven to ninety-nine", "Eleven to ninety-nine", "in words", "in figures"),
      choice("number:a hundred and more", "A hundred and more", "in words", "in figures"),
      choice("number:first to ninth", "First to ninth", "in words", "in figures"),
      choice("number:tenth and on", "Tenth and on", "in words", "in figures"),
      choice("thousands:four figures", "Four figures", "1000", "1,000", "1 000"),
      choice(
        "thousands:five figures and more",
        "Five figures and more",
        "10000",
        "10,000",
        "10 000",
      ),
      choice("decimal:nought before the point", "Below one", "0.5", ".5"),
      choice("decimal:decimal sign", "Decimal sign", "3.6", "3,6", "3·6"),
      choice("range:dash", "Ranges", "12–18", "12-18", "12 – 18", "12 - 18"),
      choice("percent:percent", "Percentages", "5%", "5 %", "5 per cent", "5 percent"),
    ],
  },
  {
    title: "Sums of money",
    choices: [
      choice("currency:GBP", "Pounds", "£5", "GBP 5", "5 GBP", "5 pounds"),
      choice("currency:USD", "Dollars", "$5", "US$5", "USD 5", "5 USD", "5 dollars"),
      choice("currency:EUR", "Euros", "€5", "€ 5", "5 €", "EUR 5", "5 EUR", "5 euros"),
      choice("currency:whole sums", "Whole sums", "5", "5.00"),
      choice("currency:millions", "Millions", "5 million", "5m", "5M", "5 m", "5,000,000"),
    ],
  },
  {
    title: "Dates and times",
    choices: [
      choice(
        "date:date",
        "Dates",
        "12 March",
        "12th March",
        "12 Mar",
        "March 12",
        "March 12th",
        "Mar 12",
        "Mar. 12",
        "2031-03-12",
        "12/03/2031",
        "12.03.2031",
      ),
      choice("date:weekday", "Weekday and date", "Monday 3 March", "Monday, 3 March"),
      choice(
        "time:am and pm",
        "Halves of the day",
        "3 pm",
        "3pm",
        "3 p.m.",
        "3 PM",
        "3PM",
        "3 P.M.",
      ),
      choice("time:minutes", "Hours and minutes", "3:30", "3.30"),
      choice("era:era", "Eras", "BC, AD", "BCE, CE"),
      choice("era:century", "Centuries", "nineteenth century", "19th century"),
      choice("era:decade", "Decades", "1980s", "’80s"),
    ],
  },
  {
    title: "Units",
    choices: [
      choice("unit-space:symbols", "Space before a symbol", "5 mm", "5mm"),
      choice("unit-space:degrees", "Space before degrees", "5 °C", "5°C"),
      choice("range-units:dash", "Unit of a range with a dash", "40–50 m", "40 m–50 m"),
      choice("range-units:to", "Unit of a range in words", "40 to 50 m", "40 m to 50 m"),
    ],
  },
  {
    title: "Punctuation",
    choices: [
      choice(
        "quotation-marks:quotation marks",
        "Quotation marks",
        "“…”",
        "‘…’",
        '"…"',
        "'…'",
        "„…“",
        "«…»",
        "»…«",
      ),
      choice("dash:dash", "Dashes", "a—b", "a – b", "a — b", "a–b", "a - b", "a -- b", "a--b"),
      choice("ellipsis:points of omission", "Ellipses", "…", "...", ". . ."),
      choice(
        "serial-comma:comma before the last",
        "Comma before the last “and”",
        "a, b, and c",
        "a, b and c",
      ),
      choice("possessive:owners in s", "Owners in s", "James’s", "James’"),
      choice("contraction:contractions", "Contractions", "is not", "isn’t"),
    ],
  },
  {
    title: "Spelling",
    choices: [
      choice("spelling:-ise or -ize", "Verbs in -ise or -ize", "-ise", "-ize"),
      choice("spelling:-yse or -yze", "Verbs in -yse or -yze", "-yse", "-yze"),
      choice("abbreviation-plural:abbreviations", "Plurals of abbreviations", "CDs", "CD’s"),
      choice("abbreviation-plural:decades", "Plurals of decades", "1980s", "1980’s"),
    ],
  },
  {
    title: "Headings, lists, captions",
    choices: [
      choice("heading-case:*", "Headings", "First word only", "Each Word", "ALL CAPITALS"),
      choice(
        "heading-case:level 1",
        "Headings of the first level",
        "First word only",
        "Each Word",
        "ALL CAPITALS",
      ),
      choice(
        "heading-case:level 2",
        "Headings of the second level",
        "First word only",
        "Each Word",
        "ALL CAPITALS",
      ),
      choice("list-capital:*", "Items begin with", "capital", "small letter"),
      choice("list-end:*", "Items end with", "nothing", "full stop", "semicolon", "comma"),
      choice(
        "caption:end of captions of figures",
        "Captions of figures end with",
        "full stop",
        "no full stop",
      ),
      choice(
        "caption:end of captions of tables",
        "Captions of tables end with",
        "full stop",
        "no full stop",
      ),
      choice("label:figure in the text", "Figures in the text", "Figure", "figure", "Fig.", "fig."),
      choice("label:figure in brackets", "Figures in brackets", "Figure", "figure", "Fig.", "fig."),
      choice("label:table in the text", "Tables in the text", "Table", "table"),
      choice(
        "label:section in the text",
        "Sections in the text",
        "Section",
        "section",
        "Sec.",
        "sec.",
      ),
    ],
  },
];

const BY_GROUP = new Map(
  FORM_FAMILIES.flatMap(({ choices }) => choices.map((one) => [one.of, one])),
);

/** What a group of forms is called, and its forms; undefined for one with no fixed forms, as of a compound. */
export function formChoice(of: string): FormChoice | undefined {
  return BY_GROUP.get(of);
}
