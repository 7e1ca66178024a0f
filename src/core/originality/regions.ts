import { findLists } from "../citations/find-lists.ts";
import { groupedByBlock, relative } from "../manuscript/by-block.ts";
import type { Block, Manuscript, Range, Span } from "../manuscript/model.ts";
import { comparedWords } from "./words.ts";

/** What a stretch of text is, where that bears on what it shares with sources. */
export type RegionKind = "quoted" | "quoted-uncited" | "reference" | "heading" | "stock";

/** Offsets in the whole text. */
export interface Region {
  kind: RegionKind;
  from: number;
  to: number;
}

/** A block as it is compared: its text, and where it begins in the document. */
export interface ComparedBlock extends Pick<Block, "kind" | "level" | "story" | "from"> {
  text: string;
  /** Offsets in the block's text. */
  spans: readonly Pick<Span, "kind" | "from" | "to">[];
  /** The citations that were read in it, whatever their shape; offsets in the block's text. */
  cites?: readonly Range[];
}

/** The blocks of a document as they are compared. */
export function comparedBlocks({
  text,
  ...layout
}: Pick<Manuscript, "text" | "blocks" | "spans">): ComparedBlock[] {
  return comparedLayout(layout, ({ from, to }) => text.slice(from, to));
}

/** The same where the text is at hand block by block. */
export function comparedLayout(
  { blocks, spans }: { blocks: readonly Block[]; spans: readonly Span[] },
  textOf: (block: Block, index: number) => string,
): ComparedBlock[] {
  const byBlock = groupedByBlock(spans, blocks);
  return blocks.map((block, index) => {
    const { kind, level, story, from } = block;
    return {
      kind,
      ...(level === undefined ? {} : { level }),
      story,
      from,
      text: textOf(block, index),
      spans: relative(byBlock.get(index) ?? [], from),
    };
  });
}

/** A shorter quotation is a term or a title. */
const LEAST_QUOTED = 4;
/** How far behind a quotation its citation may stand, in characters, when its sentence goes on. */
const BEHIND = 220;
/** How far before it a citation that leads in may stand. */
const BEFORE = 160;

/** A citation as it stands beside a quotation: a year, a page, a number, or the note it is in. */
const CITATION =
  /\([^()\n]{0,140}\b(?:(?:1[4-9]|20)\d\d[a-z]?|n\.d\.|in press|forthcoming)\b[^()\n]{0,100}\)|\((?:\s*(?:see|cf\.|qtd\. in)\s+)?\p{Lu}[^()\n]{0,80}?\s\d{1,4}(?:\s?[-–]\s?\d{1,4})?\)|\(\s*(?:pp?\.?\s?)?\d{1,4}(?:\s?[-–]\s?\d{1,4})?\s*\)|\[\d{1,3}(?:\s?[,;–-]\s?\d{1,3})*(?:,?\s[^\]\n]{1,30})?\]|[\u00b9\u00b2\u00b3\u2070\u2074-\u2079]+|\b(?:ibid|op\. cit|loc\. cit)\b|\bart(?:icle|\.)\s\d+|§\s?\d+|\[\^[^\]\s]{1,20}\]/iu;

/** The stretches of a document that are quotations, lists of references, headings or stock phrases. */
export function regionsOf(
  blocks: readonly ComparedBlock[],
  stock: StockPhrases,
  known: RegionCache = new Map(),
): Region[] {
  const regions: Region[] = [];
  for (const { entries } of findLists(blocks, (block) => blocks[block]?.text ?? "")) {
    for (const { block, from, to } of entries)
      regions.push(moved({ kind: "reference", from, to }, blocks[block]?.from ?? 0));
  }
  for (const [index, block] of blocks.entries()) {
    const whole = { from: block.from, to: block.from + block.text.length };
    if (block.kind === "reference" || block.kind === "heading")
      regions.push({ kind: block.kind, ...whole });
    else if (block.kind === "quote")
      regions.push({ kind: isCitedQuote(blocks, index) ? "quoted" : "quoted-uncited", ...whole });
    for (const region of withinBlock(block, stock, known)) regions.push(moved(region, block.from));
  }
  return regions.sort((one, other) => one.from - other.from || one.to - other.to);
}

/** What was found within blocks, by their contents. */
export type RegionCache = Map<string, readonly Region[]>;

function moved({ kind, from, to }: Region, by: number): Region {
  return { kind, from: from + by, to: to + by };
}

function withinBlock(
  block: ComparedBlock,
  stock: StockPhrases,
  known: RegionCache,
): readonly Region[] {
  const anchors = block.spans.filter(({ kind }) => ANCHORS.has(kind)).map(({ from }) => from);
  const cites = (block.cites ?? []).map(({ from }) => from);
  const key = `${block.kind}|${anchors.join()}|${cites.join()}|${block.text}`;
  const found = known.get(key);
  if (found) return found;
  const quotations = block.kind === "quote" ? [] : quotationsIn(block);
  const regions = [...quotations, ...stock.placesIn(block.text)];
  known.set(key, regions);
  return regions;
}

const ANCHORS: ReadonlySet<string> = new Set(["note-anchor", "superscript"]);

function hasAnchor({ spans }: ComparedBlock, from: number, to: number): boolean {
  return spans.some((span) => ANCHORS.has(span.kind) && span.from >= from && span.from <= to);
}

/** A block set off as a quotation: its citation ends it, stands in what leads in, or beneath it. */
function isCitedQuote(blocks: readonly ComparedBlock[], index: number): boolean {
  const block = blocks[index];
  if (!block) return false;
  const before = blocks[index - 1]?.text.slice(-250) ?? "";
  const after = blocks[index + 1]?.text ?? "";
  return (
    CITATION.test(block.text.slice(-200)) ||
    (block.cites ?? []).length > 0 ||
    hasAnchor(block, 0, block.text.length) ||
    CITATION.test(before) ||
    (/^\s*[—–(-]/u.test(after) && after.length < 200)
  );
}

/** The quotations within a block, each with whether a citation stands by it. */
function quotationsIn(block: ComparedBlock): Region[] {
  const { text, cites = [] } = block;
  return quotedRanges(text)
    .filter(({ from, to }) => countWords(text.slice(from, to)) >= LEAST_QUOTED)
    .map(({ from, to }) => {
      const isCited =
        isCitedBehind(text, to, cites) ||
        isCitedBefore(text, from, cites) ||
        hasAnchor(block, from, to + 60);
      return { kind: isCited ? "quoted" : "quoted-uncited", from, to };
    });
}

function isCitedBehind(text: string, at: number, cites: readonly Range[]): boolean {
  const rest = text.slice(at, at + BEHIND);
  const read = cites.find(({ from }) => from >= at && from < at + BEHIND);
  const index = Math.min(CITATION.exec(rest)?.index ?? BEHIND, read ? read.from - at : BEHIND);
  if (index >= BEHIND) return false;
  const between = rest.slice(0, index);
  // One sentence may end between the two, as where the stop stands within the quotation marks.
  return (between.match(/[.!?…]["”’]?\s+\p{Lu}/gu) ?? []).length === 0;
}

function isCitedBefore(text: string, at: number, cites: readonly Range[]): boolean {
  const before = text.slice(Math.max(0, at - BEFORE), at);
  const sentence = before.slice(Math.max(0, before.search(/[.!?]["”’)]?\s+\p{Lu}[^.!?]*$/u)));
  const start = at - sentence.length;
  return CITATION.test(sentence) || cites.some(({ from, to }) => from >= start && to <= at);
}

function countWords(text: string): number {
  return text.split(/\s+/u).filter((word) => /[\p{L}\p{N}]/u.test(word)).length;
}

interface Marks {
  open: RegExp;
  close: RegExp;
}

const BEFORE_OPENING = String.raw`(?<=^|[\s(\[—–-])`;
const BEHIND_CLOSING = String.raw`(?=$|[\s)\].,;:!?—–\u00b9\u00b2\u00b3\u2070-\u2079-])`;
/** Pairs of quotation marks, those that say most first. */
const PAIRS: readonly Marks[] = [
  { open: /“/gu, close: /”/gu },
  { open: /[«»]/gu, close: /[«»]/gu },
  { open: /„/gu, close: /[“”]/gu },
  { open: new RegExp(`${BEFORE_OPENING}"(?=\\S)`, "gu"), close: /(?<=\S)"/gu },
  {
    open: new RegExp(`${BEFORE_OPENING}‘(?=\\S)`, "gu"),
    close: new RegExp(`(?<=[\\p{L}\\p{N}.,!?…”])’${BEHIND_CLOSING}`, "gu"),
  },
  {
    open: new RegExp(`${BEFORE_OPENING}'(?=\\S)`, "gu"),
    close: new RegExp(`(?<=[\\p{L}\\p{N}.,!?…])'${BEHIND_CLOSING}`, "gu"),
  },
];

/** What stands between quotation marks, the outermost only; a quotation that goes on in the next block ends here. */
export function quotedRanges(text: string): { from: number; to: number }[] {
  const ranges: { from: number; to: number }[] = [];
  const isFree = (at: number) => !ranges.some(({ from, to }) => at >= from && at < to);
  for (const { open, close } of PAIRS) {
    let at = 0;
    for (;;) {
      open.lastIndex = at;
      const start = open.exec(text);
      if (!start) break;
      at = start.index + 1;
      if (!isFree(start.index)) continue;
      close.lastIndex = at;
      let end = close.exec(text);
      while (end && !isFree(end.index)) end = close.exec(text);
      // Only a paragraph that opens with a mark goes on in the next without closing it.
      if (!end && (start[0] !== "“" || start.index > 0)) continue;
      const to = end ? end.index + 1 : text.length;
      ranges.push({ from: start.index, to });
      at = to;
    }
  }
  return ranges.sort((one, other) => one.from - other.from);
}

/** Phrases that belong to nobody, looked for whatever their case and punctuation. */
export class StockPhrases {
  /** By the hash of the first word: the hashes of the whole phrase. */
  private readonly phrases = new Map<number, Uint32Array[]>();

  /** @param lines One phrase a line; lines that begin with “#” tell of the others. */
  constructor(lines: string) {
    for (const line of lines.split("\n")) {
      if (line.trim() === "" || line.startsWith("#")) continue;
      const { hashes } = comparedWords(line);
      const [first = 0] = hashes;
      const known = this.phrases.get(first);
      if (known) known.push(hashes);
      else this.phrases.set(first, [hashes]);
    }
  }

  placesIn(text: string): Region[] {
    const places: Region[] = [];
    const { hashes, from, to } = comparedWords(text);
    for (let word = 0; word < hashes.length; word++) {
      const phrases = this.phrases.get(hashes[word] ?? 0) ?? [];
      const found = phrases.find((phrase) =>
        phrase.every((hash, at) => hashes[word + at] === hash),
      );
      if (!found) continue;
      const last = word + found.length - 1;
      places.push({ kind: "stock", from: from[word] ?? 0, to: to[last] ?? 0 });
      word = last;
    }
    return places;
  }
}
