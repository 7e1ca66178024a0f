/** Characters below which a paragraph without a mark at its end is a title or a signature. */
const TITLE_LENGTH = 80;

/** Whether a block is a title, an entry or a signature rather than a sentence, by its length and its end. */
export function isTitleLike(text: string): boolean {
  return text.length < TITLE_LENGTH && /[\p{L}\p{N})]\s*$/u.test(text);
}
