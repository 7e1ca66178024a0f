import { sentenceOpenings } from "../../language/analysis.ts";
import { correctWord, likeOriginal } from "../../language/corrections.ts";
import { dictionaryBits, isPrefix, verdictOf, withoutPossessive } from "../../language/known.ts";
import { VARIETY_BITS } from "../../language/lexicon.ts";
import { wordParts } from "../../language/tokens.ts";
import { VARIETIES, type Variety } from "../../manuscript/model.ts";
import type { Check, Fact, Finding } from "../check.ts";
import { isBritishWord, otherWord } from "./us-and-gb-words.ts";

interface VarietyWord extends Fact {
  word: string;
  key: string;
  /** Bits of the varieties whose dictionaries have it; all of them for a word with a twin. */
  bits: number;
  /** What the same thing is called on the other side. */
  twin: string | null;
}

const ALL_VARIETIES = VARIETIES.reduce((bits, variety) => bits | VARIETY_BITS[variety], 0);

export const VARIETY_NAMES: Record<Variety, string> = {
  "en-US": "US",
  "en-GB": "British",
  "en-GB-oxendict": "British -ize",
  "en-CA": "Canadian",
  "en-AU": "Australian",
};

/** A word or spelling of another variety of English. */
export const otherVariety: Check<VarietyWord> = {
  id: "spelling/other-variety",
  pass: "spelling",
  weight: "settle",
  code: "var",
  title: "Spelling or word of another variety",
  why: "The word is right in another variety of English than the one this document is read as. One document keeps to one variety.",
  source:
    "The English dictionaries named in data/README.md; pairs of different words: common practice",
  examples: [
    { wrong: "The color of the water changed.", right: "The colour of the water changed." },
    { wrong: "They organize it each year.", right: "They organise it each year." },
    { wrong: "The sidewalk is shut.", right: "The pavement is shut." },
    { leave: "The colour of the harbour at the centre." },
  ],
  takesWords: true,
  examine(block, { lexicon }) {
    if (block.kind === "code") return [];
    const openings = sentenceOpenings(block);
    return block.tokens.flatMap((token) => {
      if (token.kind !== "word") return [];
      const parts = wordParts(block.text, token);
      return parts.flatMap(({ from, to }, order) => {
        const word = block.text.slice(from, to);
        const bits = dictionaryBits(word, lexicon);
        const twin = bits === ALL_VARIETIES ? otherWord(word.toLowerCase()) : null;
        if (bits === 0 || word.length === 1 || (bits === ALL_VARIETIES && !twin)) return [];
        if (order < parts.length - 1 && isPrefix(word)) return [];
        // Inside a sentence a capital makes it part of a name: the Theater Guild.
        const name = /^\p{Lu}\p{Ll}/u.test(word) && !openings.has(token.from);
        if (name && block.kind !== "heading") return [];
        const inCode = block.spans.some(
          (span) => span.kind === "code" && from >= span.from && to <= span.to,
        );
        const key = withoutPossessive(word.replaceAll("’", "'")).toLowerCase();
        return inCode ? [] : [{ from, to, word, key, bits, twin }];
      });
    });
  },
  judge(facts, { variety, words }) {
    return facts.flatMap(({ block, fact }): Finding[] => {
      if (words.has(fact.key) || words.has(fact.word.toLowerCase())) return [];
      const { from, to } = fact;
      const place = { block, from, to, group: `${otherVariety.id}:${fact.key}` };
      if (fact.twin) {
        const british = isBritishWord(fact.key);
        if (british !== (variety === "en-US")) return [];
        const side = british ? "British" : "US";
        const reason = `“${fact.word}” is the ${side} word; ${VARIETY_NAMES[variety]} copy has “${fact.twin}”.`;
        return [{ ...place, reason, weight: "weigh" }];
      }
      if (verdictOf(fact.bits, variety) !== "other-variety") return [];
      const [own] = VARIETIES.filter((one) => fact.bits & VARIETY_BITS[one]);
      const reason = `“${fact.word}” is a ${own ? VARIETY_NAMES[own] : "foreign"} spelling; this document is read as ${VARIETY_NAMES[variety]} English.`;
      return [{ ...place, reason }];
    });
  },
  choose(text, { from, to }, { language, variety, vocabulary, soundRules }) {
    const word = text.slice(from, to);
    const twin = otherWord(word.toLowerCase());
    if (twin) {
      const label = likeOriginal(twin, word);
      return [{ label, edits: [{ from, to, insert: label }] }];
    }
    const sources = { ...language, variety, vocabulary: vocabulary(), soundRules };
    return correctWord(word, sources, CHOICES).map((label) => ({
      label,
      edits: [{ from, to, insert: label }],
    }));
  },
};

const CHOICES = 3;
