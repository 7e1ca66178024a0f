import type { Pass, Weight } from "../../../core/checks/card.ts";
import type { Block } from "../../../core/manuscript/model.ts";
import type { PlacedMark } from "../reported.ts";

/** Which marks are listed; "" for all. */
export interface MarkFilter {
  pass: Pass | "";
  weight: Weight | "";
  rule: string;
  /** A section's number, as text. */
  section: string;
}

export const NO_FILTER: MarkFilter = { pass: "", weight: "", rule: "", section: "" };

/** The marks a filter leaves, in their order. */
export function filtered(
  marks: readonly PlacedMark[],
  filter: MarkFilter,
  blocks: readonly Pick<Block, "section">[],
): PlacedMark[] {
  const { pass, weight, rule, section } = filter;
  return marks.filter(
    ({ mark }) =>
      (pass === "" || mark.pass === pass) &&
      (weight === "" || mark.weight === weight) &&
      (rule === "" || mark.rule === rule) &&
      (section === "" || sectionOf(mark.block, blocks) === section),
  );
}

/** The number of the section a block is in, as text. */
export function sectionOf(block: number, blocks: readonly Pick<Block, "section">[]): string {
  return String(blocks[block]?.section ?? 0);
}

/** How many marks there are of each value, most first, as far as the other filters leave them. */
export function countedBy(
  marks: readonly PlacedMark[],
  of: (place: PlacedMark) => string,
): [value: string, count: number][] {
  const counts = new Map<string, number>();
  for (const place of marks) {
    const value = of(place);
    counts.set(value, (counts.get(value) ?? 0) + 1);
  }
  return [...counts].sort(([, one], [, other]) => other - one);
}
