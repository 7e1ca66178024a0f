import type { Edit } from "../../manuscript/model.ts";
import type { Entry, Field } from "../entry.ts";
import type { EntryContext, EntryRule } from "./rule.ts";

/** Words that keep a small letter in headlines. */
const SMALL = new Set(
  "a an and as at but by for from in into nor of off on onto or out over per so than the to up upon via vs with yet about above across after against along among around before behind below beneath beside between beyond down during except inside like near outside since through throughout toward towards under until within without de la le les der die das und von van et en el y".split(
    " ",
  ),
);
/** A title says what language it is in by its small words. */
const ENGLISH = /\b(?:the|of|and|in|for|a|an|to|on|with|from|by)\b/iu;
/** So many words must show it. */
const ENOUGH = 3;
const SHARE = 0.7;
/** And of the words that are known, nearly all. */
const MOST = 0.9;

/** The name of an event, and the title of a book that is reviewed, keep their own capitals. */
const NAMED = /^Proceedings of\b|\sby(?:\s\p{Lu}(?:\.|\p{Ll}+)){2,3}$/u;

const PARTS = new Set(["article", "chapter", "conference", "newspaper", "preprint"]);

/** The capitals of titles: those of a sentence, or those of a headline. */
export const titleCapitals: EntryRule = (entry, context) => {
  const { title } = entry.fields;
  if (!title || !ENGLISH.test(title.text)) return [];
  const { titles, name } = context.style;
  const isPart = PARTS.has(entry.type) || entry.titleQuotes !== null;
  // Where parts and wholes differ, what has no publisher may be either.
  if (!isPart && titles.part !== titles.whole && !entry.fields.publisher) return [];
  const wanted = isPart ? titles.part : titles.whole;
  if (wanted === "any" || NAMED.test(title.text)) return [];
  const words = contentWords(title);
  const capitals = words.filter(({ text }) => /^\p{Lu}/u.test(text));
  if (wanted === "sentence") {
    const small = title.text
      .match(/(?<![\p{L}’'-])\p{Ll}[\p{L}’'-]{4,}/gu)
      ?.filter((one) => !SMALL.has(one));
    const known = words.filter(({ text }) => context.isWord(text.toLowerCase()));
    const raised = known.filter(({ text }) => /^\p{Lu}\p{Ll}/u.test(text));
    if (raised.length < ENOUGH || raised.length < words.length * SHARE) return [];
    if ((small?.length ?? 0) > known.length * (1 - MOST)) return [];
    const edits = lowered(entry, title, context);
    const reason = `${name} writes titles with the capitals of a sentence.`;
    return edits.length ? [{ from: title.from, to: title.to, reason, edits }] : [];
  }
  const small = words.filter(({ text }) => /^\p{Ll}/u.test(text));
  if (small.length < 2 || capitals.length > words.length * (1 - SHARE)) return [];
  const edits = small.map(
    ({ from, text }): Edit => ({ from, to: from + 1, insert: (text[0] ?? "").toUpperCase() }),
  );
  return [
    {
      from: title.from,
      to: title.to,
      reason: `${name} writes titles with the capitals of a headline.`,
      edits,
    },
  ];
};

interface Word {
  from: number;
  text: string;
}

/** Words that would be small in a sentence and large in a headline: not the first, none after a colon. */
function contentWords(title: Field): Word[] {
  return [...title.text.matchAll(/(?<![\p{L}’'-])\p{L}[\p{L}’']*/gu)].flatMap((found) => {
    const [text] = found;
    const before = title.text.slice(0, found.index).trimEnd();
    const opens = before === "" || /[:.?!—–“‘("[]$/u.test(before);
    if (opens || text.length < 3 || SMALL.has(text.toLowerCase())) return [];
    return [{ from: title.from + found.index, text }];
  });
}

/** Each word that is known with a small letter gets one. */
function lowered(_entry: Entry, title: Field, { isWord }: EntryContext): Edit[] {
  return [...title.text.matchAll(/(?<![\p{L}’'-])\p{Lu}\p{Ll}[\p{L}’']*/gu)].flatMap((found) => {
    const before = title.text.slice(0, found.index).trimEnd();
    if (before === "" || /[:.?!—–“‘]$/u.test(before)) return [];
    if (!isWord(found[0].toLowerCase())) return [];
    const from = title.from + found.index;
    return [{ from, to: from + 1, insert: (found[0][0] ?? "").toLowerCase() }];
  });
}
