import type { EntryRule } from "./rule.ts";

/** The stop at the end of an entry. */
export const entryEnd: EntryRule = ({ text, doiWhole, urlWhole }, { style }) => {
  const end = text.trimEnd().length;
  const last = Math.max(doiWhole?.to ?? 0, urlWhole?.to ?? 0);
  const endsInAddress = last > 0 && /^[.\s]*$/u.test(text.slice(last));
  const endsInUrl = endsInAddress && last === urlWhole?.to;
  if (
    (endsInAddress && style.finalStop === "not-after-address") ||
    (endsInUrl && style.finalStop === "not-after-url")
  ) {
    if (last >= end) return [];
    const reason = `${style.name} has no stop behind a DOI or an address.`;
    return [{ from: last, to: end, reason, edits: [{ from: last, to: end, insert: "" }] }];
  }
  const tail = text.slice(0, end);
  if (/\.\.$/u.test(tail) && !/\.\.\.$/u.test(tail)) {
    const reason = "An entry ends with one stop.";
    return [{ from: end - 2, to: end, reason, edits: [{ from: end - 1, to: end, insert: "" }] }];
  }
  if (/[.?!…;][”’)\]]?$/u.test(tail) || /\]$/u.test(tail)) return [];
  const from = Math.max(0, text.lastIndexOf(" ", end - 1) + 1);
  return [
    {
      from,
      to: end,
      reason: `In ${style.name} an entry ends with a stop.`,
      edits: [{ from: end, to: end, insert: "." }],
    },
  ];
};
