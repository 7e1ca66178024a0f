import { readFileSync } from "node:fs";
import path from "node:path";
import { loadLanguage } from "../../src/command/checking.ts";
import { RuleBook } from "../../src/core/checks/house/rule-book.ts";
import { ruleSchema } from "../../src/core/house/rules.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";

/** Terms with inflection: the right places, and the right form in each. Written before the rules were run. */
export function benchTerms(): void {
  const language = loadLanguage();
  const lines = readFileSync(path.resolve(import.meta.dirname, "../data/house/terms.txt"), "utf8")
    .split("\n")
    .filter((line) => line !== "" && !line.startsWith("#"));
  let places = 0;
  let found = 0;
  let right = 0;
  let wrong = 0;
  for (const line of lines) {
    const [rule = "", marked = ""] = line.split(" | ");
    const [not = "", use = ""] = rule.split(" => ");
    const expected: { from: number; to: number; put: string }[] = [];
    let text = "";
    for (const part of marked.split(/(\{[^}]*\})/)) {
      const place = /^\{(.*)=>(.*)\}$/.exec(part);
      if (place) {
        const [, written = "", put = ""] = place;
        expected.push({ from: text.length, to: text.length + written.length, put });
        text += written;
      } else text += part;
    }
    const term = ruleSchema.parse({ id: "t", type: "term", not: [not], use: [use] });
    const settings = { kind: "report", variety: "en-GB" } as const;
    const book = new RuleBook([{ rule: term, house: "h" }], language, settings);
    const facts = [
      ...book.find({ kind: "paragraph", text, code: [], analysed: () => never() }).values(),
    ].flat();
    const missed: string[] = [];
    for (const one of expected) {
      places++;
      const fact = facts.find(({ from, to }) => from === one.from && to === one.to);
      if (!fact) {
        missed.push(`missed ${text.slice(one.from, one.to)}`);
        continue;
      }
      found++;
      const label = fact.choices[0]?.label ?? "";
      if (label === one.put) right++;
      else missed.push(`${text.slice(one.from, one.to)} → ${label}, not ${one.put}`);
    }
    for (const { from, to } of facts) {
      if (expected.some((one) => one.from === from && one.to === to)) continue;
      wrong++;
      missed.push(`wrong place ${text.slice(from, to)}`);
    }
    const after = applyEdits(
      text,
      facts.flatMap(({ choices }) => choices[0]?.edits ?? []),
    );
    if (/\ba [aeio]\w/i.test(after) || /\ban [bcdfgjklmnpqrstvw]\w/.test(after)) missed.push(after);
    if (process.env.SHOW && missed.length > 0) console.log(`  ${rule}: ${missed.join("; ")}`);
  }
  const share = (part: number, all: number) => `${((100 * part) / all).toFixed(1)}%`;
  console.log(
    `terms with inflection: ${places} places, found ${share(found, places)}, ` +
      `right form ${share(right, places)}, wrong places ${wrong}`,
  );
}

function never(): never {
  throw new Error("terms are found without an analysis");
}
