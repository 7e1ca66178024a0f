const STRAIGHT = /(?<=\p{L})'(?=\p{L})/gu;
const CURVED = /(?<=\p{L})’(?=\p{L})/gu;

/**
 * Whether a text writes its apostrophes straight: by what most of them are, or where it has none by its
 * quotation marks.
 */
export function hasStraightApostrophes(texts: readonly string[]): boolean {
  let straight = 0;
  let curved = 0;
  let quotes = 0;
  for (const text of texts) {
    straight += text.match(STRAIGHT)?.length ?? 0;
    curved += text.match(CURVED)?.length ?? 0;
    quotes += (text.match(/"/g)?.length ?? 0) - (text.match(/[“”]/g)?.length ?? 0);
  }
  return straight !== curved ? straight > curved : straight === 0 && quotes > 0;
}

/** Text to be put in, with the apostrophes of its document. */
export function withStraightApostrophes(text: string): string {
  return text.replace(CURVED, "'").replace(/(?<=\p{L})’(?!\p{L})/gu, "'");
}
