import { VERB } from "../../language/lexicon.ts";
import { TAG } from "../../language/tag-sets.ts";
import type { Choice } from "../check.ts";
import { type Found, markCheck } from "../mark-check.ts";
import { replaceBy } from "../patterns/mend.ts";
import { type Better, betterChoices } from "./better-choices.ts";

/** A right word in the wrong place, told by what stands around it. */
export const confusedWords = markCheck({
  id: "grammar/confused-words",
  weight: "settle",
  code: "ww",
  title: "Right word, wrong place",
  why: "The word exists, but another that looks or sounds like it fits here: form and from, their and there, affect and effect. The dictionary cannot tell; what stands around it can.",
  source:
    "sets of words that are confused are common practice (data/choice-sets.txt); a model learned from edited prose weighs them",
  examples: [
    {
      wrong: "The letter came form the harbour office.",
      right: "The letter came from the harbour office.",
    },
    { wrong: "The keeper wood not go home.", right: "The keeper would not go home." },
    { wrong: "The water was to cold for them.", right: "The water was too cold for them." },
    { leave: "The form came from there, and then they went to their well." },
  ],
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

/** Phrases in which a word is mistaken for another: "with baited breath", "a mute point". */
export const fixedPhrase = markCheck({
  id: "grammar/fixed-phrase",
  weight: "fix",
  code: "ww",
  title: "Fixed phrase misheard",
  why: "Some phrases keep an old word that is easily heard as another: bated breath, a moot point, toe the line.",
  source: "common practice; the list is data/phrases/fixed-phrases.txt",
  examples: [
    { wrong: "It was a mute point.", right: "It was a moot point." },
    { wrong: "She waited with baited breath.", right: "She waited with bated breath." },
    {
      wrong: "For all intensive purposes it is shut.",
      right: "For all intents and purposes it is shut.",
    },
    { leave: "A mute swan, a baited hook and an intensive course." },
  ],
  reason: "Here “{1}” is meant.",
  phraseList: "fixed-phrases",
});
