import { ABBREVIATIONS, BEFORE_NAME } from "./abbreviations.ts";
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
    const { from } = token;
    let { to } = token;
    if (token.kind === "word") {
      const merged = withFullStops(text, tokens, index);
      if (merged > index) {
        index = merged;
        to = tokens[merged]?.to ?? to;
      } else {
        const cut = cliticLength(text, from, to);
        if (cut > 0) {
          units.push({ from, to: to - cut }, { from: to - cut, to });
          continue;
        }
      }
    }
    units.push({ from, to });
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
    last = at + 1;
    if (!single || tokens[at + 2]?.from !== stop.to) return last;
    at += 2;
  }
}

function isAbbreviation(word: string): boolean {
  const lower = word.toLowerCase();
  return ABBREVIATIONS.has(lower) || (BEFORE_NAME.has(lower) && lower !== "no");
}

/** Length of the clitic that ends a word: 's 'd 'm 're 've 'll n't, and the "not" of "cannot". */
function cliticLength(text: string, from: number, to: number): number {
  const length = to - from;
  if (length < 3) return 0;
  for (const size of [2, 3]) {
    const code = text.charCodeAt(to - size);
    if (size >= length || (code !== APOSTROPHE && code !== TYPOGRAPHIC_APOSTROPHE)) continue;
    const ending = text.slice(to - size + 1, to).toLowerCase();
    if (size === 3) return ending === "ll" || ending === "re" || ending === "ve" ? 3 : 0;
    if (ending === "t") return text[to - 3]?.toLowerCase() === "n" && length > 3 ? 3 : 0;
    return ending === "s" || ending === "d" || ending === "m" ? 2 : 0;
  }
  return length === 6 && text.slice(from, to).toLowerCase() === "cannot" ? 3 : 0;
}
