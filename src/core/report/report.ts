import { type Card, PASSES, type Pass, type Weight } from "../checks/card.ts";
import { CARDS, cardById } from "../checks/cards.ts";
import { appetiteFor } from "../checks/kinds.ts";
import { LEAVE_BITS, LEAVE_KINDS, leftAlone } from "../checks/leave.ts";
import type { CheckSettings, Mark, Tables } from "../engine/mark.ts";
import type { TextReadings } from "../engine/reading.ts";
import { type Decision, inForce } from "../ledger/decision.ts";
import { type LogRow, logRows } from "../ledger/log.ts";
import type { Range } from "../manuscript/model.ts";

/** What one run did to a document: what was found and decided, and how the text reads before and after. */

/** A mark of the run as the report counts it. */
export type CountedMark = Pick<Mark, "rule" | "pass" | "weight" | "follows">;

/** A question to the author. */
export interface ReportQuery {
  text: string;
  /** The words around it. */
  before: string;
  after: string;
  note: string;
  section: string;
}

/** What became of the marks of one check, by weight. */
export interface Outcome {
  rule: string;
  title: string;
  pass: Pass;
  weight: Weight;
  found: number;
  corrected: number;
  stet: number;
  queried: number;
  listed: number;
  open: number;
}

/** Of a decision on one text that was made more than once, or for every place: the document's style. */
export interface Settled {
  what: string;
  decided: string;
  places: number;
}

export interface Report {
  title: string;
  fileName: string;
  /** When the report was made, ISO 8601. */
  at: string;
  settings: Pick<CheckSettings, "variety" | "kind" | "reader">;
  house: string;
  outcomes: Outcome[];
  readings: TextReadings;
  queries: ReportQuery[];
  style: Settled[];
  /** Every decision, taken back or not, in order. */
  decisions: LogRow[];
  edits: number;
  notChecked: NotChecked;
}

/** What the run did not look at. */
export interface NotChecked {
  checksOff: string[];
  leftAlone: string[];
  /** Passes that were not read. */
  passes: Pass[];
  /** Parts of the document without sentences to check. */
  parts: { code: number; columns: number; mail: number; foreign: number };
  /** Marks found and not shown, since a page has enough of them. */
  withheld: number;
}

/** What a report is made from. */
export interface ReportSources {
  title: string;
  fileName: string;
  at: string;
  settings: CheckSettings;
  decisions: readonly Decision[];
  /** The house style it was read under, in a line; "" for none. */
  house: string;
  /** Every mark of the text as it stands, and those that are open. */
  marks: readonly CountedMark[];
  open: readonly CountedMark[];
  tables: Tables;
  unread: readonly Pass[];
  readings: TextReadings;
  text: string;
  /** Questions at their place in the text as it stands. */
  queries: readonly (Range & { note: string })[];
  sectionAt(position: number): string;
}

const CONTEXT = 60;

/** Puts a report together. */
export function reportOf(sources: ReportSources): Report {
  const { title, fileName, at, settings, decisions, readings, text } = sources;
  const standing = inForce(decisions);
  const rows = logRows("", decisions);
  const { variety, kind, reader = null } = settings;
  return {
    title,
    fileName,
    at,
    settings: { variety, kind, reader },
    house: sources.house,
    outcomes: outcomesOf(sources, standing),
    readings,
    queries: sources.queries.map(({ from, to, note }) => ({
      text: text.slice(from, to),
      before: oneLine(text.slice(Math.max(0, from - CONTEXT), from)),
      after: oneLine(text.slice(to, to + CONTEXT)),
      note,
      section: sources.sectionAt(from),
    })),
    style: styleOf(rows),
    decisions: rows,
    edits: rows.filter(({ act, standing: stands }) => act === "edit" && stands).length,
    notChecked: notChecked(sources),
  };
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, " ");
}

/** Anchors of standing decisions by what was done and by rule. */
function decided(decisions: readonly Decision[], standing: ReadonlySet<number>) {
  const counts = new Map<string, number>();
  for (const { seq, act, marks } of decisions) {
    if (!standing.has(seq)) continue;
    for (const { rule } of marks) {
      const key = `${act} ${rule}`;
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
  }
  return (act: Decision["act"], rule: string) => counts.get(`${act} ${rule}`) ?? 0;
}

/**
 * What became of the marks of each check. A mark that was corrected is no more; one that was let stand or
 * asked about is still found and not open, wherever it was settled for the whole document.
 */
function outcomesOf(
  { decisions, marks, open }: ReportSources,
  standing: ReadonlySet<number>,
): Outcome[] {
  const times = decided(decisions, standing);
  const outcomes: Outcome[] = [];
  for (const card of CARDS) {
    const corrected = times("correct", card.id);
    const listed = times("word", card.id);
    const queried = times("query", card.id);
    for (const weight of ["fix", "settle", "weigh"] as const) {
      const own = (all: readonly CountedMark[]) =>
        all.filter((mark) => mark.rule === card.id && mark.weight === weight && !mark.follows);
      const left = own(open).length;
      const settled = own(marks).length - left;
      // What is no more, or was asked about, is counted under the weight the check usually has.
      const usual = weight === card.weight;
      const asked = usual ? queried : 0;
      const outcome = {
        rule: card.id,
        title: card.title,
        pass: card.pass,
        weight,
        corrected: usual ? corrected : 0,
        listed: usual ? listed : 0,
        queried: asked,
        stet: Math.max(0, settled - asked),
        open: left,
      };
      const found = outcome.corrected + outcome.listed + asked + outcome.stet + left;
      if (found > 0) outcomes.push({ ...outcome, found });
    }
  }
  return outcomes;
}

/** Sums of outcomes, as a row beside them. */
export type OutcomeSum = Omit<Outcome, "rule" | "title" | "pass" | "weight">;

/** Outcomes added up. */
export function sumOutcomes(outcomes: readonly Outcome[]): OutcomeSum {
  const sum = { found: 0, corrected: 0, stet: 0, queried: 0, listed: 0, open: 0 };
  for (const outcome of outcomes) {
    for (const name of Object.keys(sum) as (keyof OutcomeSum)[]) sum[name] += outcome[name];
  }
  return sum;
}

/** Outcomes by pass and weight, those without any left out. */
export function outcomesByPass(
  outcomes: readonly Outcome[],
): { pass: Pass; weight: Weight; sum: OutcomeSum }[] {
  return PASSES.flatMap((pass) =>
    (["fix", "settle", "weigh"] as const).flatMap((weight) => {
      const own = outcomes.filter((one) => one.pass === pass && one.weight === weight);
      return own.length > 0 ? [{ pass, weight, sum: sumOutcomes(own) }] : [];
    }),
  );
}

/** Decisions that hold for a text wherever it stands: made for every place, more than once, or a list. */
function styleOf(rows: readonly LogRow[]): Settled[] {
  const settled = new Map<string, Settled>();
  for (const { act, mistake, correction, places, standing } of rows) {
    if (!standing || mistake === "" || act === "edit" || act === "setting" || act === "query") {
      continue;
    }
    const decidedAs =
      act === "correct"
        ? correction === ""
          ? "taken out"
          : `“${correction}”`
        : act === "word"
          ? "on the word list"
          : "let stand";
    const key = `${mistake}\u0000${decidedAs}`;
    const known = settled.get(key) ?? { what: mistake, decided: decidedAs, places: 0 };
    known.places += places;
    settled.set(key, known);
  }
  return [...settled.values()]
    .filter(({ places, decided: as }) => places > 1 || as === "on the word list")
    .sort((one, other) => one.what.localeCompare(other.what));
}

function notChecked({ settings, tables, unread }: ReportSources): NotChecked {
  const off = (card: Card) => appetiteFor(card, settings) === "off";
  const left = leftAlone(settings.kind, settings.leave ?? {});
  const { code, columns, mail, foreign } = tables.counts;
  return {
    checksOff: CARDS.filter(off).map(({ title }) => title),
    leftAlone: LEAVE_KINDS.filter(({ id }) => left & LEAVE_BITS[id]).map(({ title }) => title),
    passes: [...unread],
    parts: { code, columns, mail, foreign },
    withheld: [...tables.withheld.values()].reduce((sum, one) => sum + one, 0),
  };
}

/** The title of the check a row of the ledger is about. */
export function ruleTitle(rule: string): string {
  return cardById(rule)?.title ?? (rule === "" || rule === "query" ? "by hand" : rule);
}
