import type { Check, Fact } from "./check.ts";
import { doubledWord } from "./spelling/doubled-word.ts";
import { unknownWord } from "./spelling/unknown-word.ts";

/** Every check there is, in the order in which their marks are listed. */
export const CHECKS = [unknownWord, doubledWord] as unknown as Check<Fact>[];

/** A check by its id. */
export function checkById(id: string): Check<Fact> | undefined {
  return CHECKS.find((check) => check.id === id);
}
