import type { Kind } from "../../../manuscript/model.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { unitSpace as card } from "./cards.ts";
import { quantitiesOf } from "./facts.ts";

const APART = "5 mm";
const CLOSED = "5mm";
const DEGREES = { [APART]: "5 °C", [CLOSED]: "5°C" };
/** Copy that follows the standard whatever its own habit is. */
const STRICT: ReadonlySet<Kind> = new Set(["paper", "clinical", "specification"]);

/** The space between a number and the symbol of its unit. */
export const unitSpace = formCheck<FormFact>({
  ...card,
  matter: "quantities",
  isOddAlone: true,
  examine(block) {
    return quantitiesOf(block).flatMap((quantity): FormFact[] => {
      const { from, to, gap, written, isName, unit, kind, number } = quantity;
      // Signs of angle are closed up by the same rule.
      if (!written || isName || gap === "-" || /^[°′″]$/.test(unit) || kind === "digital")
        return [];
      const form = gap === "" ? CLOSED : APART;
      const degrees = unit.startsWith("°");
      const key = degrees ? "degrees" : "symbols";
      const place = number.from === from ? { from, to } : { from: number.from, to };
      return [placed(block, { ...place, key, form: degrees ? DEGREES[form] : form })];
    });
  },
  atOdds(_key, counts, { kind }) {
    const closed = [CLOSED, DEGREES[CLOSED]].some((form) => (counts.get(form)?.own ?? 0) > 0);
    const own = [...counts.values()].filter(({ own: places }) => places > 0).length;
    return own > 1 || (closed && STRICT.has(kind));
  },
  rules: (key) => ({ form: key === "degrees" ? DEGREES[APART] : APART, by: "standard" }),
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    const cut = written.search(/[ \u00a0\u202f\u2009]*(?=[^\d\s.,½¼¾−–×^⁰-⁹-][^\d]*$)/u);
    if (cut < 0) return null;
    const number = written.slice(0, cut);
    const unit = written.slice(cut).trimStart();
    return form.includes(" ") ? `${number} ${unit}` : number + unit;
  },
  reads: ["paragraph", "item", "note", "cell", "caption"],
});
