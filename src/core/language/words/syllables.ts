import { syllable } from "syllable";

/** Counts syllables: first by the list of words that the rule gets wrong, then by the rule. */
export class Syllables {
  private readonly exceptions = new Map<string, number>();

  /** Takes lines "word count". */
  constructor(text: string) {
    for (const line of text.split("\n")) {
      const space = line.indexOf(" ");
      if (space > 0) this.exceptions.set(line.slice(0, space), Number(line.slice(space + 1)));
    }
  }

  /** Syllables of one word, possessive or not; at least 1 for a word with letters. */
  count(word: string): number {
    const lower = word.toLowerCase().replaceAll("’", "'");
    const known = this.exceptions.get(lower);
    if (known !== undefined) return known;
    const base = lower.replace(/'s?$/, "");
    const own = this.exceptions.get(base);
    // "tide's" ends as "tides" does; "gauge's" has one more.
    if (own !== undefined)
      return own + (base !== lower && /(?:[sxz]|ch|sh|ge|ce|se|ze)$/.test(base) ? 1 : 0);
    return Math.max(/\p{L}/u.test(lower) ? 1 : 0, syllable(lower.replaceAll("'", "")));
  }
}
