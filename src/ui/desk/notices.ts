import type { Decision, Setting } from "../../core/ledger/decision.ts";
import { changeAt } from "../../core/ledger/log.ts";
import { count } from "../parts/words.ts";

/** What the status line says of the walk and of decisions. */

/** Said at the last or first open mark, before the walk goes round. */
export function edgeNotice(open: number, edge: "start" | "end"): string {
  if (open === 1) return "This is the only open mark of the pass.";
  return edge === "end"
    ? "This is the last open mark of the pass. ↓ once more goes round to the first."
    : "This is the first open mark of the pass. ↑ once more goes round to the last.";
}

/** What a decision did, for the status line. */
export function saidOf(decision: Decision): string {
  const { act, marks, edits, word, setting } = decision;
  const text = marks[0]?.text ?? "";
  if (setting?.name === "form") return settledAs(setting.after, edits.length);
  switch (act) {
    case "correct": {
      if (edits.length > 1 && marks.length !== 1) {
        return `${edits.length} places corrected. U takes them back together.`;
      }
      const { mistake, correction } = changeAt(decision, 0);
      if (correction === "") return `“${shorten(mistake)}” is out now.`;
      return `“${shorten(mistake)}” is “${shorten(correction)}” now.`;
    }
    case "stet":
      return marks.length > 1 ? `${marks.length} places stand.` : `“${shorten(text)}” stands.`;
    case "query":
      return `A question on “${shorten(text)}” is noted.`;
    case "word":
      return `“${word ?? ""}” is on the word list.`;
    default:
      return "";
  }
}

/** What became of a group of forms. */
function settledAs(form: Setting["after"], places: number): string {
  if (!form) return "All its forms stand on purpose. U takes it back.";
  const said = places === 0 ? "Kept" : `Written in ${count(places, "place")}`;
  return `${said}: “${shorten(String(form))}”. U takes it back.`;
}

/** What a decision was, for the sentence that it is taken back or made again. */
export function effectName({ act, marks, word, edits, inverse, setting }: Decision): string {
  const text = shorten(marks[0]?.text ?? "");
  if (setting?.name === "form") return `the choice of form for “${text}”`;
  switch (act) {
    case "correct":
      return text ? `the correction of “${text}”` : "the replacements";
    case "stet":
      return `“${text}” let stand`;
    case "query":
      return `the question on “${text}”`;
    case "word":
      return `“${word ?? ""}” on the word list`;
    case "setting":
      return "the setting";
    default: {
      const put = shorten(edits[0]?.insert ?? "");
      const out = shorten(inverse[0]?.insert ?? "");
      return put ? `typing “${put}”` : `taking out “${out}”`;
    }
  }
}

const LONGEST_SAID = 40;

function shorten(text: string): string {
  return text.length > LONGEST_SAID ? `${text.slice(0, LONGEST_SAID)}…` : text;
}
