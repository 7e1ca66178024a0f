import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { DIGITS } from "../text-signs.ts";
import { thousandsMark as card } from "./cards.ts";
import { CLEAR_AFTER, CLEAR_BEFORE } from "./digits.ts";

const LONG = new RegExp(
  String.raw`(?<!\d[ \u00a0])${CLEAR_BEFORE}(?:\d{1,3}(?:[,\u00a0\u202f\u2009 ]\d{3})+|\d{4,})${CLEAR_AFTER}(?![ \u00a0]\d)`,
  "gu",
);
/** What a plain number of four figures is taken for, unless it plainly counts. */
const FIRST_YEAR = 1000;
const LAST_YEAR = 2199;

/** Numbers of four figures and of more with a comma, a space or nothing between the thousands. */
export const thousandsMark = formCheck<FormFact>({
  ...card,
  matter: "numbers",
  needs: DIGITS,
  examine(block) {
    const facts: FormFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, LONG)) {
      const written = match[0];
      const figures = written.replace(/\D/g, "");
      const plain = figures === written;
      const four = figures.length === 4;
      const before = block.text.slice(Math.max(0, from - 12), from);
      if (
        plain &&
        /(?:[Nn]o\.?|number|code|item|box|room|ext\.?|tel\.?|ISBN|port|page|pp?\.)\s*$/.test(before)
      )
        continue;
      if (plain && (/^0/.test(figures) || figures.length > 9)) continue;
      if (plain && four && isYear(Number(figures)) && !counts(block.text, to)) continue;
      if (plain && four && !counts(block.text, to) && !/[$£€]\s?$/.test(before)) continue;
      const sign = plain ? "" : (/\D/.exec(written)?.[0] ?? "");
      const form = four
        ? `1${sign.trim() === "" && sign !== "" ? " " : sign}000`
        : `10${sign.trim() === "" && sign !== "" ? " " : sign}000`;
      facts.push({
        from,
        to,
        key: four ? "four figures" : "five figures and more",
        form,
        ...(kept ? { kept } : {}),
      });
    }
    return facts;
  },
  write({ from, to }, form, text) {
    const figures = text.slice(from, to).replace(/\D/g, "");
    const sign = /\D/.exec(form)?.[0] ?? "";
    return figures.replace(/\B(?=(?:\d{3})+$)/g, sign === " " ? "\u00a0" : sign);
  },
});

function isYear(value: number): boolean {
  return value >= FIRST_YEAR && value <= LAST_YEAR;
}

/** Whether a plural or a measure follows: "2500 grams". */
function counts(text: string, to: number): boolean {
  const follows = /^[ \u00a0](?:\p{Ll}+[ \u00a0])?(\p{Ll}{2,})/u.exec(text.slice(to, to + 40))?.[1];
  return (
    follows !== undefined &&
    /s$/.test(follows) &&
    !/(?:ss|is|us|was|has|as|its|this)$/.test(follows)
  );
}
