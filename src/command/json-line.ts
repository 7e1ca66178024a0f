/** What a line of JSON Lines says; undefined where it is no JSON. */
export function parseJson(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    return undefined;
  }
}
