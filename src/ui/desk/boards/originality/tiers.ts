import type { Tier } from "../../../../core/originality/overlaps.ts";
import type { KeptOut } from "../../../../core/originality/passages.ts";

/** What the tiers are called, and how each is drawn: by its rule, whatever its colour. */
export const TIER_LABELS: Readonly<Record<Tier, string>> = {
  identical: "word for word",
  near: "lightly changed",
  reworded: "reworded",
  possible: "possible",
};

/** What keeps a passage out of the count. */
export const KEPT_OUT_LABELS: Readonly<Record<KeptOut, string>> = {
  quoted: "quotations with a citation",
  reference: "the reference list",
  heading: "headings",
  stock: "stock phrases",
  own: "my own earlier words",
};

/** The class that draws a passage. */
export function tierClass(tier: Tier, counts: boolean): string {
  return counts ? `overlap overlap-${tier}` : "overlap overlap-out";
}
