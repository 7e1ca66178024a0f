import type { Lexicon } from "../../../language/words/lexicon.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { markSlips as card } from "./cards.ts";

interface Slip {
  pattern: RegExp;
  reason: string;
  mend: (match: RegExpExecArray) => string;
  /** Where lists, listings and formal notations have it on purpose, it is asked, not told. */
  doubtful?: boolean;
  /** What stands around must be running text. */
  accepts?: (match: RegExpExecArray, text: string, lexicon: Lexicon) => boolean;
}

/** Marks and spaces that typing leaves behind; offsets in the text, not units. */
const SLIPS: readonly Slip[] = [
  {
    pattern: /(?<=[\p{L}\p{N})]),(?:\s*,)+(?=\s|$)/gu,
    reason: "One comma is enough: “{1}”.",
    mend: () => ",",
    accepts: ({ index }, text) => !/\b(?:e\.g|i\.e)$|"[^"]*,"/.test(text.slice(0, index)),
  },
  {
    pattern: /(?<=\p{Ll}{3})\.\.(?=\s+\p{Lu}|\s*$)/gu,
    reason: "One full stop is enough: “{1}”.",
    mend: () => ".",
  },
  {
    pattern: /(?<=[\p{L}\p{N})])[,;:][ \u00a0]?\.(?=\s+\p{Lu}|\s*$)/gu,
    reason: "The full stop alone ends it: “{1}”.",
    mend: () => ".",
  },
  {
    pattern: /(?<=\p{L})([?!])\.(?=\s|$)/gu,
    reason: "The sentence has ended already: “{1}”.",
    mend: (match) => match[1] ?? "",
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’']+)[ \u00a0]+,(?=[\p{L}\p{N}\s])\s*/gu,
    reason: "The space goes after the mark: “{1}”.",
    mend: () => ", ",
    // A list set like that throughout is somebody's style.
    accepts: (_, text) => (text.match(/\p{L} ,/gu)?.length ?? 0) < STYLE,
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’']+)[ \u00a0]+;(?=[\p{L}\p{N}\s])\s*/gu,
    reason: "The space goes after the mark: “{1}”.",
    mend: () => "; ",
    doubtful: true,
    accepts: (_, text) => !/[=[\]]/.test(text),
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’']+\p{Ll})([,;])(?=\p{L}{2,}[.,;:]?(?:\s|$))/gu,
    reason: "A space is missing after the mark: “{1}”.",
    mend: (match) => `${match[1]} `,
    accepts: isBetweenWords,
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’',]+\s)\([ \u00a0]+(?=\p{L})/gu,
    reason: "Needless space inside the bracket: “{1}”.",
    mend: () => "(",
    accepts: ({ index }, text) =>
      /^[^()]*[^\s()]\)/.test(text.slice(index + 1)) &&
      !/\p{Ll}\p{Lu}\S*\s$/u.test(text.slice(0, index)),
  },
  {
    pattern: /(?<=\p{L})[ \u00a0]+\)(?!\s*\()/gu,
    reason: "Needless space inside the bracket: “{1}”.",
    mend: () => ")",
    accepts: ({ index }, text) => {
      const open = text.lastIndexOf("(", index);
      if (open < 0 || /[()]/.test(text.slice(open + 1, index)) || /\s/.test(text[open + 1] ?? "")) {
        return false;
      }
      return /(?:^|\s)[\p{L}’',]+\s$/u.test(text.slice(Math.max(0, open - MAX_WORD), open));
    },
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’']+\p{Ll})[ ]+\.(?=\s+\p{Lu}|\s*$)/gu,
    reason: "Needless space before the full stop: “{1}”.",
    mend: () => ".",
    doubtful: true,
  },
];

/** Characters before a bracket in which the word before it lies. */
const MAX_WORD = 64;

/** Spaced commas in one paragraph from which on they are no slip. */
const STYLE = 3;

/** "the lamp,the wire", not "remount,rw", "lib,src: …" or "a,b,c": common words in running text. */
function isBetweenWords({ index }: RegExpExecArray, text: string, lexicon: Lexicon): boolean {
  const before = /(?:^|\s)(?:\p{L}+\s+)(\p{Ll}+)$/u.exec(text.slice(0, index));
  const after = /^(\p{Ll}+)(\s+\p{L}|[.?!])/u.exec(text.slice(index + 1));
  const common = (word = "") =>
    lexicon.varieties(word) !== 0 && lexicon.frequency(word) >= COMMON_WORD;
  return common(before?.[1]) && common(after?.[1]);
}
/** log2 of a word's count in 50 million. */
const COMMON_WORD = 9;

/** What every slip has in it: told at once. */
const ANY_SLIP = /,\s*,|\.\.|[?!,;:]\.|[ \u00a0][,;.)]|[,;]\p{L}|\([ \u00a0]/u;

/** ",," and " ," and "( the". */
export const markSlips = markCheck({
  ...card,
  reason: "“{}”: a mark is doubled or out of place.",
  find(syntax, { lexicon }, block) {
    const found: Found[] = [];
    const { text } = block;
    if (!ANY_SLIP.test(text)) return found;
    for (const { pattern, reason, mend, doubtful, accepts } of SLIPS) {
      for (const match of text.matchAll(pattern)) {
        if (accepts && !accepts(match as RegExpExecArray, text, lexicon)) continue;
        const from = match.index;
        const to = from + match[0].length;
        const first = syntax.units.findIndex((unit) => unit.to > from);
        const last = syntax.units.findIndex((unit) => unit.from >= to);
        if (first < 0) continue;
        const insert = mend(match as RegExpExecArray);
        const start = syntax.units[Math.max(0, first - 1)]?.from ?? from;
        const shown = (last < 0 ? syntax.units.at(-1) : syntax.units[last])?.to ?? to;
        const label = text.slice(start, from) + insert + text.slice(to, shown);
        const end = last < 0 ? syntax.units.length : last;
        found.push({
          from: first,
          to: Math.max(first + 1, end),
          reason,
          mends: [{ label, edits: [{ from, to, insert }] }],
          ...(doubtful ? { weight: "settle" as const } : {}),
        });
      }
    }
    return found;
  },
});
