import type { Range } from "../manuscript/model.ts";
import type { Field } from "./entry.ts";
import type { Masked } from "./masked.ts";

/** What stands at the end of an entry for finding the work: identifier, address, and when it was looked at. */
export interface TailParts {
  doi: Field | null;
  doiWhole: Range | null;
  url: Field | null;
  urlWhole: Range | null;
  accessed: Field | null;
}

const MONTH = "(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]*\\.?";
const DATE = `(?:\\d{1,2} ${MONTH},? \\d{4}|${MONTH} \\d{1,2},? \\d{4}|\\d{4} ${MONTH} \\d{1,2}|\\d{4}-\\d\\d-\\d\\d)`;
const LABELS =
  "(?:Available (?:at|from|via):?\\s*|Retrieved (?:from|on)?:?\\s*|\\[Online\\]\\.? ?(?:Available:?)?\\s*|Online:\\s*|URL:?\\s*|from\\s+)";
const DOI = new RegExp(
  `${LABELS}?((?:https?:\\/\\/)?(?:dx\\.)?doi\\.org\\/(?:https?:\\/\\/(?:dx\\.)?doi\\.org\\/)?|doi[:\\s]\\s*(?:https?:\\/\\/(?:dx\\.)?doi\\.org\\/)?|(?<![^\\s]))(10\\.\\d{4,9}\\/[^\\s\\ue000]+)`,
  "iu",
);
/** An identifier that lost its shape stands behind a label that is still told. */
const BROKEN_DOI = new RegExp(
  `${LABELS}?(https?:\\/\\/(?:dx\\.)?doi\\.org\\/|doi:\\s*)([^\\s\\ue000]+)`,
  "iu",
);
const URL_PATTERN = new RegExp(
  `${LABELS}?((?:https?:\\/\\/|ftp:\\/\\/|www\\.)[^\\s\\ue000]+)`,
  "u",
);
const ACCESSED = [
  new RegExp(`\\((?:Accessed|accessed|Viewed|viewed):? (${DATE})\\)`, "u"),
  new RegExp(`\\[cited (${DATE})\\]`, "u"),
  new RegExp(`(?:Accessed|accessed):? (${DATE})`, "u"),
  new RegExp(`Retrieved (?:on )?(${DATE}),? from`, "u"),
];

/** Reads the tail of an entry and takes it out of the text. */
export function readTail(entry: Masked): TailParts {
  const accessed = readAccessed(entry);
  const doi = readDoi(entry);
  const url = readUrl(entry);
  const medium = entry.find(
    /\s?(?:\[(?:Internet|Online|online|internet|Preprint)\]|\bPublished online\b)/u,
  );
  if (medium) entry.take({ from: medium.index, to: medium.index + medium[0].length });
  return { ...doi, ...url, accessed };
}

function readAccessed(entry: Masked): Field | null {
  for (const pattern of ACCESSED) {
    const found = entry.find(pattern);
    if (!found) continue;
    const field = entry.field(found, 1);
    entry.take({ from: found.index, to: found.index + found[0].length });
    return field;
  }
  return null;
}

function readDoi(entry: Masked): Pick<TailParts, "doi" | "doiWhole"> {
  const found = entry.find(DOI) ?? entry.find(BROKEN_DOI);
  const field = found && entry.field(found, 2, found[0].length - (found[2]?.length ?? 0));
  if (!found || !field) return { doi: null, doiWhole: null };
  const doi = withoutStop(field);
  const whole = { from: found.index, to: doi.to };
  entry.take(whole);
  return { doi, doiWhole: whole };
}

function readUrl(entry: Masked): Pick<TailParts, "url" | "urlWhole"> {
  const found = entry.find(URL_PATTERN);
  const field = found && entry.field(found, 1);
  if (!found || !field) return { url: null, urlWhole: null };
  const url = withoutStop(field);
  const whole = { from: found.index, to: url.to };
  entry.take(whole);
  return { url, urlWhole: whole };
}

/** An address without the stop of the entry, or a bracket that it did not open. */
function withoutStop(field: Field): Field {
  let { text } = field;
  for (;;) {
    const last = text.at(-1) ?? "";
    const closes = last === ")" && !text.includes("(");
    if (!/[.,;>\]]/.test(last) && !closes) break;
    text = text.slice(0, -1);
  }
  return { from: field.from, to: field.from + text.length, text };
}
