import type { Anchor, Decision, Draft } from "../ledger/decision.ts";
import { inForce } from "../ledger/decision.ts";
import { SettledPlaces } from "../ledger/settled.ts";
import { follow, placeOf, track } from "../ledger/tracking.ts";
import type { Range } from "../manuscript/model.ts";
import { Alignment, type BlockFate, type Version } from "./alignment.ts";

/** Decisions on one version of a document, taken onto a revised one. */

/** A correction that was made, and what it put right is in the revised version again. */
export interface CameBack extends Range {
  wrong: string;
  right: string;
}

/** A decision whose place is nowhere in the revised version. */
export interface Unplaced {
  act: Decision["act"];
  text: string;
  note: string;
}

export interface CarriedDecisions {
  /** Decisions for the revised version, none of which changes its text. */
  drafts: Draft[];
  cameBack: CameBack[];
  unplaced: Unplaced[];
  /** Corrections that the revised version has. */
  stillRight: number;
  /** What became of the paragraphs. */
  fates: Readonly<Record<BlockFate["fate"] | "added", number>>;
}

/** Characters before a correction by which its place is known. */
const CONTEXT = 24;

/**
 * Carries what stands in a ledger. `old` is the document as it was corrected, which its decisions led to;
 * places let stand, questions and places left as they were are looked for in the revised version, and
 * corrections are looked at: is what they put there still there?
 */
export function carryDecisions(
  old: Version,
  decisions: readonly Decision[],
  now: Version,
): CarriedDecisions {
  const alignment = new Alignment(old, now);
  const drafts: Draft[] = [];
  const unplaced: Unplaced[] = [];
  const settled = new SettledPlaces();
  for (const decision of decisions) settled.add(decision);
  const everywhere = new Set<number>();
  for (const { decision, anchor, from, to } of settled.places()) {
    const { act, scope, note, seq } = decision;
    const place = alignment.carry({ from, to });
    const isStet = act === "stet" || act === "query";
    if (isStet && scope === "everywhere") {
      // It holds for every place of its kind, wherever its first one went.
      if (everywhere.has(seq)) continue;
      everywhere.add(seq);
      const anchors = [anchorAt(anchor, place ?? { from: 0, to: 0 })];
      drafts.push({ act, scope, marks: anchors, edits: [], ...(note ? { note } : {}) });
    } else if (place) {
      const kept = isStet ? act : "stet";
      const marks = [anchorAt(anchor, place)];
      drafts.push({ act: kept, scope: "here", marks, edits: [], ...(note ? { note } : {}) });
    } else unplaced.push({ act, text: anchor.text, note: note ?? "" });
  }
  const { cameBack, stillRight } = corrections(decisions, alignment, old, now);
  const isFilled = ({ text, blocks }: Version, index: number) => {
    const { from = 0, to = 0 } = blocks[index] ?? {};
    return text.slice(from, to).trim() !== "";
  };
  const added = alignment.added.filter((index) => isFilled(now, index)).length;
  const fates = { same: 0, moved: 0, changed: 0, gone: 0, added };
  for (const [index, { fate }] of alignment.fates.entries())
    if (isFilled(old, index)) fates[fate]++;
  return { drafts, cameBack, unplaced, stillRight, fates };
}

function anchorAt({ rule, text }: Anchor, place: Range): Anchor {
  return { rule, text, ...place };
}

/** What became of the corrections that stand. */
function corrections(
  decisions: readonly Decision[],
  alignment: Alignment,
  old: Version,
  now: Version,
): Pick<CarriedDecisions, "cameBack" | "stillRight"> {
  const standing = inForce(decisions);
  const cameBack: CameBack[] = [];
  let stillRight = 0;
  for (const [index, { seq, act, inverse }] of decisions.entries()) {
    if (act !== "correct" || !standing.has(seq)) continue;
    const later = decisions.slice(index + 1);
    for (const { from, to, insert: wrong } of inverse) {
      const place = placeOf(later.reduce(follow, track({ from, to }, false)));
      if (!place || wrong.trim() === "") continue;
      if (place.to > place.from && alignment.carry(place)) {
        stillRight++;
        continue;
      }
      const before = Math.max(0, place.from - CONTEXT);
      const context = alignment.carry({ from: before, to: place.from });
      if (!context || !now.text.startsWith(wrong, context.to)) continue;
      const right = old.text.slice(place.from, place.to);
      cameBack.push({ from: context.to, to: context.to + wrong.length, wrong, right });
    }
  }
  return { cameBack: cameBack.sort((one, other) => one.from - other.from), stillRight };
}
