import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { DIGITS } from "../text-signs.ts";
import { rangeForm as card } from "./cards.ts";

const DASHED =
  /(?<![\p{L}\p{N}_.,:/–—+#@-])(\d{1,4}(?:\.\d+)?)(\s?[-–—]\s?)(\d{1,4}(?:\.\d+)?)(?![\p{N}_@/–—-]|[.,:]\d|-?\p{L})/gu;
const WORDED = /\b(from|between)\s+(\d[\d,.]*)(\s?[-–—]\s?)(\d[\d,.]*\d|\d)(?![\p{L}\p{N}])/giu;
const PLAIN = /\b(?:from\s+\d[\d,.]*\s+to|between\s+\d[\d,.]*\s+and)\s+\d[\d,.]*/giu;

const FORMS: Readonly<Record<string, string>> = { "-": "12-18", "–": "12–18", "—": "12—18" };

/** Ranges of numbers: the dash between them, and "from 12–18" for "from 12 to 18". */
export const rangeForm = formCheck<FormFact>({
  ...card,
  matter: "numbers",
  isOddAlone: true,
  needs: DIGITS,
  examine(block) {
    const facts: FormFact[] = [];
    const worded: { from: number; to: number }[] = [];
    for (const { match, from, to, kept } of matchesIn(block, WORDED)) {
      worded.push({ from, to });
      const form = `${match[1]?.toLowerCase()} 12–18`;
      facts.push({
        from,
        to,
        key: `${match[1]?.toLowerCase()} and a dash`,
        form,
        ...(kept ? { kept } : {}),
      });
    }
    for (const { match, from, to, kept } of matchesIn(block, PLAIN)) {
      const word = match[0].slice(0, match[0].search(/\s/)).toLowerCase();
      const form = word === "from" ? "from 12 to 18" : "between 12 and 18";
      facts.push({ from, to, key: `${word} and a dash`, form, ...(kept ? { kept } : {}) });
    }
    for (const { match, from, to, kept } of matchesIn(block, DASHED)) {
      if (worded.some((one) => one.from <= from && one.to >= to)) continue;
      const [, first = "", dash = "", second = ""] = match;
      if (!rises(first, second)) continue;
      const spaced = dash.trim() !== dash;
      const sign = dash.trim();
      const form = spaced ? `12 ${sign} 18` : (FORMS[sign] ?? sign);
      facts.push({ from, to, key: "dash", form, ...(kept ? { kept } : {}) });
    }
    return facts;
  },
  atOdds(key, counts) {
    if (key === "dash") return [...counts.values()].filter(({ own }) => own > 0).length > 1;
    return (counts.get(`${key.split(" ")[0]} 12–18`)?.own ?? 0) > 0;
  },
  rules(key) {
    if (key === "dash") return null;
    return { form: key.startsWith("from") ? "from 12 to 18" : "between 12 and 18", by: "standard" };
  },
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    if (/^[fb]/i.test(form)) {
      const joint = form.startsWith("from") ? " to " : " and ";
      return written.replace(/\s?[-–—]\s?/, joint);
    }
    const dash = form.slice(2, -2);
    return written.replace(/\s?[-–—]\s?/, dash);
  },
});

/** Whether the second number is higher, written whole or by its last figures: "1981–90". */
function rises(first: string, second: string): boolean {
  if (Number(second) > Number(first)) return true;
  return (
    second.length < first.length && Number(first.slice(0, -second.length) + second) > Number(first)
  );
}
