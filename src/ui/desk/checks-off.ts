import type { Check, Pass } from "../../core/checks/check.ts";
import { CHECKS } from "../../core/checks/index.ts";
import type { DeskSession } from "./session.ts";

/** The checks of a pass that are off: by the reader's choice, or as is usual for the kind of copy. */
export function checksOff(pass: Pass, session: DeskSession): Check[] {
  return CHECKS.filter((check) => check.pass === pass && session.appetiteOf(check.id) === "off");
}
