import type { Check, Conclusion, Fact } from "../checks/check.ts";
import type { FormCounted, Group, GroupPlace } from "./mark.ts";
import type { PageRoom } from "./page-room.ts";

/** What one check finds, block by block, however it comes to it. */
export interface Finder {
  readonly check: Check;
  /** The check's place in CHECKS. */
  readonly order: number;
  /** Room for its marks on each page, where that is limited. */
  readonly room: PageRoom | null;
  /** Facts looked at since this was made. */
  readonly visited: number;
  /** Takes in that a block has other facts; `settle` draws the conclusions. */
  replace(
    index: number,
    before: readonly Fact[] | undefined,
    now: readonly Fact[] | undefined,
  ): void;
  /**
   * Draws the conclusions from everything put in since. `changed` gets the blocks whose findings may
   * be others, `told` the groups of which something else is told.
   */
  settle(changed: (block: number) => void, told: (id: string, group: Group | null) => void): void;
  /** The blocks in which something is found. */
  blocks(): Iterable<number>;
  /** What is found in a block, in order. */
  in(index: number): readonly Conclusion[];
  /** Which of a block's findings are stood for by the first of their group. */
  followsIn(index: number): boolean[];
  /** How many places of a block ask for room on the page. */
  placesIn(index: number): number;
  /** Every place of a key's forms, beside one form or the one that is preferred. */
  placesOf(key: string, textOf: (block: number) => string, chosen?: string): GroupPlace[];
  /** How often each form stands, key by key. */
  formCounts(): Iterable<FormCounted>;
}
