import type { Tables } from "./mark.ts";

/** The tables as they were last reported. */
export class ToldTables {
  private told: Tables | null = null;

  /** The tables that say something else than when they were last reported. */
  changed({ counts, withheld }: Tables): Partial<Tables> {
    const before = this.told;
    this.told = { counts, withheld };
    const same =
      before?.withheld.size === withheld.size &&
      [...withheld].every(([rule, count]) => before.withheld.get(rule) === count);
    return { ...(before?.counts === counts ? {} : { counts }), ...(same ? {} : { withheld }) };
  }
}
