/** Milliseconds of each run of a piece of work, sorted. */
export async function time(runs: number, work: () => unknown): Promise<number[]> {
  const times: number[] = [];
  for (let run = 0; run < runs; run++) {
    const started = performance.now();
    await work();
    times.push(performance.now() - started);
  }
  return times.sort((a, b) => a - b);
}

/** The middle one of sorted times. */
export function median(times: readonly number[]): number {
  return times[Math.floor(times.length / 2)] ?? Number.NaN;
}

/** A line of the bench's table. */
export function report(what: string, times: readonly number[], goal?: number): void {
  const [middle, worst, first] = [
    median(times),
    times.at(-1) ?? Number.NaN,
    times[0] ?? Number.NaN,
  ];
  const format = (value: number) => (value < 20 ? value.toFixed(1) : value.toFixed(0)).padStart(7);
  const verdict =
    goal === undefined ? "" : middle <= goal ? `  at most ${goal}: yes` : `  at most ${goal}: NO`;
  console.log(
    `${what.padEnd(58)} ${format(middle)} ms  (best ${format(first)}, worst ${format(worst)})${verdict}`,
  );
}
