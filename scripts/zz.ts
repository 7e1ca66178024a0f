import { loadLanguage } from "../src/command/checking.ts";
import { correctWord } from "../src/core/language/corrections.ts";
import { misspellingPairs } from "./corpus/misspellings.ts";

const l = loadLanguage();
const p = misspellingPairs("tune");
for (let k = 0; k < 2; k++) {
  const t0 = performance.now();
  let f = 0;
  for (const { wrong, right } of p)
    if (correctWord(wrong, { ...l, variety: "en-US" }, 5)[0]?.toLowerCase() === right) f++;
  console.log((performance.now() - t0) / p.length, f);
}
