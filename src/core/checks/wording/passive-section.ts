import type { Across, Check, Fact, Verdict } from "../check.ts";
import { passiveSection as card } from "./cards.ts";

interface VoiceCount extends Fact {
  passive: boolean;
}

/** Share of finite verbs in the passive from which on a section reads as nobody's doing. */
const SHARE = 0.4;
const LEAST_VERBS = 12;

interface VoiceTally {
  all: number;
  passive: number;
}

const bySection: Across<VoiceCount, VoiceTally> = {
  counting: {
    keysOf: (_fact, { section }) => String(section),
    start: () => ({ all: 0, passive: 0 }),
    count(tally, { passive }, _section, by) {
      tally.all += by;
      if (passive) tally.passive += by;
    },
  },
  judge: (_section, { all, passive }) => ({
    verdict: all >= LEAST_VERBS && passive / all >= SHARE ? MOSTLY_PASSIVE : null,
  }),
  speaks: ({ passive }) => passive,
  find: ({ from, to }) => ({
    from,
    to,
    reason: "Most verbs in this section are passive.",
    gathers: true,
  }),
  tell: (_section, { all, passive }) => [
    {
      note: `${Math.round((100 * passive) / all)}% of the section’s verbs are passive (${passive} of ${all}).`,
    },
  ],
};

const MOSTLY_PASSIVE: Verdict = {};

/** A section most of which is in the passive voice. */
export const passiveSection: Check<VoiceCount> = {
  ...card,
  examine(block) {
    const syntax = block.syntax();
    if (!syntax || !["paragraph", "item"].includes(block.kind)) return [];
    return syntax.verbGroups.flatMap((verb) => {
      if (verb.finite < 0) return [];
      const from = syntax.units[verb.from]?.from ?? 0;
      const to = syntax.units[verb.to - 1]?.to ?? from;
      return [{ from, to, passive: verb.passive }];
    });
  },
  across: bySection,
  choose: () => [],
};
