import { csv } from "../house/exchange.ts";
import { FORM_FAMILIES, formChoice } from "../house/form-choices.ts";
import { TYPE_TITLES } from "../house/rule-titles.ts";
import { RULE_TYPES, type Rule, type RuleType } from "../house/rules.ts";
import { SHEET_GROUPS, SHEET_TITLES, type SheetEntry } from "../house/sheet.ts";
import type { HouseStyle } from "../house/style.ts";
import type { Table } from "../readings/tables.ts";
import type { ReportPart } from "./parts.ts";
import { dateLabel } from "./words.ts";

/** Style sheets and house styles as parts that people read and print, and as files. */

/** A style sheet, group by group. */
export function sheetParts(entries: readonly SheetEntry[]): ReportPart[] {
  return SHEET_GROUPS.flatMap((group): ReportPart[] => {
    const own = entries.filter((entry) => entry.group === group);
    if (own.length === 0) return [];
    const rows = own.map(({ text, note, places, at }) => [
      text,
      note,
      places > 0 ? places : "",
      at === "" ? "by hand" : dateLabel(at),
    ]);
    const columns = ["", "Note", "Places", "Decided"];
    return [{ title: SHEET_TITLES[group], lines: [], tables: [{ title: "", columns, rows }] }];
  });
}

/** A style sheet as Markdown. */
export function sheetMarkdown(title: string, entries: readonly SheetEntry[]): string {
  const lines = [`# Style sheet: ${escaped(title)}`];
  for (const group of SHEET_GROUPS) {
    const own = entries.filter((entry) => entry.group === group);
    if (own.length === 0) continue;
    lines.push("", `## ${SHEET_TITLES[group]}`, "");
    for (const { text, note, places } of own) {
      const count = places > 0 ? ` (${places} ${places === 1 ? "place" : "places"})` : "";
      lines.push(`- ${escaped(text)}${note ? `: ${escaped(note)}` : ""}${count}`);
    }
  }
  return `${lines.join("\n")}\n`;
}

function escaped(text: string): string {
  return text.replace(/[\\`*_[\]<>#|]/g, "\\$&").replace(/\s+/g, " ");
}

/** A style sheet as CSV. */
export function sheetCsv(entries: readonly SheetEntry[]): string {
  return csv([
    ["group", "entry", "note", "places", "decided"],
    ...entries.map(({ group, text, note, places, at }) => [
      SHEET_TITLES[group],
      text,
      note,
      String(places),
      at,
    ]),
  ]);
}

/** A house style as a manual: its rules kind by kind, its words, its checks. */
export function manualParts(style: HouseStyle): ReportPart[] {
  const parts: ReportPart[] = [];
  for (const type of RULE_TYPES) {
    const rules = style.rules.filter((rule) => rule.type === type && !rule.off);
    if (rules.length === 0) continue;
    const tables = type === "form" ? formTables(rules) : [ruleTable(type, rules)];
    parts.push({ title: TYPE_TITLES[type], lines: [], tables });
  }
  if (style.words.length > 0) {
    const rows = style.words
      .toSorted((one, other) => one.word.localeCompare(other.word, "en"))
      .map(({ word, note }) => [word, note ?? ""]);
    parts.push({
      title: "Words that are right",
      lines: [],
      tables: [{ title: "", columns: ["Word", "Note"], rows }],
    });
  }
  return parts;
}

function ruleTable(type: RuleType, rules: readonly Rule[]): Table {
  const columns = ["Write", type === "abbreviation" ? "Short for" : "Not", "Why, and where not"];
  const rows = rules.map((rule) => [writeOf(rule), notOf(rule), whyOf(rule)]);
  rows.sort((one, other) =>
    (one[0] || one[1] || "").localeCompare(other[0] || other[1] || "", "en"),
  );
  return { title: "", columns, rows };
}

function writeOf(rule: Rule): string {
  switch (rule.type) {
    case "term":
    case "wording":
      return rule.use.join(", ");
    case "capitals":
    case "compound":
    case "name":
      return rule.write;
    case "abbreviation":
      return rule.short;
    case "form":
      return rule.form;
    case "pattern":
      return "";
    case "expression":
      return rule.put ?? "";
  }
}

function notOf(rule: Rule): string {
  switch (rule.type) {
    case "term":
    case "wording":
    case "compound":
    case "name":
      return rule.not.join(", ");
    case "abbreviation":
      return rule.full;
    case "pattern":
      return rule.pattern;
    case "expression":
      return rule.find;
    default:
      return "";
  }
}

function whyOf(rule: Rule): string {
  const exceptions = "exceptions" in rule && rule.exceptions.length > 0 ? rule.exceptions : [];
  const { kinds = [], in: places = [] } = rule.scope ?? {};
  const where = [...kinds, ...places];
  const examples = (rule.examples ?? []).flatMap((one) =>
    "wrong" in one && one.right ? [`“${one.wrong}” is “${one.right}”`] : [],
  );
  return [
    rule.reason ?? "",
    exceptions.length > 0 ? `not in ${exceptions.join("; ")}` : "",
    where.length > 0 ? `for ${where.join(", ")}` : "",
    rule.type === "abbreviation"
      ? rule.explained
        ? "explained at its first use"
        : "needs no explanation"
      : "",
    ...examples,
  ]
    .filter((part) => part !== "")
    .join("; ");
}

function formTables(rules: readonly Rule[]): Table[] {
  const forms = rules.flatMap((rule) => (rule.type === "form" ? [rule] : []));
  const tables = FORM_FAMILIES.flatMap(({ title, choices }): Table[] => {
    const rows = choices.flatMap(({ of, title: about }) => {
      const own = forms.find((rule) => rule.of === of);
      return own ? [[about, own.form]] : [];
    });
    return rows.length > 0 ? [{ title, columns: ["", "Form"], rows }] : [];
  });
  const others = forms.filter(({ of }) => !formChoice(of));
  if (others.length > 0) {
    const rows = others.map(({ of, form }) => [of.slice(of.indexOf(":") + 1), form]);
    tables.push({ title: "Single terms", columns: ["", "Form"], rows });
  }
  return tables;
}
