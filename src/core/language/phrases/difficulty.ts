import { TAG, TAG_SETS, tagSet } from "../tags/tag-sets.ts";
import { wordList } from "../words/word-lists.ts";
import type { Syntax } from "./syntax.ts";

/**
 * What makes a sentence hard to read beside its length: how many clauses it has and how deep they
 * stand in each other, how far its verb stands from its subject, nouns in a row, negations, rare
 * words. After Gibson 1998, "Linguistic complexity: locality of syntactic dependencies" (distance and
 * nesting) and Clark and Chase 1972 (negation); found by shallow phrases.
 */

/** A figure, and the units it is of, [from, to). */
export interface Stretch {
  figure: number;
  from: number;
  to: number;
}

export interface Difficulty {
  /** Finite verbs, and at least one. */
  clauses: number;
  /** Clauses that stand in each other below the main clause; the stretch is the deepest. */
  depth: Stretch;
  /** Words between the head of the subject and the verb of a main clause. */
  distance: Stretch;
  /** Nouns in a row. */
  nouns: Stretch;
  negations: Stretch;
  /** Negative prefixes beside a negation. */
  prefixed: number;
  rare: Stretch;
}

const SUBORDINATORS = tagSet("CS", "WDT", "WP", "WP$", "WRB");
const COORDINATORS = tagSet("CC");
const CONTENT = tagSet(
  "NN",
  "NNS",
  "JJ",
  "JJR",
  "JJS",
  "RB",
  "VB",
  "VBD",
  "VBG",
  "VBN",
  "VBZ",
  "VBP",
);
const NEGATIVE_WORDS = wordList("sentence-figures/negative-words");
/** "Not unlikely": a negative prefix counts beside a negation. */
const NEGATIVE_PREFIX = /^un(?!der|i[cfoqtv]|less|til)[a-z]{4}/;
/** log2 of one more than a word's count in 50 million: fewer than two a million. */
const RARE = 6.6;

const NOTHING: Stretch = { figure: 0, from: 0, to: 0 };

/** Works out the difficulties of the sentence of units [from, to). */
export function difficultyOf(syntax: Syntax, from: number, to: number): Difficulty {
  const { clauses, depth, distance } = clausesOf(syntax, from, to);
  return {
    clauses,
    depth,
    distance,
    nouns: nounsInARow(syntax, from, to),
    ...negationsIn(syntax, from, to),
    rare: rareWords(syntax, from, to),
  };
}

interface OpenClause {
  opener: number;
  hasVerb: boolean;
}

/**
 * Walks over a sentence with the clauses that are open: a subordinator opens one, its verb fills it, a
 * comma after that or the verb of the clause around it closes it.
 */
class ClauseWalk {
  private readonly open: OpenClause[] = [];
  /** The noun group that is the subject of the main clause, as far as the walk has come; -1 for none. */
  private subject = -1;
  /** A main clause has begun and its verb is to come: what follows a verb is no subject. */
  private awaitsVerb = true;
  clauses = 0;
  depth = NOTHING;
  distance = NOTHING;
  /** The opener of the deepest clause while it is still open; -1 when it is closed. */
  private deepest = -1;

  constructor(
    private readonly syntax: Syntax,
    private readonly from: number,
    private readonly to: number,
  ) {}

  run(): this {
    for (let unit = this.from; unit < this.to; unit++) this.step(unit);
    this.close(0, this.to);
    return this;
  }

  private step(unit: number): void {
    const { tags, verbAt, verbGroups, nounAt, nounGroups } = this.syntax;
    const tag = tags[unit] ?? 0;
    if (SUBORDINATORS[tag] && !this.asksWith(unit)) this.opens(unit);
    else if (tag === TAG[","] || tag === TAG[":"]) this.comma(unit);
    if ((COORDINATORS[tag] || tag === TAG[":"]) && this.open.length === 0) this.awaitsVerb = true;
    const verb = verbGroups[verbAt[unit] ?? -1];
    if (verb?.finite === unit) this.verb(unit);
    const noun = nounGroups[nounAt[unit] ?? -1];
    if (noun?.from === unit && this.open.length === 0) this.noun(nounAt[unit] ?? -1);
  }

  /** "Which gauge is it?" nests nothing. */
  private asksWith(unit: number): boolean {
    return unit === this.from && this.syntax.words[this.to - 1]?.form === "?";
  }

  private opens(unit: number): void {
    const { tags, words } = this.syntax;
    const form = words[unit]?.form ?? "";
    // "higher than the staff" and "as high as" open nothing that is hard.
    if (form === "than" || form === "as") return;
    if (COORDINATORS[tags[unit - 1] ?? 0]) this.close(this.open.length - 1, unit - 1);
    this.open.push({ opener: unit, hasVerb: false });
    if (this.open.length <= this.depth.figure) return;
    this.depth = { figure: this.open.length, from: unit, to: this.to };
    this.deepest = unit;
  }

  private comma(unit: number): void {
    if (this.open.at(-1)?.hasVerb) this.close(this.open.length - 1, unit);
  }

  private verb(unit: number): void {
    this.clauses++;
    const before = this.syntax.tags[unit - 1] ?? 0;
    const top = this.open.at(-1);
    if (top && !top.hasVerb) {
      top.hasVerb = true;
      return;
    }
    // "which rose and fell" is one clause.
    if (top && COORDINATORS[before]) return;
    let left = this.open.length;
    while (left > 0 && this.open[left - 1]?.hasVerb) left--;
    this.close(left, unit);
    const around = this.open.at(-1);
    if (around) around.hasVerb = true;
    else this.mainVerb(unit);
  }

  private mainVerb(unit: number): void {
    const { nounGroups, tags } = this.syntax;
    const subject = nounGroups[this.subject];
    this.subject = -1;
    this.awaitsVerb = false;
    if (!subject) return;
    const from = subject.head + 1;
    let words = 0;
    for (let at = from; at < unit; at++) if (!TAG_SETS.STOP[tags[at] ?? 0]) words++;
    if (words > this.distance.figure) this.distance = { figure: words, from, to: unit };
  }

  /** The first noun group of a main clause that no preposition governs; of a series the last. */
  private noun(index: number): void {
    const { nounGroups, tags } = this.syntax;
    const group = nounGroups[index];
    if (!group) return;
    const before = tags[group.from - 1] ?? 0;
    const known = nounGroups[this.subject];
    if (!known) {
      const free = before !== TAG.IN || group.from === this.from;
      if (this.awaitsVerb && free) this.subject = index;
      return;
    }
    const joins = COORDINATORS[before] || before === TAG[","];
    const gap = group.from - known.to;
    if (joins && gap >= 1 && gap <= 2) this.subject = index;
  }

  /** Closes the open clauses from a number on. */
  private close(left: number, at: number): void {
    if (left < 0) return;
    for (const { opener } of this.open.splice(left)) {
      if (opener !== this.deepest) continue;
      this.depth = { ...this.depth, to: at };
      this.deepest = -1;
    }
  }
}

function clausesOf(syntax: Syntax, from: number, to: number) {
  const { clauses, depth, distance } = new ClauseWalk(syntax, from, to).run();
  return { clauses: Math.max(1, clauses), depth, distance };
}

/** Nouns in a row, the last of which may be a plural. */
function nounsInARow({ tags }: Syntax, from: number, to: number): Stretch {
  let longest = NOTHING;
  let start = from;
  for (let unit = from; unit <= to; unit++) {
    const tag = unit < to ? tags[unit] : undefined;
    if (tag === TAG.NN) continue;
    const end = tag === TAG.NNS ? unit + 1 : unit;
    const figure = end - start;
    if (figure > longest.figure) longest = { figure, from: start, to: end };
    start = unit + 1;
  }
  return longest;
}

/** Whether a unit negates, by its tag and lower-case form. */
export function isNegation(tag: number, form: string): boolean {
  return tag === TAG.NOT || NEGATIVE_WORDS.has(form);
}

function negationsIn(
  { words, tags }: Syntax,
  from: number,
  to: number,
): Pick<Difficulty, "negations" | "prefixed"> {
  let figure = 0;
  let first = to;
  let last = from;
  for (let unit = from; unit < to; unit++) {
    if (!isNegation(tags[unit] ?? 0, words[unit]?.form ?? "")) continue;
    figure++;
    first = Math.min(first, unit);
    last = unit + 1;
  }
  if (figure === 0) return NOT_NEGATED;
  let prefixed = 0;
  for (let unit = from; unit < to; unit++) {
    const form = words[unit]?.form ?? "";
    if (!form.startsWith("un") || !CONTENT[tags[unit] ?? 0]) continue;
    if (!NEGATIVE_PREFIX.test(form) || isNegation(tags[unit] ?? 0, form)) continue;
    prefixed++;
    first = Math.min(first, unit);
    last = Math.max(last, unit + 1);
  }
  return { negations: { figure, from: first, to: last }, prefixed };
}

const NOT_NEGATED = { negations: NOTHING, prefixed: 0 };

/** Rare words, names and numbers left out; the stretch is the rarest. */
function rareWords({ words, tags }: Syntax, from: number, to: number): Stretch {
  let figure = 0;
  let rarest = NOTHING;
  let lowest = Number.POSITIVE_INFINITY;
  for (let unit = from; unit < to; unit++) {
    const word = words[unit];
    if (!word?.plain || word.frequency >= RARE || !CONTENT[tags[unit] ?? 0]) continue;
    figure++;
    if (word.frequency >= lowest) continue;
    lowest = word.frequency;
    rarest = { figure, from: unit, to: unit + 1 };
  }
  return figure === 0 ? NOTHING : { ...rarest, figure };
}
