import type { Choice, Circumstances, Fact, Forms, MarkFact } from "../checks/check.ts";
import { checkById } from "../checks/index.ts";
import { withStraightApostrophes } from "../language/text/apostrophes.ts";
import { respell } from "../language/words/respell.ts";
import type { Group, Mark, MarkChoice } from "./mark.ts";

/**
 * The ways to mend a mark in a block's text, from what its check found there: in the document's variety,
 * and with apostrophes as the document writes them, which `areStraight` says.
 */
export function choicesOf(
  mark: Pick<Mark, "rule" | "from" | "to">,
  text: string,
  facts: readonly MarkFact[],
  circumstances: Circumstances,
  areStraight: () => boolean,
): MarkChoice[] {
  const { variety, language } = circumstances;
  const check = checkById(mark.rule);
  const known = (): Choice[] => {
    const fact = facts.find(({ from, to }) => from === mark.from && to === mark.to);
    return (fact?.choices ?? []).map((choice) =>
      choice.asWritten
        ? choice
        : rewritten(choice, (one) => respell(one, variety, language.lexicon)),
    );
  };
  const choices = check?.choose?.(text, mark, circumstances) ?? known();
  return choices.map((choice) => {
    const curved = choice.edits.some(({ insert }) => insert.includes("’"));
    const own = curved && areStraight() ? rewritten(choice, withStraightApostrophes) : choice;
    return { ...own, variant: own.label.toLowerCase() };
  });
}

/**
 * The other forms of a group at one of its places, the preferred one first. What a choice comes to is its
 * form, so that one choice can be made in every place.
 */
export function formChoices(
  forms: Forms<Fact>,
  group: Group | undefined,
  mark: Pick<Mark, "from" | "to">,
  text: string,
  facts: readonly Fact[],
  circumstances: Circumstances,
): MarkChoice[] {
  const { preferred, variants = [] } = group ?? {};
  // A place may be a form of two things: the one that is asked about has one of these forms.
  const here = facts.filter(({ from, to }) => from === mark.from && to === mark.to);
  const isAsked = (fact: Fact) =>
    variants.some(({ text: label, form = label }) => form === forms.formOf(fact));
  const fact = here.find(isAsked) ?? here[0];
  if (!fact || variants.length === 0) return [];
  const isFirst = (form: string) => Number(form === preferred?.variant);
  const known = variants.map(({ form, text: label }) => form ?? label);
  // What a standard has need not be met in the text.
  const all = new Set(preferred ? [...known, preferred.variant] : known);
  return [...all]
    .filter((form) => form !== forms.formOf(fact))
    .sort((one, other) => isFirst(other) - isFirst(one))
    .flatMap((form) => {
      const insert = forms.write(fact, form, text, circumstances);
      if (insert === null) return [];
      return [{ label: insert, variant: form, edits: [{ from: fact.from, to: fact.to, insert }] }];
    });
}

/** A choice with what it puts in, and its label, changed alike. */
function rewritten(choice: Choice, change: (text: string) => string): Choice {
  const edits = choice.edits.map((edit) => ({ ...edit, insert: change(edit.insert) }));
  return { ...choice, label: change(choice.label), edits };
}
