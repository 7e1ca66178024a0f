import type { Tier } from "../../../../core/originality/overlaps.ts";

/** The class that draws a passage: its rule tells how it agrees, whatever its colour. */
export function tierClass(tier: Tier, counts: boolean): string {
  return counts ? `overlap overlap-${tier}` : "overlap overlap-out";
}
