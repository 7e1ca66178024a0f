import { benchBrowser } from "./browser.ts";
import { benchChance } from "./chance.ts";
import { benchCitations } from "./citations/citations.ts";
import { benchConsistency } from "./consistency/consistency.ts";
import { benchCore } from "./core.ts";
import { benchDesk } from "./desk.ts";
import { benchFalseAlarms } from "./false-alarms.ts";
import { benchGrammar, benchPairs } from "./grammar.ts";
import { benchHostile } from "./hostile.ts";
import { benchCarry } from "./house/carry.ts";
import { benchCleanup } from "./house/cleanup.ts";
import { benchHouse } from "./house/house.ts";
import { benchLearn } from "./house/learn.ts";
import { benchKills } from "./kills.ts";
import { benchLanguage } from "./language.ts";
import { benchLongParagraphs } from "./long-paragraphs.ts";
import { benchManuals } from "./manuals.ts";
import { benchOriginality } from "./originality/originality.ts";
import { benchPipeline } from "./pipeline.ts";
import { benchQuality } from "./quality.ts";
import { benchReal } from "./real/real.ts";
import { benchSameMarks } from "./same-marks.ts";

/** `npm run bench`, or one part of it by name: core, pipeline, language, quality, alarms, grammar, pairs, paragraphs, hostile, real, same, consistency, citations, originality, house, carry, cleanup, learn, desk, browser, kills, chance. */
const parts: Record<string, () => unknown> = {
  core: benchCore,
  pipeline: benchPipeline,
  language: benchLanguage,
  quality: benchQuality,
  alarms: () => {
    benchFalseAlarms();
    benchManuals();
  },
  grammar: benchGrammar,
  pairs: benchPairs,
  paragraphs: benchLongParagraphs,
  hostile: benchHostile,
  real: benchReal,
  same: benchSameMarks,
  consistency: benchConsistency,
  house: benchHouse,
  citations: benchCitations,
  originality: benchOriginality,
  carry: benchCarry,
  cleanup: benchCleanup,
  learn: benchLearn,
  desk: benchDesk,
  browser: benchBrowser,
  kills: benchKills,
  chance: benchChance,
};
const wanted = process.argv.slice(2);
for (const [name, run] of Object.entries(parts)) {
  if (wanted.length === 0 || wanted.includes(name)) await run();
}
