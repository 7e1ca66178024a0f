/**
 * What a stem must end or begin with for an affix to fit: a row of characters, each a letter, any
 * letter (`.`), or one of a bracketed set or of none of it.
 */
export type Condition = readonly { letters: string; negated: boolean }[];

/** Reads a condition such as `[^aeiou]y`; "." alone is none. */
export function parseCondition(written: string): Condition {
  if (written === ".") return [];
  const parts: { letters: string; negated: boolean }[] = [];
  for (const [part] of written.matchAll(/\[[^\]]*\]|./gsu)) {
    if (part === ".") parts.push({ letters: "", negated: true });
    else if (part.startsWith("[^")) parts.push({ letters: part.slice(2, -1), negated: true });
    else if (part.startsWith("[")) parts.push({ letters: part.slice(1, -1), negated: false });
    else parts.push({ letters: part, negated: false });
  }
  return parts;
}

/** Whether a condition fits the letters of a stem from `at` on. */
export function fits(condition: Condition, stem: string, at: number): boolean {
  if (at < 0 || at + condition.length > stem.length) return false;
  for (const [order, { letters, negated }] of condition.entries()) {
    if (letters.includes(stem[at + order] ?? "") === negated) return false;
  }
  return true;
}
