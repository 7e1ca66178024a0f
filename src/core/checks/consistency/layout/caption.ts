import { type FormFact, formCheck } from "../form-check.ts";
import { captionForm as card } from "./cards.ts";

/** The label of a figure or table that stands before its title. */
export const CAPTION =
  /^(?<label>(?:Supplementary |Appendix )?(?:Figure|Fig\.?|FIGURE|Table|TABLE|Tab\.?|Plate|Map|Chart|Box|Scheme))[ \u00a0](?<number>[A-Z]?\d+(?:[.-]\d+)*[a-z]?)(?<sign>\s*[.:–—|-]|)(?<space>\s+)(?=["“‘(]?[\p{L}\p{N}])/u;
/** Longer paragraphs are text that begins with a figure. */
const LONGEST = 300;

/** The label, the sign after the number, and the end of captions. */
export const captionForm = formCheck<FormFact>({
  ...card,
  matter: "layout",
  examine(block) {
    const { text, sentences, kind } = block;
    const trimmed = text.trimEnd();
    const match = trimmed.length > LONGEST ? null : CAPTION.exec(trimmed);
    if (!match) return [];
    const { label = "", sign = "" } = match.groups ?? {};
    // "Figure 3 shows the wall" is a sentence of the text.
    if (sign === "" && kind !== "caption" && !/^\p{Lu}/u.test(trimmed.slice(match[0].length)))
      return [];
    const family = /^t/i.test(label)
      ? "tables"
      : /^f/i.test(label)
        ? "figures"
        : label.toLowerCase();
    const facts: FormFact[] = [
      {
        from: 0,
        to: match[0].trimEnd().length,
        key: `caption of ${family}`,
        form: `${label} 1${sign}`,
      },
    ];
    // A caption of several sentences ends as they do.
    const single = sentences.length <= (sign === "." ? 2 : 1);
    if (single) {
      const from = Math.max(match[0].length, trimmed.search(/[\p{L}\p{N}]+[^\p{L}\p{N}]*$/u));
      const form = trimmed.endsWith(".") ? "full stop" : "no full stop";
      facts.push({ from, to: trimmed.length, key: `end of captions of ${family}`, form });
    }
    return facts;
  },
  reads: ["paragraph", "caption"],
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    if (form === "full stop") return written.endsWith(".") ? written : `${written}.`;
    if (form === "no full stop") return written.replace(/\.$/, "");
    const number = /[A-Z]?\d+(?:[.-]\d+)*[a-z]?/.exec(written)?.[0];
    return number === undefined ? null : form.replace(/(?<=[ \u00a0])1/, number);
  },
});
