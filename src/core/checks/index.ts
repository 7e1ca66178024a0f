import type { Check, Fact } from "./check.ts";
import { dayAndMonth } from "./spelling/day-and-month.ts";
import { doubledWord } from "./spelling/doubled-word.ts";
import { oddName } from "./spelling/odd-name.ts";
import { otherVariety } from "./spelling/other-variety.ts";
import { sentenceStart } from "./spelling/sentence-start.ts";
import { brokenWord, missingSpace } from "./spelling/spacing.ts";
import { capsLock, oddCapitals, twoCapitals } from "./spelling/stray-capitals.ts";
import { unknownWord } from "./spelling/unknown-word.ts";

/** Every check there is, in the order in which their marks are listed. */
export const CHECKS = [
  unknownWord,
  otherVariety,
  doubledWord,
  oddName,
  twoCapitals,
  capsLock,
  oddCapitals,
  sentenceStart,
  dayAndMonth,
  missingSpace,
  brokenWord,
] as unknown as Check<Fact>[];

/** A check by its id. */
export function checkById(id: string): Check<Fact> | undefined {
  return CHECKS.find((check) => check.id === id);
}
