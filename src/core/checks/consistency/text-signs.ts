import { oncePerBlock } from "../../language/per-block.ts";

/** What characters a block has, told once: most checks of marks and numbers look for one of a few. */

export const DIGITS = 1;
export const APOSTROPHE = 2;
export const QUOTES = 4;
/** A dash, two hyphens, or one between spaces. */
export const DASHES = 8;
/** Two full stops, or the sign of an ellipsis. */
export const POINTS = 16;
export const COMMA = 32;
/** Two capitals, or one with a full stop. */
export const CAPITALS = 64;
/** A capital by itself: "Appendix B". */
export const LONE_CAPITAL = 128;

export const textSigns = oncePerBlock(({ text }): number => {
  let signs = 0;
  let before = 0;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    signs |= signOf(code, before, text, at);
    before = code;
  }
  return signs;
});

function signOf(code: number, before: number, text: string, at: number): number {
  if (code >= 97 && code <= 122) return 0;
  if (code >= 48 && code <= 57) return DIGITS;
  if (code >= 65 && code <= 90) {
    if (isCapital(before)) return CAPITALS;
    const after = text.charCodeAt(at + 1);
    if (after === 46) return CAPITALS | LONE_CAPITAL;
    return isLetter(after) || isLetter(before) ? 0 : LONE_CAPITAL;
  }
  switch (code) {
    case 39:
    case 0x2019:
      return APOSTROPHE | QUOTES;
    case 34:
    case 0x2018:
    case 0x201c:
    case 0x201e:
    case 0xab:
    case 0xbb:
      return QUOTES;
    case 44:
      return COMMA;
    case 45:
      return before === 45 || before === 32 ? DASHES : 0;
    case 46:
      return before === 46 || (before === 32 && text.charCodeAt(at - 2) === 46) ? POINTS : 0;
    case 0x2013:
    case 0x2014:
      return DASHES;
    case 0x2026:
      return POINTS;
    default:
      return 0;
  }
}

function isCapital(code: number): boolean {
  return code >= 65 && code <= 90;
}

function isLetter(code: number): boolean {
  return (code >= 97 && code <= 122) || isCapital(code) || code > 191;
}
