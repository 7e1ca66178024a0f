import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import { CODE, QUOTED } from "../../language/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import type { Across, Check, Fact, Totals, Verdict } from "../check.ts";
import { times } from "../telling.ts";

/** A content word with its base form. */
interface ContentWord extends Fact {
  lemma: string;
  /** As it is written. */
  word: string;
  /** The same word before it in the block, as written there, and how many words before. */
  before: { word: string; apart: number } | null;
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
  const last = new Map<string, { word: string; at: number }>();
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
    const same = last.get(lemma);
    last.set(lemma, { word: written, at });
    const before = same ? { word: same.word, apart: at - same.at } : null;
    found.push({ from, to, lemma, word: written, before, quoted, noun, frequency });
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

interface LemmaTally {
  count: number;
}

/** Both checks count words by their base forms. */
const byLemma = {
  keysOf: ({ lemma }: ContentWord) => [lemma],
  start: (): LemmaTally => ({ count: 0 }),
  count(tally: LemmaTally, _fact: ContentWord, _key: string, by: 1 | -1) {
    tally.count += by;
  },
};

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
  across: {
    ...byLemma,
    judge: (_lemma, { count }) => ({ verdict: count < SUBJECT ? NEARNESS : null }),
    find({ from, to, before, quoted, frequency }) {
      if (!before || quoted || frequency > NEAR_COMMON) return null;
      if (before.apart > NEAR || before.apart < 2) return null;
      const reason = `“${before.word}” stands ${before.apart} words before. G shows the places, M other words.`;
      return { from, to, reason };
    },
  },
  choose: () => [],
};

/** Whatever is near counts. */
const NEARNESS: Verdict = {};

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
  across: {
    ...byLemma,
    totals: () => new ContentTotal(),
    judge(_lemma, { count }, total) {
      if (count < LEAST_USES) return { verdict: null };
      // At most this many content words in all, and it is used often.
      const most = Math.floor((1000 * count) / (OFTEN * WORDS_A_CONTENT_WORD));
      return total <= most
        ? { verdict: OFTEN_USED, until: most + 1 }
        : { verdict: null, from: most + 1 };
    },
    find({ from, to, word, noun, quoted }) {
      // Nouns are mostly what the text is about; qualities and doings are habits.
      if (noun || quoted) return null;
      return { from, to, reason: `“${word}” is used far more often than usual.`, gathers: true };
    },
    tell: (lemma, { count }) => [{ note: `“${lemma}” is used ${times(count)}, in all its forms.` }],
  },
  choose: () => [],
};

const OFTEN_USED: Verdict = {};

/** The content words of the document. */
class ContentTotal implements Totals<LemmaTally> {
  private total = 0;

  add({ count }: LemmaTally): void {
    this.total += count;
  }

  remove({ count }: LemmaTally): void {
    this.total -= count;
  }

  level(): number {
    return this.total;
  }
}

/** About one word in three says something of the matter. */
const WORDS_A_CONTENT_WORD = 3;

interface VoiceCount extends Fact {
  passive: boolean;
}

/** Share of finite verbs in the passive from which on a section reads as nobody's doing. */
const SHARE = 0.4;
const LEAST_VERBS = 12;

interface VoiceTally {
  all: number;
  passive: number;
}

const bySection: Across<VoiceCount, VoiceTally> = {
  keysOf: (_fact, { section }) => [String(section)],
  start: () => ({ all: 0, passive: 0 }),
  count(tally, { passive }, _section, by) {
    tally.all += by;
    if (passive) tally.passive += by;
  },
  judge: (_section, { all, passive }) => ({
    verdict: all >= LEAST_VERBS && passive / all >= SHARE ? MOSTLY_PASSIVE : null,
  }),
  find: ({ from, to, passive }) =>
    passive ? { from, to, reason: "Most verbs in this section are passive.", gathers: true } : null,
  tell: (_section, { all, passive }) => [
    {
      note: `${Math.round((100 * passive) / all)}% of the section’s verbs are passive (${passive} of ${all}).`,
    },
  ],
};

const MOSTLY_PASSIVE: Verdict = {};

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
  across: bySection,
  choose: () => [],
};
