import type { Card, Pass } from "../../core/checks/card.ts";
import { CARDS } from "../../core/checks/cards.ts";
import type { DeskSession } from "./session.ts";

/** The checks of a pass that are off: by the reader's choice, or as is usual for the kind of copy. */
export function checksOff(pass: Pass, session: DeskSession): Card[] {
  return CARDS.filter(
    (check) => check.pass === pass && session.settings.appetiteOf(check.id) === "off",
  );
}
