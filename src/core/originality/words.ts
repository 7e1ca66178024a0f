/**
 * A text as the words that are compared: case, punctuation, marks on letters, apostrophes and the way a
 * line was broken make no difference, and a compound is the same with a hyphen or a space.
 */
export interface ComparedWords {
  /** 32-bit hashes of the words, in order. */
  hashes: Uint32Array;
  /** Where each word begins and ends in the text, UTF-16 units. */
  from: Uint32Array;
  to: Uint32Array;
}

const FNV_START = 0x811c9dc5;
const FNV_PRIME = 0x01000193;
const SOFT_HYPHEN = 0xad;
const HYPHEN = 45;
const APOSTROPHE = 39;
const RIGHT_QUOTE = 0x2019;

/** Of each ASCII character what counts of it: a small letter or a digit; 0 for what parts words. */
const PLAIN = Uint8Array.from({ length: 128 }, (_, code) => {
  const isLetter = (code >= 97 && code <= 122) || (code >= 65 && code <= 90);
  if (isLetter) return code | 32;
  return code >= 48 && code <= 57 ? code : 0;
});

/** Of characters beyond ASCII what counts of them; empty for what parts words, null for what is passed over. */
const OTHER = new Map<number, string | null>();

function other(code: number): string | null {
  const known = OTHER.get(code);
  if (known !== undefined) return known;
  const plain = String.fromCodePoint(code).normalize("NFKD").toLowerCase();
  const passedOver = code === SOFT_HYPHEN || /^[\p{M}\p{Cf}]+$/u.test(plain);
  const made = passedOver ? null : plain.replace(/[^\p{L}\p{N}]/gu, "");
  OTHER.set(code, made);
  return made;
}

/** The words of a text. */
export function comparedWords(text: string): ComparedWords {
  const most = (text.length + 1) >> 1;
  const hashes = new Uint32Array(most);
  const from = new Uint32Array(most);
  const to = new Uint32Array(most);
  let count = 0;
  let at = 0;
  while (at < text.length) {
    const start = at;
    let hash = FNV_START;
    let end = at;
    while (at < text.length) {
      const code = text.charCodeAt(at);
      if (code < 128) {
        const plain = PLAIN[code] ?? 0;
        if (plain !== 0) {
          hash = Math.imul(hash ^ plain, FNV_PRIME);
          end = ++at;
          continue;
        }
        if (end === start) break;
        const next = joined(text, at, code);
        if (next === at) break;
        at = next;
        continue;
      }
      const point = text.codePointAt(at) ?? code;
      const letters = other(point);
      const width = point > 0xffff ? 2 : 1;
      if (letters === null && end > start) at += width;
      else if (letters) {
        for (let i = 0; i < letters.length; i++)
          hash = Math.imul(hash ^ letters.charCodeAt(i), FNV_PRIME);
        at += width;
        end = at;
      } else if (point === RIGHT_QUOTE && end > start && isLetterAt(text, at + 1)) at++;
      else break;
    }
    if (end > start) {
      hashes[count] = mixed(hash);
      from[count] = start;
      to[count++] = end;
      at = end;
    } else at += (text.codePointAt(at) ?? 0) > 0xffff ? 2 : 1;
  }
  return { hashes: hashes.slice(0, count), from: from.slice(0, count), to: to.slice(0, count) };
}

/** Where a word goes on behind an apostrophe, or a hyphen at the end of a line; `at` where it does not. */
function joined(text: string, at: number, code: number): number {
  if (code === APOSTROPHE) return isLetterAt(text, at + 1) ? at + 1 : at;
  if (code !== HYPHEN) return at;
  let next = at + 1;
  if (text.charCodeAt(next) === 13) next++;
  if (text.charCodeAt(next) !== 10) return at;
  next++;
  while (text.charCodeAt(next) === 32) next++;
  const letter = text.charCodeAt(next);
  return letter >= 97 && letter <= 122 ? next : at;
}

function isLetterAt(text: string, at: number): boolean {
  const code = text.charCodeAt(at);
  if (code < 128) return (PLAIN[code] ?? 0) > 57;
  return code >= 128 && Boolean(other(code));
}

/** Spreads the hash over all its bits. */
function mixed(hash: number): number {
  let mix = hash ^ (hash >>> 16);
  mix = Math.imul(mix, 0x85ebca6b);
  return (mix ^ (mix >>> 13)) >>> 0;
}

/** The hash that one word has among others; 0 where it is none. */
export function wordHash(word: string): number {
  return comparedWords(word).hashes[0] ?? 0;
}
