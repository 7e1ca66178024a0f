import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { NOUN, VERB } from "../../../language/words/lexicon.ts";
import type { Word, WordTable } from "../../../language/words/words.ts";
import type { Choice } from "../../check.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { replaceBy } from "../../patterns/mend.ts";
import { type Better, betterChoices } from "./better-choices.ts";
import { confusedWords as card } from "./cards.ts";

/** A right word in the wrong place, told by what stands around it. */
export const confusedWords = markCheck({
  ...card,
  reason: "“{1}” fits here better than “{}”.",
  find(syntax, language) {
    const found: Found[] = [];
    const all = betterChoices(syntax, language, "words");
    const ending = widest(all, ({ to }) => to);
    const opening = widest(all, ({ from }) => from);
    for (const { from, to, best, classes, sure, margin } of all) {
      // "They new the tides": of two neighbours the one that is further off is the slip.
      if (Math.max(ending.get(from) ?? 0, opening.get(to) ?? 0) > margin) continue;
      const word = classes[best] ?? "";
      const { words } = syntax;
      const after = words[to]?.form ?? "";
      // "the places where they part company": the clause has its subject.
      const opens = /^(?:where|when|that|which|if|as|because)$/.test(words[from - 1]?.form ?? "");
      if (word === "the" && opens && (words[to]?.traits ?? 0) & VERB) continue;
      // "Were the hoppers full, …": an inverted clause.
      if (word === "where" && from === syntax.sentenceFrom[from] && syntax.tags[to] === TAG.DT)
        continue;
      // "Filled on throw.": a preposition that nothing follows.
      const ends = to >= words.length || /^[.;:!?)]$/.test(after);
      if (ends && /^(?:through|to|of|from|than|then)$/.test(word)) continue;
      if (isNounOfPair(syntax, from) && (language.lexicon.traits(word) & NOUN) === 0) continue;
      // "Throw an error", "Lead the way": a command opens with its verb.
      if (from === syntax.sentenceFrom[from] && isCommand(words[from], language.words)) continue;
      // "side by side", "it's back to back": a phrase of its own.
      const joined = /^(?:by|to|after|and|in|for|on|upon)$/.test(words[to + 1]?.form ?? "");
      if (joined && /^\p{L}/u.test(after) && after === words[to + 2]?.form) continue;
      found.push({ from, to, mends: [spelled(syntax, from, to, word)], unsure: !sure });
    }
    // A word may stand in several sets: the first finding at a place is enough.
    const seen = new Set<number>();
    return found.filter(({ from }) => !seen.has(from) && seen.add(from));
  },
});

/** "Delimiters and cells": a noun joined to another of its number. */
function isNounOfPair({ tags }: Syntax, unit: number): boolean {
  const tag = tags[unit] ?? 0;
  return TAG_SETS.NOUN[tag] === 1 && tags[unit - 1] === TAG.CC && tags[unit - 2] === tag;
}

/** A verb as it stands in a command. */
function isCommand(word: Word | undefined, table: WordTable): boolean {
  if (!word || table.verb(word.form) !== word.form || NO_COMMANDS.has(word.form)) return false;
  return (word.traits & VERB) !== 0;
}

/** Verbs that hardly ever open a command of the kind that is mistaken for another word. */
const NO_COMMANDS = new Set(["let", "have", "be", "do", "will", "can", "may"]);

/** The widest margin at each place. */
function widest(
  all: readonly Better[],
  placeOf: (one: Better) => number,
): ReadonlyMap<number, number> {
  const margins = new Map<number, number>();
  for (const one of all) {
    const place = placeOf(one);
    margins.set(place, Math.max(margins.get(place) ?? 0, one.margin));
  }
  return margins;
}

function spelled(
  { text, units }: { text: string; units: readonly { from: number; to: number }[] },
  from: number,
  to: number,
  word: string,
): Choice {
  const typographic = text.includes("’") || !text.includes("'");
  const start = units[from]?.from ?? 0;
  const end = units[to - 1]?.to ?? start;
  return replaceBy(text, start, end, typographic ? word.replace("'", "’") : word);
}
