import type { Entry, Field } from "../entry.ts";
import type { CitationStyle, PageRules } from "../styles/style.ts";
import { type EntryFinding, type EntryRule, replacing } from "./rule.ts";

/** Pages: their label, their dash, how many digits the second has, and that they run forward. */
export const pageRange: EntryRule = (entry, { style }) => {
  const { pages } = entry.fields;
  if (!pages) return [];
  const found = range(pages, style) ?? label(entry, pages, style);
  return found ? [found] : [];
};

function range(pages: Field, style: CitationStyle): EntryFinding | null {
  const parts = /^([A-Za-z]*)(\d+)(\s?(?:--|[–—‒-])\s?)([A-Za-z]*)(\d+)$/u.exec(pages.text);
  if (!parts) return null;
  const [, letters = "", first = "", dash = "", , second = ""] = parts;
  const last = expanded(first, second);
  if (Number(last) < Number(first) && second.length < first.length) return null;
  if (Number(last) < Number(first)) {
    return { from: pages.from, to: pages.to, reason: "These pages run backwards.", edits: [] };
  }
  const right = secondPage(first, last, style.pages.second);
  const whole = `${letters}${first}${style.pages.dash}${parts[4] ?? ""}${right}`;
  if (whole === pages.text) return null;
  const isDash = dash !== style.pages.dash;
  const named = style.pages.dash === "–" ? "an en dash" : "a hyphen";
  if (isDash) return replacing(pages, whole, `${style.name} has ${named} between pages.`);
  return replacing(pages, whole, `${style.name} writes these pages “${whole}”.`);
}

/** The second page in full. */
function expanded(first: string, second: string): string {
  return second.length < first.length
    ? first.slice(0, first.length - second.length) + second
    : second;
}

/** The second page as a manual has it. */
export function secondPage(first: string, last: string, rule: PageRules["second"]): string {
  if (rule === "full" || first.length !== last.length) return last;
  let same = 0;
  while (same < first.length && first[same] === last[same]) same++;
  if (rule === "short") return last.slice(Math.min(same, last.length - 1));
  if (rule === "two") return last.slice(Math.min(same, Math.max(0, last.length - 2)));
  return byHundreds(first, last, same);
}

/**
 * The Chicago rule: in full below 100 and at hundreds, what differs from 01 to 09, two digits at least otherwise.
 */
function byHundreds(first: string, last: string, same: number): string {
  const value = Number(first);
  if (value < 100 || value % 100 === 0) return last;
  if (value % 100 < 10) return last.slice(Math.min(same, last.length - 1));
  if (value > 1000 && last.length - same >= 3) return last;
  return last.slice(Math.min(same, last.length - 2));
}

const LABEL = /(\b(?:pp?|pgs?|pages?)\.?\s*)$/u;

function label(entry: Entry, pages: Field, style: CitationStyle): EntryFinding | null {
  const before = entry.text.slice(0, pages.from);
  const found = LABEL.exec(before)?.[1] ?? "";
  const isRange = /[–—-]/u.test(pages.text);
  const right = labelsOf(entry, style)?.[isRange ? 1 : 0];
  if (right === undefined || found.replaceAll(/\s+/gu, " ") === right) return null;
  const place = { from: pages.from - found.length, to: pages.from };
  const reason = right
    ? `${style.name} has “${right.trim()}” before these pages.`
    : `${style.name} has no label before the pages of a periodical.`;
  return { from: place.from, to: pages.to, reason, edits: [{ ...place, insert: right }] };
}

function labelsOf(entry: Entry, style: CitationStyle): readonly [string, string] | null {
  if (entry.type === "article") return style.periodical.pageLabels;
  if (entry.type !== "chapter" && entry.type !== "conference") return null;
  if (style.id === "vancouver") return ["p. ", "p. "];
  if (style.id === "ama-11" || style.id.startsWith("chicago")) return ["", ""];
  return ["p. ", "pp. "];
}
