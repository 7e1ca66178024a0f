import { type FormFact, formCheck } from "../form-check.ts";
import { DASHES } from "../text-signs.ts";
import { dashForm as card } from "./cards.ts";

/** Dashes between words, with the spaces around them: not those of ranges, compounds and routes. */
const DASH =
  /(?<=[\p{L}\p{N}.,!?)’”"'])(?:[ \u00a0\u2009]*—[ \u00a0\u2009]*|[ \u00a0\u2009]+[–−][ \u00a0\u2009]+|[ \u00a0]*---?[ \u00a0]*|[ \u00a0]+-[ \u00a0]+)(?=[\p{L}\p{N}(“‘"'])/gu;

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
