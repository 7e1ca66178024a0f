import { ownerForm } from "../../../language/models/mark-slots.ts";
import type { Trigrams } from "../../../language/models/trigrams.ts";
import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { type Lexicon, NAME } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { betterChoices } from "../words/better-choices.ts";
import { missingApostrophe as card } from "./cards.ts";

/** "The keepers log": a plural right before the noun it owns. */
export const missingApostrophe = markCheck({
  ...card,
  reason: "An owner takes an apostrophe: “{1}”.",
  patterns: [
    "[yesterdays] NOUN|ADJ => yesterday’s",
    "[todays] NOUN|ADJ => today’s",
    "[tomorrows] NOUN|ADJ => tomorrow’s",
    "[womens] => women’s",
    "[mens] => men’s",
    "[childrens] => children’s",
    "[peoples] NN => people’s",
    "two|three|four|five|six|seven|eight|nine|ten|several [weeks|days|months|years|hours] notice|leave|work|time|wages|pay|rest|sleep|delay|experience|imprisonment => $2’",
    "a|one [weeks] notice|leave|work|wages|pay|holiday => week’s",
    "a|one [days] work|leave|pay|wages|journey|rest|sail => day’s",
    "a|one [months] notice|leave|pay|wages|rent => month’s",
    "a|one [years] leave|pay|wages|experience|work => year’s",
    "a [hours] NN => hour’s",
  ],
  find(syntax, language) {
    const found: Found[] = [];
    const { words: table, trigrams, lexicon } = language;
    const { words, tags, nounGroups } = syntax;
    const ownersOf = (unit: number) => {
      const at = written(syntax, unit);
      const singular = ownerForm(words[unit]?.form ?? "", true, table).replace("'", "’");
      const many = tags[unit - 1] === TAG.CD || isPluralWord(words[unit - 1]?.form ?? "");
      return many ? [`${at}’`] : [singular, `${at}’`];
    };
    for (const [unit] of words.entries()) {
      const name = ownerByName(syntax, unit, lexicon);
      if (name) found.push({ from: unit, to: unit + 1, mends: [`${name}’s`] });
    }
    for (const { from, to, best, sure } of betterChoices(syntax, language, "owner")) {
      if (best !== 1 || ATTRIBUTIVE.has(words[from]?.form ?? "")) continue;
      found.push({ from, to, mends: ownersOf(from), unsure: !sure });
    }
    for (const group of nounGroups) {
      if (group.pronoun || group.to - group.from < 2) continue;
      for (let unit = group.from; unit < group.to - 1; unit++) {
        if (tags[unit] !== TAG.NNS) continue;
        const next = unit + 1;
        const nextTag = tags[next] ?? 0;
        if (nextTag !== TAG.NN && nextTag !== TAG.NNS) continue;
        const form = words[unit]?.form ?? "";
        if (!/^[a-z]{3,}s$/.test(form) || ATTRIBUTIVE.has(form)) continue;
        const singular = table.noun(form);
        if (singular === form || lexicon.varieties(singular) === 0) continue;
        if (!isOwner(syntax, unit, group.from)) continue;
        if (trigrams && !ownsIt(form, singular, words[next]?.form ?? "", trigrams)) continue;
        if (found.some(({ from }) => from === unit)) continue;
        found.push({ from: unit, to: unit + 1, mends: ownersOf(unit) });
      }
    }
    return found;
  },
});

/** "Danas boat": no name itself, but one with an s too many, right before a noun. */
function ownerByName(syntax: Syntax, unit: number, lexicon: Lexicon): string | null {
  const { tags, words } = syntax;
  if (!words[unit]?.form.endsWith("s") || tags[unit] === TAG.NNS) return null;
  if (tags[unit + 1] !== TAG.NN && tags[unit + 1] !== TAG.NNS) return null;
  const word = written(syntax, unit);
  if (!/^\p{Lu}\p{Ll}{2,}s$/u.test(word) || lexicon.varieties(word) !== 0) return null;
  if (lexicon.varieties(word.toLowerCase()) !== 0) return null;
  const name = word.slice(0, -1);
  return (lexicon.traits(name) & NAME) === 0 ? null : name;
}

const isPluralWord = (form: string) => /^(?:all|both|these|those|many|several|most)$/.test(form);

/** A possessive wants a determiner right before its noun: "the keepers log", "my sisters house". */
function isOwner({ tags, words }: Syntax, unit: number, from: number): boolean {
  const first = tags[unit - 1] ?? 0;
  if (unit - 1 !== from || (first !== TAG.DT && first !== TAG.PRP$)) return false;
  return !OWNED_BY_NOBODY.has(words[from]?.form ?? "");
}

/** Whether the noun is known to own things, and is not known to stand before this one in the plural. */
function ownsIt(plural: string, singular: string, second: string, trigrams: Trigrams): boolean {
  const one = trigrams.id(plural);
  const owner = trigrams.id(`${singular}'s`);
  const two = trigrams.id(second);
  if (owner < 0 || one < 0 || two < 0) return false;
  const apart = trigrams.score(-1, owner, two) - trigrams.score(-1, one, two);
  return apart > OWNER_LEAD;
}

/** log10; chosen on the tuning part of the Brown corpus. */
const OWNER_LEAD = 0.3;

/** Plurals that stand before nouns as they are; common practice. */
const ATTRIBUTIVE = wordList("missing-apostrophe/attributive");

const OWNED_BY_NOBODY = wordList("missing-apostrophe/owned-by-nobody");
