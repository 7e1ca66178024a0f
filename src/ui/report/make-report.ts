import { proxy } from "comlink";
import { sectionTitles } from "../../core/manuscript/sections.ts";
import { USUAL_SCOPE } from "../../core/readings/scope.ts";
import { type Report, reportOf } from "../../core/report/report.ts";
import { houseLine } from "../../core/report/words.ts";
import { checkSettings } from "../../store/check-settings.ts";
import { readLayers } from "../../store/house.ts";
import { readDecisions } from "../../store/ledger.ts";
import { readOriginal, readRecord } from "../../store/shelf.ts";
import type { ProofreaderLink } from "../../worker/connect.ts";
import type { Progress } from "../../worker/proofreader.ts";
import { DeskDocument } from "../desk/desk-document.ts";

/** Why there is no report, as a sentence. */
export interface NoReport {
  problem: string;
}

/** Has a document checked as it is corrected so far, and makes the report of that. */
export async function makeReport(
  worker: ProofreaderLink,
  id: string,
  now: Date,
  progressed: (progress: Progress) => void,
): Promise<Report | NoReport> {
  const [record, bytes] = await Promise.all([readRecord(id), readOriginal(id)]);
  if (!record || !bytes) return { problem: "This document is not on the shelf any more." };
  const read = await worker.read(bytes, record.fileName, record.variety);
  if ("problem" in read) return { problem: read.problem.sentence };
  const [layers, decisions] = await Promise.all([readLayers(record.houses), readDecisions(id)]);
  const copy = new DeskDocument(read.manuscript, decisions, id);
  const settings = checkSettings(record, layers);
  const update = await worker.check(
    id,
    copy.editsSoFar(),
    0,
    settings,
    proxy(progressed),
    proxy(() => undefined),
  );
  if (!update || typeof update === "string") return { problem: UNREAD };
  const readings = await worker.readings(USUAL_SCOPE);
  if (!readings) return { problem: UNREAD };
  copy.reported.report(update, update.revision);
  const marks = copy.reported.all();
  const titles = sectionTitles(copy.current());
  const { blocks, text } = copy.current();
  return reportOf({
    title: record.title,
    fileName: record.fileName,
    at: now.toISOString(),
    settings,
    house: houseLine(layers),
    decisions,
    marks: marks.map(({ mark }) => mark),
    open: copy.openMarks(marks).map(({ mark }) => mark),
    tables: copy.reported.tables,
    unread: update.unread,
    readings,
    text,
    queries: copy.queries().map(({ from, to, text: note }) => ({ from, to, note })),
    sectionAt(position) {
      const block = blocks.findLast(({ from }) => from <= position);
      return titles[block?.section ?? 0] ?? "";
    },
  });
}

const UNREAD =
  "The document could not be read to its end just now, so there is nothing to report. Reload the page to try once more.";
