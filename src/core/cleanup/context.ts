import type { HouseRule } from "../house/rules.ts";
import type { Manuscript } from "../manuscript/model.ts";
import type { CleanContext } from "./steps.ts";

/** What the clean-up goes by where the house says nothing: what most of the document has. */

const DASHES = ["a—b", "a – b", "a — b", "a–b"] as const;
const ELLIPSES = ["…", "...", ". . ."] as const;

/** The habits of a document, and what its houses have above them; the first house is heard first. */
export function cleanContext(
  { text, blocks, origin, variety }: Pick<Manuscript, "text" | "blocks" | "origin" | "variety">,
  rules: readonly HouseRule[],
): CleanContext {
  const house = (of: string) =>
    rules.flatMap(({ rule }) =>
      rule.type === "form" && !rule.off && rule.of === `consistency/${of}` ? [rule.form] : [],
    )[0] ?? null;
  const marks = house("quotation-marks:quotation marks");
  const curved = count(text, /[“”‘’]/g);
  const straight = count(text, /["']/g);
  const columns = blocks.filter(({ from, to }) => / {3,}\S/.test(text.slice(from, to))).length;
  return {
    format: origin.format,
    variety,
    dash: house("dash:dash") ?? most(text, DASHES, (form) => form.slice(1, -1)),
    ellipsis: house("ellipsis:points of omission") ?? most(text, ELLIPSES, (form) => form),
    isCurved: marks === null ? curved > 2 * straight : /[“‘]/.test(marks),
    isPlain: origin.format === "txt" && columns > 0.1 * blocks.length,
  };
}

function count(text: string, expression: RegExp): number {
  return text.match(expression)?.length ?? 0;
}

/** The form that the document has most often; null where it has none twice. */
function most<F extends string>(
  text: string,
  forms: readonly F[],
  signOf: (form: F) => string,
): F | null {
  let best: F | null = null;
  let places = 1;
  for (const form of forms) {
    const number = text.split(signOf(form)).length - 1;
    if (number > places) {
      places = number;
      best = form;
    }
  }
  return best;
}
