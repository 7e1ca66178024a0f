import { gradeSpread, measuresOf } from "./measures.ts";
import type { Bounds } from "./readers.ts";
import type { Readings, ReadSentence, SectionReadings } from "./readings.ts";

/** Which sections a reader can follow with ease, and what would bring the others within reach. */

/** A section beside a reader's bounds. */
export interface Reach {
  section: number;
  /** Words a sentence. */
  mean: number;
  /** The median of the grades; null where the section is too short for any. */
  grade: number | null;
  /** Its sentences are too long on average, or its grade too high. */
  isLong: boolean;
  isHard: boolean;
  /**
   * The sentences that, each made two, bring it within the bounds soonest, hardest first; null where no
   * number of full stops does, since its words are what is hard.
   */
  soonest: ReadSentence[] | null;
}

/** Too short to judge: a section of so few sentences is as hard as its one long sentence. */
const LEAST_SENTENCES = 3;

/** The sections of some readings beside a reader's bounds. */
export function reachOf({ sections, sentences }: Readings, bounds: Bounds): Reach[] {
  const bySection = new Map<number, ReadSentence[]>();
  for (const sentence of sentences) {
    const own = bySection.get(sentence.section);
    if (own) own.push(sentence);
    else bySection.set(sentence.section, [sentence]);
  }
  return sections.map((section) =>
    sectionReach(section, bySection.get(section.section) ?? [], bounds),
  );
}

function sectionReach(
  { section, counts, grade }: SectionReadings,
  sentences: readonly ReadSentence[],
  bounds: Bounds,
): Reach {
  const mean = counts.words / Math.max(1, counts.sentences);
  const median = grade?.median ?? null;
  const judged = counts.sentences >= LEAST_SENTENCES;
  const isLong = judged && mean > bounds.longest;
  const isHard = judged && median !== null && median > bounds.grade;
  const reach = { section, mean, grade: median, isLong, isHard };
  if (!isLong && !isHard) return { ...reach, soonest: [] };
  const parted = sentences
    .filter(({ words }) => words >= 2 * bounds.shortest)
    .sort((one, other) => other.cost - one.cost || other.words - one.words);
  for (let count = 1; count <= parted.length; count++) {
    const split = { ...counts, sentences: counts.sentences + count };
    const after = gradeSpread(measuresOf(split))?.median ?? 0;
    if (counts.words / split.sentences <= bounds.longest && after <= bounds.grade) {
      return { ...reach, soonest: parted.slice(0, count) };
    }
  }
  return { ...reach, soonest: null };
}
