/** What a line of JSON Lines says; undefined where it is no JSON. */
export function parseJson(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    return undefined;
  }
}

/** Prints a value as a line, and waits where the reader is slower. */
export async function printLine(value: unknown): Promise<void> {
  if (process.stdout.write(`${JSON.stringify(value)}\n`)) return;
  await new Promise((resolve) => process.stdout.once("drain", resolve));
}
