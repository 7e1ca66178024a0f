import type { EntryRule } from "./rule.ts";

/** Of a name so much must be set in italics. */
const SHARE = 0.5;

/** Italics of periodicals and of titles of books, in lists whose format keeps any. */
export const titleItalics: EntryRule = (
  { fields, titleQuotes, type },
  { style, italics, hasItalics },
) => {
  if (!style.italics || !hasItalics) return [];
  const isArticle = type === "article" && fields.volume !== undefined;
  const isBook = type === "book" && titleQuotes === null && fields.publisher !== undefined;
  const field = isArticle ? fields.container : isBook ? fields.title : undefined;
  if (!field) return [];
  const covered = italics.reduce(
    (sum, { from, to }) => sum + Math.max(0, Math.min(to, field.to) - Math.max(from, field.from)),
    0,
  );
  if (covered >= (field.to - field.from) * SHARE) return [];
  const what = isArticle ? "the name of a periodical" : "the title of a book";
  return [
    { from: field.from, to: field.to, reason: `${style.name} has ${what} in italics.`, edits: [] },
  ];
};
