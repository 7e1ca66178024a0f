import { type Assembled, assemble, type RawBlock } from "../assemble.ts";
import { MOST_BLOCKS, tooMuch } from "../problem.ts";
import { SourceMap } from "../source-map.ts";

/** How the lines of a plain text file make blocks, and where each character came from. */
export interface TextLayout extends Assembled {
  map: SourceMap;
  /** Where text goes in each block if it is empty: the source offset of its start. */
  starts: number[];
}

interface Line {
  /** Text without indent and trailing blanks: source[from, to). */
  from: number;
  to: number;
}

/** A line this long or longer looks wrapped; shorter lines in a paragraph end where they end. */
const WRAP_FROM = 45;
/** Common practice wraps plain text at 65 to 80 columns; leave room for long words and quoting. */
const WRAP_TO = 100;

const ITEM = /^(?:([-*•–])|(\(?(?:\d{1,3}|[a-z]|[ivx]{1,4})[.)]))\s+/;
/** A line that begins an entry of a list of references: a number in brackets, or inverted names, or a name before a year. */
const ENTRY =
  /^(?:\[\d{1,4}\]\s|(?:\p{Ll}{1,3}\s){0,2}\p{Lu}[\p{L}’'-]+(?:\s\p{Lu}[\p{L}’'-]+)?, (?:\p{Lu}\.|\p{Lu}\p{Ll}+(?:\s\p{Lu}\.)?[.,]\s)|[^.()]{3,80}\. \((?:(?:1[4-9]|20)\d\d|n\.d\.)|[—–-]{3}[.,]\s)/u;
/** How an entry ends: with a stop, or an address. */
const ENTRY_END = /(?:[.)\]”"]|(?:https?:\/\/|doi:|10\.\d{4,9}\/)\S+)$/u;
/** Below a quotation, who said it. */
const SPOKEN_BY = /^(?:--|[—–―])\s*\p{Lu}/u;
const UNDERLINE = /^(?:={3,}|-{3,}|~{3,})$/;

/** Lays out a file whose line ends are "\n". */
export function layOutText(source: string): TextLayout {
  const groups = paragraphs(source);
  const wrapped = isHardWrapped(groups);
  const raw: RawBlock[] = [];
  const origins: Line[][] = [];
  const add = (lines: Line[], block: Omit<RawBlock, "text" | "story" | "spans">) => {
    if (raw.length >= MOST_BLOCKS) throw tooMuch();
    const text = lines.map(({ from, to }) => source.slice(from, to)).join(" ");
    raw.push({ ...block, text, story: "body", spans: [] });
    origins.push(lines);
  };
  for (const group of groups) {
    const lines = group.filter(({ from, to }) => !UNDERLINE.test(source.slice(from, to)));
    const underlined = lines.length < group.length && group.length === 2;
    const first = lines[0];
    if (!first) continue;
    const text = source.slice(first.from, first.to);
    if (lines.length === 1 && (underlined || isShouted(text)))
      add(lines, { kind: "heading", level: 1 });
    else {
      const least = wrapped ? WRAP_FROM : leastWrapped(source, lines);
      for (const block of split(source, lines, least)) add(block.lines, block.props);
    }
  }
  const assembled = assemble(raw);
  const map = new SourceMap(assembled.text.length);
  for (const [index, lines] of origins.entries()) {
    let at = assembled.blocks[index]?.from ?? 0;
    for (const [order, line] of lines.entries()) {
      const before = lines[order - 1];
      if (before) map.set(at++, before.to, line.from);
      for (let offset = line.from; offset < line.to; offset++) map.set(at++, offset, offset + 1);
    }
  }
  return { ...assembled, map, starts: origins.map((lines) => lines[0]?.from ?? 0) };
}

function paragraphs(source: string): Line[][] {
  const groups: Line[][] = [];
  let group: Line[] = [];
  let position = 0;
  while (position <= source.length) {
    const newline = source.indexOf("\n", position);
    const end = newline < 0 ? source.length : newline;
    let from = position;
    let to = end;
    while (from < to && isBlank(source.charCodeAt(from))) from++;
    while (to > from && isBlank(source.charCodeAt(to - 1))) to--;
    if (to > from) group.push({ from, to });
    else if (group.length > 0) {
      groups.push(group);
      group = [];
    }
    position = end + 1;
  }
  if (group.length > 0) groups.push(group);
  return groups;
}

function isBlank(code: number): boolean {
  return code === 32 || code === 9 || code === 12 || code === 0xa0;
}

function isHardWrapped(groups: readonly Line[][]): boolean {
  let full = 0;
  let others = 0;
  for (const group of groups) {
    for (const { from, to } of group.slice(0, -1)) {
      if (to - from >= WRAP_FROM && to - from <= WRAP_TO) full++;
      else others++;
    }
  }
  return full > others;
}

/**
 * How long the lines of a wrapped paragraph are at the least, wherever it stands: lines of much the same
 * length, one of which goes on in small letters; of a narrow one, after a word that ends no line by
 * itself. Infinity where lines end where they end.
 */
function leastWrapped(source: string, all: readonly Line[]): number {
  const named = all.findIndex(({ from, to }) => SPOKEN_BY.test(source.slice(from, to)));
  const lines = named < 0 ? all : all.slice(0, named);
  let longest = 0;
  let shortest = Number.POSITIVE_INFINITY;
  for (const { from, to } of lines.slice(0, -1)) {
    longest = Math.max(longest, to - from);
    shortest = Math.min(shortest, to - from);
  }
  const none = Number.POSITIVE_INFINITY;
  if (lines.length < 2 || longest > WRAP_TO || longest - shortest > RAGGED) return none;
  if (shortest < NARROW_FROM) return none;
  const isWide = shortest >= WRAP_FROM;
  const goesOn = lines.slice(1).some(({ from }, index) => {
    const before = lines[index];
    if (!before || !/\p{Ll}/u.test(source[from] ?? "")) return false;
    return isWide || LEADS_ON.test(source.slice(before.from, before.to));
  });
  if (!goesOn) return none;
  return isWide ? WRAP_FROM : shortest;
}
/** By how much the lines of a wrapped paragraph may differ. */
const RAGGED = 25;
/** Of a narrow column, as of a quotation that is set in, a line has this many characters at the least. */
const NARROW_FROM = 18;
/** A word that a phrase is left open with. */
const LEADS_ON =
  /\s(?:an?|the|of|to|in|on|at|by|for|from|with|and|or|but|is|are|was|were|be|been|has|have|had|will|would|can|could|may|might|must|should|not|that|who|which|when|as|than|his|her|its|their|our|your|my)$/u;

function isShouted(text: string): boolean {
  return text.length < 80 && /\p{Lu}{3}/u.test(text) && !/\p{Ll}/u.test(text);
}

interface TextBlock {
  lines: Line[];
  props: Omit<RawBlock, "text" | "story" | "spans">;
}

/** The blocks of a paragraph's lines, of which one goes on after another that is no shorter than `least`. */
function split(source: string, lines: readonly Line[], least: number): TextBlock[] {
  const blocks: TextBlock[] = [];
  let previous: Line | undefined;
  for (const line of lines) {
    const text = source.slice(line.from, line.to);
    const item = ITEM.exec(text);
    const last = blocks.at(-1);
    const begins =
      previous !== undefined &&
      (ENTRY.test(text) || SPOKEN_BY.test(text)) &&
      ENTRY_END.test(source.slice(previous.from, previous.to));
    const continues = last && !item && !begins && previous && previous.to - previous.from >= least;
    if (continues) last.lines.push(line);
    else if (item) {
      const marker = item[1] ? "•" : (item[2] ?? "");
      const inner = { from: line.from + item[0].length, to: line.to };
      blocks.push({ lines: [inner], props: { kind: "item", level: 1, marker } });
    } else blocks.push({ lines: [line], props: { kind: "paragraph" } });
    previous = line;
  }
  return blocks;
}
