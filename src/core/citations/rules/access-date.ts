import type { EntryRule } from "./rule.ts";

/** Words before the date of a visit, whichever manual they are of. */
const LEAD = /(?:\bcited|\b[Aa]ccessed:?|\b[Vv]iewed:?|\bRetrieved(?: on)?)\s$/u;

/** The date on which an address was visited: that it is there where the style wants one, and what stands before it. */
export const accessDate: EntryRule = ({ fields, text, type, year }, { style }) => {
  const { accessed, container, doi, url } = fields;
  const { visited } = style;
  if (accessed) {
    const lead = LEAD.exec(text.slice(0, accessed.from))?.[0];
    if (!lead || !visited.lead) return [];
    const written = lead.trim();
    const isSame = written.toLowerCase() === visited.lead.toLowerCase();
    if (isSame) return [];
    const from = accessed.from - lead.length;
    return [
      {
        from,
        to: accessed.to,
        reason: `${style.name} has “${visited.lead}” before the date of a visit.`,
        edits: [{ from, to: from + written.length, insert: visited.lead }],
      },
    ];
  }
  const isWanted = visited.when === "always" || (visited.when === "undated" && !year?.value);
  // What has a periodical is found by that.
  if (
    !isWanted ||
    type !== "web" ||
    !url ||
    doi ||
    container ||
    /\b(?:access|retriev|cited|view)/iu.test(text)
  )
    return [];
  return [
    {
      from: url.from,
      to: url.to,
      reason: `${style.name} names the day on which this was read.`,
      edits: [],
    },
  ];
};
