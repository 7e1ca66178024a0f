import { reachOf } from "../readings/reach.ts";
import { readerOf } from "../readings/readers.ts";
import { countTable, measureTable, sectionTable, type Table } from "../readings/tables.ts";
import { type OutcomeSum, outcomesByPass, type Report, ruleTitle, sumOutcomes } from "./report.ts";
import {
  ACT_LABELS,
  dateLabel,
  KIND_LABELS,
  nameOf,
  PASS_LABELS,
  settingLine,
  VARIETY_LABELS,
} from "./words.ts";

/** A report as parts that every form of it shows alike: headings, sentences, tables. */

export interface ReportPart {
  title: string;
  lines: string[];
  tables: Table[];
}

const figure = (value: number) => new Intl.NumberFormat("en-GB").format(value);

/** What no check can promise, whatever it found. */
const BEYOND =
  "No check can tell whether a name, a date or a figure is the right one, whether something was left out, whether an argument holds, or whether this reader needs it said so. Read those with your own eyes.";

const OUTCOMES = ["Found", "Corrected", "Stet", "Asked", "Listed", "Open"] as const;

function outcomeCells(sum: OutcomeSum): number[] {
  return [sum.found, sum.corrected, sum.stet, sum.queried, sum.listed, sum.open];
}

/** The parts of a report in order; with every decision if wished. */
export function partsOf(report: Report, withDecisions: boolean): ReportPart[] {
  const parts = [
    aboutPart(report),
    marksPart(report),
    readingsPart(report),
    queriesPart(report),
    stylePart(report),
    ...(withDecisions ? [decisionsPart(report)] : []),
    notCheckedPart(report),
  ];
  return parts.filter((part): part is ReportPart => part !== null);
}

function aboutPart(report: Report): ReportPart {
  const { document: whole, counts } = report.readings;
  return {
    title: "The document",
    lines: [],
    tables: [
      {
        title: "What was read",
        columns: ["", ""],
        rows: [
          ["File", report.fileName],
          ["Report made", dateLabel(report.at)],
          ["Kind of copy", KIND_LABELS[report.settings.kind]],
          ["Variety of English", VARIETY_LABELS[report.settings.variety]],
          ["Reader", nameOf(readerOf(report.settings.reader, report.settings.kind))],
          ["House style", report.house || "nothing kept"],
          ["Words", figure(whole.words)],
          ["Of these measured", figure(counts.words)],
          ["Characters", figure(whole.characters)],
          ["Characters without spaces", figure(whole.charactersWithoutSpaces)],
        ],
      },
    ],
  };
}

function marksPart({ outcomes, edits }: Report): ReportPart {
  const sum = sumOutcomes(outcomes);
  const lines =
    sum.found === 0
      ? ["Nothing was marked."]
      : [
          `${sum.found} ${sum.found === 1 ? "mark" : "marks"}: ${sum.corrected} corrected, ${sum.stet} let stand, ${sum.queried} asked about, ${sum.listed} put on a word list, ${sum.open} open.`,
        ];
  if (edits > 0) lines.push(`${edits} ${edits === 1 ? "edit" : "edits"} by hand.`);
  if (sum.found === 0) return { title: "Marks", lines, tables: [] };
  return {
    title: "Marks",
    lines,
    tables: [
      {
        title: "By pass and weight",
        columns: ["Pass", "Weight", ...OUTCOMES],
        rows: [
          ...outcomesByPass(outcomes).map(({ pass, weight, sum: own }) => [
            PASS_LABELS[pass],
            weight,
            ...outcomeCells(own),
          ]),
          ["All", "", ...outcomeCells(sum)],
        ],
      },
      {
        title: "By check",
        columns: ["Check", "Weight", ...OUTCOMES],
        rows: outcomes.map((one) => [one.title, one.weight, ...outcomeCells(one)]),
      },
    ],
  };
}

function readingsPart({ readings, settings }: Report): ReportPart {
  const { before, grade, measures } = readings;
  const bounds = readerOf(settings.reader, settings.kind);
  const reach = reachOf(readings, bounds);
  const lines: string[] = [];
  if (grade) {
    const was = before?.grade
      ? `; before, between ${before.grade.lowest.toFixed(1)} and ${before.grade.highest.toFixed(1)}`
      : "";
    lines.push(
      `${grade.measures} grade formulas lie between ${grade.lowest.toFixed(1)} and ${grade.highest.toFixed(1)}${was}.`,
    );
  }
  const beyond = reach.filter(({ isLong, isHard }) => isLong || isHard).length;
  if (readings.sections.length > 0) {
    lines.push(
      beyond === 0
        ? "Every section is within the reader’s reach."
        : `${beyond} of ${reach.length} sections are beyond the reader’s reach.`,
    );
  }
  return {
    title: "Readings",
    lines,
    tables: [
      measureTable(measures, before?.measures ?? null),
      countTable(readings, before?.counts ?? null),
      ...(readings.sections.length > 1 ? [sectionTable(readings, reach)] : []),
    ],
  };
}

function queriesPart({ queries }: Report): ReportPart | null {
  if (queries.length === 0) return null;
  return {
    title: "Questions to the author",
    lines: [],
    tables: [
      {
        title: "Questions",
        columns: ["", "Place", "Question", "Section"],
        rows: queries.map(({ before, text, after, note, section }, index) => [
          index + 1,
          `${before}[${text}]${after}`,
          note,
          section,
        ]),
      },
    ],
  };
}

function stylePart({ style }: Report): ReportPart | null {
  if (style.length === 0) return null;
  return {
    title: "Style sheet",
    lines: ["What was decided alike in more than one place of this document."],
    tables: [
      {
        title: "Settled",
        columns: ["Text", "Decided", "Places"],
        rows: style.map(({ what, decided, places }) => [what, decided, places]),
      },
    ],
  };
}

function decisionsPart({ decisions }: Report): ReportPart {
  return {
    title: "Every decision",
    lines: decisions.length === 0 ? ["None was made."] : [],
    tables:
      decisions.length === 0
        ? []
        : [
            {
              title: "Decisions",
              columns: ["When", "Decision", "Text", "Now", "Check", "Note"],
              rows: decisions.map((row) => [
                dateLabel(row.at),
                `${ACT_LABELS[row.act]}${row.standing ? "" : ", taken back"}`,
                row.act === "setting" && row.setting ? settingLine(row.setting) : row.mistake,
                row.correction,
                row.act === "setting" ? "" : ruleTitle(row.rule),
                row.places > 1 ? `${row.places} places. ${row.note}`.trim() : row.note,
              ]),
            },
          ],
  };
}

function notCheckedPart({ notChecked }: Report): ReportPart {
  const { checksOff, leftAlone, parts, withheld } = notChecked;
  const lines: string[] = [];
  if (notChecked.passes.length > 0) {
    lines.push(`Passes not read: ${notChecked.passes.map((one) => PASS_LABELS[one]).join(", ")}.`);
  }
  if (checksOff.length > 0) lines.push(`Checks that were off: ${checksOff.join("; ")}.`);
  lines.push(`Left alone: ${leftAlone.length > 0 ? leftAlone.join("; ") : "nothing"}.`);
  const unread = [
    [parts.code, "of code"],
    [parts.columns, "set in columns"],
    [parts.mail, "of mail heads and quoted mail"],
    [parts.foreign, "in another language"],
  ].flatMap(([count, what]) => (Number(count) > 0 ? [`${count} ${what}`] : []));
  if (unread.length > 0) lines.push(`Parts that were not read: ${unread.join(", ")}.`);
  if (withheld > 0) {
    lines.push(
      `${withheld} more ${withheld === 1 ? "piece" : "pieces"} of advice found and not shown, since their page had enough.`,
    );
  }
  lines.push(
    "For this report the text was not compared with sources: the originality pass has a report of its own.",
    BEYOND,
  );
  return { title: "What was not checked", lines, tables: [] };
}
