import type { Anchor, Decision } from "./decision.ts";
import { follow, placeOf, type Tracked, track } from "./tracking.ts";

/** A place that a standing decision lets stand or asks about, and where it is now. */
export interface Settled {
  decision: Decision;
  anchor: Anchor;
  from: number;
  to: number;
}

/**
 * The settled places of a document, followed from decision to decision. A mark of the same rule
 * that lies exactly on one of them is settled and no longer open.
 */
export class SettledPlaces {
  private following: { decision: Decision; anchor: Anchor; tracked: Tracked }[] = [];
  private readonly everywhere = new Map<number, Anchor[]>();
  private readonly undone = new Map<number, Decision>();
  private keys = new Set<string>();

  /** Takes in the next decision of the ledger. */
  add(decision: Decision): void {
    if (decision.edits.length > 0) {
      for (const one of this.following) one.tracked = follow(one.tracked, decision);
    }
    if (decision.undoes !== undefined) this.toggle(decision);
    for (const anchor of decision.kept ?? []) {
      const tracked = follow(track(anchor, false), decision);
      this.following.push({ decision, anchor, tracked });
    }
    if (decision.act !== "stet" && decision.act !== "query") return;
    if (decision.scope === "everywhere") this.everywhere.set(decision.seq, decision.marks);
    for (const anchor of decision.marks) {
      this.following.push({ decision, anchor, tracked: track(anchor, false) });
    }
    this.refreshKeys();
  }

  /** Every settled place that is in the text now. */
  places(): Settled[] {
    return this.following.flatMap(({ decision, anchor, tracked }) => {
      const place = placeOf(tracked);
      return place && !this.isUndone(decision.seq) ? [{ decision, anchor, ...place }] : [];
    });
  }

  /** Whether everything this rule says about this text is to stand. */
  standsEverywhere(rule: string, text: string): boolean {
    return this.keys.has(everywhereKey(rule, text));
  }

  private toggle(undo: Decision): void {
    if (undo.undoes === undefined) return;
    this.undone.set(undo.undoes, undo);
    this.refreshKeys();
  }

  /** Undone, unless the undo was itself undone. */
  private isUndone(seq: number): boolean {
    const undo = this.undone.get(seq);
    return undo !== undefined && !this.isUndone(undo.seq);
  }

  private refreshKeys(): void {
    this.keys = new Set();
    for (const [seq, anchors] of this.everywhere) {
      if (this.isUndone(seq)) continue;
      for (const { rule, text } of anchors) this.keys.add(everywhereKey(rule, text));
    }
  }
}

function everywhereKey(rule: string, text: string): string {
  return `${rule}\u0000${text}`;
}
