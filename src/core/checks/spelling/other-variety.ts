import { sentenceOpenings } from "../../language/analysis.ts";
import { correctWord, likeOriginal } from "../../language/corrections/corrections.ts";
import { isPrefix, verdictOf, withoutPossessive } from "../../language/words/known.ts";
import { ALL_VARIETIES } from "../../language/words/lexicon.ts";
import { counterpartOf } from "../../language/words/respell.ts";
import { isBritishWord, otherWord } from "../../language/words/us-and-gb-words.ts";
import type { Variety } from "../../manuscript/model.ts";
import type { Check, Fact } from "../check.ts";
import { otherVariety as card } from "./cards.ts";

interface VarietyWord extends Fact {
  word: string;
  key: string;
  /** Bits of the varieties whose dictionaries have it; all of them for a word with a twin. */
  bits: number;
  /** What the same thing is called on the other side. */
  twin: string | null;
}

export const VARIETY_NAMES: Record<Variety, string> = {
  "en-US": "US",
  "en-GB": "British",
  "en-GB-oxendict": "British -ize",
  "en-CA": "Canadian",
  "en-AU": "Australian",
};

/** A word or spelling of another variety of English. */
export const otherVariety: Check<VarietyWord> = {
  ...card,
  examine(block) {
    const facts: VarietyWord[] = [];
    let openings: Set<number> | null = null;
    for (const { from, to, text: word, bits, token, order, count } of block.unusual) {
      const twin = bits === ALL_VARIETIES ? otherWord(word.toLowerCase()) : null;
      if (bits === 0 || word.length === 1 || (bits === ALL_VARIETIES && !twin)) continue;
      if (order < count - 1 && isPrefix(word)) continue;
      // Inside a sentence a capital makes it part of a name: the Theater Guild.
      openings ??= sentenceOpenings(block);
      const inside = !openings.has(block.tokens[token]?.from ?? -1);
      if (inside && block.kind !== "heading" && /^\p{Lu}\p{Ll}/u.test(word)) continue;
      const key = withoutPossessive(word.replaceAll("’", "'")).toLowerCase();
      facts.push({ from, to, word, key, bits, twin });
    }
    return facts;
  },
  conclude(fact, { variety, words, language }) {
    if (words.has(fact.key) || words.has(fact.word.toLowerCase())) return null;
    const { from, to } = fact;
    const place = { from, to, group: `${otherVariety.id}:${fact.key}` };
    if (fact.twin) {
      const british = isBritishWord(fact.key);
      if (british !== (variety === "en-US")) return null;
      const reason = `${VARIETY_NAMES[variety]} copy says “${fact.twin}” for “${fact.word}”.`;
      return { ...place, reason, weight: "weigh" };
    }
    if (verdictOf(fact.bits, variety) !== "other-variety") return null;
    const other = counterpartOf(fact.key, variety, language.lexicon);
    // One dictionary has a word and another not: only where this variety spells it otherwise is it a question.
    if (!other) return null;
    const reason = `${VARIETY_NAMES[variety]} spelling has “${likeOriginal(other, fact.word)}”.`;
    return { ...place, reason };
  },
  choose(text, { from, to }, { language, variety, vocabulary, soundRules }) {
    const word = text.slice(from, to);
    const twin = otherWord(word.toLowerCase());
    if (twin) {
      const label = likeOriginal(twin, word);
      return [{ label, edits: [{ from, to, insert: label }] }];
    }
    const base = withoutPossessive(word);
    const other = counterpartOf(base.toLowerCase(), variety, language.lexicon);
    const sources = { ...language, variety, vocabulary: vocabulary(), soundRules };
    // Never the word itself in other capitals.
    const near = correctWord(word, sources, CHOICES).filter(
      (label) => label.toLowerCase() !== word.toLowerCase(),
    );
    const first = other === null ? [] : [likeOriginal(other, base) + word.slice(base.length)];
    const labels = [...new Set([...first, ...near])].slice(0, CHOICES);
    return labels.map((label) => ({
      label,
      edits: [{ from, to, insert: label }],
    }));
  },
};

const CHOICES = 3;
