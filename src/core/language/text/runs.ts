import type { Range } from "../../manuscript/model.ts";

const LETTER_OR_DIGIT = /[\p{L}\p{N}]/u;

/**
 * The words of a text as they are counted: runs without spaces that hold a letter or a digit. A
 * hyphenated compound is one, a dash or a list mark by itself none. Common practice in publishing.
 */
export function wordRuns(text: string, from = 0, to = text.length): Range[] {
  const runs: Range[] = [];
  eachRun(text, from, to, (start, end) => runs.push({ from: start, to: end }));
  return runs;
}

/** How many words a text has, or a range of it. */
export function countWords(text: string, from = 0, to = text.length): number {
  let count = 0;
  eachRun(text, from, to, () => count++);
  return count;
}

/** Tells of every word of a range where it stands, in order. */
export function eachRun(
  text: string,
  from: number,
  to: number,
  tell: (from: number, to: number) => void,
): void {
  let at = from;
  while (at < to) {
    while (at < to && isSpace(text.charCodeAt(at))) at++;
    const start = at;
    let counts = false;
    while (at < to) {
      const code = text.charCodeAt(at);
      if (isSpace(code)) break;
      counts ||= isPlain(code);
      at++;
    }
    if (counts || (at > start && LETTER_OR_DIGIT.test(text.slice(start, at)))) tell(start, at);
  }
}

/** White space of Unicode, as `\s` has it. */
function isSpace(code: number): boolean {
  if (code <= 32) return true;
  if (code < 0xa0) return code === 0x85;
  if (code === 0xa0 || code === 0x1680 || code === 0x3000 || code === 0xfeff) return true;
  return (
    code >= 0x2000 &&
    (code <= 0x200a || code === 0x2028 || code === 0x2029 || code === 0x202f || code === 0x205f)
  );
}

function isPlain(code: number): boolean {
  return (code >= 97 && code <= 122) || (code >= 65 && code <= 90) || (code >= 48 && code <= 57);
}
