import { type EntryRule, replacing } from "./rule.ts";

/** How volume and issue of a periodical are written. */
export const volumeForm: EntryRule = ({ fields, text, type, year }, { style }) => {
  const { container, volume, issue, pages } = fields;
  if (type !== "article" || !container || !volume || volume.from < container.to) return [];
  const { withIssue, withoutIssue } = style.periodical;
  const template = issue ? withIssue : withoutIssue;
  const right = template.replace("volume", volume.text).replace("issue", issue?.text ?? "");
  const from = leadOf(text, container.to, volume.from, template.startsWith(";"));
  const last = issue ?? volume;
  const closes = issue && text[last.to] === ")" ? 1 : 0;
  // The stop of an abbreviated name is the name's own.
  const written = text
    .slice(from, last.to + closes)
    .replaceAll(/[\s\u00a0]+/gu, " ")
    .replace(/^\.(?=[,\s])/u, "");
  const lead = text.slice(from, volume.from);
  if (!/^[\s,.;:(]*(?:vol(?:ume)?\.?)?\s*$/iu.test(lead)) return [];
  if (written === right) return [];
  // A year that stands in between is another matter.
  if (year && year.from > container.to && year.to < last.to && !template.startsWith(";")) return [];
  if (pages && pages.from < last.to) return [];
  const shown = right.replace(/^[,;\s]+/u, "");
  const start = text[from] === "." && !template.startsWith(".") ? from + 1 : from;
  return [
    replacing(
      { from: start, to: last.to + closes },
      right,
      `${style.name} has volume and issue as “${shown}”.`,
    ),
  ];
};

/** Where what leads to the volume begins: behind the periodical, or at a semicolon. */
function leadOf(text: string, from: number, to: number, isBehindDate: boolean): number {
  if (!isBehindDate) return from;
  const semicolon = text.lastIndexOf(";", to);
  if (semicolon >= from) return semicolon;
  const lead = /[\s,.]*(?:\p{L}+\.?\s)?\(?$/u.exec(text.slice(from, to))?.[0].length ?? 0;
  return to - lead;
}
