import { ordinalInFigures } from "../../../language/words/number-words.ts";
import type { Variety } from "../../../manuscript/model.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { DIGITS } from "../text-signs.ts";
import { dateForm as card } from "./cards.ts";

export const MONTHS =
  "January February March April May June July August September October November December".split(
    " ",
  );
const SHORT = MONTHS.map((month) =>
  month.length > 4 ? `${month.slice(0, 3)}|${month === "September" ? "Sept|" : ""}` : "",
).join("");
const MONTH = `(?:${MONTHS.join("|")}|(?:${SHORT.replace(/\|$/, "")})\\.?)`;
const DAY = String.raw`(?:3[01]|[12]\d|0?[1-9])(?:st|nd|rd|th)?`;
const YEAR = String.raw`(?:1[0-9]|20|21)\d\d`;
const BOUND = String.raw`(?<![\p{L}\p{N}_/.-])`;
const END = String.raw`(?![\p{L}\p{N}_/]|-\d)`;

const DAY_FIRST = new RegExp(
  `${BOUND}(?<day>${DAY})(?<of> of)?[ \u00a0](?<month>${MONTH})(?:,? (?<year>${YEAR}))?${END}`,
  "gu",
);
const MONTH_FIRST = new RegExp(
  `${BOUND}(?<month>${MONTH})[ \u00a0](?<day>${DAY})(?:,? (?<year>${YEAR}))?${END}`,
  "gu",
);
const ISO = new RegExp(
  String.raw`${BOUND}(?<year>${YEAR})-(?<month>0[1-9]|1[0-2])-(?<day>0[1-9]|[12]\d|3[01])${END}`,
  "gu",
);
const NUMERIC = new RegExp(
  String.raw`${BOUND}(?<one>\d{1,2})(?<sign>[/.])(?<two>\d{1,2})\k<sign>(?<year>${YEAR})${END}`,
  "gu",
);
const WEEKDAY =
  /\b(?:Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day(,?) (?=\d{1,2}(?:st|nd|rd|th)? \p{Lu}\p{Ll}+|\p{Lu}\p{Ll}+ \d)/gu;

interface DateFact extends FormFact {
  day: number;
  /** From 1. */
  month: number;
  year: string;
}

/** Dates in the order and the fullness in which they are written. */
export const dateForm = formCheck<DateFact>({
  ...card,
  matter: "dates",
  needs: DIGITS,
  examine(block) {
    const facts: DateFact[] = [];
    const found = (
      from: number,
      to: number,
      form: string,
      rest: Pick<DateFact, "day" | "month" | "year">,
      kept: DateFact["kept"],
    ) => facts.push({ from, to, key: "date", form, ...rest, ...(kept ? { kept } : {}) });
    for (const [expression, dayFirst] of [
      [DAY_FIRST, true],
      [MONTH_FIRST, false],
    ] as const) {
      for (const { match, from, to, kept } of matchesIn(block, expression)) {
        const { day = "", month = "", year = "", of = "" } = match.groups ?? {};
        const number = monthOf(month);
        if (facts.some((one) => one.from < to && one.to > from)) continue;
        // "May" is short and long at once, and the year's comma says nothing of the order.
        const name =
          number === 5 && !/\D/.test(day)
            ? ""
            : /\.$/.test(month)
              ? "Mar."
              : month.length > 4 || /^(?:June|July|May)$/.test(month)
                ? "March"
                : "Mar";
        if (name === "") continue;
        const ordinal = /\D/.test(day) ? "th" : "";
        const form = dayFirst ? `12${ordinal}${of} ${name}` : `${name} 12${ordinal}`;
        found(from, to, form, { day: Number.parseInt(day, 10), month: number, year }, kept);
      }
    }
    for (const { match, from, to, kept } of matchesIn(block, ISO)) {
      const { day = "", month = "", year = "" } = match.groups ?? {};
      found(from, to, "2031-03-12", { day: Number(day), month: Number(month), year }, kept);
    }
    for (const { match, from, to, kept } of matchesIn(block, NUMERIC)) {
      const { one = "", two = "", sign = "", year = "" } = match.groups ?? {};
      // Which is the day is told by the variety of English when it is written otherwise.
      found(
        from,
        to,
        sign === "/" ? "12/03/2031" : "12.03.2031",
        { day: Number(one), month: Number(two), year },
        kept,
      );
    }
    for (const { match, from, to, kept } of matchesIn(block, WEEKDAY)) {
      const form = match[1] === "," ? "Monday, 3 March" : "Monday 3 March";
      facts.push({
        from,
        to: to - 1,
        key: "weekday",
        form,
        day: 0,
        month: 0,
        year: "",
        ...(kept ? { kept } : {}),
      });
    }
    return facts;
  },
  reads: ["paragraph", "item", "note"],
  write({ from, to, form: own, day: one, month: two, year }, form, text, { variety }) {
    const written = text.slice(from, to);
    if (form.startsWith("Monday"))
      return written.replace(/,$/, "") + (form.includes(",") ? "," : "");
    const [day, month] = own.includes("/") ? dayAndMonth(one, two, variety) : [one, two];
    const name = MONTHS[month - 1];
    if (!name || day < 1 || day > 31) return null;
    const pad = (value: number) => String(value).padStart(2, "0");
    if (form === "2031-03-12") return year ? `${year}-${pad(month)}-${pad(day)}` : null;
    if (form === "12.03.2031") return year ? `${pad(day)}.${pad(month)}.${year}` : null;
    if (form === "12/03/2031") {
      const [first, second] = variety === "en-US" ? [month, day] : [day, month];
      return year ? `${pad(first)}/${pad(second)}/${year}` : null;
    }
    const said = form.includes("March")
      ? name
      : name.length > 4
        ? name.slice(0, 3) + (form.includes("Mar.") ? "." : "")
        : name;
    const figure = form.includes("th") ? ordinalInFigures(day) : String(day);
    if (/^\d/.test(form))
      return `${figure}${form.includes(" of") ? " of" : ""} ${said}${year ? ` ${year}` : ""}`;
    return `${said} ${figure}${year ? `, ${year}` : ""}`;
  },
});

function monthOf(name: string): number {
  return MONTHS.findIndex((month) => month.startsWith(name.slice(0, 3))) + 1;
}

/** Which of two numbers is the day: the one that can be no month, else by the variety. */
function dayAndMonth(one: number, two: number, variety: Variety): [number, number] {
  if (two > 12) return [two, one];
  if (one > 12) return [one, two];
  return variety === "en-US" ? [two, one] : [one, two];
}
