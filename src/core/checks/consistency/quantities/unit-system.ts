import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { unitSystem as card } from "./cards.ts";
import { converted, statedTwice } from "./conversions.ts";
import { quantitiesOf } from "./facts.ts";

const FORMS = { metric: "SI and metric", customary: "imperial and US" } as const;
/** Kinds of quantity that everybody has in one system, or in both. */
const NOT_ASKED = new Set([
  "time",
  "angle",
  "digital",
  "data rate",
  "frequency",
  "ratio",
  "portion",
  "graphics",
  "level",
]);

interface SystemFact extends FormFact {
  converted: string | null;
}

/** Units of two systems for one kind of quantity. */
export const unitSystem = formCheck<SystemFact>({
  ...card,
  matter: "quantities",
  isAsked: true,
  examine(block) {
    const quantities = quantitiesOf(block);
    const stated = statedTwice(quantities, block.text);
    return quantities.flatMap((quantity): SystemFact[] => {
      const { system, kind, from, to } = quantity;
      if ((system !== "metric" && system !== "customary") || NOT_ASKED.has(kind)) return [];
      const twice = stated.some(({ first, second }) => first === quantity || second === quantity);
      const fact = { from, to, key: kind, form: FORMS[system], converted: converted(quantity) };
      return [placed(block, twice || quantity.inWords ? { ...fact, kept: "bracket" } : fact)];
    });
  },
  reads: ["paragraph", "item", "note", "cell", "caption"],
  write: ({ converted: other }) => other,
});
