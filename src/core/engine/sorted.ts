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

/** Lists up to this long are made anew: one that grows in place keeps room for many more. */
const SHORT = 16;

/** The list with a number added unless it is there; quick at the end. A long list is itself changed. */
export function insertSorted(list: number[], value: number): number[] {
  const last = list[list.length - 1];
  if (last === value) return list;
  const at = last === undefined || last < value ? list.length : placeIn(list, value);
  if (list[at] === value) return list;
  if (list.length < SHORT) return list.toSpliced(at, 0, value);
  list.splice(at, 0, value);
  return list;
}

/** The list with a number taken out if it is there; it is itself changed. */
export function removeSorted(list: number[], value: number): number[] {
  const at = placeIn(list, value);
  if (list[at] === value) list.splice(at, 1);
  return list;
}
