import { benchBrowser } from "./browser.ts";
import { benchCore } from "./core.ts";
import { benchKills } from "./kills.ts";
import { benchQuality } from "./quality.ts";

/** `npm run bench`, or one part of it by name: core, quality, browser, kills. */
const parts: Record<string, () => unknown> = {
  core: benchCore,
  quality: benchQuality,
  browser: benchBrowser,
  kills: benchKills,
};
const wanted = process.argv.slice(2);
for (const [name, run] of Object.entries(parts)) {
  if (wanted.length === 0 || wanted.includes(name)) await run();
}
