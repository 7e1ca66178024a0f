import { type FormFact, formCheck } from "../form-check.ts";
import { DASHES } from "../text-signs.ts";
import { dashForm as card } from "./cards.ts";

/** Dashes between words, with the spaces around them: not those of ranges, compounds and routes. */
const DASH =
  /(?<=[\p{L}\p{N}.,!?)’”"'])(?:[ \u00a0\u2009]*—[ \u00a0\u2009]*|[ \u00a0\u2009]+[–−][ \u00a0\u2009]+|[ \u00a0]*---?[ \u00a0]*|[ \u00a0]+-[ \u00a0]+)(?=[\p{L}\p{N}(“‘"'])/gu;

/** Words of a name at the start of a line that a dash parts from what is said of it. */
const NAMED = /^\S+(?:\s\S+){0,2}$/u;

/** "tidewatch - Shows the tide", "… is the keeper.” -- Orrin Pell": an entry and its text, a saying and who said it. */
function partsNoThought(before: string, after: string): boolean {
  if (!/^\p{Lu}/u.test(after)) return false;
  return NAMED.test(before) || /[.!?][”"’']?$/u.test(before);
}

/** The dash that parts a thought: long, short with spaces, or made of hyphens. */
export const dashForm = formCheck<FormFact>({
  ...card,
  matter: "marks",
  needs: DASHES,
  examine(block) {
    const facts: FormFact[] = [];
    if (!/[—–−]|--| - /.test(block.text)) return facts;
    for (const match of block.text.matchAll(DASH)) {
      const from = match.index;
      const to = from + match[0].length;
      if (partsNoThought(block.text.slice(0, from), block.text.slice(to))) continue;
      // Between two figures it is a range, or a minus.
      if (/\d/.test(block.text.charAt(from - 1)) && /\d/.test(block.text.charAt(to))) continue;
      const sign = match[0].trim().replace("−", "–");
      const spaced = match[0] !== match[0].trim();
      const form = spaced ? `a ${sign} b` : `a${sign}b`;
      facts.push({ from, to, key: "dash", form });
    }
    return facts;
  },
  reads: ["paragraph", "note", "quote"],
  write: (_fact, form) => form.slice(1, -1),
});
