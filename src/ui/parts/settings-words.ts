import { cardById } from "../../core/checks/cards.ts";
import { LEAVE_KINDS } from "../../core/checks/leave.ts";
import { SUBJECTS } from "../../core/house/subjects.ts";
import type { Setting } from "../../core/ledger/decision.ts";
import { readerLabel } from "./reader-words.ts";
import { APPETITE_LABELS, KIND_LABELS, VARIETY_LABELS } from "./words.ts";

/** What a setting was turned to, as one line: “Passive: when sure”. */
export function settingLine({ name, of = "", after }: Setting): string {
  const value = String(after);
  const labels: Record<string, string> = { ...VARIETY_LABELS, ...KIND_LABELS, ...APPETITE_LABELS };
  switch (name) {
    case "variety":
    case "kind":
      return labels[value] ?? value;
    case "reader":
      return `Reader: ${readerLabel(value)}`;
    case "appetite":
    case "house-appetite": {
      const where = name === "appetite" ? "" : ", in every document";
      const how = after === null ? "as the house has it" : (labels[value] ?? value);
      return `${cardById(of)?.title ?? of}: ${how}${where}`;
    }
    case "leave": {
      const title = LEAVE_KINDS.find(({ id }) => id === of)?.title ?? of;
      return `${title}: ${after === true ? "left alone" : "read"}`;
    }
    case "subject": {
      const title = SUBJECTS.find(({ id }) => id === of)?.title ?? "a list of yours";
      return `Subject list ${title}: ${after === true ? "on" : "off"}`;
    }
    case "listed":
      return after === null ? `“${of}” off the word list` : `“${of}” on a word list`;
  }
}
