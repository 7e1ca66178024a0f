import { diffArrays } from "diff";
import { Alignment, type BlockFate, type Version } from "./alignment.ts";

/** Two versions of a document side by side, paragraph by paragraph. */

/** A stretch of one side: as in the other version, or only here. */
export interface Stretch {
  text: string;
  isOnlyHere: boolean;
}

export interface ComparedRow {
  fate: BlockFate["fate"] | "added";
  /** The paragraph in the old version and in the new one; empty where there is none. */
  old: Stretch[];
  now: Stretch[];
}

const PIECE = /[\p{L}\p{M}\p{N}]+|\s+|[^\p{L}\p{M}\p{N}\s]/gu;

/** The paragraphs in the order of the new version, each gone one after what came before it. */
export function compareVersions(old: Version, now: Version): ComparedRow[] {
  const { fates } = new Alignment(old, now);
  const cameFrom = new Map<number, number>();
  for (const [index, { to }] of fates.entries()) if (to !== null) cameFrom.set(to, index);
  const textOf = ({ text, blocks }: Version, index: number) => {
    const block = blocks[index];
    return block ? text.slice(block.from, block.to) : "";
  };
  const rows: ComparedRow[] = [];
  const told = new Set<number>();
  const tellGone = (until: number) => {
    for (let index = 0; index < until; index++) {
      if (told.has(index) || fates[index]?.fate !== "gone") continue;
      told.add(index);
      const text = textOf(old, index);
      if (text !== "") rows.push({ fate: "gone", old: [{ text, isOnlyHere: true }], now: [] });
    }
  };
  for (const index of now.blocks.keys()) {
    const text = textOf(now, index);
    const from = cameFrom.get(index);
    if (from === undefined) {
      if (text !== "") rows.push({ fate: "added", old: [], now: [{ text, isOnlyHere: true }] });
      continue;
    }
    const fate = fates[from]?.fate ?? "same";
    if (fate !== "moved") tellGone(from);
    if (fate === "changed") rows.push({ fate, ...differing(textOf(old, from), text) });
    else {
      const same = [{ text, isOnlyHere: false }];
      rows.push({ fate, old: same, now: same });
    }
  }
  tellGone(fates.length);
  return rows;
}

/** What two states of a paragraph have in common, word by word, and what each has alone. */
function differing(old: string, now: string): Pick<ComparedRow, "old" | "now"> {
  const pieces = (text: string) => text.match(PIECE) ?? [];
  const sides: { old: Stretch[]; now: Stretch[] } = { old: [], now: [] };
  const put = (side: Stretch[], text: string, isOnlyHere: boolean) => {
    const last = side.at(-1);
    if (last?.isOnlyHere === isOnlyHere) last.text += text;
    else side.push({ text, isOnlyHere });
  };
  for (const { added, removed, value } of diffArrays(pieces(old), pieces(now))) {
    const text = value.join("");
    if (!added) put(sides.old, text, removed);
    if (!removed) put(sides.now, text, added);
  }
  return sides;
}
