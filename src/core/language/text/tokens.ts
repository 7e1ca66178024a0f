/**
 * Tokens of a block. Word boundaries follow Unicode Standard Annex 29 (word boundary rules WB5-WB7
 * and WB4 for combining marks) with three differences a proofreader needs: a typographic or plain
 * apostrophe before a final letter stays inside ("tides'" does not), hyphenated compounds are one
 * token with parts, and addresses and identifiers are one token each and not words.
 */
export type TokenKind = "word" | "number" | "address" | "identifier" | "punctuation" | "object";

export interface Token {
  kind: TokenKind;
  /** Offsets in the text given to `tokenise`. */
  from: number;
  to: number;
}

const WORD = String.raw`\p{L}[\p{L}\p{M}\u00ad\u200d]*(?:['’][\p{L}\p{M}\u00ad]+)*`;
const ADDRESS = String.raw`(?:[a-z][a-z0-9+.-]*:\/\/|www\.)[^\s<>"”]+|[\w.+-]+@[\w-]+(?:\.[\w-]+)+|(?:~|\.{0,2})\/[\w.-]+(?:\/[\w.-]*)*|[a-z]:\\[^\s<>"]+|(?:[a-z0-9-]+\.)+(?:com|org|net|edu|gov|info|io|uk|example|invalid|test|html?|pdf|docx?|txt|csv|xlsx?|md|js|ts|py|json|xml)\b(?:\/[^\s<>"”]*)?`;
const IDENTIFIER = String.raw`(?=[\p{L}\p{N}_]*(?:\p{L}[\p{L}\p{N}_-]*[\p{N}_]|\p{N}[\p{N}_.-]*\p{L}))[\p{L}\p{N}_]+(?:[-.\/][\p{L}\p{N}_]+)*|\p{L}+(?:-\p{L}+)*-\p{N}+(?:[.-]\p{N}+)*`;
const NUMBER = String.raw`\p{N}+(?:[.,:\u00a0\u202f]\p{N}+)*(?:st|nd|rd|th)?(?![\p{L}])`;

const TOKEN = new RegExp(
  `(?<address>${ADDRESS})|(?<number>${NUMBER})|(?<identifier>${IDENTIFIER})|(?<word>${WORD}(?:[-\\u2010\\u2011]${WORD})*)|(?<object>\\ufffc)|(?<punctuation>\\.{3}|[^\\s\\p{L}])`,
  "giu",
);

/** Splits a text into tokens, in order. Offsets are UTF-16 units. */
export function tokenise(text: string): Token[] {
  const tokens: Token[] = [];
  let from = 0;
  while (from < text.length) {
    if (isSeparator(text.charCodeAt(from))) {
      from++;
      continue;
    }
    let to = from + 1;
    const end = Math.min(text.length, from + MAX_STRETCH);
    while (to < end && !isSeparator(text.charCodeAt(to))) to++;
    if (!scanPlain(text, from, to, tokens)) scanMixed(text, from, to, tokens);
    from = to;
  }
  return tokens;
}

/** No word or address is longer; a longer stretch is cut, so that hostile text costs no more. */
const MAX_STRETCH = 256;

function isSeparator(code: number): boolean {
  return code <= 32 || code === 0x2028;
}

function isLetter(code: number): boolean {
  return (code >= 97 && code <= 122) || (code >= 65 && code <= 90);
}

/** Punctuation that, in a stretch of plain letters, cannot be part of an address or identifier. */
const PLAIN_PUNCTUATION = new Set([..."\"'(),;!?[]{}‘’“”–—…"].map((one) => one.charCodeAt(0)));
const JOINING = new Set([..."'’-\u2010\u2011"].map((one) => one.charCodeAt(0)));
const FULL_STOP = 46;
const COLON = 58;

/**
 * Most stretches between spaces are a word of plain letters with punctuation around it; these are
 * cut without a pattern. Returns false, with nothing added, for any other stretch.
 */
function scanPlain(text: string, from: number, to: number, tokens: Token[]): boolean {
  let start = from;
  while (start < to && PLAIN_PUNCTUATION.has(text.charCodeAt(start))) start++;
  let end = start;
  while (end < to && isLetter(text.charCodeAt(end))) {
    end++;
    // An apostrophe or a hyphen between letters belongs to the word.
    if (JOINING.has(text.charCodeAt(end)) && end + 1 < to && isLetter(text.charCodeAt(end + 1))) {
      end++;
    }
  }
  if (end === start) return false;
  let after = end;
  while (after < to) {
    const code = text.charCodeAt(after);
    const ends = code === FULL_STOP || code === COLON || PLAIN_PUNCTUATION.has(code);
    const next = text.charCodeAt(after + 1);
    const joins = after === end && (code === 39 || code === 0x2019) && after + 1 < to;
    if (!ends || joins || (code === FULL_STOP && after + 1 < to && next === FULL_STOP))
      return false;
    if ((code === FULL_STOP || code === COLON) && after + 1 < to && !PLAIN_PUNCTUATION.has(next)) {
      return false;
    }
    after++;
  }
  for (let at = from; at < start; at++) tokens.push({ kind: "punctuation", from: at, to: at + 1 });
  tokens.push({ kind: "word", from: start, to: end });
  for (let at = end; at < to; at++) tokens.push({ kind: "punctuation", from: at, to: at + 1 });
  return true;
}

function scanMixed(text: string, from: number, to: number, tokens: Token[]): void {
  const stretch = text.slice(from, to);
  for (const match of stretch.matchAll(TOKEN)) {
    const groups = match.groups ?? {};
    const kind = KINDS.find((one) => groups[one] !== undefined) ?? "punctuation";
    const length = kind === "address" ? withoutTrailing(match[0]) : match[0].length;
    const at = from + match.index;
    tokens.push({ kind, from: at, to: at + length });
    for (let rest = at + length; rest < at + match[0].length; rest++) {
      tokens.push({ kind: "punctuation", from: rest, to: rest + 1 });
    }
  }
}

const KINDS: TokenKind[] = ["word", "punctuation", "number", "identifier", "address", "object"];

/** An address at the end of a sentence does not own the full stop. */
function withoutTrailing(address: string): number {
  return address.replace(/[.,;:!?)\]'’]+$/, "").length;
}

export interface WordPart {
  from: number;
  to: number;
}

/** The parts of a hyphenated word, or the word itself. */
export function wordParts(text: string, token: Token): WordPart[] {
  const parts: WordPart[] = [];
  let from = token.from;
  for (let at = token.from; at <= token.to; at++) {
    const character = text[at];
    const joins = character === "-" || character === "\u2010" || character === "\u2011";
    if (at < token.to && !joins) continue;
    if (at > from) parts.push({ from, to: at });
    from = at + 1;
  }
  return parts;
}
