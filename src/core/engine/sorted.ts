/** Sorted lists of block numbers, changed one at a time. */

/** The place of a number in a sorted list, or that where it belongs. */
function placeIn(list: readonly number[], value: number): number {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((list[middle] ?? 0) < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Adds a number unless it is there; quick at the end. */
export function insertSorted(list: number[], value: number): void {
  const last = list[list.length - 1];
  if (last === value) return;
  if (last === undefined || last < value) {
    list.push(value);
    return;
  }
  const at = placeIn(list, value);
  if (list[at] !== value) list.splice(at, 0, value);
}

/** Takes a number out if it is there. */
export function removeSorted(list: number[], value: number): void {
  const at = placeIn(list, value);
  if (list[at] === value) list.splice(at, 1);
}
