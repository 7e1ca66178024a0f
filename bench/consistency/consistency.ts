import { readdirSync } from "node:fs";
import path from "node:path";
import { loadLanguage } from "../../src/command/checking.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import type { Group, GroupPlace } from "../../src/core/engine/mark.ts";
import type { Kind, Manuscript } from "../../src/core/manuscript/model.ts";
import { benchAbbreviations } from "./abbreviations.ts";
import { type Case, plantedCases, variationTexts } from "./cases.ts";

/** The consistency pass: planted disagreements found, right changes, and groups that are none. */
export async function benchConsistency(): Promise<void> {
  const half = process.env.HALF ?? "test";
  const cases = (await plantedCases()).filter((one) => half === "all" || one.half === half);
  const kinds = new Map<string, Outcome>();
  for (const one of cases) {
    const known = kinds.get(one.kind) ?? {
      all: 0,
      found: 0,
      right: 0,
      asked: 0,
      ticked: 0,
      wrong: 0,
    };
    kinds.set(one.kind, added(known, outcomeOf(one)));
  }
  console.log(`planted disagreements, ${half} half: found, put right, rows ticked and wrong`);
  for (const [kind, { all, found, right, asked, ticked, wrong }] of kinds) {
    const share = asked === 0 ? "" : `, right ${right} of ${asked}`;
    console.log(
      `  ${kind.padEnd(28)} ${found} of ${all}${share}, ticked ${ticked}, wrong ${wrong}`,
    );
  }
  await benchVariation();
  await benchAbbreviations();
}

interface Outcome {
  all: number;
  found: number;
  right: number;
  /** Cases that say what the place should become. */
  asked: number;
  ticked: number;
  wrong: number;
}

function added(one: Outcome, other: Outcome): Outcome {
  const sum = { ...one };
  for (const key of Object.keys(sum) as (keyof Outcome)[]) sum[key] += other[key];
  return sum;
}

/** An engine that has read a text for the consistency pass. */
export function engineFor(manuscript: Manuscript, kind: Kind): Engine {
  const { variety } = manuscript;
  const settings = { variety, kind, appetites: {}, words: [] };
  const engine = new Engine(manuscript, loadLanguage(), settings);
  for (const _done of engine.examineAll(["spelling", "consistency"]));
  return engine;
}

/** Places of a group that are ticked before anybody looks: they may change, and to what is known. */
export function tickedOf(group: Group, places: readonly GroupPlace[]): GroupPlace[] {
  return group.preferred ? places.filter(({ isSafe }) => isSafe) : [];
}

/** Whether an edit makes of the odd place what it should be. */
function judge(
  outcome: Outcome,
  { manuscript: { text }, odd, right, kind }: Case,
  from: number,
  to: number,
  insert: string,
): void {
  const [first, last] = [Math.min(from, odd.from), Math.max(to, odd.to)];
  const whole = text.slice(first, from) + insert + text.slice(to, last);
  const wanted = text.slice(first, odd.from) + right + text.slice(odd.to, last);
  if (whole === wanted) outcome.right = 1;
  else if (process.env.SHOW) {
    const before = text.slice(odd.from, odd.to);
    console.log("   put wrong:", kind, JSON.stringify([before, whole, wanted]));
  }
}

function outcomeOf(caseAt: Case): Outcome {
  const { manuscript, odd, right, kind } = caseAt;
  const engine = engineFor(manuscript, "report");
  const outcome: Outcome = {
    all: 1,
    found: 0,
    right: 0,
    asked: right === null ? 0 : 1,
    ticked: 0,
    wrong: 0,
  };
  const marks = engine.allMarks().filter(isOfThePass);
  const at = ({ block, from, to }: Pick<GroupPlace, "block" | "from" | "to">) => {
    const start = engine.blockRange(block).from;
    return (
      start + from < Math.max(odd.to, odd.from + 1) &&
      start + to > odd.from - (odd.to === odd.from ? 1 : 0)
    );
  };
  for (const mark of marks) {
    if (at(mark)) outcome.found = 1;
  }
  for (const [id, group] of engine.allGroups()) {
    const places = engine.placesOf(id);
    const ticked = tickedOf(group, places);
    // Where neither form is preferred, every place is asked about.
    if (!group.preferred && places.some(at)) outcome.found = 1;
    outcome.ticked += ticked.length;
    // What stands twice in the odd sentence, such as a pair of dashes, is odd twice.
    const home = places.find(at)?.block;
    const isWrong = ticked.filter((place) => !at(place) && place.block !== home).length;
    outcome.wrong += isWrong;
    if (isWrong > 0 && process.env.SHOW) console.log("   wrong:", kind, id, group.note);
    const place = ticked.find(at);
    if (!place || place.insert === null || right === null) continue;
    const start = engine.blockRange(place.block).from;
    const { insert } = place;
    const [from, to] = [start + place.from, start + place.to];
    judge(outcome, caseAt, from, to, insert);
  }
  // Where nothing is grouped by forms, the first correction of the mark is what is offered.
  const own = marks.find((mark) => at(mark) && outcome.right === 0);
  const choice = own && engine.choices(own)[0];
  const [edit] = choice?.edits ?? [];
  if (own && edit && choice?.edits.length === 1 && right !== null) {
    const start = engine.blockRange(own.block).from;
    judge(outcome, caseAt, start + edit.from, start + edit.to, edit.insert);
  }
  if (outcome.found === 0 && process.env.SHOW) {
    console.log(
      "   missed:",
      kind,
      JSON.stringify(manuscript.text.slice(Math.max(0, odd.from - 30), odd.to + 10)),
    );
  }
  outcome.found = Math.min(1, outcome.found);
  return outcome;
}

/** The names that the spelling pass finds a letter apart count as well. */
function isOfThePass({ rule }: { rule: string }): boolean {
  return rule.startsWith("consistency/") || rule === "spelling/odd-name";
}

async function benchVariation(): Promise<void> {
  const folder = path.resolve(import.meta.dirname, "../data/consistency/variation");
  const names = readdirSync(folder).sort();
  const kinds: Kind[] = [
    "report",
    "clinical",
    "fiction",
    "specification",
    "letter",
    "paper",
    "report",
    "general",
    "brief",
    "paper",
  ];
  let words = 0;
  let groups = 0;
  for (const [index, manuscript] of (await variationTexts(names)).entries()) {
    const engine = engineFor(manuscript, kinds[index] ?? "report");
    words += engine.counts().words;
    const marked = new Set(
      engine
        .allMarks()
        .filter(isOfThePass)
        .map(({ group }) => group),
    );
    groups += marked.size;
    if (process.env.SHOW) {
      for (const mark of engine.allMarks().filter((one) => isOfThePass(one) && !one.follows)) {
        const note = engine.allGroups().get(mark.group)?.note ?? "";
        console.log(`   ${names[index]}: ${mark.rule} “${mark.text}” ${mark.reason} ${note}`);
      }
    }
  }
  const rate = (5000 * groups) / words;
  console.log(
    `legitimate variation: ${groups} groups in ${words} words, ${rate.toFixed(2)} in 5,000`,
  );
}
