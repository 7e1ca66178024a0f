import type { Lexicon } from "../../language/lexicon.ts";
import { type Found, markCheck } from "../mark-check.ts";

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
    reason: "One comma is enough.",
    mend: () => ",",
    accepts: ({ index }, text) => !/\b(?:e\.g|i\.e)$|"[^"]*,"/.test(text.slice(0, index)),
  },
  {
    pattern: /(?<=\p{Ll}{3})\.\.(?=\s+\p{Lu}|\s*$)/gu,
    reason: "One full stop is enough.",
    mend: () => ".",
  },
  {
    pattern: /(?<=\p{L})([?!])\.(?=\s|$)/gu,
    reason: "The mark before it ends the sentence already.",
    mend: (match) => match[1] ?? "",
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’']+)[ \u00a0]+,(?=[\p{L}\p{N}\s])\s*/gu,
    reason: "The space stands after the mark, not before it.",
    mend: () => ", ",
    // A list set like that throughout is somebody's style.
    accepts: (_, text) => (text.match(/\p{L} ,/gu)?.length ?? 0) < STYLE,
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’']+)[ \u00a0]+;(?=[\p{L}\p{N}\s])\s*/gu,
    reason: "The space stands after the mark, not before it.",
    mend: () => "; ",
    doubtful: true,
    accepts: (_, text) => !/[=[\]]/.test(text),
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’']+\p{Ll})([,;])(?=\p{L}{2,}[.,;:]?(?:\s|$))/gu,
    reason: "A space follows the mark.",
    mend: (match) => `${match[1]} `,
    accepts: isBetweenWords,
  },
  {
    pattern: /(?<=(?:^|\s)[\p{L}’',]+\s)\([ \u00a0]+(?=\p{L})/gu,
    reason: "No space stands inside the bracket.",
    mend: () => "(",
    accepts: ({ index }, text) =>
      /^[^()]*[^\s()]\)/.test(text.slice(index + 1)) &&
      !/\p{Ll}\p{Lu}\S*\s$/u.test(text.slice(0, index)),
  },
  {
    pattern: /(?<=\p{L})[ \u00a0]+\)(?!\s*\()/gu,
    reason: "No space stands inside the bracket.",
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
    reason: "No space stands before a full stop.",
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
const ANY_SLIP = /,\s*,|\.\.|[?!]\.|[ \u00a0][,;.)]|[,;]\p{L}|\([ \u00a0]/u;

/** ",," and " ," and "( the". */
export const markSlips = markCheck({
  id: "grammar/mark-slips",
  weight: "fix",
  code: "pt",
  title: "Marks doubled or out of place",
  why: "A mark stands once, close to the word before it and with a space after it; inside brackets there is none.",
  source: "common practice",
  examples: [
    { wrong: "The wire broke,, and it sank.", right: "The wire broke, and it sank." },
    { wrong: "The lamp was lit ,and they sat.", right: "The lamp was lit, and they sat." },
    { wrong: "The plan ( the old one) is here.", right: "The plan (the old one) is here." },
    { wrong: "Where is it?. Nobody knew.", right: "Where is it? Nobody knew." },
    { leave: "It was … late. See a, b; and 1,000 of f(x,y)." },
  ],
  reason: "A mark is doubled or out of place.",
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

const PAIRS: Record<string, string> = { "(": ")", "[": "]", "“": "”" };

/** A bracket or quotation mark without its partner. */
export const unpaired = markCheck({
  id: "grammar/unpaired",
  weight: "settle",
  code: "pr",
  title: "Bracket or quotation mark without its partner",
  why: "What is opened is closed. A quotation that runs over several paragraphs opens each and closes only the last.",
  source: "common practice",
  examples: [
    { leave: "The gauge (see the plan) is “shut”." },
    { leave: "a) read it, b) write it; “He ran on" },
    { leave: "It lies between 3 (inclusive) and 5." },
  ],
  reason: "“{}” has no partner in this paragraph.",
  notIn: ["cell", "heading"],
  find(syntax, _language, block) {
    const found: Found[] = [];
    // What closes it may stand in the next window.
    if (block.part) return found;
    // A bracket may belong to the code beside it.
    if (block.spans.some((span) => span.kind === "code")) return found;
    const open: { unit: number; character: string }[] = [];
    const { units, text } = syntax;
    const straight: number[] = [];
    const add = (unit: number) => {
      const unsure = isNotation(text, units[unit]?.from ?? 0);
      found.push({ from: unit, to: unit + 1, mends: [], unsure });
    };
    if (!/[()[\]"“”]/.test(text)) return found;
    for (let unit = 0; unit < units.length; unit++) {
      const { from, to } = units[unit] ?? { from: 0, to: 0 };
      if (to - from !== 1) continue;
      const character = text[from] ?? "";
      if (character === '"' && !/\d/.test(text[from - 1] ?? "")) straight.push(unit);
      // "[0, 1)": an interval that is open at one end.
      if (character === "[" && /^[\d\s.,-]+\)/.test(text.slice(to, to + 24))) continue;
      if (character === ")" && /\[[\d\s.,-]+$/.test(text.slice(Math.max(0, from - 24), from)))
        continue;
      if (PAIRS[character]) {
        open.push({ unit, character });
        continue;
      }
      if (!/[)\]”]/.test(character)) continue;
      const last = open.at(-1);
      if (last && PAIRS[last.character] === character) {
        open.pop();
        continue;
      }
      // "a)", "1)": a list's mark needs no partner.
      const before = text.slice(Math.max(0, from - 4), from);
      if (character === ")" && /(?:^|[\s(])(?:\p{L}|\d{1,3}|[ivx]{1,4})$/u.test(before)) continue;
      if (character === ")" && /[:;]-?$/.test(before)) continue;
      const opposite = open.findLastIndex((one) => PAIRS[one.character] === character);
      if (opposite >= 0) {
        for (const one of open.splice(opposite))
          if (PAIRS[one.character] !== character) add(one.unit);
      } else if (last && character !== "”" && last.character !== "“") {
        open.pop();
        const mend = PAIRS[last.character] ?? "";
        found.push({
          from: unit,
          to: unit + 1,
          mends: [mend],
          reason: "This bracket closes another kind than was opened.",
        });
      } else add(unit);
    }
    for (const { unit, character } of open) {
      // A quotation may go on in the next paragraph.
      if (
        character === "“" &&
        !/”/.test(text.slice(units[unit]?.from ?? 0)) &&
        unit === open.at(-1)?.unit &&
        !endsInside(block.text)
      )
        add(unit);
      else if (character !== "“") add(unit);
    }
    if (straight.length % 2 === 1 && block.sentences.length === 1) add(straight.at(-1) ?? 0);
    return found;
  },
});

/** A square bracket, or a round one that does not stand at a word: of a formula or a command. */
function isNotation(text: string, at: number): boolean {
  const [before = "", after = ""] = [text[at - 1], text[at + 1]];
  switch (text[at]) {
    case "[":
    case "]":
      return true;
    case "(":
      return !/^[\s“"‘—]?$/.test(before) || !/^[\p{L}\p{N}“"‘'$£€]/u.test(after);
    case ")":
      return !/[\p{L}\p{N}.,?!”"’'%]/u.test(before) || !/^[\s.,;:?!”"’—]?$/.test(after);
    default:
      return false;
  }
}

/** Speech that runs on leaves its paragraph open at a full stop right away. */
function endsInside(text: string): boolean {
  return text.startsWith("“");
}
