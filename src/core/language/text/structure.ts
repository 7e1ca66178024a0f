import type { BlockKind, Range, Span } from "../../manuscript/model.ts";
import { wordList } from "../words/word-lists.ts";

/**
 * What a block is beside its words: code, columns and mail have no sentences, another language has
 * none of ours. Told once a block, for every check to ask.
 */

/** What a whole block is, where it is not running text. */
export type Shape = "text" | "code" | "columns" | "header" | "quoted" | "foreign";

export interface Structure {
  shape: Shape;
  /** Stretches of code in running text, in order. */
  code: readonly Range[];
}

const TEXT: Structure = { shape: "text", code: [] };

/** Lines that a mail begins with (RFC 5322, section 3.6; RFC 2045), and those that mailers add. */
const HEADER =
  /^(?:from|to|cc|bcc|subject|date|sent|sender|reply-to|message-id|in-reply-to|references|received|return-path|delivered-to|mime-version|content-[a-z-]+|list-[a-z-]+|errors-to|precedence|user-agent|x-[a-z-]+): /i;
/** A line quoted from another mail: RFC 3676, section 4.5. */
const QUOTED_LINE = /^(?:[A-Z]{0,3}>|\|) ?/;
/** Words set in columns, or a table drawn with signs. */
const COLUMNS = /\S(?: {3,}|\t+)\S.*\S(?: {3,}|\t+)\S|\S {6,}\S/;
const DRAWN = /^[|+](?:[-=+]{3,}|[^|]*\|[^|]*\|)/;
/** A command after a prompt. */
const PROMPT = /^(?:[$%#>]|>>>|\w+@[\w-]+[:~$#]+|[A-Z]:\\\S*>) +\S/;

const CODE_SIGNS = signs("{}<>=\\|_`#$*[]~^&+@;");
/** Of all characters; running text with a formula or a path in it stays below. */
const CODE_SHARE = 0.08;
const FEWEST_SIGNS = 3;

/** By the character's code, 1 for each sign. */
export function signs(text: string): Uint8Array {
  const table = new Uint8Array(128);
  for (const sign of text) table[sign.charCodeAt(0)] = 1;
  return table;
}

/** Whether at least so many of a text's characters are signs, and more than a share of them all. */
export function hasManySigns(
  text: string,
  table: Uint8Array,
  least: number,
  share: number,
): boolean {
  let count = 0;
  for (let at = 0; at < text.length; at++) count += table[text.charCodeAt(at)] ?? 0;
  return count >= least && count > share * text.length;
}

/** What stands in running text and is none: each is one stretch. */
const INLINE_CODE = new RegExp(
  [
    "``[^`]{1,200}``|`[^`\\n]{1,200}`", // between grave accents
    "(?<![\\p{L}\\p{N}-])--?[a-z][\\w-]{0,60}(?:=\\S{1,80})?", // options of a command
    // Variables, handles, packages with a scope; "$5m" is a sum.
    "(?!\\$\\d[\\d.,]*(?:[mkbMKB]|bn|tn)?(?!\\w))[$%@][\\w{](?:[\\w{}./-]{0,60}[\\w}])?%?",
    "</?[a-z!][^<>]{0,200}>|&#?\\w{1,12};", // markup and entities
    "\\b[A-Z]<[^<>]{0,200}>{1,3}", // codes of plain old documentation
    `${"(?<![\\w.:])[\\p{L}_][\\w.:]{0,60}\\((?!e?s\\))"}[\\w,.&*'"-]{0,60}\\)`, // calls
    "(?<!\\w)\\w{0,60}_\\w{1,60}(?:[-./:]\\w{1,60}){0,6}", // snake_case
    "(?<![\\w-])[\\w-]{0,60}(?:::|->|=>|\\+\\+)[\\w:>-]{0,60}", // members
    "(?<![\\p{L}\\p{N}/])[.~*]{0,2}/[\\w*.~+-]{1,60}(?:/[\\w*.~+-]{0,60}){0,12}", // paths from a root
    "(?<![\\w./-])[\\w.~+-]{1,60}(?:/[\\w.~+*-]{1,60}){2,12}/?", // longer paths
    "(?<![\\w.])[\\p{Ll}\\p{N}]{1,40}(?:\\.[\\p{Ll}\\p{N}_]{1,40}){2,8}", // dotted names
    "(?<![\\w.])\\*?\\.[a-z]\\w{1,9}\\b(?![.])", // endings of files
    `(?<![\\w.-])[\\w.-]{1,60}\\.(?:${[
      "conf|cfg|ini|log|yml|yaml|toml|lock|bak|tar|gz|bz2|xz|zip|so|dll|exe|sh|bat|css|scss|cpp|hpp",
      "java|rs|go|rb|pl|pm|php|sql|tmp|pid|service|deb|rpm|map|mjs|cjs|jsx|tsx",
    ].join("|")})\\b`,
    "\\b\\p{Ll}{3,30}\\p{Lu}\\p{Ll}[\\p{L}\\p{N}]{1,40}\\b", // camelCase
    "\\b(?=[a-f]{0,40}\\d)(?=\\d{0,40}[a-f])[\\da-f]{7,40}\\b", // names of commits
    "(?<![\\w-])[\\w-]{1,60}=(?:\"[^\"]{0,80}\"|'[^']{0,80}'|[^\\s=]{1,80})", // settings
  ].join("|"),
  "gu",
);

/** Function words of other languages that English has not, and Latin filler. */
const FOREIGN_WORDS = wordList("structure/foreign-words");
const ENGLISH_WORDS = wordList("structure/english-words");
/** Characters that tell a block's language; letters beyond this code are of other scripts. */
const TELLING = 300;
const LATIN_LETTERS = 0x24f;
/** Words a block must have before its language is asked about. */
const FEWEST_WORDS = 4;

/**
 * Tells what a block is, by its text and those of its words that no dictionary has. Offsets are in its
 * text.
 */
export function structureOf(
  kind: BlockKind,
  text: string,
  spans: readonly Span[],
  unknown: readonly string[],
): Structure {
  if (kind === "code") return { shape: "code", code: [] };
  if (HEADER.test(text)) return { shape: "header", code: [] };
  if (kind !== "cell" && isInColumns(text)) return { shape: "columns", code: [] };
  if (kind === "paragraph") {
    if (QUOTED_LINE.test(text)) return { shape: "quoted", code: [] };
    if (PROMPT.test(text)) return { shape: "code", code: [] };
  }
  if (isListing(text)) return { shape: "code", code: [] };
  if (isForeignText(text) || isForeignLine(text, unknown)) return { shape: "foreign", code: [] };
  const code = stretches(text, spans);
  return code.length === 0 ? TEXT : { shape: "text", code };
}

function isInColumns(text: string): boolean {
  return DRAWN.test(text) || ((text.includes("   ") || text.includes("\t")) && COLUMNS.test(text));
}

function isListing(text: string): boolean {
  return /^[[{].*"\s*:/.test(text) || hasManySigns(text, CODE_SIGNS, FEWEST_SIGNS, CODE_SHARE);
}

/** Signs without which no pattern of code matches. */
const MAY_BE_CODE =
  /[`$@<>&_=+]|%\w|\/\w|\w\(|\.[a-z]|(?:^|\s)--?[a-z]|\p{Ll}\p{Lu}|\d[a-f]|[a-f]\d|::/u;

function stretches(text: string, spans: readonly Span[]): Range[] {
  const found: Range[] = spans
    .filter(({ kind }) => kind === "code")
    .map(({ from, to }) => ({ from, to }));
  if (MAY_BE_CODE.test(text)) {
    for (const { 0: whole, index } of text.matchAll(INLINE_CODE)) {
      if (/\p{L}/u.test(whole)) found.push({ from: index, to: index + whole.length });
    }
  }
  return found.sort((a, b) => a.from - b.from);
}

/**
 * Whether a block is in another language: letters of another script, or more of other languages'
 * function words than of English ones.
 */
function isForeignText(text: string): boolean {
  if (text.length < 12) return false;
  let others = 0;
  let own = 0;
  let words = 0;
  const opening = text.slice(0, TELLING).toLowerCase();
  let at = 0;
  while (at < opening.length) {
    while (at < opening.length && !isSmallLetter(opening, at)) at++;
    const from = at;
    while (at < opening.length && isSmallLetter(opening, at)) at++;
    if (at === from) break;
    words++;
    const word = opening.slice(from, at);
    if (ENGLISH_WORDS.has(word)) own++;
    else if (FOREIGN_WORDS.has(word) || word.charCodeAt(0) > LATIN_LETTERS) others++;
    if (words === SURE_WORDS && others === 0 && own >= SURE_OWN) return false;
  }
  return words >= FEWEST_WORDS && others >= 2 && others > own && others * 6 >= words;
}

/** A heading or a label is a line of so few words, which hold few that tell its language. */
const LONGEST_LINE = 8;
const LEAST_UNKNOWN = 2;
const STRANGE_SHARE = 0.6;

/**
 * Whether a short line is in another language: no English function word, most of its words in no
 * dictionary or another language's, and one at least that only another language can have.
 */
function isForeignLine(text: string, unknown: readonly string[]): boolean {
  if (unknown.length < LEAST_UNKNOWN) return false;
  const words = text.toLowerCase().match(/[\p{L}\p{M}]+/gu) ?? [];
  if (words.length > LONGEST_LINE) return false;
  const strange = new Set(unknown.map((word) => word.toLowerCase()));
  let others = 0;
  let telling = 0;
  for (const word of words) {
    if (ENGLISH_WORDS.has(word)) return false;
    // "Met" and "door" are words of ours as well: what tells is in no English dictionary.
    if (!strange.has(word)) continue;
    others++;
    if (FOREIGN_WORDS.has(word) || /[^a-z]/.test(word)) telling++;
  }
  return telling > 0 && others >= STRANGE_SHARE * words.length;
}

/** So many words without one of another language, some of them English: the rest need no look. */
const SURE_WORDS = 14;
const SURE_OWN = 3;
const LETTER = /\p{L}/u;

function isSmallLetter(text: string, at: number): boolean {
  const code = text.charCodeAt(at);
  if (code < 128) return code >= 97 && code <= 122;
  return LETTER.test(text[at] ?? "");
}

/** Whether a range lies in code, or touches it. */
export function inCode({ code }: Structure, from: number, to: number): boolean {
  return code.some((stretch) => stretch.from < to && stretch.to > from);
}
