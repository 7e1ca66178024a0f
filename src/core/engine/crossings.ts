/** Levels are kept in drawers this wide. */
const WIDTH = 1 / 8;

/**
 * Who is to be asked again when a level passes a bound, without asking all the others. An item may be
 * under several bounds.
 */
export class Crossings<Item> {
  private readonly drawers = new Map<number, Map<Item, number[]>>();

  add(bound: number, item: Item): void {
    if (!Number.isFinite(bound)) return;
    const drawer = this.drawers.get(drawerOf(bound)) ?? new Map<Item, number[]>();
    this.drawers.set(drawerOf(bound), drawer);
    drawer.set(item, [...(drawer.get(item) ?? []), bound]);
  }

  remove(bound: number, item: Item): void {
    const drawer = this.drawers.get(drawerOf(bound));
    const bounds = drawer?.get(item);
    if (!drawer || !bounds) return;
    const left = bounds.filter((one) => one !== bound);
    if (left.length > 0) drawer.set(item, left);
    else drawer.delete(item);
    if (drawer.size === 0) this.drawers.delete(drawerOf(bound));
  }

  /** The items with a bound beyond the lower level and up to the higher. */
  between(one: number, other: number): Set<Item> {
    const low = Math.min(one, other);
    const high = Math.max(one, other);
    const found = new Set<Item>();
    const visit = (drawer: ReadonlyMap<Item, number[]> | undefined) => {
      for (const [item, bounds] of drawer ?? []) {
        if (bounds.some((bound) => bound > low && bound <= high)) found.add(item);
      }
    };
    if (low === high) return found;
    // A leap over more drawers than there are visits those there are.
    if (drawerOf(high) - drawerOf(low) < this.drawers.size) {
      for (let at = drawerOf(low); at <= drawerOf(high); at++) visit(this.drawers.get(at));
    } else for (const drawer of this.drawers.values()) visit(drawer);
    return found;
  }
}

function drawerOf(bound: number): number {
  return Math.floor(bound / WIDTH);
}
