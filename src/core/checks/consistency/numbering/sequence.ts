import type { AnalysedBlock } from "../../../language/analysis.ts";
import type { Block } from "../../../manuscript/model.ts";
import type { Card } from "../../card.ts";
import type { Check, Conclusion, Counting, Fact, Verdict } from "../../check.ts";
import { indexAt, placeOf } from "../text-order.ts";

/** Things that are numbered in the order of the text: what is left out, repeated, or comes too early. */

export interface NumberedFact extends Fact {
  /** What is numbered together with it. */
  series: string;
  number: number;
  /** As it is written: "GH-005", "3.4", "Figure 4". */
  label: string;
}

interface Numbered {
  at: number;
  number: number;
  label: string;
  section: number;
}

/** The numbers of one series, in the order of the text. */
export interface Series {
  numbers: Numbered[];
}

/** Counts numbered things by their series. */
export function bySeries<F extends NumberedFact>(
  seriesOf: (fact: F, block: Block) => string | null = ({ series }) => series,
  numberOf: (fact: F, block: Block) => number = ({ number }) => number,
  labelOf: (fact: F, block: Block) => string = ({ label }) => label,
): Counting<F, Series> {
  return {
    keysOf: seriesOf,
    start: () => ({ numbers: [] }),
    count({ numbers }, fact, _key, by, index, block) {
      const at = placeOf(index, fact);
      const known = indexAt(numbers, at);
      if (by < 0) {
        if (numbers[known]?.at === at) numbers.splice(known, 1);
        return;
      }
      const { section } = block;
      numbers.splice(known, 0, {
        at,
        number: numberOf(fact, block),
        label: labelOf(fact, block),
        section,
      });
    },
  };
}

export type Break = "gap" | "repeat" | "order";

export interface Broken {
  at: number;
  sort: Break;
  label: string;
  /** The label before it, or the one it repeats. */
  other: string;
}

/** Fewer are no series. */
const LEAST = 3;

/** What breaks a series; `begins` says where another one may begin. */
export function breaksIn(
  { numbers }: Series,
  begins: (number: number, isOtherSection: boolean) => boolean = () => false,
): Broken[] {
  if (numbers.length < LEAST) return [];
  const step = usualStep(numbers);
  // What runs downwards, or stands twice from end to end, is a list of versions or a table of contents.
  if (step <= 0) return [];
  const broken: Broken[] = [];
  const met = new Map<number, string>();
  let last: Numbered | null = null;
  for (const [index, one] of numbers.entries()) {
    const { number, at, label } = one;
    const repeated = met.get(number);
    if (repeated !== undefined) broken.push({ at, label, sort: "repeat", other: repeated });
    else if (last && number > last.number + step) {
      const skipped = last.number + step;
      const later = numbers
        .slice(index + 1)
        .find((next) => next.number >= skipped && next.number < number && !met.has(next.number));
      if (later) broken.push({ at, label, sort: "order", other: later.label });
      else if (!begins(number, one.section !== last.section)) {
        broken.push({ at, label, sort: "gap", other: last.label });
      }
    }
    met.set(number, one.label);
    if (!last || number > last.number) last = one;
  }
  return broken.length * 2 >= numbers.length ? [] : broken;
}

/** The commonest step between the numbers in their order; 0 where the text mostly runs downwards. */
function usualStep(numbers: readonly Numbered[]): number {
  const down = numbers.filter(
    ({ number }, index) => number < (numbers[index - 1]?.number ?? number),
  );
  if (down.length * 2 >= numbers.length) return 0;
  const steps = new Map<number, number>();
  const rising = [...new Set(numbers.map(({ number }) => number))].sort((a, b) => a - b);
  for (const [index, number] of rising.entries()) {
    const before = rising[index - 1];
    if (before !== undefined) steps.set(number - before, (steps.get(number - before) ?? 0) + 1);
  }
  const byCount = [...steps].sort(([one, places], [other, more]) => more - places || one - other);
  const [step = 1, places = 0] = byCount[0] ?? [];
  return places > 1 ? step : 1;
}

export interface SequenceParts<F extends NumberedFact> extends Card {
  examine(block: AnalysedBlock): F[];
  counting?: Counting<F, Series>;
  begins?(number: number, isOtherSection: boolean): boolean;
  /** Whether the numbers are one series. */
  isWhole?(series: Series): boolean;
  /** "Requirement", "Heading". */
  thing: string;
}

/** A check of one sort of numbered things. */
export function sequenceCheck<F extends NumberedFact>(parts: SequenceParts<F>): Check<F> {
  const { examine, counting = bySeries<F>(), begins, isWhole, thing, ...card } = parts;
  return {
    ...card,
    examine,
    across: {
      counting: counting as never,
      judge(_key, tally) {
        if (isWhole && !isWhole(tally as Series)) return { verdict: null };
        const broken = breaksIn(tally as Series, begins);
        if (broken.length === 0) return { verdict: null };
        return { verdict: { broken: JSON.stringify(broken) } };
      },
      find: (fact, verdict, _circumstances, index) => findingOf(fact, verdict, index, thing),
    },
    choose: () => [],
  };
}

function findingOf(
  fact: NumberedFact,
  { broken }: Verdict,
  index: number,
  thing: string,
): Conclusion | null {
  const at = placeOf(index, fact);
  const own = (JSON.parse(String(broken)) as Broken[]).find((one) => one.at === at);
  if (!own) return null;
  const { from, to } = fact;
  const { label } = own;
  const reasons: Record<Break, string> = {
    gap: `${thing} “${label}” comes straight after “${own.other}”.`,
    repeat: `${thing} “${label}” is there a second time.`,
    order: `${thing} “${label}” comes before “${own.other}”.`,
  };
  return { from, to, reason: reasons[own.sort], group: null };
}
