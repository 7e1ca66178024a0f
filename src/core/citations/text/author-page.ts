import { NO_NAME } from "./author-date.ts";
import type { Citation, CitationItem } from "./citation.ts";
import { CITED_NAMES, citedNames } from "./cited-names.ts";

const BRACKETS = /\(([^()]{1,300})\)/gu;
const PAGE =
  "(?:pp?\\. ?|pg\\. ?)?(?:[ivxlc]+|\\d+(?:[–-]\\d+)?)(?:, (?:[ivxlc]+|\\d+(?:[–-]\\d+)?))*(?: n\\d*)?";
const ITEM = new RegExp(
  `^\\s*((?:see(?: also)?|qtd\\. in|quoted in|cf\\.|e\\.g\\.,?|and|also) )*(${CITED_NAMES})(?:, ([“"][^”"]+[”"]|[\\p{Lu}][^\\d“”;]*?))?(?:(,? )(${PAGE}))?\\s*$`,
  "u",
);

/** Citations by author and page: names before a page, and names alone where the list knows them. */
export function authorPageCitations(text: string, isFamily: (name: string) => boolean): Citation[] {
  const citations: Citation[] = [];
  for (const found of text.matchAll(BRACKETS)) {
    const items: CitationItem[] = [];
    const alone = PAGE_ALONE.test(found[1] ?? "") ? namedBefore(text, found.index, isFamily) : null;
    if (alone) {
      const to = found.index + found[0].length;
      const pinpoint = { from: found.index + 1, to: to - 1, text: found[1] ?? "" };
      const item = { ...alone, to, pinpoint };
      const whole = text.slice(alone.from, to);
      citations.push({
        kind: "narrative",
        from: alone.from,
        to,
        text: whole,
        items: [item],
        isPlain: false,
      });
      continue;
    }
    let at = found.index + 1;
    let isWhole = true;
    for (const part of (found[1] ?? "").split(";")) {
      const item = readItem(text, at, part, isFamily);
      if (item) items.push(item);
      else isWhole = false;
      at += part.length + 1;
    }
    const isTied = items.some(({ names }) => isFamily(names[0]?.text ?? ""));
    if (items.length === 0 || (!isWhole && !isTied)) continue;
    const isPlain = items.some(
      ({ names, etAl, pinpoint }) =>
        Boolean(pinpoint) && (etAl !== null || names.every((name) => !name.text.includes(" "))),
    );
    if (!isTied && !isPlain) continue;
    const to = found.index + found[0].length;
    citations.push({ kind: "page", from: found.index, to, text: found[0], items, isPlain });
  }
  return citations;
}

const PAGE_ALONE = new RegExp(`^${PAGE}$`, "u");
/** Characters before a page in which the name it is of must be. */
const SENTENCE = 300;
const NAME = /\p{Lu}[\p{L}\p{M}’'-]+/gu;

/** The last name in the sentence before a page alone that the list knows. */
function namedBefore(
  text: string,
  open: number,
  isFamily: (name: string) => boolean,
): Omit<CitationItem, "to" | "pinpoint"> | null {
  const start = Math.max(0, open - SENTENCE);
  const before = text.slice(start, open);
  const sentence = before.search(/[.?!]\s(?=\p{Lu}[^.?!]*$)/u) + 1;
  const names = [...before.matchAll(NAME)].filter(
    ({ 0: name, index }) =>
      index >= sentence && name.length > 2 && isFamily(name.replace(/[’']s?$/u, "")),
  );
  const last = names.at(-1);
  if (!last) return null;
  const from = start + last.index;
  const name = last[0].replace(/[’']s?$/u, "");
  return {
    from,
    names: [{ from, to: from + name.length, text: name }],
    etAl: null,
    isOpen: true,
    abbreviation: null,
    year: null,
    number: null,
    title: null,
    prefix: "",
    isContinued: false,
  };
}

function readItem(
  text: string,
  at: number,
  part: string,
  isFamily: (name: string) => boolean,
): CitationItem | null {
  const found = ITEM.exec(part);
  if (!found) return null;
  const [, prefix = "", names = "", title, , page] = found;
  const from = at + part.indexOf(names, prefix.length);
  let read = citedNames(text, { from, to: from + names.length });
  if (NO_NAME.test(read.names[0]?.text ?? "")) return null;
  // Behind a comma a title follows, for more than two names are shortened.
  const comma = /^([^,]+), (?!and |& |et al|Jr|Sr)(.+)$/u.exec(names);
  const inTitle =
    comma && isFamily(comma[1]?.split(/ (?:and|&) /u)[0] ?? "") ? (comma[2] ?? "") : null;
  if (inTitle !== null && !/, (?:and|&) /u.test(names)) {
    read = citedNames(text, { from, to: from + (comma?.[1]?.length ?? 0) });
  }
  // Names alone are citations only where the list has them.
  if (!page && !isFamily(read.names[0]?.text ?? "")) return null;
  const pinAt = page ? at + part.lastIndexOf(page) : -1;
  return {
    ...read,
    from,
    to: page ? pinAt + page.length : from + names.length,
    abbreviation: null,
    year: null,
    number: null,
    title: title ?? (read.names.length < 3 ? inTitle : null),
    pinpoint: page ? { from: pinAt, to: pinAt + page.length, text: page } : null,
    prefix: prefix.trim(),
    isContinued: false,
  };
}
