/**
 * How many marks of one check each block shows, where a page has room for a few only. Invariant, after
 * `recount` of every page whose blocks or places became others: of a page's places in reading order
 * the first `aPage` are shown.
 */
export class PageRoom {
  /** Places there was no room for, in all. */
  withheld = 0;
  /** By block: places shown, and withheld. */
  private readonly blocks = new Map<number, { shown: number; withheld: number }>();

  constructor(private readonly aPage: number) {}

  /** How many of a block's places are shown. */
  shownIn(block: number): number {
    return this.blocks.get(block)?.shown ?? 0;
  }

  /** Gives out a page's room anew to its blocks; returns those that show more or fewer than before. */
  recount(first: number, last: number, placesIn: (block: number) => number): number[] {
    let room = this.aPage;
    const changed: number[] = [];
    for (let block = first; block <= last; block++) {
      const places = placesIn(block);
      const before = this.blocks.get(block);
      if (places === 0 && !before) continue;
      const shown = Math.min(room, places);
      room -= shown;
      if (before?.shown !== shown) changed.push(block);
      this.withheld += places - shown - (before?.withheld ?? 0);
      if (places === 0) this.blocks.delete(block);
      else this.blocks.set(block, { shown, withheld: places - shown });
    }
    return changed;
  }
}
