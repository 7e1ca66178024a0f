import { mkdir, writeFile } from "node:fs/promises";
import path from "node:path";
import { PASSES } from "../core/checks/card.ts";
import { Engine } from "../core/engine/engine.ts";
import { readText } from "../core/engine/reading.ts";
import type { Language } from "../core/language/analysis.ts";
import type { Manuscript } from "../core/manuscript/model.ts";
import { USUAL_SCOPE } from "../core/readings/scope.ts";
import { reportCsv } from "../core/report/csv.ts";
import { reportDocx } from "../core/report/docx.ts";
import { reportHtml } from "../core/report/html.ts";
import { partsOf } from "../core/report/parts.ts";
import { type Report, reportOf } from "../core/report/report.ts";
import { loadLanguage } from "./checking.ts";
import { openFile } from "./files.ts";
import { CHECK_OPTIONS, checkOptions, oneOf, parseOptions, UsageError } from "./options.ts";

const FORMS = ["html", "docx", "csv", "json"] as const;

/** Writes a report of each file as it stands. */
export async function runReport(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseOptions(args, {
    ...CHECK_OPTIONS,
    as: { type: "string" },
    "out-dir": { type: "string" },
  });
  const options = checkOptions(values);
  const form = oneOf("as", values.as, FORMS);
  const folder = values["out-dir"];
  if (!form || !folder) throw new UsageError("report needs --as and --out-dir.");
  if (positionals.length === 0) throw new UsageError("Name a file to report on.");
  const language = loadLanguage();
  await mkdir(folder, { recursive: true });
  let status = 0;
  for (const file of positionals) {
    const opened = await openFile(file, language.lexicon);
    if (!opened) {
      status = 2;
      continue;
    }
    const { manuscript } = opened;
    const variety = options.variety ?? manuscript.variety;
    const kind = options.kind ?? manuscript.kind;
    const report = reportOn({ ...manuscript, variety, kind }, language, new Date());
    const name = manuscript.origin.name.replace(/\.[^.]+$/, "");
    const target = path.join(folder, `${name}-report.${form}`);
    await writeFile(target, await written(report, form));
    process.stderr.write(`${file} → ${target}\n`);
  }
  return status;
}

/** The report of a manuscript that nobody has decided anything about. */
function reportOn(manuscript: Manuscript, language: Language, now: Date): Report {
  const { title, origin, variety, kind, text } = manuscript;
  const settings = { variety, kind, appetites: {}, words: [] };
  const engine = new Engine(manuscript, language, settings);
  for (const _done of engine.examineAll(PASSES));
  const marks = engine.allMarks();
  return reportOf({
    title,
    fileName: origin.name,
    at: now.toISOString(),
    settings,
    house: "",
    decisions: [],
    marks,
    open: marks,
    tables: engine.tables(),
    unread: [],
    readings: readText(engine, language, USUAL_SCOPE, null),
    text,
    queries: [],
    sectionAt: () => "",
  });
}

async function written(report: Report, form: (typeof FORMS)[number]): Promise<string | Uint8Array> {
  const parts = partsOf(report, true);
  switch (form) {
    case "html":
      return reportHtml(report.title, parts);
    case "csv":
      return reportCsv(parts);
    case "docx":
      return reportDocx(report.title, parts);
    case "json":
      return `${JSON.stringify(report, null, 1)}\n`;
  }
}
