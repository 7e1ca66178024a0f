import { KINDS, type Kind } from "../manuscript/model.ts";
import type { Appetite, Check } from "./check.ts";

/**
 * Which checks run, and how strictly, for each kind of copy. A check that is not named runs at full
 * appetite. Common practice: advice on style has little place in a brief, and none in a sheet.
 */
const TABLE: Readonly<Record<Kind, Readonly<Record<string, Appetite>>>> = {
  paper: {},
  report: {},
  specification: {},
  brief: {},
  clinical: {},
  fiction: {},
  letter: {},
  sheet: {},
};

/** How much of a check is wanted in a kind of copy unless somebody said otherwise. */
export function usualAppetite(check: Pick<Check, "id">, kind: Kind): Appetite {
  return TABLE[kind][check.id] ?? "all";
}

/** How much of a check is wanted: what was chosen, or what is usual. */
export function appetiteFor(
  check: Pick<Check, "id">,
  settings: { kind: Kind; appetites: Readonly<Record<string, Appetite>> },
): Appetite {
  return settings.appetites[check.id] ?? usualAppetite(check, settings.kind);
}

export const ALL_KINDS: readonly Kind[] = KINDS;
