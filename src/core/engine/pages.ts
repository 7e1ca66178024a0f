import { WORDS_A_PAGE } from "../readings/counts.ts";
import type { Finder } from "./finder.ts";

/** Which page each block begins on, by the words before it. */
export class Pages {
  private pageOf: Int32Array;

  constructor(blocks: number) {
    this.pageOf = new Int32Array(blocks).fill(-1);
  }

  of(block: number): number {
    return this.pageOf[block] ?? 0;
  }

  /** Takes in how many words each block has now; returns the pages that blocks have come to or left. */
  update(wordsIn: (block: number) => number): Set<number> {
    const changed = new Set<number>();
    let words = 0;
    for (let block = 0; block < this.pageOf.length; block++) {
      const page = Math.floor(words / WORDS_A_PAGE);
      const before = this.pageOf[block];
      if (before !== page) {
        if (before !== undefined && before >= 0) changed.add(before);
        changed.add(page);
        this.pageOf[block] = page;
      }
      words += wordsIn(block);
    }
    return changed;
  }

  /** The first and last block that begin on a page; the last before the first where none does. */
  blocksOn(page: number): { first: number; last: number } {
    const first = this.firstFrom(page);
    return { first, last: this.firstFrom(page + 1) - 1 };
  }

  /** The first block that begins on a page or later. */
  private firstFrom(page: number): number {
    let low = 0;
    let high = this.pageOf.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.pageOf[middle] ?? 0) < page) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}

/** The blocks that show more or fewer marks of a check, since their page has other places now. */
export function roomsChanged(
  finder: Finder,
  changed: ReadonlySet<number>,
  turned: ReadonlySet<number>,
  pages: Pages,
): number[] {
  const { room } = finder;
  if (!room) return [];
  const affected = new Set(turned);
  for (const block of changed) affected.add(pages.of(block));
  return [...affected].flatMap((page) => {
    const { first, last } = pages.blocksOn(page);
    return room.recount(first, last, (block) => finder.placesIn(block));
  });
}
