import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { rangeUnits as card } from "./cards.ts";
import { quantitiesOf } from "./facts.ts";

const FORMS = {
  dash: { once: "40–50 m", twice: "40 m–50 m" },
  to: { once: "40 to 50 m", twice: "40 m to 50 m" },
} as const;

interface RangeFact extends FormFact {
  /** The first number, and what stands from it to the second. */
  first: { from: number; to: number };
  unit: { from: number; to: number };
}

/** The unit of a range written once, or with both numbers. */
export const rangeUnits = formCheck<RangeFact>({
  ...card,
  matter: "quantities",
  examine(block) {
    const quantities = quantitiesOf(block);
    const { text } = block;
    return quantities.flatMap((second, index): RangeFact[] => {
      const first = quantities[index - 1];
      if (!first || !second.written || second.isName || first.unit !== second.unit) return [];
      const between = text.slice(first.to, second.from);
      const joint = /^\s?[–—-]\s?$/.test(between) ? "dash" : between === " to " ? "to" : null;
      if (!joint) return [];
      const form = FORMS[joint][first.written ? "twice" : "once"];
      const { number } = first;
      const rest = { first: { from: number.from, to: number.to }, unit: second.written };
      return [placed(block, { from: first.from, to: second.to, key: joint, form, ...rest })];
    });
  },
  reads: ["paragraph", "item", "note", "cell", "caption"],
  write({ from, to, first, unit, form: own }, form, text) {
    if (own === form) return text.slice(from, to);
    const isTwice = form === FORMS.dash.twice || form === FORMS.to.twice;
    if (isTwice) {
      const end = text.slice(0, unit.from).trimEnd().length;
      const gap = text.slice(end, unit.from);
      return (
        text.slice(from, first.to) + gap + text.slice(unit.from, unit.to) + text.slice(first.to, to)
      );
    }
    const rest = text.slice(first.to, to);
    const cut = rest.search(/\s?[–—-]|\sto\s/);
    return cut < 0 ? null : text.slice(from, first.to) + rest.slice(cut);
  },
});
