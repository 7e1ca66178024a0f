/** The rhythm of sentences: where many in a row are of one length or begin alike. */

/** Sentences in a row from which on a like length tires, and a like opening shows. */
const SAME_LENGTHS = 5;
const SAME_OPENINGS = 3;
/** Words by which lengths may differ and still sound alike, and the share of the first. */
const NEAR_WORDS = 2;
const NEAR_SHARE = 0.15;

export interface RhythmSentence {
  words: number;
  /** Its first word, lower case. */
  opening: string;
}

/** Sentences [first, last] in a row that sound alike. */
export interface Run {
  kind: "length" | "opening";
  first: number;
  last: number;
  /** The opening, or the lengths. */
  of: string;
}

/** Articles open so many sentences that nobody hears it. */
const UNHEARD = new Set(["the", "a", "an"]);

/** The runs of like lengths and like openings, in order. */
export function runsOf(sentences: readonly RhythmSentence[]): Run[] {
  const runs: Run[] = [];
  for (let first = 0; first < sentences.length; ) {
    const length = sentences[first]?.words ?? 0;
    const near = Math.max(NEAR_WORDS, NEAR_SHARE * length);
    let next = first + 1;
    while (Math.abs((sentences[next]?.words ?? Number.POSITIVE_INFINITY) - length) <= near) next++;
    if (next - first >= SAME_LENGTHS) {
      const lengths = sentences.slice(first, next).map(({ words }) => words);
      const of = `${Math.min(...lengths)} to ${Math.max(...lengths)} words`;
      runs.push({ kind: "length", first, last: next - 1, of });
      first = next;
    } else first++;
  }
  for (let first = 0; first < sentences.length; ) {
    const opening = sentences[first]?.opening ?? "";
    let next = first + 1;
    while (sentences[next]?.opening === opening) next++;
    if (next - first >= SAME_OPENINGS && opening !== "" && !UNHEARD.has(opening)) {
      runs.push({ kind: "opening", first, last: next - 1, of: opening });
    }
    first = next;
  }
  return runs.sort((one, other) => one.first - other.first);
}
