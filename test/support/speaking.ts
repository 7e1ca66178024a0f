import type { Mark } from "../../src/core/engine/mark.ts";

/** Whether a mark is of a check, or speaks for it where several checks find one mistake. */
export function speaksFor(mark: Pick<Mark, "rule" | "also">, rule: string): boolean {
  return mark.rule === rule || (mark.also ?? []).some((one) => one.rule === rule);
}
