import { benchEntries } from "./entries.ts";
import { benchFields } from "./fields.ts";
import { benchGuesses } from "./guesses.ts";
import { benchPace } from "./pace.ts";
import { benchProse } from "./prose.ts";
import { benchTies } from "./ties.ts";

/**
 * Citations and references: fields read, faults found, citations tied, styles told, prose left alone,
 * and the time it takes. HALF=tune for the tuning part; SHOW names what is printed one by one, such as
 * (ONLY=pace for the time alone)
 * apa-7:title, apa-7:clean, apa-7:page-dash, mla-9:ties, faults:name-typo or faults.
 */
export function benchCitations(): void {
  const part = process.env["HALF"] === "tune" ? "tune" : "test";
  const show = process.env["SHOW"] ?? "";
  if (process.env["ONLY"] === "pace") {
    benchPace();
    return;
  }
  benchFields(part, show);
  benchGuesses(part);
  benchEntries(part, show);
  benchTies(part, show);
  benchProse();
  benchPace();
}
