import type { Edit, Format, Variety } from "../manuscript/model.ts";
import { wordBreaks } from "./breaks.ts";
import { LIGATURES, latinFor } from "./characters.ts";
import type { CleanBlock } from "./places.ts";
import { curvedApostrophes, curvedQuotes } from "./quotes.ts";

/** What the clean-up asks of a document and of its houses. */
export interface CleanContext {
  format: Format;
  variety: Variety;
  /** The document’s habits, or what its houses have. */
  dash: string | null;
  ellipsis: string | null;
  /** Quotation marks and apostrophes are curved. */
  isCurved: boolean;
  /** Spaces are the layout of its text, as in a .txt that is set in columns. */
  isPlain: boolean;
}

/** One mechanical change, made everywhere or nowhere. */
export interface CleanStep {
  id: string;
  title: string;
  note: string;
  /** Made unless someone says otherwise. */
  isUsual(context: CleanContext): boolean;
  /** It changes figures of tables too. */
  inFigures?: boolean;
  /** Edits in a block, offsets in its text. */
  find(block: CleanBlock, context: CleanContext): Edit[];
}

const always = () => true;
const never = () => false;

/**
 * Whether double spaces are the layout of a line: parted by bars, before figures twice, half as many as single
 * ones, or a wide gap that no sentence ends at.
 */
function isSetInColumns(text: string): boolean {
  if (/ {2,}[\d.]+(?!\S).* {2,}[\d.]+(?!\S)/.test(text) || /[^\s.!?)”"’'] {3,}\S/u.test(text))
    return true;
  if (/ {2}\| {2}|^\s*[|+]|> {2}\p{Lu}\p{Ll}{2},/u.test(text)) return true;
  const double = text.match(/\S {2,}(?=\S)/g)?.length ?? 0;
  const single = text.match(/\S (?=\S)/g)?.length ?? 0;
  return double >= 2 && 2 * double >= single;
}

/** The places of an expression with the flag g, outside what is spared; `put` gives null for none. */
function replacing(
  { text, isSpared }: CleanBlock,
  expression: RegExp,
  put: (match: RegExpMatchArray & { index: number }) => string | null,
): Edit[] {
  const edits: Edit[] = [];
  for (const match of text.matchAll(expression)) {
    const from = match.index;
    const to = from + match[0].length;
    if (to === from || isSpared(from, to)) continue;
    const insert = put(match);
    if (insert !== null && insert !== match[0]) edits.push({ from, to, insert });
  }
  return edits;
}

/** Whether a space stands before a mark that is code, in a choice of a program (“a == 1 ? "b" : "c"”), or within brackets that hold a variable. */
function isBesideCode({ text, isSpared }: CleanBlock, match: RegExpMatchArray): boolean {
  const at = match.index ?? 0;
  const end = at + match[0].length;
  if (isSpared(end, end + 1) || (at > 0 && isSpared(at - 1, at))) return true;
  if (/["')\]]$|==.*$/.test(text.slice(0, at)) && /^[?:]/.test(text.slice(end))) return true;
  const open = text.lastIndexOf("(", at);
  const close = text.indexOf(")", at);
  return open >= 0 && close >= 0 && /\$[\p{L}_{]/u.test(text.slice(open, close));
}

/** What the control characters from U+0080 on were in Windows-1252, as which they are mostly meant. */
const WINDOWS = [..."€ ‚ƒ„…†‡ˆ‰Š‹Œ Ž  ‘’“”•–—˜™š›œ žŸ"];
/** Zero-width and control characters; joiners are letters of other scripts, and hold signs of pictures together. */
const INVISIBLE =
  /(?:[\u200b\u2060\ufeff\u200e\u200f\u202a-\u202e\u2066-\u2069]|(?![\t\n\r])\p{Cc})+|(?<=[\p{Script=Latin}\d\s])[\u200c\u200d]+(?=[\p{Script=Latin}\d\s]|$)/gu;
const MIXED = /[\p{L}\p{M}]*[\p{Script=Cyrillic}\p{Script=Greek}][\p{L}\p{M}]*/gu;
const DECOMPOSED = /[\p{L}][\u0300-\u036f]+|[\u212a\u212b]/gu;

export const STEPS: readonly CleanStep[] = [
  {
    id: "invisible",
    title: "Invisible characters",
    note: "zero-width spaces, marks of direction, control characters",
    isUsual: always,
    inFigures: true,
    find: (block) =>
      replacing(block, INVISIBLE, ([signs]) =>
        signs.replace(/./gsu, (sign) => WINDOWS[sign.charCodeAt(0) - 0x80]?.trim() ?? ""),
      ),
  },
  {
    id: "soft-hyphens",
    title: "Soft hyphens",
    note: "hyphens that only show at a line’s end",
    isUsual: always,
    inFigures: true,
    find: (block) => replacing(block, /\u00ad+/g, () => ""),
  },
  {
    id: "ligatures",
    title: "Ligatures as characters",
    note: "“ﬁ” as one character becomes “fi”",
    isUsual: always,
    inFigures: true,
    find: (block) => replacing(block, /[\ufb00-\ufb06]/g, ([sign]) => LIGATURES[sign] ?? null),
  },
  {
    id: "look-alikes",
    title: "Look-alike letters",
    note: "a letter of another alphabet within an English word",
    isUsual: always,
    inFigures: true,
    find: (block) => replacing(block, MIXED, ([word]) => latinFor(word)),
  },
  {
    id: "unicode-forms",
    title: "Mixed Unicode forms",
    note: "a letter and its accent as two characters become one (NFC)",
    isUsual: always,
    inFigures: true,
    find: (block) => replacing(block, DECOMPOSED, ([letter]) => letter.normalize("NFC")),
  },
  {
    id: "edge-spaces",
    title: "Spaces at the ends of paragraphs",
    note: "before the first character and after the last",
    isUsual: always,
    find: (block) =>
      replacing(block, /^[ \u00a0\t]+(?=\S)|(?<=\S)[ \u00a0\t]+$/g, ({ index }) =>
        // Four spaces open a listing.
        index === 0 && /^(?: {4}|\t)/.test(block.text) ? null : "",
      ),
  },
  {
    id: "double-spaces",
    title: "Double spaces",
    note: "several spaces in a row become one",
    isUsual: ({ isPlain }) => !isPlain,
    find: (block) =>
      replacing(block, /(?<=\S)[ \u00a0]{2,}(?=\S)/g, ({ 0: spaces, index }) => {
        if (block.kind === "cell" || isSetInColumns(block.text)) return null;
        // “Apr  7” is padded to the width of “Apr 17”.
        if (
          /\p{Lu}\p{Ll}{2}$/u.test(block.text.slice(0, index)) &&
          /^\d\b(?! ?\p{L})/u.test(block.text.slice(index + spaces.length))
        )
          return null;
        return spaces.includes("\u00a0") ? "\u00a0" : " ";
      }),
  },
  {
    id: "space-before-marks",
    title: "Spaces before punctuation",
    note: "and within brackets",
    isUsual: always,
    find: (block) => [
      ...replacing(
        block,
        // A mark that is spoken of, “use . on a line”, goes on with a small letter.
        /(?<=[\p{L}\p{N}"”’')\]])[ \u00a0]+(?=[,;](?![\p{L}\p{N}.…/\\-])|[.!?](?=$|["”’')]|\s+[\p{Lu}\p{N}"“‘(])|:(?=\s|$))/gu,
        (match) => {
          if (isBesideCode(block, match)) return null;
          // “: )”, “...” and a decimal of its own are no ends of a clause; a spaced ellipsis neither.
          const after = block.text.slice(match.index + match[0].length);
          if (/^[:;]\s*[-)(]/.test(after) || /^\. \./.test(after)) return null;
          return "";
        },
      ),
      ...replacing(
        block,
        /(?<=[([])[ \u00a0]+(?=[\p{L}\p{N}“‘"'])|(?<=(?:[\p{L}\p{N}]|[.”’]))(?<!\b(?:and|or|as|with))[ \u00a0]+(?=[)\]])/gu,
        (match) =>
          // A tick box: [ ].
          /\[\s*[xX ]?\s*$/.test(block.text.slice(0, match.index + match[0].length)) ||
          isBesideCode(block, match) ||
          isSetInColumns(block.text)
            ? null
            : "",
      ),
    ],
  },
  {
    id: "tabs",
    title: "Tabs within a paragraph",
    note: "become one space; look at them first: a tab may be layout",
    isUsual: never,
    find: (block) => replacing(block, /(?<=\S)\t+(?=\S)/g, () => " "),
  },
  {
    id: "double-stops",
    title: "Doubled full stops and commas",
    note: "“..” and “,,”; three are an ellipsis",
    isUsual: always,
    find: (block) =>
      replacing(block, /(?<=[\p{L}\p{N})\]”’"])(?:\.\.(?![./\p{N}])|,,(?!,))/gu, (match) => {
        const before = block.text.slice(Math.max(0, match.index - 1), match.index);
        const after = block.text.charAt(match.index + 2);
        if (after !== "" && !/[\s”’"')\]]/.test(after)) return null;
        return before === "" ? null : (match[0][0] ?? null);
      }),
  },
  {
    id: "ellipses",
    title: "Ellipses",
    note: "as the house or the document has them",
    isUsual: ({ ellipsis }) => ellipsis !== null,
    find: (block, { ellipsis }) => {
      const form = ellipsis ?? "…";
      return replacing(
        block,
        /(?<![.\u2026/\\])(?:\.\.\.|…|\. \. \.)(?![.\u2026/\\\p{N}]|(?<=(?<![\p{L}\p{N}])[\p{L}\p{N}]{1,2}\.\.\.)\p{L}{1,2}(?!\p{L}))/gu,
        ([own]) => (own === form ? null : form === ". . ." ? ".\u00a0.\u00a0." : form),
      );
    },
  },
  {
    id: "quotes",
    title: "Quotation marks",
    note: "straight ones become curved",
    isUsual: ({ isCurved }) => isCurved,
    find: curvedQuotes,
  },
  {
    id: "apostrophes",
    title: "Apostrophes",
    note: "straight ones become curved",
    isUsual: ({ isCurved }) => isCurved,
    find: (block) => curvedApostrophes(block, curvedQuotes(block)),
  },
  {
    id: "primes",
    title: "Primes",
    note: "feet and inches, minutes and seconds of arc",
    isUsual: always,
    find: (block) => [
      ...replacing(
        block,
        /(?<=\d°\s?\d{1,2}(?:\.\d+)?)(?:'|’)(?=\s?(?:\d|[NSEW]\b|\s|$|[,.;)]))/gu,
        () => "′",
      ),
      ...replacing(
        block,
        /(?<=\d[′'’]\s?\d{1,2}(?:\.\d+)?)(?:"|”|'')(?=\s|$|[,.;)NSEW])/gu,
        () => "″",
      ),
      ...replacing(
        block,
        /(?<=(?<![\p{L}\d'’"”])\d{1,2})(?:'|’)(?=\s?\d{1,2}(?:"|”|″))/gu,
        () => "′",
      ),
    ],
  },
  {
    id: "ranges",
    title: "Dashes of ranges",
    note: "“12-18” becomes “12–18”",
    isUsual: always,
    find: (block) =>
      replacing(
        block,
        /(?<=\b(?:pp?\.|pages?|chapters?|sections?|items?|years?|figs?\.|figures?|tables?|notes?|lines?|between|from|ages?|aged)[ \u00a0])(\d{1,4})-(\d{1,4})(?![\p{L}\p{N}-]|[./]\d)/giu,
        ([, first = "", second = ""]) =>
          // “103-4” leaves out what does not change; “8859-1” goes down, and is a number of something.
          Number(first.slice(0, -second.length) + second) > Number(first) ||
          (second.length > first.length && Number(second) > Number(first))
            ? `${first}–${second}`
            : null,
      ),
  },
  {
    id: "dashes",
    title: "Dashes",
    note: "hyphens that stand for a dash, as the house or the document has it",
    isUsual: ({ dash }) => dash !== null,
    find: (block, { dash, variety }) => {
      const form = dash ?? (variety === "en-US" ? "a—b" : "a – b");
      const put = form.slice(1, -1);
      const edits = replacing(
        block,
        /(?<=[\p{L}\p{N}”’"')\],]) (?:--?|−) (?=[\p{L}“‘"'(])|(?<=[\p{L}”’"')\],])--(?=[\p{L}“‘"'(])/gu,
        (match) => {
          // “"--depth"” is an option, and “find -- '*.txt'” ends them there.
          if (/(?<!\S)["']$/.test(block.text.slice(0, match.index))) return null;
          if (/^["']\*/.test(block.text.slice(match.index + match[0].length))) return null;
          // “3 - 2” is a sum; a line of hyphens is a rule; “word - word” in a list of terms is one of many.
          if (
            /\d $/.test(block.text.slice(0, match.index + 1)) &&
            /^\d/.test(block.text.slice(match.index + match[0].length))
          )
            return null;
          return put;
        },
      );
      return block.kind === "cell" || block.kind === "heading" ? [] : edits;
    },
  },
  {
    id: "minus",
    title: "Minus signs",
    note: "“-5 °C” becomes “−5 °C”",
    isUsual: always,
    find: (block) =>
      replacing(
        block,
        /(?<=^|[\s([])-(?=\d+(?:[.,]\d+)?[ \u00a0]?(?:°[CF]?|%|K\b|dB\b|m[mV]?\b(?!\/)|cm\b|km\b|V\b|hPa\b))/gu,
        (match) => {
          // A list's own hyphen, and an option: "-5".
          return match.index === 0 ? null : "−";
        },
      ),
  },
  {
    id: "multiplication",
    title: "Multiplication signs",
    note: "“3 x 4 m” becomes “3 × 4 m”",
    isUsual: always,
    find: (block) =>
      replacing(
        block,
        /(?<=(?<![\p{L}\p{N}])\d[\d.,]*(?:[ \u00a0]?(?:mm|cm|m|km|in|ft))?[ \u00a0])[xX](?=[ \u00a0]\d)/gu,
        () => "×",
      ),
  },
  {
    id: "ordinals",
    title: "Ordinals",
    note: "“2 nd”, “2ND” become “2nd”",
    isUsual: always,
    find: (block) =>
      replacing(
        block,
        /(?<![\p{L}\p{N}.,])(\d{0,3}(?:1 ?ST|2 ?ND|3 ?RD|\d ?TH)|\d{0,3}(?:1 st|2 nd|3 rd|[4-90] th))(?![\p{L}\p{N}'’-]|\.\p{L})/gu,
        ([written]) => {
          const around = block.text.replace(/[^\p{L}]/gu, "");
          if (around === around.toUpperCase()) return null;
          return written.replace(" ", "").toLowerCase();
        },
      ),
  },
  {
    id: "fractions",
    title: "Fractions",
    note: "“3 1/2” becomes “3½”",
    isUsual: never,
    find: (block) =>
      replacing(
        block,
        /(?<![\p{L}\p{N}/.,-])(\d{1,3})[ \u00a0-](1\/2|1\/3|2\/3|1\/4|3\/4|1\/8|3\/8|5\/8|7\/8)(?![\p{N}/])/gu,
        ([, whole = "", part = ""]) => `${whole}${FRACTIONS[part] ?? part}`,
      ),
  },
  {
    id: "no-break",
    title: "Spaces that must not break",
    note: "before units, within initials, after § and “p.”",
    isUsual: ({ format }) => format === "docx",
    find: wordBreaks,
  },
];

const FRACTIONS: Readonly<Record<string, string>> = {
  "1/2": "½",
  "1/3": "⅓",
  "2/3": "⅔",
  "1/4": "¼",
  "3/4": "¾",
  "1/8": "⅛",
  "3/8": "⅜",
  "5/8": "⅝",
  "7/8": "⅞",
};
