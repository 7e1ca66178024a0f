/** Requirements of a specification, each a paragraph that begins with its id. */

/** The id of a requirement at the beginning of its paragraph: "GH-301", "REQ-SYS-012", "SR-4.2". */
export const REQUIREMENT =
  /^\[?(?<id>(?<prefix>[A-Z][A-Z0-9]{0,7}(?:[-_][A-Z][A-Z0-9]{0,7}){0,3}[-_])(?<number>\d{1,5})(?:\.(?<part>\d{1,3}))?)\]?(?=[:.)]?\s)/;

export interface Requirement {
  id: string;
  prefix: string;
  number: number;
  /** Where its text begins. */
  from: number;
}

/** The requirement that a paragraph is; null for another. */
export function requirementOf(text: string): Requirement | null {
  const match = REQUIREMENT.exec(text);
  if (!match?.groups) return null;
  const { id = "", prefix = "", number = "", part } = match.groups;
  const from =
    /^[\]:.)]*\s*/.exec(text.slice(id.length + (text.startsWith("[") ? 1 : 0)))?.[0].length ?? 0;
  const start = id.length + (text.startsWith("[") ? 1 : 0) + from;
  return part === undefined
    ? { id, prefix, number: Number(number), from: start }
    : { id, prefix: `${prefix}${number}.`, number: Number(part), from: start };
}
