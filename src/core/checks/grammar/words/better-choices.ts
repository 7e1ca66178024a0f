import type { Language } from "../../../language/analysis.ts";
import type { ChoiceModel } from "../../../language/models/choice-model.ts";
import type { BetterChoice } from "../../../language/models/choice-models.ts";
import type { Syntax } from "../../../language/phrases/syntax.ts";

export interface Better extends BetterChoice {
  kind: ChoiceModel["kind"];
  classes: readonly string[];
}

const judged = new WeakMap<Syntax, Better[]>();

/** What the choice models would have otherwise in a block; worked out once for all checks. */
export function betterChoices(
  syntax: Syntax,
  { choices, trigrams }: Language,
  kind: ChoiceModel["kind"],
): Better[] {
  if (!choices || !trigrams) return [];
  let all = judged.get(syntax);
  if (!all) {
    all = choices.better(syntax, trigrams).flatMap((one) => {
      const model = choices.models[one.model];
      return model ? [{ ...one, kind: model.kind, classes: model.classes }] : [];
    });
    judged.set(syntax, all);
  }
  return all.filter((one) => one.kind === kind);
}
