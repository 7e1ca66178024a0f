import type { EntryFinding, EntryRule } from "./rule.ts";

/** The syntax of the DOI handbook (ISO 26324): a prefix of digits, a stroke, and what the registrant chose. */
const SYNTAX = /^10\.\d{4,9}(?:\.\d+)*\/\S+$/u;

/** A DOI: that it can be one, and what stands before it. */
export const doiForm: EntryRule = ({ fields, doiWhole, text }, { style }) => {
  const { doi } = fields;
  if (!doi || !doiWhole) return [];
  if (!SYNTAX.test(doi.text)) {
    const found: EntryFinding = {
      from: doi.from,
      to: doi.to,
      reason:
        "This is no DOI: one begins with “10.”, a number of four digits or more, and a stroke.",
      edits: [],
    };
    return [found];
  }
  const label = text.slice(doiWhole.from, doi.from);
  const isAddress = /https:\/\/doi\.org\/$/u.test(label);
  const lead = { from: doiWhole.from + keptLabel(label), to: doi.from };
  const mended = (right: string): EntryFinding => ({
    from: lead.from,
    to: doi.to,
    reason: `${style.name} writes a DOI as “${right}${doi.text}”.`,
    edits: [{ ...lead, insert: right }],
  });
  if (style.doi === "any") {
    return isAddress || /(?:^|\s)doi:\s?$/u.test(label) ? [] : [mended("https://doi.org/")];
  }
  const isRight = style.doi === "https://doi.org/" ? isAddress : label === style.doi;
  return isRight ? [] : [mended(style.doi)];
};

/** Words before an address stay; what belongs to the identifier goes. */
function keptLabel(label: string): number {
  return label.search(/(?:https?:\/\/|dx\.|doi)/iu) < 0
    ? label.length
    : label.search(/(?:https?:\/\/|dx\.|doi)/iu);
}
