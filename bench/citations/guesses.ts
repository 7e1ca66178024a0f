import { guessStyle } from "../../src/core/citations/guess-style.ts";
import { STYLE_IDS } from "../../src/core/citations/styles/style.ts";
import { realRecords } from "./records.ts";
import { setEntries } from "./set.ts";

const LIST = 20;

/** How often the style of twenty entries is told right. */
export function benchGuesses(part: "tune" | "test"): void {
  const records = realRecords(part);
  console.log(`\nThe style of ${LIST} entries`);
  let right = 0;
  let all = 0;
  for (const id of STYLE_IDS) {
    const entries = setEntries(records, id).map(({ text }) => text);
    const wrong: string[] = [];
    let lists = 0;
    for (let from = 0; from + LIST <= entries.length; from += LIST) {
      // Entries far apart in the list, so that no list is of one author.
      const list = entries
        .filter((_, at) => at % Math.floor(entries.length / LIST) === from / LIST)
        .slice(0, LIST);
      if (list.length < LIST) continue;
      lists++;
      const guess = guessStyle(list);
      if (guess?.id !== id) wrong.push(guess?.id ?? "none");
    }
    right += lists - wrong.length;
    all += lists;
    console.log(`  ${id.padEnd(20)} ${lists - wrong.length} of ${lists}  ${wrong.join(" ")}`);
  }
  console.log(`  all ${((right / all) * 100).toFixed(1)}% (goal 95)`);
}
