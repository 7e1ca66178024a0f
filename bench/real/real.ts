import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import { seeded } from "../../scripts/seeded.ts";
import { loadLanguage } from "../../src/command/checking.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import type { Mark } from "../../src/core/engine/mark.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { type Half, type RealDocument, realDocuments } from "./documents.ts";
import { plantedMisspellings } from "./planted.ts";
import { type Slip, writtenTexts } from "./writers.ts";

/**
 * What users see: real documents of many kinds with the marks in them judged by hand, and texts by
 * many writers with all their slips known. `HALF=tune` shows the tuning half, `LIST=n` marks that nobody
 * has judged, `RULE=id` all marks of a check, `MISSED=1` slips that were not found or
 * are mended otherwise; `PART=writers` or
 * `PART=documents` does only one of the two.
 */

interface Seen {
  rule: string;
  weight: Mark["weight"];
  /** The text around it, the marked text in brackets: what a verdict is kept by. */
  context: string;
  reason: string;
  genre: string;
  first: string;
}

interface Checked {
  words: number;
  marks: Mark[];
  engine: Engine;
}

const VERDICTS = path.join(import.meta.dirname, "../data/verdicts.tsv");
const BEFORE = 45;
const AFTER = 35;

function check({ manuscript, variety, kind }: RealDocument): Checked {
  const engine = new Engine(manuscript, loadLanguage(), {
    variety,
    kind,
    appetites: {},
    words: [],
  });
  for (const _ of engine.examineAll());
  return {
    words: engine.counts().words,
    marks: engine.allMarks().filter((one) => !one.follows),
    engine,
  };
}

function seenIn(document: RealDocument): { words: number; seen: Seen[] } {
  const { words, marks, engine } = check(document);
  const seen = marks.map((mark): Seen => {
    const text = engine.textOf(mark.block);
    const context = `${text.slice(Math.max(0, mark.from - BEFORE), mark.from)}[${mark.text}]${text.slice(mark.to, mark.to + AFTER)}`;
    const { rule, weight, reason } = mark;
    const first = engine.choices(mark)[0]?.label ?? "";
    return {
      rule,
      weight,
      reason,
      first,
      genre: document.genre,
      context: context.replace(/\s+/g, " "),
    };
  });
  return { words, seen };
}

type Verdict = "right" | "wrong" | "helpful" | "neutral" | "nuisance";

/** Verdicts by rule and context. */
function verdicts(): Map<string, Verdict> {
  if (!existsSync(VERDICTS)) return new Map();
  return new Map(
    readFileSync(VERDICTS, "utf8")
      .split("\n")
      .filter((line) => line !== "" && !line.startsWith("#"))
      .map((line) => {
        const [verdict = "", rule = "", context = ""] = line.split("\t");
        return [`${rule}\t${context}`, verdict as Verdict];
      }),
  );
}

const rate = (part: number, whole: number) => ((100 * part) / Math.max(1, whole)).toFixed(1);

/** So many that nobody has judged, each rule in turn, in an order that does not change. */
function unjudged(
  seen: readonly Seen[],
  known: ReadonlyMap<string, Verdict>,
  count: number,
): Seen[] {
  const random = seeded(41);
  const order = seen.map((one) => ({ one, key: random() })).sort((a, b) => a.key - b.key);
  const byRule = new Map<string, Seen[]>();
  for (const { one } of order) {
    if (known.has(`${one.rule}\t${one.context}`)) continue;
    byRule.set(one.rule, [...(byRule.get(one.rule) ?? []), one]);
  }
  const found: Seen[] = [];
  for (
    let round = 0;
    found.length < count && [...byRule.values()].some((own) => own[round]);
    round++
  ) {
    for (const own of byRule.values()) {
      // Rules with many marks are asked about more often.
      const share = own.slice(
        round * Math.ceil(own.length / 12),
        (round + 1) * Math.ceil(own.length / 12),
      );
      found.push(...share.slice(0, 3));
    }
  }
  return found.slice(0, count);
}

function reportReal(documents: readonly RealDocument[], half: Half): void {
  const known = verdicts();
  const all: Seen[] = [];
  let words = 0;
  const genres = new Set<string>();
  for (const document of documents.filter((one) => one.half === half)) {
    const { words: own, seen } = seenIn(document);
    words += own;
    all.push(...seen);
    genres.add(document.genre);
  }
  const hard = all.filter(({ weight }) => weight !== "weigh");
  console.log(
    `\nReal documents, ${half} half: ${documents.filter((one) => one.half === half).length} of ${genres.size} kinds, ${words} words`,
  );
  console.log(
    `  hard marks ${((1000 * hard.length) / words).toFixed(2)} per 1,000 words (goal 4), advice ${((1000 * (all.length - hard.length)) / words).toFixed(2)} (goal 8)`,
  );
  for (const weight of ["fix", "settle", "weigh"] as const) {
    const own = all.filter((one) => one.weight === weight);
    const judged = own.flatMap(({ rule, context }) => known.get(`${rule}\t${context}`) ?? []);
    const good = judged.filter((one) => one === "right" || one === "helpful" || one === "neutral");
    console.log(
      `  ${weight}: ${own.length} marks, ${judged.length} judged, ${rate(good.length, judged.length)}% ${weight === "weigh" ? "helpful or neutral (goal 75)" : `right (goal ${weight === "fix" ? 80 : 60})`}`,
    );
  }
  const byRule = groupBy(all);
  const rows = [...byRule].sort((a, b) => b[1].length - a[1].length);
  for (const [rule, own] of rows.slice(0, Number(process.env.RULES ?? 0))) {
    const judged = own.flatMap((one) => known.get(`${one.rule}\t${one.context}`) ?? []);
    const wrong = judged.filter((one) => one === "wrong" || one === "nuisance").length;
    console.log(
      `    ${String(own.length).padStart(5)} ${rule}  judged ${judged.length}, wrong ${wrong}`,
    );
  }
  const gone = [...known.keys()].filter(
    (key) => !all.some(({ rule, context }) => `${rule}\t${context}` === key),
  ).length;
  console.log(`  verdicts on marks that are not in this half or are no more: ${gone}`);
  const { RULE } = process.env;
  for (const one of RULE ? all.filter(({ rule }) => rule === RULE) : []) {
    const verdict = known.get(`${one.rule}\t${one.context}`) ?? "?";
    console.log(`${verdict}\t${one.weight}\t${one.context}\t→ ${one.first} · ${one.genre}`);
  }
  const list = Number(process.env.LIST ?? 0);
  const of = process.env.WEIGHT;
  for (const one of unjudged(
    all.filter(({ weight }) => (of ? weight === of : weight !== "weigh")),
    known,
    list,
  )) {
    console.log(`?\t${one.rule}\t${one.context}\t${one.weight} → ${one.first} · ${one.genre}`);
  }
}

function groupBy(all: readonly Seen[]): Map<string, Seen[]> {
  const groups = new Map<string, Seen[]>();
  for (const one of all) groups.set(one.rule, [...(groups.get(one.rule) ?? []), one]);
  return groups;
}

const REACH = 2;

/** Whether a mark speaks of a slip: it touches it, or for something left out stands right beside it. */
function meets(mark: Mark & { start: number }, { from, to }: Slip, text: string): boolean {
  const markFrom = mark.start + mark.from;
  const markTo = mark.start + mark.to;
  if (from < to) return markFrom < to && markTo > from;
  const gap = text.slice(Math.min(from, markTo), Math.max(to, markFrom));
  return (markFrom <= to + REACH && markTo >= from - REACH) || gap.trim() === "";
}

async function reportWriters(half: Half): Promise<void> {
  let found = 0;
  let all = 0;
  let doubted = 0;
  let first = 0;
  let offered = 0;
  let errors = 0;
  const missed: string[] = [];
  const needless: string[] = [];
  const otherwise: string[] = [];
  for (const text of (await writtenTexts("writers")).filter((one) => one.half === half)) {
    const { marks, engine } = check(text);
    const whole = text.manuscript.text;
    const placed = marks.map((mark) => ({ ...mark, start: engine.blockRange(mark.block).from }));
    const contextOf = ({ from, to, typed, right }: Slip) =>
      `${whole.slice(Math.max(0, from - 30), from)}{${typed}|${right}}${whole.slice(to, to + 25)}`.replace(
        /\s+/g,
        " ",
      );
    for (const mark of placed.filter(({ pass }) => pass !== "wording")) {
      errors++;
      if (text.slips.some((slip) => meets(mark, slip, whole))) continue;
      const at = mark.start + mark.from;
      const context = `${whole.slice(Math.max(0, at - 30), at)}[${mark.text}]${whole.slice(mark.start + mark.to, mark.start + mark.to + 25)}`;
      needless.push(
        `${mark.weight} ${mark.rule} ${context.replace(/\s+/g, " ")} → ${engine.choices(mark)[0]?.label ?? ""}`,
      );
    }
    for (const slip of text.slips) {
      all++;
      const own = placed.filter((mark) => meets(mark, slip, whole));
      const hard = own.filter(({ weight }) => weight !== "weigh");
      if (own.length > 0) found++;
      if (own.length > 0 && hard.length === 0) doubted++;
      if (own.length === 0) {
        missed.push(`${text.name}: ${contextOf(slip)}`);
      }
      const firsts = own.flatMap((mark) => {
        const choice = engine.choices(mark)[0];
        return choice ? [{ mark, choice }] : [];
      });
      if (firsts.length === 0) continue;
      offered++;
      const right = firsts.some(({ mark, choice }) => {
        const block = engine.textOf(mark.block);
        const mended = applyEdits(block, choice.edits);
        const local = {
          from: slip.from - mark.start,
          to: slip.to - mark.start,
          insert: slip.right,
        };
        const meant = applyEdits(block, [local]);
        const squeeze = (one: string) => one.replace(/\s+/g, " ").replace(/ (?=[.,;])/g, "");
        return squeeze(mended) === squeeze(meant) || choice.label === slip.right;
      });
      if (right) first++;
      else {
        const offers = firsts.map(({ mark, choice }) => `${mark.rule} ${choice.label}`).join("; ");
        otherwise.push(`${contextOf(slip)} → ${offers}`);
      }
    }
  }
  console.log(
    `\nTexts of many writers, ${half} half: ${rate(found, all)}% of ${all} slips marked (goal 70), ${rate(doubted, all)}% by doubts alone`,
  );
  console.log(
    `  first choice right ${rate(first, offered)}% of ${offered} that offer any (goal 88)`,
  );
  console.log(
    `  spelling and grammar marks that touch no slip: ${rate(needless.length, errors)}% of ${errors}`,
  );
  if (process.env.MISSED) {
    for (const line of missed) console.log(`    ${line}`);
    for (const line of otherwise) console.log(`    otherwise: ${line}`);
    for (const line of needless) console.log(`    needless: ${line}`);
  }
  let words = 0;
  let hard = 0;
  let advice = 0;
  for (const text of (await writtenTexts("clean")).filter((one) => one.half === half)) {
    const { words: own, seen } = seenIn(text);
    words += own;
    hard += seen.filter(({ weight }) => weight !== "weigh").length;
    advice += seen.filter(({ weight }) => weight === "weigh").length;
    if (process.env.MISSED) {
      for (const one of seen)
        console.log(`    ${one.weight} ${one.rule} ${one.context} → ${one.first}`);
    }
  }
  console.log(
    `  clean texts: ${((1000 * hard) / words).toFixed(2)} hard marks per 1,000 of ${words} words (goal 2.5), advice ${((1000 * advice) / words).toFixed(2)}`,
  );
}

export async function benchReal(): Promise<void> {
  const half = process.env.HALF === "tune" ? "tune" : "test";
  const { PART } = process.env;
  if (PART !== "writers") {
    const documents = await realDocuments();
    reportReal(documents, half);
    const { planted, hard, missed } = plantedMisspellings(documents, half);
    console.log(`\nMisspellings planted in them: ${rate(hard, planted)}% of ${planted} marked`);
    if (process.env.MISSED) console.log(`    ${missed.join("; ")}`);
  }
  if (PART !== "documents") await reportWriters(half);
}
