import { otherStyleOf } from "../guess-style.ts";
import { styleOf } from "../styles/styles.ts";
import type { EntryRule } from "./rule.ts";

/** Of an entry's beginning so much is marked. */
const MARKED = 60;

/** An entry that was plainly written in another style than its list. */
export const mixedStyles: EntryRule = ({ text }, { style }) => {
  const other = otherStyleOf(text, style.id);
  if (!other) return [];
  const from = text.search(/\S/u);
  const to = Math.min(text.length, MARKED);
  const reason = `This entry is written as ${styleOf(other).name} has it, the list as ${style.name}.`;
  return [{ from, to, reason, edits: [] }];
};
