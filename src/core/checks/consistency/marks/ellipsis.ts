import { type FormFact, formCheck } from "../form-check.ts";
import { POINTS } from "../text-signs.ts";
import { ellipsisForm as card } from "./cards.ts";

const ELLIPSIS = /…|(?<!\.)\.\.\.(?!\.)|(?<!\.)\.[ \u00a0]\.[ \u00a0]\.(?!\.)/g;

/** Points of omission as one sign, as three stops, or as three stops with spaces. */
export const ellipsisForm = formCheck<FormFact>({
  ...card,
  matter: "marks",
  needs: POINTS,
  examine(block) {
    const facts: FormFact[] = [];
    for (const { 0: sign, index } of block.text.matchAll(ELLIPSIS)) {
      const form = sign.replaceAll("\u00a0", " ");
      facts.push({ from: index, to: index + sign.length, key: "points of omission", form });
    }
    return facts;
  },
  write: (_fact, form) => (form === ". . ." ? ".\u00a0.\u00a0." : form),
});
