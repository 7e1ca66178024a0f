/** Spearman's rank correlation of two lists of figures, ties at the middle of their ranks. */
export function spearman(one: readonly number[], other: readonly number[]): number {
  return correlation(ranks(one), ranks(other));
}

function ranks(values: readonly number[]): number[] {
  const order = [...values.keys()].sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0));
  const found: number[] = [];
  for (let from = 0; from < order.length; ) {
    let to = from;
    while (to < order.length && values[order[to] ?? 0] === values[order[from] ?? 0]) to++;
    for (let at = from; at < to; at++) found[order[at] ?? 0] = (from + to - 1) / 2;
    from = to;
  }
  return found;
}

function correlation(one: readonly number[], other: readonly number[]): number {
  const mean = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / values.length;
  const [first, second] = [mean(one), mean(other)];
  let [product, squares, others] = [0, 0, 0];
  for (const [index, value] of one.entries()) {
    const [by, with_] = [value - first, (other[index] ?? 0) - second];
    product += by * with_;
    squares += by ** 2;
    others += with_ ** 2;
  }
  return product / Math.sqrt(squares * others);
}
