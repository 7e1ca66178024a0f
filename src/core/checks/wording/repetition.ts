import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import { CODE, QUOTED } from "../../language/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import type { Check, Fact, Finding, PlacedFact } from "../check.ts";

/** A content word with its base form and its place in the count of words. */
interface ContentWord extends Fact {
  lemma: string;
  /** As it is written. */
  word: string;
  /** Words of the block before it. */
  at: number;
  quoted: boolean;
  noun: boolean;
  /** log2 of its count in 50 million words. */
  frequency: number;
}

/** Verbs, nouns, adjectives and adverbs that say something of the matter; not the commonest ones. */
function contentWords(block: AnalysedBlock, language: Language): ContentWord[] {
  const known = found.get(block);
  if (known) return known;
  const words = findContentWords(block, language);
  found.set(block, words);
  return words;
}

/** Two checks ask for the same. */
const found = new WeakMap<AnalysedBlock, ContentWord[]>();

function findContentWords(block: AnalysedBlock, { words: table }: Language): ContentWord[] {
  const syntax = block.syntax();
  if (!syntax || !["paragraph", "item", "quote", "note"].includes(block.kind)) return [];
  const found: ContentWord[] = [];
  let at = 0;
  for (let unit = 0; unit < syntax.words.length; unit++) {
    const tag = syntax.tags[unit] ?? 0;
    const word = syntax.words[unit];
    if (!word || TAG_SETS.STOP[tag]) continue;
    at++;
    const noun = tag === TAG.NN || tag === TAG.NNS;
    const verb = TAG_SETS.VERB[tag] === 1;
    if (!noun && !verb && !TAG_SETS.ADJ[tag] && tag !== TAG.RB) continue;
    if (word.frequency > TOO_COMMON || word.frequency === 0) continue;
    if (!word.plain || (syntax.places[unit] ?? 0) & CODE) continue;
    const { frequency } = word;
    const lemma = noun ? table.noun(word.form) : verb ? table.verb(word.form) : word.form;
    const { from, to } = syntax.units[unit] ?? NOWHERE;
    const quoted = ((syntax.places[unit] ?? 0) & QUOTED) !== 0;
    const written = block.text.slice(from, to);
    found.push({ from, to, lemma, word: written, at, quoted, noun, frequency });
  }
  return found;
}

const NOWHERE = { from: 0, to: 0 };

/** log2 of the count in 50 million words: "time", "good" and "know" lie above it. */
const TOO_COMMON = 14.2;
/** Words apart within which the ear still has the word. */
const NEAR = 14;
/** In a document, uses of one word from which on it may be its subject. */
const SUBJECT = 7;

/** The same rare word again within a line or two. */
export const closeRepetition: Check<ContentWord> = {
  id: "wording/close-repetition",
  pass: "wording",
  weight: "weigh",
  code: "rep",
  title: "Word repeated close by",
  why: "An uncommon word that comes back within a line or two catches the ear. A term that the text is about should be repeated; others can be varied or left out.",
  source: "common practice",
  examples: [{ leave: "It was high, and it was wide, and it was old." }],
  aPage: 3,
  examine: contentWords,
  judge(facts) {
    const counts = countLemmas(facts);
    const findings: Finding[] = [];
    const last = new Map<string, { block: number; fact: ContentWord }>();
    for (const placed of facts) {
      const { block, fact } = placed;
      const before = last.get(fact.lemma);
      last.set(fact.lemma, placed);
      if (!before || before.block !== block || fact.quoted) continue;
      const apart = fact.at - before.fact.at;
      if (apart > NEAR || apart < 2 || (counts.get(fact.lemma) ?? 0) >= SUBJECT) continue;
      if (fact.frequency > NEAR_COMMON) continue;
      findings.push({
        block,
        from: fact.from,
        to: fact.to,
        reason: `“${before.fact.word}” stands ${apart} words before. G shows the places, M other words.`,
        group: `wording/close-repetition:${fact.lemma}`,
      });
    }
    return findings;
  },
  choose: () => [],
};

const NEAR_COMMON = 11.5;

/** Uses a thousand words, beyond what is usual for the word, from which on it is used often. */
const OFTEN = 3;
const LEAST_USES = 6;

/** A word used far more often than other texts use it, with all its places. */
export const overusedWord: Check<ContentWord> = {
  id: "wording/overused-word",
  pass: "wording",
  weight: "weigh",
  code: "oft",
  title: "Word used very often",
  why: "The word comes back far more often than in other texts. The subject of the text has to; a favourite word has not. The places stand under Occurrences, other words in the word entry.",
  source: "common practice; usual frequencies as in data/README.md",
  examples: [{ leave: "The tide turned." }],
  examine: contentWords,
  judge(facts) {
    const counts = countLemmas(facts);
    const total = facts.length * WORDS_A_CONTENT_WORD;
    const findings: Finding[] = [];
    const seen = new Set<string>();
    for (const { block, fact } of facts) {
      const count = counts.get(fact.lemma) ?? 0;
      if (count < LEAST_USES || (1000 * count) / total < OFTEN) continue;
      // Nouns are mostly what the text is about; qualities and doings are habits.
      if (fact.noun || fact.quoted) continue;
      findings.push({
        block,
        from: fact.from,
        to: fact.to,
        reason: `“${fact.word}” is used ${count} times, far more often than usual.`,
        group: `wording/overused-word:${fact.lemma}`,
        follows: seen.has(fact.lemma),
      });
      seen.add(fact.lemma);
    }
    return findings;
  },
  choose: () => [],
};

/** About one word in three says something of the matter. */
const WORDS_A_CONTENT_WORD = 3;

function countLemmas(facts: readonly PlacedFact<ContentWord>[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { fact } of facts) counts.set(fact.lemma, (counts.get(fact.lemma) ?? 0) + 1);
  return counts;
}

interface VoiceCount extends Fact {
  passive: boolean;
}

/** Share of finite verbs in the passive from which on a section reads as nobody's doing. */
const SHARE = 0.4;
const LEAST_VERBS = 12;

/** A section most of which is in the passive voice. */
export const passiveSection: Check<VoiceCount> = {
  id: "wording/passive-section",
  pass: "wording",
  weight: "weigh",
  code: "psv",
  title: "Section mostly in the passive",
  why: "Now and then the passive is the better choice. Where nearly every other verb is passive, the reader no longer knows who does what.",
  source:
    "common practice; the limit of four verbs in ten is a convention of plain-language guides",
  examples: [{ leave: "The log was read. The keeper shut the door." }],
  examine(block) {
    const syntax = block.syntax();
    if (!syntax || !["paragraph", "item"].includes(block.kind)) return [];
    return syntax.verbGroups.flatMap((verb) => {
      if (verb.finite < 0) return [];
      const from = syntax.units[verb.from]?.from ?? 0;
      const to = syntax.units[verb.to - 1]?.to ?? from;
      return [{ from, to, passive: verb.passive }];
    });
  },
  judge(facts, { blocks }) {
    const sections = new Map<number, { all: number; passive: PlacedFact<VoiceCount>[] }>();
    for (const placed of facts) {
      const section = blocks[placed.block]?.section ?? 0;
      const counted = sections.get(section) ?? { all: 0, passive: [] };
      counted.all++;
      if (placed.fact.passive) counted.passive.push(placed);
      sections.set(section, counted);
    }
    const findings: Finding[] = [];
    for (const [section, { all, passive }] of sections) {
      const share = passive.length / all;
      if (all < LEAST_VERBS || share < SHARE) continue;
      const percent = Math.round(100 * share);
      for (const [index, { block, fact }] of passive.entries()) {
        findings.push({
          block,
          from: fact.from,
          to: fact.to,
          reason: `${percent}% of the verbs in this section are passive (${passive.length} of ${all}).`,
          group: `wording/passive-section:${section}`,
          follows: index > 0,
        });
      }
    }
    return findings;
  },
  choose: () => [],
};
