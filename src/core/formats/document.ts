import type { Edit, Format, Manuscript, Variety } from "../manuscript/model.ts";
import type { ReadFile } from "./assemble.ts";
import { type BlockOrder, inOrder } from "./block-order.ts";
import { readCsv, writeCsv } from "./csv/format.ts";
import type { Query } from "./docx/comments.ts";
import { moveParagraphs } from "./docx/move.ts";
import { readDocx } from "./docx/read.ts";
import { writeDocx } from "./docx/write.ts";
import { orderMd, readMd, writeMd } from "./md/format.ts";
import { markdownText, plainText } from "./plain.ts";
import { FormatProblem, type ProblemCode } from "./problem.ts";
import { orderTxt, readTxt, writeTxt } from "./txt/format.ts";
import { readXlsx, writeXlsx } from "./xlsx/format.ts";
import { crc32 } from "./zip/crc.ts";

/** The way into and out of every format. */

export type { Query };

/** A million words of .docx is about 10 MB; a file beyond this is pictures, or not a document. */
export const MAX_FILE_BYTES = 128_000_000;

export interface Problem {
  code: ProblemCode;
  /** What is wrong and what to do about it. */
  sentence: string;
}

export type ReadResult = { manuscript: Manuscript } | { problem: Problem };

/** Reads a file by its name and contents. Never throws for what a file contains. */
export async function readDocument(
  bytes: Uint8Array,
  name: string,
  guessVariety: (text: string) => Variety,
): Promise<ReadResult> {
  try {
    const format = formatOf(bytes, name);
    const read = READERS[format](bytes, name);
    const { text, blocks, spans, title, kind, warnings, comments } = read;
    const origin = {
      format,
      name,
      hash: await hashOf(bytes),
      warnings,
      ...(comments && comments.length > 0 ? { comments } : {}),
    };
    return {
      manuscript: { title, kind, variety: guessVariety(text), text, blocks, spans, origin },
    };
  } catch (error) {
    if (error instanceof FormatProblem) {
      return { problem: { code: error.code, sentence: error.sentence } };
    }
    if (isExhaustion(error)) {
      return {
        problem: {
          code: "hostile",
          sentence:
            "This file nests or repeats its parts more than any document does, so it was not read. Save it again in the program it came from, then open that copy.",
        },
      };
    }
    // A fault of the application's own is no fault of the file: it is shown and logged as what it is.
    throw error;
  }
}

/** Whether the file made the reader run out of stack or of room, as only a hostile one does. */
function isExhaustion(error: unknown): boolean {
  return (
    error instanceof RangeError &&
    /call stack|string length|array (?:length|buffer)|maximum size|allocation/i.test(error.message)
  );
}

const READERS: Record<Format, (bytes: Uint8Array, name: string) => ReadFile> = {
  docx: readDocx,
  txt: readTxt,
  md: readMd,
  csv: readCsv,
  xlsx: readXlsx,
};

const EXTENSIONS = new Map<string, Format>([
  ["docx", "docx"],
  ["docm", "docx"],
  ["txt", "txt"],
  ["text", "txt"],
  ["md", "md"],
  ["markdown", "md"],
  ["csv", "csv"],
  ["tsv", "csv"],
  ["xlsx", "xlsx"],
  ["xlsm", "xlsx"],
]);

/** The endings a file picker offers. */
export const ACCEPTED_EXTENSIONS = [...EXTENSIONS.keys()].map((extension) => `.${extension}`);

function formatOf(bytes: Uint8Array, name: string): Format {
  if (bytes.length === 0) {
    throw new FormatProblem("empty", "This file is empty: 0 bytes. Check where it was saved.");
  }
  if (bytes.length > MAX_FILE_BYTES) {
    throw new FormatProblem(
      "too-large",
      "This file is larger than 128 MB. Split it into chapters, or take its pictures out of a copy.",
    );
  }
  const extension = /\.([^.]+)$/.exec(name)?.[1]?.toLowerCase() ?? "";
  const format = EXTENSIONS.get(extension);
  const contents = contentsOf(bytes);
  const packed = format === "docx" || format === "xlsx";
  if (packed && (contents === "zip" || contents === "compound")) return format;
  if (packed && contents === "text") {
    throw new FormatProblem(
      "wrong-type",
      `This file is named .${format} but holds plain text. Rename it to ${format === "docx" ? ".txt" : ".csv"} and open it again.`,
    );
  }
  if (contents === "zip" && format) {
    throw new FormatProblem(
      "wrong-type",
      `This file is named .${extension} but is a packed file. If it is a Word-processing document, rename it to .docx and open it again.`,
    );
  }
  const known = KNOWN_CONTENTS.get(contents);
  if (known) throw new FormatProblem("wrong-type", known);
  if (format) return format;
  throw new FormatProblem(
    "wrong-type",
    `Dry Run opens ${ACCEPTED_EXTENSIONS.filter((one) => one.length < 6).join(", ")} files. Save the document as one of these and open that copy.`,
  );
}

type Contents = "zip" | "compound" | "pdf" | "rtf" | "picture" | "text";

const KNOWN_CONTENTS = new Map<Contents, string>([
  ["pdf", "This is a PDF. Save the document it was made from as .docx, .txt or .md and open that."],
  [
    "rtf",
    "This is rich text (RTF). Save it as .docx in the program it came from, then open that copy.",
  ],
  [
    "picture",
    "This is a picture. Its words must be typed or recognised before they can be read here.",
  ],
  [
    "compound",
    "This is a document in the old binary format. Save it as .docx in the program it came from, then open that copy here.",
  ],
]);

function contentsOf(bytes: Uint8Array): Contents {
  const head = String.fromCharCode(...bytes.subarray(0, 8));
  if (head.startsWith("PK")) return "zip";
  if (head.startsWith("\u00d0\u00cf\u0011\u00e0")) return "compound";
  if (head.startsWith("%PDF")) return "pdf";
  if (head.startsWith("{\\rtf")) return "rtf";
  if (/^(?:\u0089PNG|\u00ff\u00d8\u00ff|GIF8)/.test(head)) return "picture";
  return "text";
}

async function hashOf(bytes: Uint8Array): Promise<string> {
  // Outside a secure context browsers offer no digest; a checksum still tells two files apart.
  if (!globalThis.crypto?.subtle) return `crc32-${crc32(bytes).toString(16)}-${bytes.length}`;
  const digest = await globalThis.crypto.subtle.digest("SHA-256", bytes.slice());
  return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, "0")).join("");
}

/** How a document leaves: its own format with changes tracked or made, or as plain text or Markdown. */
export const EXPORT_FORMS = ["tracked", "clean", "txt", "md"] as const;
export type ExportForm = (typeof EXPORT_FORMS)[number];

export interface ExportRequest {
  bytes: Uint8Array;
  format: Format;
  /** The manuscript as it stands after the edits, for the forms that are written afresh. */
  current: Pick<Manuscript, "text" | "blocks" | "spans">;
  /** Edits on the original text, sorted and not overlapping. */
  edits: readonly Edit[];
  queries: readonly Query[];
  form: ExportForm;
  author: string;
  /** ISO 8601, for the tracked changes and comments. */
  date: string;
  /** Lists whose blocks leave in another order. */
  orders?: readonly BlockOrder[];
}

export interface Exported {
  bytes: Uint8Array;
  extension: Format;
  /** Edits the format could not take, with the reason. */
  refused: { edit: Edit; reason: string }[];
  /** Queries that found no place. */
  unplaced: Query[];
  /** Why something stands where it stood, as sentences. */
  unmoved?: string[];
}

/** Whether a document of this format can leave in this form. */
export function canExport(format: Format, form: ExportForm): boolean {
  return form !== "tracked" || format === "docx";
}

/** Writes a document in the form asked for. Throws FormatProblem when the original is unreadable. */
export function writeDocument(request: ExportRequest): Exported {
  const { bytes, format, current, edits, queries, form, author, date, orders = [] } = request;
  if (form === "tracked" || (form === "clean" && format === "docx")) {
    const style = { as: form === "tracked" ? "tracked" : "clean", author, date } as const;
    const written = writeDocx(bytes, edits, queries, style);
    if (orders.length === 0) return { ...written, extension: "docx" };
    const moved = moveParagraphs(bytes, written.bytes, orders, style);
    const unmoved =
      moved.left === 0
        ? []
        : [
            `${moved.left} of the entries stayed in place: others’ changes, pictures or fields are in them.`,
          ];
    return { ...written, bytes: moved.bytes, extension: "docx", unmoved };
  }
  const own = form === "clean" || form === format;
  if (own && (format === "txt" || format === "md")) {
    const [write, order] = format === "txt" ? [writeTxt, orderTxt] : [writeMd, orderMd];
    const written = write(bytes, edits);
    const sorted = orders.length > 0 ? order(written.bytes, orders) : written.bytes;
    return { ...written, bytes: sorted, extension: format, unplaced: [] };
  }
  if (own && format === "csv") return { ...writeCsv(bytes, edits), extension: "csv", unplaced: [] };
  if (own && format === "xlsx") {
    return { ...writeXlsx(bytes, edits), extension: "xlsx", unplaced: [] };
  }
  const extension = form === "md" ? "md" : "txt";
  const sorted = { ...current, blocks: inOrder(current.blocks, orders) };
  const text = extension === "md" ? markdownText(sorted) : plainText(sorted);
  return { bytes: new TextEncoder().encode(text), extension, refused: [], unplaced: [] };
}
