import type { Block } from "../manuscript/model.ts";
import { guessStyle } from "./guess-style.ts";

/** One entry as it stands in the document; offsets in its block's text. */
export interface EntryPlace {
  block: number;
  from: number;
  to: number;
}

/** A reference list of a document. */
export interface FoundList {
  /** The block of its heading; null where it is told by its shape. */
  heading: number | null;
  /** The words of its heading. */
  title: string;
  entries: readonly EntryPlace[];
}

const HEADING =
  /^\s*(?:(?:\d+|[A-Z]|[IVX]+)(?:\.\d+)*[.)]?\s+)?(?:#+\s*)?(references?|reference list|list of references|references cited|cited references|works? cited|bibliography|select(?:ed)? bibliography|literature|literature cited|cited literature|sources|further reading|list of works cited)\s*[:.]?\s*$/iu;
/** Headings behind a list that has no level to end by. */
const BEHIND =
  /^\s*(?:(?:\d+|[A-Z])\.?\s+)?(?:appendix|appendices|acknowledge?ments?|notes?|annex|tables?|figures?|index|about the authors?|author contributions|funding|supplementary|glossary|abbreviations)\b[^.]{0,60}$/iu;
/** So many blocks in a row are a list by their shape. */
const BY_SHAPE = 4;
/** Of what speaks for any style, so much must speak for one. */
const SHARE = 0.2;
const ENTRY_START =
  /^\s*(?:\[\d{1,4}\]|\d{1,3}\.\s|[—–-]{3}|\p{Lu}[\p{L}’'-]*|(?:van|von|de|der|den|del|la|le|di|da|al-|d[’'])[\s\p{Lu}])/u;

/** The reference lists of a document, in order. */
export function findLists(
  blocks: readonly Pick<Block, "kind" | "level" | "story">[],
  textOf: (block: number) => string,
): FoundList[] {
  const lists: FoundList[] = [];
  for (let at = 0; at < blocks.length; at++) {
    const text = textOf(at);
    const [line = ""] = text.split(/[\n\u2028]/u);
    const found = line.length < 80 ? HEADING.exec(line) : null;
    if (!found || blocks[at]?.story === "note") continue;
    // A heading may be the first line of the list itself.
    const entries = entriesIn(at, text, line.length);
    let next = at + 1;
    for (; next < blocks.length; next++) {
      const block = blocks[next];
      if (!block || endsList(block, textOf(next), entries.length)) break;
      if (block.story === "body") entries.push(...entriesIn(next, textOf(next)));
    }
    if (entries.length > 0 && mayBeList(entries, textOf)) {
      lists.push({ heading: at, title: found[1] ?? text, entries });
      at = next - 1;
    }
  }
  return lists.length > 0 ? lists : byShape(blocks, textOf);
}

function endsList(
  { kind, story }: Pick<Block, "kind" | "story">,
  text: string,
  entries: number,
): boolean {
  if (kind === "heading") return true;
  if (story !== "body") return false;
  return entries > 0 && text.length < 80 && (BEHIND.test(text) || HEADING.test(text));
}

/** Whether most of what stands under such a heading looks like entries. */
function mayBeList(entries: readonly EntryPlace[], textOf: (block: number) => string): boolean {
  const dated = entries.filter(({ block, from, to }) =>
    /\b(?:1[4-9]|20)\d\d[a-z]?\b|n\.d\.|in press/u.test(textOf(block).slice(from, to)),
  );
  return dated.length * 2 >= entries.length;
}

/** A block is an entry; one of several lines may be several. What is before `from` is none. */
function entriesIn(block: number, text: string, from = 0): EntryPlace[] {
  if (text.slice(from).trim() === "") return [];
  const lines = [...text.matchAll(/[^\n\u2028]+/gu)].filter(
    ({ 0: line, index }) => index >= from && line.trim() !== "",
  );
  const starts = lines.filter(
    ([line], at) => at === 0 || startsEntry(line, lines[at - 1]?.[0] ?? "", lines[0]?.[0] ?? ""),
  );
  return starts.map((line, at) => {
    const next = starts[at + 1];
    const raw = { from: line.index, to: next ? next.index : text.length };
    return { block, ...trimmed(text, raw) };
  });
}

/** Whether a line begins another entry, rather than going on with the one before. */
function startsEntry(line: string, before: string, first: string): boolean {
  const numbered = /^\s*(?:\[\d{1,4}\]|\d{1,3}[.)]\s)/u;
  if (numbered.test(first)) return numbered.test(line);
  if (/^\s{2,}|^\t/u.test(line) && !/^\s/u.test(first)) return false;
  if (!ENTRY_START.test(line)) return false;
  const ended = /(?:[.”)\]]|https?:\S+|doi\S+|10\.\d{4}\S+)\s*$/u.test(before);
  const opens =
    /^[^(“"]{2,300}?\(?(?:(?:1[4-9]|20)\d\d[a-z]?|n\.d\.|in press)\b/u.test(line) ||
    /^[\p{L}’' -]+,\s\p{Lu}/u.test(line) ||
    /^(?:\p{Lu}\.\s?)+[\p{L}’'-]+/u.test(line) ||
    /^[—–-]{3}/u.test(line);
  return ended && opens;
}

function trimmed(
  text: string,
  { from, to }: { from: number; to: number },
): { from: number; to: number } {
  let start = from;
  let end = to;
  while (start < end && /\s/.test(text[start] ?? "")) start++;
  while (end > start && /\s/.test(text[end - 1] ?? "")) end--;
  return { from: start, to: end };
}

/** A run of blocks at the end of a document that all look like entries, without a heading. */
function byShape(
  blocks: readonly Pick<Block, "kind" | "story">[],
  textOf: (block: number) => string,
): FoundList[] {
  let last = blocks.length - 1;
  while (last >= 0 && (textOf(last).trim() === "" || blocks[last]?.story !== "body")) last--;
  const run: number[] = [];
  for (let at = last; at >= 0; at--) {
    if (textOf(at).trim() === "") continue;
    if (!looksLikeEntry(textOf(at))) break;
    run.unshift(at);
  }
  if (run.length < BY_SHAPE) return [];
  const entries = run.map((block) => ({
    block,
    ...trimmed(textOf(block), { from: 0, to: textOf(block).length }),
  }));
  return [{ heading: null, title: "", entries }];
}

function looksLikeEntry(text: string): boolean {
  if (text.length < 30 || text.length > 700 || !ENTRY_START.test(text)) return false;
  if (!/\b(?:1[4-9]|20)\d\d[a-z]?\b/u.test(text)) return false;
  const guess = guessStyle([text.replaceAll(/\s+/g, " ")]);
  if (!guess || guess.share < SHARE) return false;
  return (
    guess.evidence.length > 1 || /^(?:\p{Lu}[\p{L}’'-]+, \p{Lu}\.|[^.]{3,80}\. \()/u.test(text)
  );
}
