import type { EntryRule } from "./rule.ts";

const PARTS = new Set(["article", "chapter", "conference"]);

/** Whether titles of parts stand between quotation marks. */
export const titleQuotes: EntryRule = ({ fields, titleQuotes: quotes, type, text }, { style }) => {
  const { title, container } = fields;
  if (!title) return [];
  const wanted = style.titles.quotes;
  if (!wanted && quotes) {
    const edits = [
      { from: quotes.from, to: quotes.from + 1, insert: "" },
      { from: quotes.to - 1, to: quotes.to, insert: "" },
    ];
    return [{ ...quotes, reason: `${style.name} has no quotation marks around titles.`, edits }];
  }
  if (!wanted) return [];
  const { volume, issue, pages } = fields;
  if (!quotes && !container && volume && (issue || pages)) {
    const reason = `${style.name} has the title of an article between ${wanted[0]} and ${wanted[1]}.`;
    return [{ from: title.from, to: title.to, reason, edits: [] }];
  }
  if (!PARTS.has(type) || !container) return [];
  const [open, close] = wanted;
  if (!quotes) {
    const edits = [
      { from: title.from, to: title.from, insert: open },
      { from: title.to, to: title.to, insert: close },
    ];
    return [
      {
        from: title.from,
        to: title.to,
        reason: `${style.name} has the title of a part between ${open} and ${close}.`,
        edits,
      },
    ];
  }
  const first = text[quotes.from] ?? "";
  if (first === open || /["']/u.test(first)) return [];
  const edits = [
    { from: quotes.from, to: quotes.from + 1, insert: open },
    { from: quotes.to - 1, to: quotes.to, insert: close },
  ];
  return [{ ...quotes, reason: `${style.name} has titles between ${open} and ${close}.`, edits }];
};
