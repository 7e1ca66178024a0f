import { APPETITES, type Appetite } from "../../core/checks/card.ts";
import { LEAVES } from "../../core/checks/leave.ts";
import { STYLE_IDS } from "../../core/citations/styles/style.ts";
import { HOUSE, type HouseStyle, PERSONAL } from "../../core/house/style.ts";
import type { Setting } from "../../core/ledger/decision.ts";
import { KINDS, VARIETIES } from "../../core/manuscript/model.ts";
import type { ShelfRecord } from "../../store/shelf.ts";

/** Settings that decide which marks there are, as decisions turn them and undoing turns them back. */

export type SettingValue = Setting["after"];

/** What a setting of the document changes in its record, set to a value; null for one of the house. */
export function recordWith(
  record: ShelfRecord,
  { name, of = "" }: Setting,
  value: SettingValue,
): Partial<ShelfRecord> | null {
  switch (name) {
    case "variety":
      return { variety: VARIETIES.find((one) => one === value) ?? record.variety };
    case "kind":
      return { kind: KINDS.find((one) => one === value) ?? record.kind };
    case "reader":
      return { reader: typeof value === "string" ? value : null };
    case "appetite":
      return {
        off: record.off.filter((one) => one !== of),
        appetites: withAppetite(record.appetites, of, value),
      };
    case "leave": {
      const leave = LEAVES.find((one) => one === of);
      if (!leave) return {};
      const { [leave]: _own, ...others } = record.leave;
      return { leave: typeof value === "boolean" ? { ...others, [leave]: value } : others };
    }
    case "form": {
      const { [of]: _own, ...others } = record.forms;
      return { forms: typeof value === "string" ? { ...others, [of]: value } : others };
    }
    case "citations":
      return { citationStyle: STYLE_IDS.find((one) => one === value) ?? null };
    case "houses":
      return { houses: typeof value === "string" && value !== "" ? value.split(" ") : [] };
    case "subject": {
      const others = record.subjects.filter((one) => one !== of);
      return { subjects: value === true ? [...others, of] : others };
    }
    default:
      return null;
  }
}

/** The house style with a setting of the house set to a value; the same style for other settings. */
export function styleWith(
  style: HouseStyle,
  { name, of = "" }: Setting,
  value: SettingValue,
  now: string,
  document: string,
): HouseStyle {
  if (name === "house-appetite") {
    return { ...style, appetites: withAppetite(style.appetites, of, value) };
  }
  if (name !== "listed") return style;
  if (typeof value !== "string") {
    return { ...style, words: style.words.filter(({ word }) => word !== of) };
  }
  if (style.words.some(({ word }) => word === of)) return style;
  const known = [PERSONAL, HOUSE, ...style.lists.map(({ id }) => id)];
  const list = known.includes(value) ? value : PERSONAL;
  return { ...style, words: [...style.words, { word: of, list, document, addedAt: now }] };
}

/** How a setting stands now; null where nothing has been chosen. */
export function settingValue(
  record: ShelfRecord,
  style: HouseStyle,
  { name, of = "" }: Pick<Setting, "name" | "of">,
): SettingValue {
  switch (name) {
    case "variety":
      return record.variety;
    case "kind":
      return record.kind;
    case "reader":
      return record.reader;
    case "appetite":
      return record.appetites[of] ?? (record.off.includes(of) ? "off" : null);
    case "house-appetite":
      return style.appetites[of] ?? null;
    case "leave":
      return record.leave[LEAVES.find((one) => one === of) ?? "names"] ?? null;
    case "form":
      return record.forms[of] ?? null;
    case "citations":
      return record.citationStyle;
    case "houses":
      return record.houses.length > 0 ? record.houses.join(" ") : null;
    case "subject":
      return record.subjects.includes(of);
    case "listed":
      return style.words.find(({ word }) => word === of)?.list ?? null;
  }
}

function withAppetite(
  appetites: Readonly<Record<string, Appetite>>,
  rule: string,
  value: SettingValue,
): Record<string, Appetite> {
  const { [rule]: _own, ...others } = appetites;
  const appetite = APPETITES.find((one) => one === value);
  return appetite ? { ...others, [rule]: appetite } : others;
}
