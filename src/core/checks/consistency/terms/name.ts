import { isOneEdit } from "../../../language/corrections/edit-cost.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { isDayOrMonth } from "../../../language/words/days-and-months.ts";
import { NAME } from "../../../language/words/lexicon.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { personName as card } from "./cards.ts";

const FULL = /^\p{Lu}[\p{Ll}\p{M}]+$/u;
const SHORTEST = 3;

/**
 * Names of two words of which one is the same and the other a letter apart, or two letters that sound
 * alike: "Sara Marlow", "Sara Marlowe". Two forms meet under the word they share with how the other begins
 * or ends.
 */
export const personName = formCheck<FormFact>({
  ...card,
  matter: "names",
  examine(block) {
    const syntax = block.syntax();
    if (!syntax) return [];
    const { units, words, tags, text } = syntax;
    const facts: FormFact[] = [];
    for (let at = 0; at < units.length - 1; at++) {
      const unit = units[at];
      const next = units[at + 1];
      if (!unit || !next || next.from !== unit.to + 1 || tags[at + 1] === TAG.CD) continue;
      if (isSmall(text.charCodeAt(unit.from)) || isSmall(text.charCodeAt(next.from))) continue;
      const first = text.slice(unit.from, unit.to);
      const second = text.slice(next.from, next.to);
      if (!FULL.test(first) || !FULL.test(second)) continue;
      if (first.length < SHORTEST || second.length < SHORTEST) continue;
      if (isDayOrMonth(first) || isDayOrMonth(second)) continue;
      const traits = words[at]?.traits ?? 0;
      if (at === syntax.sentenceFrom[at] && traits !== 0 && (traits & NAME) === 0) continue;
      const key = [`${first} ${skeleton(second)}`, `${skeleton(first)} ${second}`];
      facts.push(
        placed(block, { from: unit.from, to: next.to, key, form: `${first} ${second}` }, at),
      );
    }
    return facts;
  },
  atOdds(_key, counts) {
    const own = [...counts].filter(([, { own: places }]) => places > 0).map(([form]) => form);
    return own.length > 1 && own.slice(1).every((form) => isNear(own[0] ?? "", form));
  },
  write: (_fact, form) => form,
});

function isSmall(code: number): boolean {
  return code > 96 && code < 123;
}

/** What two ways of writing one name have in common: its consonants by sound. */
function skeleton(name: string): string {
  return name
    .toLowerCase()
    .replace(/ph/g, "f")
    .replace(/ck|c(?![eiy])|k/g, "c")
    .replace(/(\p{L})\1/gu, "$1")
    .replace(/(?<=.)[aeiouyhw]/g, "");
}

function isNear(one: string, other: string): boolean {
  if (isOneEdit(one, other)) return true;
  // "Stephan", "Stefan": two letters, one sound.
  return one.replace("ph", "f") === other.replace("ph", "f");
}
