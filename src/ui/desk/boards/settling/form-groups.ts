import { cardById } from "../../../../core/checks/cards.ts";
import { MATTERS, type Matter, type Preference } from "../../../../core/checks/check.ts";
import type { Group } from "../../../../core/engine/mark.ts";
import type { PlacedMark } from "../../reported.ts";

/** What is to be settled, as the board lists it. */

/** A group of forms that are at odds, with the mark that stands for it. */
export interface OpenGroup {
  group: Group & { matter: Matter };
  mark: PlacedMark;
  /** Its places that may change and have not the commonest form. */
  odd: number;
}

export const MATTER_LABELS: Readonly<Record<Matter, string>> = {
  compounds: "Compounds",
  spelling: "Spelling",
  capitals: "Capitals",
  names: "Names",
  numbers: "Numbers",
  dates: "Dates and times",
  marks: "Quotation marks and dashes",
  layout: "Lists, headings, captions",
  abbreviations: "Abbreviations",
  quantities: "Quantities",
  numbering: "Numbered things",
};

/** The groups of forms that have an open mark, by what they are about and then as they come in the text. */
export function openGroups(
  groups: ReadonlyMap<string, Group>,
  open: readonly PlacedMark[],
): OpenGroup[] {
  const found: OpenGroup[] = [];
  const met = new Set<string>();
  for (const mark of open) {
    const group = groups.get(mark.mark.group);
    if (!group?.matter || !group.variants || met.has(group.id)) continue;
    met.add(group.id);
    found.push({ group: { ...group, matter: group.matter }, mark, odd: oddIn(group) });
  }
  const order = ({ group }: OpenGroup) => MATTERS.indexOf(group.matter);
  return found.sort((one, other) => order(one) - order(other));
}

function oddIn({ variants = [], preferred }: Group): number {
  const own = variants.map(({ text, form = text, count, kept = 0 }) => ({
    form,
    places: count - kept,
  }));
  const all = own.reduce((sum, { places }) => sum + places, 0);
  const kept = own.find(({ form }) => form === preferred?.variant) ?? own[0];
  return Math.max(1, all - (kept?.places ?? 0));
}

/** The forms of a group, in the order in which the board numbers them: the preferred one first. */
export function formsOf({ variants = [], preferred }: Group): { form: string; text: string }[] {
  const named = variants.map(({ text, form = text }) => ({ form, text }));
  const first = named.find(({ form }) => form === preferred?.variant);
  if (!preferred || first) {
    return first ? [first, ...named.filter((one) => one !== first)] : named;
  }
  return [{ form: preferred.variant, text: preferred.variant }, ...named];
}

/** What a group is called: its forms beside each other. */
export function titleOf({ id, rule, variants = [] }: Group): string {
  const forms = variants.map(({ text }) => text).join(", ");
  // Systems of units are told apart by what they measure.
  return rule === "consistency/unit-system" ? `${id.slice(id.indexOf(":") + 1)}: ${forms}` : forms;
}

const PREFERS: Readonly<Record<Preference, string>> = {
  document: "chosen for this document",
  house: "the house list",
  dictionary: "the dictionary",
  standard: "the standard",
  kind: "this kind of copy",
  variety: "this English",
  majority: "most used here",
};

/** Who prefers a form, in a word or two; "" for nobody. */
export function prefersLabel({ preferred, variants = [] }: Group, form: string): string {
  if (preferred?.variant === form) {
    const most = variants[0];
    const also = preferred.by !== "majority" && (most?.form ?? most?.text) === form;
    return `${PREFERS[preferred.by]}${also ? "; most used here" : ""}`;
  }
  return "";
}

/** What the check of a group is called. */
export function checkTitle({ rule }: Group): string {
  return cardById(rule)?.title ?? rule;
}
