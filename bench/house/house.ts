import { readFileSync } from "node:fs";
import path from "node:path";
import { loadLanguage } from "../../src/command/checking.ts";
import { Expression } from "../../src/core/checks/house/expression.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { RuleTrials } from "../../src/core/engine/rule-trial.ts";
import { readDocx } from "../../src/core/formats/docx/read.ts";
import { type HouseRule, ruleSchema, type WrittenRule } from "../../src/core/house/rules.ts";
import type { Language } from "../../src/core/language/analysis.ts";
import { tokenise } from "../../src/core/language/text/tokens.ts";
import type { Manuscript as Whole } from "../../src/core/manuscript/model.ts";
import { benchDocument } from "../documents.ts";
import { report, time } from "../timing.ts";
import { benchTerms } from "./terms.ts";

type Manuscript = Pick<Whole, "text" | "blocks" | "spans">;

/** House rules: forms of terms, speed with many rules, of one being written, and expressions that explode. */
export async function benchHouse(): Promise<void> {
  benchTerms();
  const language = loadLanguage();
  const manuscript = readDocx(await benchDocument(100_000), "b.docx");
  await benchRules(manuscript, language);
  await benchTrials(manuscript, language);
  benchExploding();
}

/**
 * Terms as a large house may have them: a tenth of them words and pairs of words that the document has, the
 * others phrases that it has not. No library looks for inflected terms and says what to put in; the pass
 * without rules stands beside.
 */
function manyRules(text: string, all: number): HouseRule[] {
  const words = new Map<string, number>();
  const pairs = new Map<string, number>();
  let before = "";
  for (const { kind, from, to } of tokenise(text)) {
    const word = kind === "word" ? text.slice(from, to).toLowerCase() : "";
    if (word !== "" && /^[a-z]{4,}$/.test(word)) {
      words.set(word, (words.get(word) ?? 0) + 1);
      if (before !== "") pairs.set(`${before} ${word}`, (pairs.get(`${before} ${word}`) ?? 0) + 1);
      before = word;
    } else before = "";
  }
  const rare = (counts: Map<string, number>) =>
    [...counts].sort((one, other) => one[1] - other[1]).map(([word]) => word);
  const chosen = [...rare(words).slice(0, all / 20), ...rare(pairs).slice(0, all / 20)];
  const file = path.resolve(import.meta.dirname, "../../data/terms.txt");
  const others = readFileSync(file, "utf8").split("\n");
  for (const term of [...others, ...others.map((one) => `${one} log`)]) {
    if (chosen.length < all && !words.has(term.toLowerCase())) chosen.push(term);
  }
  return chosen.map((word, index) => ({ house: "h", rule: term(`t${index}`, word, "gauge") }));
}

function term(id: string, not: string, use: string) {
  const written: WrittenRule = { id, type: "term", not: [not], use: [use] };
  return ruleSchema.parse(written);
}

async function benchRules(manuscript: Manuscript, language: Language): Promise<void> {
  const rules = manyRules(manuscript.text, 5000);
  const settings: CheckSettings = { variety: "en-GB", kind: "report", appetites: {}, words: [] };
  const check = (own: CheckSettings) => {
    const engine = new Engine(manuscript, language, own);
    for (const _done of engine.examineAll(["wording"]));
    return engine;
  };
  console.log(`\n${rules.length} term rules on 100,000 words`);
  const without = await time(5, () => check(settings));
  const withRules = await time(5, () => check({ ...settings, rules }));
  report("the wording pass without rules", without);
  report("the wording pass with them", withRules);
  report(
    "what they add",
    withRules.map((ms, index) => ms - (without[index] ?? 0)),
    300,
  );
  const engine = check({ ...settings, rules });
  const marks = engine.allMarks().filter(({ rule }) => rule === "wording/house-term").length;
  console.log(`  ${marks} places marked`);
  for (const _done of engine.examineAll());
  let step = 0;
  const edits = await time(60, () => {
    const { from, to } = engine.blockRange((step++ * 37) % engine.size);
    const at = from + Math.floor((to - from) / 2);
    engine.edit([{ from: at, to: at, insert: "x" }]);
  });
  report("an edit, all passes and rules", edits, 16);
  const plain = check(settings);
  report(
    "rules switched on",
    await time(3, () => {
      plain.configure({ ...settings, rules });
      plain.configure(settings);
    }),
  );
}

async function benchTrials(manuscript: Manuscript, language: Language): Promise<void> {
  const settings = { kind: "report", variety: "en-GB" } as const;
  const trials = new RuleTrials(manuscript, language, settings);
  const whole = (written: WrittenRule) => () => {
    const rule = ruleSchema.parse(written);
    let last = 0;
    for (const { count } of trials.places({ rule, house: "h" }, Number.POSITIVE_INFINITY))
      last = count;
    return last;
  };
  console.log("\na rule typed to its count, 100,000 words");
  const term = whole({ id: "a", type: "term", not: ["gauge"], use: ["meter"] });
  report(`a term (${term()} places)`, await time(9, term), 150);
  const compound = whole({ id: "b", type: "compound", write: "tide-gauge" });
  report(`a compound (${compound()} places)`, await time(9, compound), 150);
  const reason = "why";
  const expression = whole({
    id: "c",
    type: "expression",
    find: "(\\d+) ?m\\b",
    put: "$1 metres",
    reason,
  });
  report(`an expression (${expression()} places)`, await time(9, expression), 150);
  const pattern = whole({ id: "d", type: "pattern", pattern: "[in order] to", reason });
  const first = performance.now();
  const places = pattern();
  console.log(
    `  a pattern with words, the first time: ${(performance.now() - first).toFixed(0)} ms`,
  );
  report(`a pattern with words, the next (${places} places)`, await time(5, pattern), 150);
}

/** Expressions that take for ever where ways to match are tried one by one: on three texts that bring that out. */
function benchExploding(): void {
  const lines = readFileSync(
    path.resolve(import.meta.dirname, "../data/house/exploding.txt"),
    "utf8",
  )
    .split("\n")
    .filter((line) => line !== "");
  const texts = [
    "a".repeat(20_000),
    "a ".repeat(10_000),
    "The tide gauge at Gannet Head was read at noon, by the keeper. ".repeat(300),
  ];
  let refused = 0;
  let givenUp = 0;
  let longest = 0;
  for (const line of lines) {
    try {
      let start = performance.now();
      const expression = Expression.read(line, null, false);
      longest = Math.max(longest, performance.now() - start);
      for (const text of texts) {
        start = performance.now();
        expression.find(text);
        const ms = performance.now() - start;
        if (process.env.SHOW && ms > 30) console.log(`  ${line}: ${ms.toFixed(0)} ms`);
        longest = Math.max(longest, ms);
      }
      if (expression.isTooSlow) givenUp++;
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      refused++;
    }
  }
  console.log(
    `\n${lines.length} exploding expressions: ${refused} refused, ${givenUp} given up, ` +
      `the longest hold ${longest.toFixed(0)} ms (at most 50)`,
  );
}
