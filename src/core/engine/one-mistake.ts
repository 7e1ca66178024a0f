import type { Pass } from "../checks/card.ts";
import { checkById } from "../checks/index.ts";
import type { Mark } from "./mark.ts";

/** Of what the longer of two marks covers, how much the other must cover to speak of the same mistake. */
const SAME_SHARE = 0.6;
/** The same of two that are sure: "less then" and "then". */
const SAME_SHARE_OF_SURE = 0.4;
const STRENGTH: Record<Mark["weight"], number> = { fix: 3, settle: 2, weigh: 1 };
/** Of equal weight a rule of grammar knows better what is meant than the dictionary does. */
const FIRST: readonly Pass[] = [
  "grammar",
  "spelling",
  "wording",
  "sentences",
  "consistency",
  "citations",
  "originality",
];
/** How a sentence reads, whether a form agrees with others, and what stands elsewhere, are other questions than what is wrong in it. */
const APART: readonly Pass[] = ["sentences", "consistency", "citations", "originality"];

/**
 * Of marks (in reading order) that speak of one mistake, the strongest, which tells what the others
 * would say; of equals grammar before spelling before wording, then the first. A mark that others of its group
 * hang on stays, and so do those that hang on one.
 */
export function oneForEach(marks: readonly Mark[], stays: (mark: Mark) => boolean): Mark[] {
  const silent = new Map<Mark, Mark>();
  for (const [at, mark] of marks.entries()) {
    for (let next = at + 1; next < marks.length; next++) {
      const other = marks[next];
      if (!other || other.from >= Math.max(mark.to, mark.from + 1)) break;
      if (silent.has(mark) || silent.has(other) || !isSameMistake(mark, other)) continue;
      const [strong, weak] = isStronger(other, mark) ? [other, mark] : [mark, other];
      if (weak.follows || strong.follows || stays(weak)) continue;
      silent.set(weak, strong);
    }
  }
  if (silent.size === 0) return [...marks];
  const also = new Map<Mark, NonNullable<Mark["also"]>>();
  for (const weak of silent.keys()) {
    let speaker = silent.get(weak);
    while (speaker && silent.has(speaker)) speaker = silent.get(speaker);
    if (!speaker) continue;
    const { rule, reason, from, to } = weak;
    also.set(speaker, [...(also.get(speaker) ?? []), { rule, reason, from, to }]);
  }
  return marks
    .filter((mark) => !silent.has(mark))
    .map((mark) => {
      const own = also.get(mark);
      return own ? { ...mark, also: own } : mark;
    });
}

function isSameMistake(one: Mark, other: Mark): boolean {
  if (one.rule === other.rule) return false;
  if (isOfHouse(one) || isOfHouse(other)) return overlaps(one, other);
  if (APART.includes(one.pass) || APART.includes(other.pass)) return false;
  // "utilized" may be of another variety and too grand: two questions.
  const passes = [one.pass, other.pass];
  if (passes.includes("spelling") && passes.includes("wording")) return false;
  if (one.pass === "grammar" && other.pass === "grammar" && liesWithin(one, other)) return true;
  const sure = one.weight === "fix" && other.weight === "fix";
  return overlaps(one, other, sure ? SAME_SHARE_OF_SURE : SAME_SHARE);
}

/** Characters of two or three words, of which a mark within may speak too: "in side" and "side". */
const FEW_WORDS = 20;

function liesWithin(one: Mark, other: Mark): boolean {
  const [inner, outer] = one.to - one.from < other.to - other.from ? [one, other] : [other, one];
  if (inner.from === inner.to || outer.to - outer.from > FEW_WORDS) return false;
  return inner.from >= outer.from && inner.to <= outer.to;
}

function overlaps(one: Mark, other: Mark, share = SAME_SHARE): boolean {
  const longer = Math.max(one.to - one.from, other.to - other.from);
  if (longer === 0) return one.from === other.from;
  return Math.min(one.to, other.to) - Math.max(one.from, other.from) >= share * longer;
}

/** A rule of the house is what the house has settled, above all that ships. */
function isOfHouse({ rule }: Mark): boolean {
  return checkById(rule)?.isHouse === true;
}

function isStronger(one: Mark, other: Mark): boolean {
  if (isOfHouse(one) !== isOfHouse(other)) return isOfHouse(one);
  const by = STRENGTH[one.weight] - STRENGTH[other.weight];
  return by !== 0 ? by > 0 : FIRST.indexOf(one.pass) < FIRST.indexOf(other.pass);
}
