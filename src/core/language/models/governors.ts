import type { Syntax } from "../phrases/syntax.ts";
import { TAG, TAG_SETS } from "../tags/tag-sets.ts";

/** Grammatical numbers as features have them. */
export const NUMBER_CODES = { singular: 1, plural: 2, unknown: 3 } as const;

/** What governs a noun group that begins at a unit: the word before it, by its kind. */
export function governorOf(syntax: Syntax, from: number): number {
  const index = syntax.nounAt[from] ?? -1;
  const known = syntax.governors[index] ?? 0;
  if (known > 0) return known - 1;
  const governor = governorAt(syntax, from);
  if (index >= 0) syntax.governors[index] = governor + 1;
  return governor;
}

function governorAt(
  { words, tags, verbAt, verbGroups, sentenceFrom }: Syntax,
  from: number,
): number {
  const at = from - 1;
  if (at < (sentenceFrom[from] ?? 0)) return 0;
  const form = words[at]?.form ?? "";
  const verb = verbGroups[verbAt[at] ?? -1];
  if (verb) return verb.infinitive ? 1 : verb.finite >= 0 ? 2 : 3;
  if (form === "of") return 4;
  if (tags[at] === TAG.IN || tags[at] === TAG.TO) return 5;
  if (form === "and") return 6;
  if (form === "or" || form === "nor") return 7;
  if (form === "that" || form === "which" || form === "who") return 8;
  if (tags[at] === TAG.CS) return form === "than" || form === "as" ? 9 : 10;
  if (form === ",") return 11;
  if (tags[at] === TAG.CC) return 12;
  if (TAG_SETS.WH[tags[at] ?? 0]) return 13;
  return TAG_SETS.STOP[tags[at] ?? 0] ? 14 : 15;
}
