/** Pairs of terms that were told apart for good, and how a document remembers them among its forms. */

const TERMS = "terms:";

/** What stands as the form of two terms that are different things. */
export const APART = "apart";

/** By what two terms are remembered as different, in whichever order. */
export function pairKey(one: string, other: string): string {
  return one < other ? `${one}|${other}` : `${other}|${one}`;
}

/** The group of forms under which a pair is kept. */
export function termsGroup(pair: string): string {
  return `${TERMS}${pair}`;
}

/** The pairs that a document keeps apart. */
export function pairsApart(forms: Readonly<Record<string, string>>): string[] {
  return Object.entries(forms).flatMap(([of, form]) =>
    of.startsWith(TERMS) && form === APART ? [of.slice(TERMS.length)] : [],
  );
}
