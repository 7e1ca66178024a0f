import { formChoice } from "../../house/form-choices.ts";
import { type HouseRule, isForKind, type RuleType } from "../../house/rules.ts";
import type { Kind } from "../../manuscript/model.ts";
import type { Circumstances, HouseAbbreviation, HouseForm } from "../check.ts";

/** What the rules of the houses say of forms and abbreviations, which the checks of these ask for. */

function* rulesOf<T extends RuleType>(rules: readonly HouseRule[], type: T, kind: Kind) {
  for (const { rule, house } of rules) {
    if (rule.off || rule.type !== type || !isForKind(rule.scope, kind)) continue;
    yield { rule: rule as Extract<HouseRule["rule"], { type: T }>, house };
  }
}

/** The form that the first house has of each group; null where none has any. */
export function houseFormsOf(rules: readonly HouseRule[], kind: Kind): Circumstances["houseForms"] {
  const forms: Record<string, HouseForm> = {};
  for (const { rule, house } of rulesOf(rules, "form", kind)) {
    const known = formChoice(rule.of);
    if (known && !known.forms.includes(rule.form)) continue;
    forms[rule.of] ??= { form: rule.form, house };
  }
  return Object.keys(forms).length > 0 ? forms : null;
}

/** The abbreviations of the houses, the first house first. */
export function houseAbbreviationsOf(
  rules: readonly HouseRule[],
  kind: Kind,
): ReadonlyMap<string, HouseAbbreviation> {
  const known = new Map<string, HouseAbbreviation>();
  for (const { rule } of rulesOf(rules, "abbreviation", kind)) {
    const { short, full, explained } = rule;
    if (!known.has(short)) known.set(short, { full, explained });
  }
  return known;
}
