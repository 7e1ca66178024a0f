import { articleOf, type NounRecord } from "../../language/noun-record.ts";
import { likelierArticle } from "../../language/slot-finder.ts";
import { openingSound } from "../../language/sounds.ts";
import { type Syntax, written } from "../../language/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import type { BlockKind } from "../../manuscript/model.ts";
import type { Check, Circumstances, Fact, Finding, MarkFact, PlacedFact } from "../check.ts";
import { LEAVE_BITS } from "../leave.ts";
import { type Found, markCheck } from "../mark-check.ts";
import { isBareByCustom } from "./bare-by-custom.ts";
import { betterChoices } from "./better-choices.ts";

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
  id: "grammar/missing-article",
  weight: "settle",
  code: "art",
  title: "Article missing",
  why: "A singular noun for a thing that can be counted hardly ever stands alone: it takes “a”, “the”, a possessive or the like. Titles, headlines, lists of parts and fixed phrases (“by hand”) do without, and so does a noun that the text uses bare elsewhere.",
  source: "common practice; the places are found by a model learned from edited prose",
  examples: [
    { wrong: "They built wall along the quay.", right: "They built a wall along the quay." },
    { leave: "They went by boat and were in good health." },
    { leave: "He is in charge of Harbour House." },
  ],
  reason: "“{}” can be counted, and stands here without an article.",
  find: (syntax, language) =>
    betterChoices(syntax, language, "article").flatMap(
      ({ from, margin }) => foundAt(syntax, from, margin) ?? [],
    ),
});

/** A singular count noun without an article, told by a model and by the noun's other places. */
export const missingArticle: Check<BarePlace | NounsSeen> = {
  ...(barePlaces as Check<BarePlace | NounsSeen>),
  examine(block, language, matches) {
    if (NOT_READ.has(block.kind) || isTitleLike(block.text)) return [];
    const facts: (BarePlace | NounsSeen)[] = barePlaces.examine(block, language, matches);
    const seen = nounsSeen(block.syntax());
    return seen ? [seen, ...facts] : facts;
  },
  judge,
};

/** Characters below which a paragraph without a mark at its end is a title or a signature. */
const TITLE_LENGTH = 80;

function isTitleLike(text: string): boolean {
  return text.length < TITLE_LENGTH && /[\p{L}\p{N})]\s*$/u.test(text);
}

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

/** A bare place, and how far ahead an article is by the place and the noun's other ones. */
interface Weighed {
  block: number;
  place: BarePlace;
  others: NounRecord;
  lead: number;
}

function judge(
  facts: readonly PlacedFact<BarePlace | NounsSeen>[],
  { language, leave }: Circumstances,
): Finding[] {
  const { choices } = language;
  const model = choices?.articles;
  if (!choices || !model) return [];
  const spares = (leave & LEAVE_BITS.speech) !== 0;
  const { records, articled } = recordsOf(facts.map(({ fact }) => fact));
  const weighed = facts.flatMap(({ block, fact }): Weighed[] => {
    if (!isBarePlace(fact) || (spares && fact.quoted)) return [];
    const record = records.get(fact.noun) ?? NO_RECORD;
    // Its own place is one of the bare ones.
    const others = { ...record, bare: Math.max(0, record.bare - 1) };
    return [{ block, place: fact, others, lead: fact.lead + choices.leadOfRecord(others) }];
  });
  const sure = model.thresholds[0] ?? Number.POSITIVE_INFINITY;
  const doubt = Math.min(sure, model.doubts[0] ?? Number.POSITIVE_INFINITY);
  const dropped = shareDropped(
    weighed.map(({ lead }) => lead),
    articled,
  );
  const least = Math.min(doubt, Math.log(LEAST_ODDS / dropped) + TOO_SURE);
  return weighed
    .filter(({ lead }) => lead > least)
    .map(({ block, place, others, lead }) => {
      const { from, to, noun } = place;
      const reason = reasonBy(noun, others) ?? place.reason;
      const finding = { block, from, to, reason };
      return lead > sure ? finding : { ...finding, unsure: true, weight: "weigh" };
    });
}

const NO_RECORD: NounRecord = { articled: 0, bare: 0 };

/** The records of all nouns that stand bare somewhere where they may not, and all places with an article. */
function recordsOf(facts: readonly (BarePlace | NounsSeen)[]) {
  const records = new Map<string, NounRecord>();
  let articled = 0;
  for (const fact of facts) {
    if (isBarePlace(fact)) records.set(fact.noun, { ...NO_RECORD });
  }
  for (const fact of facts) {
    if (isBarePlace(fact)) continue;
    articled += fact.articled.length;
    for (const noun of fact.articled) {
      const record = records.get(noun);
      if (record) record.articled++;
    }
    for (const noun of fact.bare) {
      const record = records.get(noun);
      if (record) record.bare++;
    }
  }
  return { records, articled };
}

/** What the other places say where they speak with one voice; null where they do not. */
function reasonBy(noun: string, { articled, bare }: NounRecord): string | null {
  if (articled < CONSISTENT || bare > 0) return null;
  return `“${noun}” stands here without an article, and has one in the ${articled} other places where it could.`;
}
const CONSISTENT = 3;

/** By how much the model's log odds are too sure of an article; measured on sentences it had not seen. */
const TOO_SURE = 0.1;
/** Odds that an article lacks below which a place is not marked: one mark in three is right at the least. */
const LEAST_ODDS = 0.5;
/** The share of places with an article that would be asked about without it; chosen on the tuning part. */
const ASKED = 0.7;
/** Articles taken for granted, lest two or three bare nouns in a short text show a habit. */
const GRANTED = 30;
const ROUNDS = 20;

/**
 * The share of its articles that a text seems to lack: the likeliest, where a place is bare either
 * because it never had one, or had and lost it (expectation and maximisation; Dempster, Laird and
 * Rubin 1977). Edited text comes near 0. A writer whose first language has no articles drops many,
 * and what would be a doubt in others' text is then a likely slip.
 */
export function shareDropped(leads: readonly number[], articled: number): number {
  const odds = Float64Array.from(leads, (lead) => Math.exp(lead - TOO_SURE));
  let share = 0.1;
  for (let round = 0; round < ROUNDS; round++) {
    let lost = 0;
    for (const one of odds) lost += (share * one) / (1 + share * one);
    share = lost / (lost + articled * ASKED + GRANTED);
  }
  return share;
}
