import { ABBREVIATIONS, BEFORE_NAME } from "../words/abbreviations.ts";
import type { Token } from "./tokens.ts";

/**
 * What carries one part of speech: a word, a clitic cut from it ("do" + "n't", "tide" + "'s"), an
 * abbreviation or initials with their full stops, a number, or a punctuation mark.
 */
export interface Unit {
  from: number;
  to: number;
}

const FULL_STOP = 46;
const APOSTROPHE = 39;
const TYPOGRAPHIC_APOSTROPHE = 0x2019;

/** Cuts tokens into units, in order; offsets as in the tokens. */
export function unitsOf(text: string, tokens: readonly Token[]): Unit[] {
  const units: Unit[] = [];
  for (let index = 0; index < tokens.length; index++) {
    const token = tokens[index];
    if (!token) break;
    if (token.kind !== "word") {
      units.push(token);
      continue;
    }
    const { from, to } = token;
    const merged = withFullStops(text, tokens, index);
    if (merged > index) {
      index = merged;
      units.push({ from, to: tokens[merged]?.to ?? to });
      continue;
    }
    const cut = cliticLength(text, from, to);
    if (cut > 0) units.push({ from, to: to - cut }, { from: to - cut, to });
    // Most tokens are a unit as they are.
    else units.push(token);
  }
  return units;
}

/** The index of the last token of an abbreviation or of initials that begin at `index`. */
function withFullStops(text: string, tokens: readonly Token[], index: number): number {
  let last = index;
  let at = index;
  for (;;) {
    const token = tokens[at];
    const stop = tokens[at + 1];
    if (token?.kind !== "word" || !stop || text.charCodeAt(stop.from) !== FULL_STOP) return last;
    if (stop.from !== token.to) return last;
    const single = token.to - token.from === 1;
    if (!single && (at > index || !isAbbreviation(text.slice(token.from, token.to)))) return last;
    // "They came in." ends a sentence; "5 in." does not.
    const measured = tokens[index - 1]?.kind === "number";
    if (!single && !measured && ALSO_WORDS.has(text.slice(token.from, token.to))) return last;
    last = at + 1;
    if (!single || tokens[at + 2]?.from !== stop.to) return last;
    at += 2;
  }
}

/** Abbreviations that are everyday words as well; with a capital or after a number they are short. */
const ALSO_WORDS = new Set(
  "in sat sun art mar fig app tab no max long rep ref cap sec gal pass".split(" "),
);

function isAbbreviation(word: string): boolean {
  const lower = word.toLowerCase();
  return ABBREVIATIONS.has(lower) || (BEFORE_NAME.has(lower) && lower !== "no");
}

/** Length of the clitic that ends a word: 's 'd 'm 're 've 'll n't, and the "not" of "cannot". */
function cliticLength(text: string, from: number, to: number): number {
  const length = to - from;
  if (length < 3) return 0;
  if (isApostrophe(text.charCodeAt(to - 2))) {
    const ending = text[to - 1]?.toLowerCase() ?? "";
    if (ending === "t") return text[to - 3]?.toLowerCase() === "n" && length > 3 ? 3 : 0;
    return ending === "s" || ending === "d" || ending === "m" ? 2 : 0;
  }
  if (length > 3 && isApostrophe(text.charCodeAt(to - 3))) {
    return /^(?:ll|re|ve)$/i.test(text.slice(to - 2, to)) ? 3 : 0;
  }
  return length === 6 && text.slice(from, to).toLowerCase() === "cannot" ? 3 : 0;
}

function isApostrophe(code: number): boolean {
  return code === APOSTROPHE || code === TYPOGRAPHIC_APOSTROPHE;
}
