import type { Conclusion } from "../checks/check.ts";
import { insertSorted, removeSorted } from "./sorted.ts";

/**
 * Which block holds the first place of each group that one mark stands for. Invariant: a group is
 * listed with exactly the blocks that were last put in with places of it.
 */
export class Gathering {
  private readonly blocks = new Map<string, number[]>();

  /** Takes in what a block's conclusions became; returns the blocks where a group began or begins. */
  replace(index: number, before: readonly Conclusion[], now: readonly Conclusion[]): Set<number> {
    const moved = new Set<number>();
    const left = gathered(before);
    const kept = gathered(now);
    for (const group of left) if (!kept.has(group)) this.change(group, index, removeSorted, moved);
    for (const group of kept) if (!left.has(group)) this.change(group, index, insertSorted, moved);
    return moved;
  }

  /** For each conclusion of a block, whether a place before it stands for it. */
  follows(index: number, conclusions: readonly Conclusion[]): boolean[] {
    const first = new Map<string, Conclusion>();
    for (const one of conclusions) {
      if (!isGathered(one)) continue;
      if (this.blocks.get(one.group)?.[0] !== index) continue;
      const known = first.get(one.group);
      if (!known || one.from < known.from) first.set(one.group, one);
    }
    return conclusions.map((one) => isGathered(one) && first.get(one.group) !== one);
  }

  private change(
    group: string,
    index: number,
    how: (list: number[], value: number) => number[],
    moved: Set<number>,
  ): void {
    const known = this.blocks.get(group) ?? [];
    const before = known[0];
    const list = how(known, index);
    if (list.length === 0) this.blocks.delete(group);
    else this.blocks.set(group, list);
    if (before === list[0]) return;
    for (const one of [before, list[0]]) if (one !== undefined) moved.add(one);
  }
}

function gathered(conclusions: readonly Conclusion[]): Set<string> {
  const groups = new Set<string>();
  for (const one of conclusions) if (isGathered(one)) groups.add(one.group);
  return groups;
}

function isGathered(one: Conclusion): one is Conclusion & { group: string } {
  return one.gathers === true && typeof one.group === "string";
}
