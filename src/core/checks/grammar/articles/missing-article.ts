import type { Language } from "../../../language/analysis.ts";
import { articleOf, type NounRecord } from "../../../language/models/noun-record.ts";
import { likelierArticle } from "../../../language/models/slot-finder.ts";
import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { openingSound } from "../../../language/words/sounds.ts";
import type { BlockKind } from "../../../manuscript/model.ts";
import type { Across, Check, Fact, MarkFact, Totals, Verdict } from "../../check.ts";
import { LEAVE_BITS } from "../../leave.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { times } from "../../telling.ts";
import { isTitleLike } from "../sentences/title-like.ts";
import { betterChoices } from "../words/better-choices.ts";
import { isBareByCustom } from "./bare-by-custom.ts";
import { missingArticle as card } from "./cards.ts";
import { LeadCounts, shareDropped, TOO_SURE } from "./dropped-articles.ts";

/** How a block treats its singular nouns: a form for each place. */
interface NounsSeen extends Fact {
  articled: string[];
  bare: string[];
}

/** A place that lacks an article by what stands around it; the other places of its noun have a say. */
interface BarePlace extends MarkFact {
  noun: string;
  /** How far ahead an article is by the place alone. */
  lead: number;
}

/** Blocks that do without articles, or are no prose. */
const NOT_READ = new Set<BlockKind>(["heading", "cell", "caption", "item", "code", "reference"]);

const barePlaces = markCheck<BarePlace>({
  ...card,
  reason: "“{}” can be counted and has no article here.",
  find: (syntax, language) =>
    betterChoices(syntax, language, "article").flatMap(
      ({ from, margin }) => foundAt(syntax, from, margin) ?? [],
    ),
});

/** A noun group without an article, and what to put in its place; null where none belongs. */
function foundAt(syntax: Syntax, from: number, lead: number): Found<BarePlace> | null {
  const { words, text, units } = syntax;
  const group = syntax.nounGroups[syntax.nounAt[from] ?? -1];
  if (!group) return null;
  const opens = from === syntax.sentenceFrom[from];
  // A capital within it makes a name of it, at a sentence's start one after its first word.
  for (let at = opens ? from + 1 : from; at < group.to; at++) {
    if (/^\p{Lu}/u.test(written(syntax, at))) return null;
  }
  if (!opens && (isJoined(syntax, from) || isBareByCustom(syntax, group))) return null;
  const rest = text.slice(units[from]?.from ?? 0, units[group.to - 1]?.to);
  const small = opens ? rest.slice(0, 1).toLowerCase() + rest.slice(1) : rest;
  const article = openingSound(small) === "vowel" ? "an" : "a";
  const mends = [`${article} ${small}`, `the ${small}`];
  return {
    from,
    to: group.to,
    mends: likelierArticle({ to: from }, syntax) === "the" ? mends.reverse() : mends,
    beside: { noun: words[group.head]?.form ?? "", lead },
  };
}

/** "The on switch", "a smaller, yearly campaign": what stands before the group belongs to it. */
function isJoined({ tags, nounAt, nounGroups }: Syntax, from: number): boolean {
  if (TAG_SETS.ADJ[tags[from - 1] ?? 0]) return true;
  if (tags[from - 2] === TAG.DT && tags[from - 1] === TAG.IN) return true;
  let before = from - 1;
  while (before > 0 && (TAG_SETS.ADV[tags[before] ?? 0] || tags[before] === TAG[","])) before--;
  const group = nounGroups[nounAt[before] ?? -1];
  return before < from - 1 && group !== undefined && TAG_SETS.ADJ[tags[group.head] ?? 0] === 1;
}

function nounsSeen(syntax: Syntax | null): NounsSeen | null {
  if (!syntax) return null;
  const seen: NounsSeen = { from: 0, to: 0, articled: [], bare: [] };
  for (const group of syntax.nounGroups) {
    const article = articleOf(syntax, group);
    if (article >= 0) {
      const noun = syntax.words[group.head]?.form ?? "";
      (article === 1 ? seen.articled : seen.bare).push(noun);
    }
  }
  return seen.articled.length + seen.bare.length > 0 ? seen : null;
}

const isBarePlace = (fact: BarePlace | NounsSeen): fact is BarePlace => "lead" in fact;

/** How the document treats a noun, and how far ahead an article is in each bare place by itself. */
interface NounTally extends NounRecord {
  leads: number[];
}

interface NounVerdict extends Verdict {
  /** What the noun's other places add to the lead of an article. */
  others: number;
  /** The least lead that is marked, and the least that is sure. */
  marked: number;
  sure: number;
  /** The other places speak with one voice. */
  elsewhere: boolean;
}

const across: Across<BarePlace | NounsSeen, NounTally, NounVerdict> = {
  counting: {
    keysOf(fact, _block, { leave }) {
      if (!isBarePlace(fact)) return [...new Set([...fact.articled, ...fact.bare])];
      return fact.quoted && leave & LEAVE_BITS.speech ? null : fact.noun;
    },
    start: () => ({ articled: 0, bare: 0, leads: [] }),
    count(tally, fact, noun, by) {
      if (isBarePlace(fact)) {
        if (by === 1) tally.leads.push(fact.lead);
        else tally.leads.splice(tally.leads.indexOf(fact.lead), 1);
        return;
      }
      for (const one of fact.articled) if (one === noun) tally.articled += by;
      for (const one of fact.bare) if (one === noun) tally.bare += by;
    },
  },
  speaks: (fact) => isBarePlace(fact),
  totals: ({ language }) => new ArticleHabits(language),
  judge(_noun, tally, level, { language }) {
    if (tally.leads.length === 0) return { verdict: null };
    const others = leadOfOthers(tally, language);
    let from = Number.NEGATIVE_INFINITY;
    let until = Number.POSITIVE_INFINITY;
    for (const own of tally.leads) {
      const lead = own + others;
      if (lead > level) until = Math.min(until, lead);
      else from = Math.max(from, lead);
    }
    if (until === Number.POSITIVE_INFINITY) return { verdict: null, from };
    const sure = language.choices?.articles?.thresholds[0] ?? Number.POSITIVE_INFINITY;
    const elsewhere = tally.articled >= CONSISTENT && tally.bare <= 1;
    return { verdict: { others, marked: until, sure, elsewhere }, from, until };
  },
  find(fact, { others, marked, sure, elsewhere }) {
    if (!isBarePlace(fact)) return null;
    const lead = fact.lead + others;
    if (lead < marked) return null;
    const { from, to, noun } = fact;
    const place = elsewhere
      ? { from, to, reason: elsewhereReason(noun) }
      : { from, to, reason: fact.reason, group: null };
    return lead > sure ? place : { ...place, unsure: true, weight: "weigh" };
  },
  tell: (noun, { articled }, { elsewhere }) =>
    elsewhere ? [{ note: `“${noun}” has an article ${times(articled)}.` }] : [],
};

/** A singular count noun without an article, told by a model and by the noun's other places. */
export const missingArticle: Check<BarePlace | NounsSeen> = {
  ...(barePlaces as Check<BarePlace | NounsSeen>),
  examine(block, language, matches) {
    if (NOT_READ.has(block.kind) || isTitleLike(block.text)) return [];
    const facts: (BarePlace | NounsSeen)[] = barePlaces.examine(block, language, matches);
    const seen = nounsSeen(block.syntax());
    return seen ? [seen, ...facts] : facts;
  },
  across,
};

/** What a noun's other places add: its own place is one of the bare ones. */
function leadOfOthers({ articled, bare }: NounRecord, { choices }: Language): number {
  return choices?.leadOfRecord({ articled, bare: Math.max(0, bare - 1) }) ?? 0;
}

function elsewhereReason(noun: string): string {
  return `“${noun}” has no article here, but in every other place where it could.`;
}
const CONSISTENT = 3;

/** Odds that an article lacks below which a place is not marked: one mark in three is right at the least. */
const LEAST_ODDS = 0.5;

/** The lead beyond which a place is marked, by the share of its articles that the text seems to lack. */
class ArticleHabits implements Totals<NounTally> {
  private readonly leads = new LeadCounts();
  private articled = 0;
  private readonly doubt: number;

  constructor(private readonly language: Language) {
    const model = language.choices?.articles;
    const sure = model?.thresholds[0] ?? Number.POSITIVE_INFINITY;
    this.doubt = Math.min(sure, model?.doubts[0] ?? Number.POSITIVE_INFINITY);
  }

  add(tally: NounTally): void {
    this.count(tally, 1);
  }

  remove(tally: NounTally): void {
    this.count(tally, -1);
  }

  level(): number {
    const dropped = shareDropped(this.leads, this.articled);
    return Math.min(this.doubt, Math.log(LEAST_ODDS / dropped) + TOO_SURE);
  }

  private count(tally: NounTally, by: 1 | -1): void {
    this.articled += by * tally.articled;
    if (tally.leads.length === 0) return;
    const others = leadOfOthers(tally, this.language);
    for (const lead of tally.leads) this.leads.count(lead + others, by);
  }
}
