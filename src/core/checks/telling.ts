/** A count as it is said. */
export function times(count: number): string {
  return count === 1 ? "once" : count === 2 ? "twice" : `${count} times`;
}
