import { type EntryRule, replacing } from "./rule.ts";

/** How many names are listed, and what stands for the others. */
export const authorCount: EntryRule = ({ authors, text }, { style }) => {
  if (!authors) return [];
  const { names, etAl, ellipsis } = authors;
  const { most, shown, rest, beforeEtAl } = style.authors;
  const last = names.at(-1);
  const zone = { from: names[0]?.from ?? 0, to: last?.to ?? 0 };
  if (etAl) {
    const reason = `${style.name} lists up to ${most} names and never writes “et al.” in the list.`;
    if (rest === "ellipsis") return [{ ...etAl, reason, edits: [] }];
    const written = text.slice(etAl.from, etAl.to);
    const right = `${beforeEtAl}et al.`;
    const hasStop = written.endsWith(".") || text[etAl.to] === ".";
    if (!/et al\.?$/u.test(written) || !hasStop) {
      return [replacing(etAl, right, "“et al.” has a stop behind “al” and none behind “et”.")];
    }
    if (names.length !== shown) {
      const few = `${style.name} names ${shown === 1 ? "one author" : `${shown} authors`} before “et al.”`;
      const sentence =
        names.length < shown ? `${few}; here the others are to be named.` : `${few}.`;
      const keep = names[shown - 1];
      const edits =
        names.length > shown && keep ? [{ from: keep.to, to: etAl.to, insert: right }] : [];
      return [{ from: zone.from, to: etAl.to, reason: sentence, edits }];
    }
    return [];
  }
  if (ellipsis) {
    if (rest === "ellipsis") {
      const before = names.filter(({ to }) => to <= ellipsis.from).length;
      if (before === shown) return [];
      return [
        { ...ellipsis, reason: `${style.name} names ${shown} authors before the dots.`, edits: [] },
      ];
    }
    return [{ ...ellipsis, reason: `${style.name} has “et al.” and no dots.`, edits: [] }];
  }
  const people = names.filter(({ literal }) => literal === undefined).length;
  const keep = names[shown - 1];
  if (names.length <= most || people < names.length - 1 || !keep || !last) return [];
  if (rest === "et al.") {
    const reason = `${style.name} names ${shown} of more than ${most} authors, then “et al.”`;
    const right = `${beforeEtAl}et al.`;
    const stop = text[last.to] === "." && right.endsWith(".") ? 1 : 0;
    return [{ ...zone, reason, edits: [{ from: keep.to, to: last.to + stop, insert: right }] }];
  }
  const reason = `${style.name} names ${shown} of more than ${most} authors, then dots and the last.`;
  return [{ ...zone, reason, edits: [{ from: keep.to, to: last.from, insert: ", … " }] }];
};
