import type { AnalysedBlock, Language } from "../language/analysis.ts";
import type { PhraseList } from "../language/phrases/phrase-lists.ts";
import { CODE, QUOTED, type Syntax } from "../language/phrases/syntax.ts";
import { hasManySigns, signs } from "../language/text/structure.ts";
import type { BlockKind } from "../manuscript/model.ts";
import type { Card, Weight } from "./card.ts";
import type { Check, Choice, MarkFact } from "./check.ts";
import type { Match } from "./patterns/matcher.ts";
import { choicesOf, markedRange, replaceBy } from "./patterns/mend.ts";

/** What a check of phrases is made from: its card, and how it finds. */
export interface MarkCheckParts<F extends MarkFact = MarkFact> extends Card {
  /** The reason shown with a mark; “{}” is the marked text, “{1}” the first correction, “{before}” the word before. */
  reason: string;
  patterns?: readonly string[];
  phraseList?: PhraseList;
  /** Whether a match counts. */
  accepts?: (match: Match, syntax: Syntax, language: Language) => boolean;
  /** Finds what no pattern tells, in blocks where one of `at` matches, or in every one. */
  find?: (syntax: Syntax, language: Language, block: AnalysedBlock) => Found<F>[];
  at?: readonly string[];
  /** Its matches are less than certain. */
  unsure?: (match: Match, syntax: Syntax) => boolean;
  /** Kinds of blocks it does not read, beside code. */
  notIn?: readonly BlockKind[];
  /** What it marks is written wrong however people speak. */
  inSpeechToo?: boolean;
  /** Marks with the same text are occurrences of one thing. */
  groups?: boolean;
}

/** A place found: units, [from, to), and ways to mend them. */
export interface Found<F extends MarkFact = MarkFact> {
  from: number;
  to: number;
  /** Texts to put in its place, "" for nothing; or choices made up already. */
  mends: readonly (string | Choice)[];
  reason?: string;
  unsure?: boolean;
  /** Where it differs from the check's own. */
  weight?: Weight;
  /** What its fact holds beside a mark, for a check that judges by the whole text. */
  beside?: Omit<F, keyof MarkFact>;
}

/** Most checks find nothing in most blocks. */
const NOTHING: never[] = [];
const NOT_READ: readonly BlockKind[] = ["code", "reference"];

/** A check whose facts are its marks: patterns, a search of the phrases, or both. */
export function markCheck<F extends MarkFact = MarkFact>(parts: MarkCheckParts<F>): Check<F> {
  const places = new Set(parts.at ?? []);
  const patterns = [...(parts.patterns ?? []), ...places];
  const notIn = new Set([...NOT_READ, ...(parts.notIn ?? [])]);
  return {
    ...cardOf(parts),
    patterns,
    ...(parts.phraseList === undefined ? {} : { phraseList: parts.phraseList }),
    sparesSpeech: !parts.inSpeechToo,
    needsMatches: !parts.find || places.size > 0,
    examine(block, language, matches) {
      if (notIn.has(block.kind)) return NOTHING;
      const syntax = block.syntax();
      if (!syntax || isListing(block)) return NOTHING;
      const searches =
        places.size === 0 || matches.some(({ pattern }) => places.has(pattern.source));
      const finds = searches ? parts.find?.(syntax, language, block) : undefined;
      if (matches.length === 0 && finds?.length === 0) return NOTHING;
      const marks = new MarkFacts(parts, block, syntax, language);
      for (const match of matches) if (!places.has(match.pattern.source)) marks.match(match);
      for (const found of finds ?? []) marks.found(found);
      return marks.facts;
    },
  };
}

/** The facts of one block, of which none overlap: what came first stays. */
class MarkFacts<F extends MarkFact> {
  readonly facts: F[] = [];
  /** The facts that lie on each unit. */
  private readonly on = new Map<number, F[]>();

  constructor(
    private readonly parts: MarkCheckParts<F>,
    private readonly block: AnalysedBlock,
    private readonly syntax: Syntax,
    private readonly language: Language,
  ) {}

  /** Takes in what a pattern matched. */
  match(match: Match): void {
    const { parts, syntax, block, language } = this;
    if (parts.accepts && !parts.accepts(match, syntax, language)) return;
    const { from, to, first, last } = markedRange(match, syntax);
    if (last <= first) return;
    const choices = choicesOf(match, syntax, language.words);
    const reason = filled(match.pattern.reason ?? parts.reason, block.text, from, to, choices);
    const unsure = parts.unsure?.(match, syntax) ?? false;
    this.add(first, last, { from, to, reason, choices, ...(unsure ? { unsure } : {}) });
  }

  /** Takes in what a search found. */
  found(found: Found<F>): void {
    const { parts, syntax, block } = this;
    const from = syntax.units[found.from]?.from ?? 0;
    const to = syntax.units[found.to - 1]?.to ?? from;
    const choices = found.mends.map((mend) =>
      typeof mend === "string" ? replaceBy(block.text, from, to, mend) : mend,
    );
    const reason = filled(found.reason ?? parts.reason, block.text, from, to, choices);
    const { unsure, weight: own } = found;
    const fact = {
      from,
      to,
      reason,
      choices,
      ...(unsure ? { unsure } : {}),
      ...(own ? { weight: own } : {}),
    };
    this.add(found.from, found.to, fact, found.beside);
  }

  private add(first: number, last: number, fact: MarkFact, beside?: Found<F>["beside"]): void {
    const { syntax, block, on } = this;
    // What would change nothing is no mark.
    if (fact.choices[0]?.label === block.text.slice(fact.from, fact.to)) return;
    let places = 0;
    for (let unit = first; unit < last; unit++) places |= syntax.places[unit] ?? 0;
    if (places & CODE) return;
    for (let unit = first; unit < last; unit++) {
      if (on.get(unit)?.some(({ from, to }) => from < fact.to && to > fact.from)) return;
    }
    if ((syntax.places[first] ?? 0) & QUOTED) fact.quoted = true;
    if (this.parts.groups) {
      fact.group = `${this.parts.id}:${block.text.slice(fact.from, fact.to).toLowerCase()}`;
    }
    const whole = (beside ? { ...fact, ...beside } : fact) as F;
    this.facts.push(whole);
    for (let unit = first; unit < last; unit++) on.set(unit, [...(on.get(unit) ?? []), whole]);
  }
}

/** What is told of a check, without how it finds. */
function cardOf({
  id,
  pass,
  weight,
  code,
  title,
  why,
  source,
  examples,
  takesWords,
  aPage,
}: Card): Card {
  return {
    id,
    pass,
    weight,
    code,
    title,
    why,
    source,
    examples,
    ...(takesWords === undefined ? {} : { takesWords }),
    ...(aPage === undefined ? {} : { aPage }),
  };
}

/** The block asked about last: all checks of a block ask one after the other. */
const last: { block: AnalysedBlock | null; listing: boolean } = { block: null, listing: false };

function isListing(block: AnalysedBlock): boolean {
  if (last.block !== block) {
    last.listing = hasManySigns(block.text, LISTING_SIGNS, FEWEST_SIGNS, LISTING_SHARE);
    last.block = block;
  }
  return last.listing;
}

/** A listing without its markup: brackets, signs and slashes among few words. */
const LISTING_SIGNS = signs("{}<>=\\|_`#$*[]~^&+");
/** Of all characters; running text with a formula or a path in it stays below. */
const LISTING_SHARE = 0.035;
const FEWEST_SIGNS = 3;

function filled(reason: string, text: string, from: number, to: number, choices: Choice[]): string {
  if (!reason.includes("{")) return reason;
  const first = choices[0]?.label ?? "";
  // Where nothing is put in, nothing is shown of it.
  const told = first === "" ? reason.replace(/:? “\{1\}”/, "") : reason;
  const filledIn = told
    .replaceAll("{}", shortened(text.slice(from, to)))
    .replaceAll("{1}", shortened(first));
  return filledIn.includes("{before}")
    ? filledIn.replaceAll("{before}", wordBefore(text, from))
    : filledIn;
}

function wordBefore(text: string, at: number): string {
  const near = text.slice(Math.max(0, at - LONGEST_WORD), at);
  return /[\p{L}\p{N}’'-]+(?=[^\p{L}\p{N}]*$)/u.exec(near)?.[0] ?? "";
}
const LONGEST_WORD = 40;

/** A long stretch by its beginning and end, so that a reason stays one line. */
function shortened(text: string): string {
  return text.length <= MOST_QUOTED ? text : `${text.slice(0, HALF)} … ${text.slice(-HALF)}`;
}
const MOST_QUOTED = 44;
const HALF = 18;
