/** By what two terms are remembered as different, in whichever order. */
export function pairKey(one: string, other: string): string {
  return one < other ? `${one}|${other}` : `${other}|${one}`;
}
