import { type EntryRule, replacing } from "./rule.ts";

/** What stands between names. */
export const authorJoining: EntryRule = ({ authors, text }, { style }) => {
  if (!authors) return [];
  const { names, etAl, ellipsis } = authors;
  const { lastOfTwo, lastOfMore } = style.authors;
  for (let at = 1; at < names.length; at++) {
    const before = names[at - 1];
    const name = names[at];
    if (!before || !name || before.literal?.includes(",") || name.literal?.includes(",")) continue;
    const range = { from: before.to, to: name.from };
    if (ellipsis && range.from <= ellipsis.from && range.to >= ellipsis.from) continue;
    const isLast = at === names.length - 1 && !etAl;
    const right = isLast ? (names.length === 2 ? lastOfTwo : lastOfMore) : ", ";
    const found = text.slice(range.from, range.to).replaceAll(/[\s\u00a0]+/gu, " ");
    if (found === right) continue;
    // A comma may stand before a name's own “Jr.”, and semicolons part names with commas in them.
    if (/[^\s,;&.]/u.test(found.replace(/\band\b/u, ""))) continue;
    const shown = right.trim().replace(/^,$/u, "a comma");
    const reason = isLast
      ? `Before the last name ${style.name} has “${shown}”.`
      : `Between names ${style.name} has a comma.`;
    return [replacing(range, right, reason)];
  }
  return [];
};
