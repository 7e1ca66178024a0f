import { HOUSE_TITLES } from "../../house/rule-titles.ts";
import { type Rule, titleOf } from "../../house/rules.ts";

/** Rules that speak against each other. */

/** What a rule has against others and against the word lists, as sentences; none where it goes with all. */
export function clashesOf(
  rule: Rule,
  others: readonly Rule[],
  words: ReadonlySet<string>,
): string[] {
  const told: string[] = [];
  const own = wordsOf(rule);
  for (const wrong of own.odd) {
    if (words.has(wrong)) told.push(`“${wrong}” is on a word list as right.`);
    if (own.right.has(wrong)) told.push(`“${wrong}” is both what is not written and what is.`);
  }
  for (const other of others) {
    if (other.id === rule.id || other.off || !mayMeet(rule, other)) continue;
    const theirs = wordsOf(other);
    const named = `${HOUSE_TITLES[other.type]} “${titleOf(other)}”`;
    const wanted = [...own.right].find((one) => theirs.odd.has(one));
    if (wanted !== undefined) told.push(`“${wanted}” is not written by ${named}.`);
    const banned = [...own.odd].find((one) => theirs.right.has(one));
    if (banned !== undefined) told.push(`“${banned}” is what ${named} writes.`);
    const both = [...own.odd].find((one) => theirs.odd.has(one));
    if (both !== undefined && wanted === undefined && banned === undefined) {
      const same = [...own.right].every((one) => theirs.right.has(one));
      told.push(
        same ? `${named} says the same of “${both}”.` : `${named} has another word for “${both}”.`,
      );
    }
    if (
      rule.type === "form" &&
      other.type === "form" &&
      rule.of === other.of &&
      rule.form !== other.form
    ) {
      told.push(`Another rule has “${other.form}” for the same thing.`);
    }
    if (
      rule.type === "abbreviation" &&
      other.type === "abbreviation" &&
      rule.short === other.short
    ) {
      if (rule.full !== other.full)
        told.push(`“${rule.short}” is “${other.full}” by another rule.`);
    }
  }
  return [...new Set(told)];
}

/** Whether two rules are ever asked of the same copy and the same part of it. */
function mayMeet({ scope: one }: Rule, { scope: other }: Rule): boolean {
  const meet = <T>(mine: readonly T[] = [], theirs: readonly T[] = []) =>
    mine.length === 0 || theirs.length === 0 || mine.some((each) => theirs.includes(each));
  return meet(one?.kinds, other?.kinds) && meet(one?.in, other?.in);
}

/** What a rule has as right and as wrong. Where only capitals are meant, they count. */
function wordsOf(rule: Rule): { right: Set<string>; odd: Set<string> } {
  const right = new Set<string>();
  const odd = new Set<string>();
  if (rule.type === "term" || rule.type === "wording") {
    for (const one of rule.use) right.add(one);
    for (const one of rule.not) odd.add(one);
  } else if (rule.type === "capitals" || rule.type === "compound" || rule.type === "name") {
    right.add(rule.write);
    if (rule.type !== "capitals") for (const one of rule.not) odd.add(one);
    if (rule.type === "compound") {
      const parts = rule.write.split(/[\s-]+/);
      for (const sign of [" ", "-", ""]) {
        const form = parts.join(sign);
        if (form !== rule.write) odd.add(form);
      }
    }
  }
  return { right, odd };
}
