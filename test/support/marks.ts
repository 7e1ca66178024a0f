import { checkText } from "../../src/command/checking.ts";
import { PASSES } from "../../src/core/checks/card.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { loadLanguage } from "./language.ts";

/** The marks of all passes in a report in British spelling, one paragraph a line. */
export function marksOf(text: string) {
  const options = { variety: "en-GB", kind: "report", passes: PASSES } as const;
  return checkText(linesManuscript(text), loadLanguage(), options).marks;
}
