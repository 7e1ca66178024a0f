/** Errors a thousand words, and in all, from which on a text's doubtful places are worth a look. */
const MANY_ERRORS = 8;
const LEAST_ERRORS = 4;
/** A text so short is looked at closely. */
const SHORT_TEXT = 150;

/**
 * Whether the doubtful places of a text are worth a look: in a short one, and where its writer makes
 * many errors.
 */
export function areDoubtsWorthIt(words: number, errors: number): boolean {
  if (words < SHORT_TEXT) return true;
  return errors >= LEAST_ERRORS && errors * 1000 >= MANY_ERRORS * words;
}
