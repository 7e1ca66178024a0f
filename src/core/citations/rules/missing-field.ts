import type { EntryRule } from "./rule.ts";

/** Parts that a work of this kind always has. */
export const missingField: EntryRule = (entry, { style }) => {
  const { authors, fields, repeated, text, titleQuotes, year } = entry;
  const head = authors?.to ?? repeated?.to ?? Math.min(text.length, fields.title?.to ?? 40);
  const place = { from: entry.number?.to ?? 0, to: Math.max(head, 1) };
  if (!year && !/\bn\.\s?d\.|\bno date\b|in press|forthcoming/iu.test(text)) {
    return [{ ...place, reason: "The year is missing.", edits: [] }];
  }
  if (!fields.title) return [{ ...place, reason: "The title is missing.", edits: [] }];
  const { container, volume, issue, pages, publisher, place: city, edition } = fields;
  const isBook = publisher || city || edition;
  const isBehindDate = volume && text[volume.from - 1] === ";";
  const hasNumbers = volume && (issue || pages || isBehindDate);
  // Where titles of parts are quoted and this one is not, title and periodical can’t be told apart.
  const isApart = titleQuotes !== null || style.titles.quotes === null;
  if (hasNumbers && !container && !isBook && isApart) {
    return [
      {
        from: fields.title.from,
        to: fields.title.to,
        reason: "The name of the periodical is missing.",
        edits: [],
      },
    ];
  }
  return [];
};
