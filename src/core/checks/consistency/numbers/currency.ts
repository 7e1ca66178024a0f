import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { DIGITS } from "../text-signs.ts";
import { currencyForm as card } from "./cards.ts";
import { figuresValue, NUMBER } from "./digits.ts";

/** Currencies with their sign, code (ISO 4217) and name. */
const CURRENCIES = [
  { sign: "£", code: "GBP", names: "pounds(?: sterling)?|pound" },
  { sign: "$", code: "USD", names: "(?:US )?dollars?" },
  { sign: "€", code: "EUR", names: "euros?" },
  { sign: "¥", code: "JPY", names: "yen" },
  { sign: "₹", code: "INR", names: "rupees?" },
  { sign: "Fr", code: "CHF", names: "(?:Swiss )?francs?" },
  { sign: "kr", code: "SEK", names: "kron(?:a|or)" },
] as const;

const AMOUNT = String.raw`(?<amount>${NUMBER})(?<size>[ \u00a0]?(?:m|M|k|K|bn|million|billion|thousand)\b)?`;
const SUMS = CURRENCIES.map(({ sign, code, names }) => ({
  code,
  sign,
  sums: new RegExp(
    String.raw`(?<![\p{L}\p{N}.,])(?:(?<before>(?:US|CA|A|NZ)?${sign === "$" ? "\\$" : sign}[ \u00a0]?|${code}[ \u00a0])${AMOUNT}|${AMOUNT.replaceAll("?<amount>", "?<amount2>").replaceAll("?<size>", "?<size2>")}(?<after>[ \u00a0](?:${sign === "$" ? "\\$" : sign}|${code}\b)|[ \u00a0](?:${names})\b))(?![\p{L}\p{N}])`,
    "gu",
  ),
}));

interface SumFact extends FormFact {
  amount: string;
  size: string;
}

/** Sums of money: the sign, the code or the name; and how millions are written. */
export const currencyForm = formCheck<SumFact>({
  ...card,
  matter: "numbers",
  needs: DIGITS,
  examine(block) {
    const facts: SumFact[] = [];
    for (const { code, sign, sums } of SUMS) {
      for (const { match, from, to, kept } of matchesIn(block, sums)) {
        const { before, after = "" } = match.groups ?? {};
        const amount = match.groups?.amount ?? match.groups?.amount2 ?? "";
        const size = match.groups?.size ?? match.groups?.size2 ?? "";
        // Pounds are a weight too.
        if (/weigh|heav|lift|load/i.test(block.text.slice(Math.max(0, from - 30), from))) continue;
        const form =
          before === undefined
            ? afterForm(after, code, sign)
            : `${before.trim()}${/\p{L}$/u.test(before.trim()) || before !== before.trim() ? " " : ""}5`;
        const rest = { amount, size };
        facts.push({ from, to, key: code, form, ...rest, ...(kept ? { kept } : {}) });
        const add = (key: string, shape: string) =>
          facts.push({ from, to, key, form: shape, ...rest, ...(kept ? { kept } : {}) });
        if (size === "" && /^\d+(?:\.00)?$/.test(amount.replace(/[,\s\u00a0]/g, ""))) {
          if (figuresValue(amount) < 1000) add("whole sums", amount.endsWith(".00") ? "5.00" : "5");
        }
        if (size === "" && /(?:[,\s\u00a0]?000){2}$/.test(amount)) add("millions", "5,000,000");
        if (/^[ \u00a0]?(?:m|M|million)$/.test(size)) {
          const shape =
            size.trim() === "million"
              ? "5 million"
              : size === size.trim()
                ? `5${size}`
                : `5 ${size.trim()}`;
          add("millions", shape);
        }
      }
    }
    return facts;
  },
  reads: ["paragraph", "item", "note"],
  write({ from, to, amount, size }, form, text) {
    const written = text.slice(from, to);
    if (form === "5.00") return written.replace(/(\d)(?!.*\d)/, "$1.00");
    if (form === "5") return written.replace(/\.00(?!\d)/, "");
    if (/^5 ?(?:m|M|million)$/.test(form)) {
      if (/000$/.test(amount)) {
        const millions = figuresValue(amount) / 1e6;
        return written.replace(amount, `${millions}${form.slice(1)}`);
      }
      return written.replace(/[ \u00a0]?(?:m|M|million)\b/, form.slice(1));
    }
    if (form === "5,000,000") {
      const whole = Math.round(figuresValue(amount) * 1e6).toLocaleString("en-GB");
      return written.replace(amount + size, whole);
    }
    const whole = `${amount}${size}`;
    if (form.endsWith("5")) return `${form.slice(0, -1)}${whole}`;
    return `${whole}${form.slice(1)}`;
  },
});

function afterForm(after: string, code: string, sign: string): string {
  const said = after.trim();
  if (said === sign || said === code) return `5 ${said}`;
  return `5 ${said.replace(/^(pound|dollar|euro)$/, "$1s")}`;
}
