import type { EntryRule } from "./rule.ts";

/** What leads to an address. */
export const addressForm: EntryRule = ({ fields, text, urlWhole }, { style }) => {
  const { url } = fields;
  if (!url || !urlWhole) return [];
  const label = text.slice(urlWhole.from, url.from);
  if (style.url.includes(label) || /doi\.org/u.test(url.text)) return [];
  const [right = ""] = style.url;
  // With the date of a look, the words before an address are another matter.
  const isLed = /\bfrom$/u.test(text.slice(0, url.from).trimEnd());
  if (fields.accessed && (right === "" || isLed)) return [];
  if (right !== "" && /website|[Aa]ccessed/u.test(text.slice(0, urlWhole.from).slice(-40)))
    return [];
  const reason = right
    ? `${style.name} has “${right.trim()}” before an address.`
    : `${style.name} has nothing before an address.`;
  return [
    {
      from: urlWhole.from,
      to: url.to,
      reason,
      edits: [{ from: urlWhole.from, to: url.from, insert: right }],
    },
  ];
};
