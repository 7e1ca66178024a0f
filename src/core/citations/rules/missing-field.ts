import { type EntryRule } from "./rule.ts";

/** Parts that a work of this kind always has. */
export const missingField: EntryRule = (entry, { style }) => {
  const { authors, fields, repeated, text, type, year } = entry;
  const head = authors?.to ?? repeated?.to ?? Math.min(text.length, fields.title?.to ?? 40);
  const place = { from: entry.number?.to ?? 0, to: Math.max(head, 1) };
  if (!year && !/\bn\.\s?d\.|\bno date\b|in press|forthcoming/iu.test(text)) {
    return [{ ...place, reason: "The year is missing.", edits: [] }];
  }
  if (!fields.title) return [{ ...place, reason: "The title is missing.", edits: [] }];
  const isPeriodical = type === "article" || (fields.volume && fields.pages);
  if (isPeriodical && !fields.container && fields.volume) {
    return [{ from: fields.title.from, to: fields.title.to, reason: "The name of the periodical is missing.", edits: [] }];
  }
  void style;
  return [];
};
