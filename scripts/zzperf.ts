import { loadLanguage } from "../src/command/checking.ts";
import { betterChoices } from "../src/core/checks/grammar/better-choices.ts";
import { CHECKS } from "../src/core/checks/index.ts";
import { matchesOf } from "../src/core/checks/patterns/all-patterns.ts";
import { Engine } from "../src/core/engine.ts";
import { analyse } from "../src/core/language/analysis.ts";
import { linesManuscript } from "../src/core/manuscript/lines.ts";
import { brownTexts } from "./corpus/brown.ts";

const blocks: string[] = [];
let words = 0;
for (const { text } of brownTexts().flatMap((o) => o.blocks)) {
  if (words >= 100000) break;
  blocks.push(text);
  words += text.split(/\s+/).length;
}
const m = linesManuscript(blocks.join("\n"));
const l = loadLanguage();
const s = { variety: "en-US", kind: "report", appetites: {}, words: [] } as const;
for (let r = 0; r < 4; r++) {
  const e = new Engine(m, l, s);
  let t = performance.now();
  for (const _ of e.examineAll(["spelling"]));
  const a = performance.now() - t;
  t = performance.now();
  for (const _ of e.examineAll());
  console.log("spelling", a.toFixed(0), "beyond", (performance.now() - t).toFixed(0));
}
const an = blocks.map((b) => analyse("paragraph", b, [], l));
let t = performance.now();
const lap = (n: string) => {
  console.log(n, (performance.now() - t).toFixed(0));
  t = performance.now();
};
an.forEach((a) => a.syntax());
lap("syntax");
const ms = an.map((a) => matchesOf(a, l));
lap("matches");
an.forEach((a) => betterChoices(a.syntax()!, l, "words"));
lap("choices");
const per: [string, number][] = CHECKS.map((c, o) => {
  const t0 = performance.now();
  an.forEach((a, i) => c.examine(a, l, ms[i]![o] ?? []));
  return [c.id, performance.now() - t0];
});
for (const [id, x] of per.sort((a, b) => b[1] - a[1]).slice(0, 14))
  console.log("  ", x.toFixed(1), id);
