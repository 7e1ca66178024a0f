import { escapeAttribute, escapeText } from "../xml/entities.ts";
import type { Operation, ParagraphInsert, Plan } from "./plan.ts";
import { type Part, type Piece, type Run, type SourceBlock, sourceOffset } from "./source.ts";

/** How changes are written: as tracked changes (ISO/IEC 29500-1, clause 17.13.5) or put in place. */
export interface ChangeStyle {
  as: "tracked" | "clean";
  author: string;
  /** ISO 8601, seconds precision. */
  date: string;
}

/** Hands out annotation ids that no part of the document uses. */
export class FreeIds {
  private readonly used = new Set<number>();
  private next = 1;

  /** `sources` of every part that may hold such ids. */
  constructor(sources: readonly string[]) {
    for (const source of sources) {
      for (const match of source.matchAll(/[\s:]id=["'](\d+)["']/g))
        this.used.add(Number(match[1]));
    }
  }

  take(): number {
    while (this.used.has(this.next)) this.next++;
    this.used.add(this.next);
    return this.next;
  }
}

interface Splice {
  from: number;
  to: number;
  /** Builds the replacement; `inner` renders a stretch of the source with the splices inside it. */
  build(inner: (from: number, to: number) => string): string;
}

/** Sources of the parts that change, by name. */
export function renderParts(
  parts: readonly Part[],
  plan: Plan,
  style: ChangeStyle,
  ids: FreeIds,
): Map<string, string> {
  const splices = parts.map((): Splice[] => []);
  const opened = new Map<SourceBlock, ParagraphInsert[]>();
  for (const insert of plan.paragraphs) {
    const { part } = insert.block;
    const source = parts[part]?.source ?? "";
    const xml = new ChangeXml(source, style, ids, insert.block);
    const before = opened.get(insert.block);
    // A self-closing paragraph is opened once, for all that goes into it.
    if (insert.at === null && before) {
      before.push(insert);
      continue;
    }
    const inserts = [insert];
    if (insert.at === null) opened.set(insert.block, inserts);
    splices[part]?.push(paragraphSplice(inserts, insert, xml));
  }
  for (const [run, operations] of plan.operations) {
    const source = parts[run.part]?.source ?? "";
    const xml = new ChangeXml(source, style, ids, run.block);
    splices[run.part]?.push(...runSplices(run, operations, xml));
  }
  const changed = new Map<string, string>();
  for (const [index, part] of parts.entries()) {
    const own = splices[index] ?? [];
    if (own.length > 0) {
      changed.set(part.name, withoutEmptyEdges(renderSource(part.source, own)));
    }
  }
  return changed;
}

/** Stands where another author's insertion is closed and opened again; no XML holds it. */
const EDGE = "\ufffe";
const EMPTY_EDGE = /<([\w:.-]+)(?:\s[^<>]*)?>\ufffe<\/\1>/g;

/** At the edge of another author's insertion nothing would be left between its two tags: no element. */
function withoutEmptyEdges(source: string): string {
  if (!source.includes(EDGE)) return source;
  return source.replace(EMPTY_EDGE, "").replaceAll(EDGE, "");
}

function renderSource(source: string, splices: Splice[]): string {
  const ordered = splices
    .map((splice, order) => ({ splice, order }))
    .sort((a, b) => a.splice.from - b.splice.from || b.splice.to - a.splice.to || a.order - b.order)
    .map(({ splice }) => splice);
  const render = (from: number, to: number): string => {
    let low = 0;
    let high = ordered.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((ordered[middle]?.from ?? 0) < from) low = middle + 1;
      else high = middle;
    }
    const pieces: string[] = [];
    let position = from;
    for (let index = low; index < ordered.length; index++) {
      const splice = ordered[index];
      if (!splice || splice.from > to) break;
      if (splice.from < position || splice.to > to) continue;
      pieces.push(source.slice(position, splice.from), splice.build(render));
      position = splice.to;
    }
    pieces.push(source.slice(position, to));
    return pieces.join("");
  };
  return render(0, source.length);
}

/** A change every two minutes from block to block, lest a reader join insertions across paragraphs. */
const DATE_STEP_MS = 120_000;

/** Writes elements with the prefix, author and date that fit one block. */
class ChangeXml {
  readonly tracked: boolean;
  private readonly date: string;

  constructor(
    readonly source: string,
    private readonly style: ChangeStyle,
    private readonly ids: FreeIds,
    block: SourceBlock,
  ) {
    this.tracked = style.as === "tracked";
    const time = Date.parse(style.date) + (block.ordinal % 2) * DATE_STEP_MS;
    this.date = new Date(time).toISOString().replace(/\.\d+Z$/, "Z");
  }

  /** Run properties of `like`, without the record of their own earlier change. */
  properties(like: Run | null): string {
    if (!like) return "";
    return this.source
      .slice(like.propertiesFrom, like.propertiesTo)
      .replace(/<(\w+:)?rPrChange\b[\s\S]*?<\/(?:\w+:)?rPrChange>/g, "");
  }

  /** Repeated properties must not repeat the id of a recorded change. */
  renumbered(properties: string): string {
    return properties.replace(
      /(<(?:\w+:)?rPrChange\b[^>]*?[\s:]id=["'])\d+/g,
      (_, start: string) => `${start}${this.ids.take()}`,
    );
  }

  inserted(text: string, like: Run | null, prefix: string): string {
    const run = `<${prefix}r>${this.properties(like)}${textElements(text, prefix)}</${prefix}r>`;
    return this.tracked ? `${this.open("ins", prefix)}${run}</${prefix}ins>` : run;
  }

  deleted(run: string, prefix: string): string {
    return this.tracked ? `${this.open("del", prefix)}${run}</${prefix}del>` : "";
  }

  /** Another author's insertion, closed around ours and opened again under a new id. */
  reopened(run: Run): { close: string; open: string } | null {
    const { insertion } = run;
    if (!this.tracked || !insertion?.direct) return null;
    const tag = this.source.slice(insertion.from, insertion.openTo);
    const open = tag.replace(
      /([\s:]id=["'])\d+/,
      (_, start: string) => `${start}${this.ids.take()}`,
    );
    return { close: `</${insertion.tag}>`, open };
  }

  private open(local: "ins" | "del", prefix: string): string {
    const attribute = prefix || "w:";
    const namespace = prefix ? "" : ` xmlns:w="${WORD_NAMESPACE}"`;
    const author = escapeAttribute(this.style.author);
    return `<${prefix}${local}${namespace} ${attribute}id="${this.ids.take()}" ${attribute}author="${author}" ${attribute}date="${this.date}">`;
  }
}

export const WORD_NAMESPACE = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";

/** "w:" of "w:r"; empty where the file makes the namespace its default. */
export function prefixOf(tag: string): string {
  const colon = tag.indexOf(":");
  return colon < 0 ? "" : tag.slice(0, colon + 1);
}

/** Text as children of a run: line breaks and tabs are elements of their own. */
function textElements(text: string, prefix: string): string {
  return text
    .split(/([\t\u2028])/)
    .map((piece) => {
      if (piece === "\t") return `<${prefix}tab/>`;
      if (piece === "\u2028") return `<${prefix}br/>`;
      return piece && `<${prefix}t xml:space="preserve">${escapeText(piece)}</${prefix}t>`;
    })
    .join("");
}

function paragraphSplice(
  inserts: readonly ParagraphInsert[],
  { block, at }: ParagraphInsert,
  xml: ChangeXml,
): Splice {
  const prefix = prefixOf(block.tag);
  const inserted = () => inserts.map(({ text, like }) => xml.inserted(text, like, prefix)).join("");
  if (at !== null) return { from: at, to: at, build: inserted };
  const open = xml.source.slice(block.openFrom, block.openTo).replace(/\s*\/>$/, ">");
  return {
    from: block.openFrom,
    to: block.closeTo,
    build: () => `${open}${inserted()}</${block.tag}>`,
  };
}

function runSplices(run: Run, operations: readonly Operation[], xml: ChangeXml): Splice[] {
  const inPlace = !xml.tracked && operations.every((operation) => fitsInPlace(run, operation));
  if (!inPlace) return [rebuiltRun(run, operations, xml)];
  const pieces = [...new Set(operations.map(({ piece }) => piece))];
  return pieces.map((piece) => {
    const own = operations.filter((operation) => operation.piece === piece);
    return textInPlace(piece, own, xml);
  });
}

/** Whether a clean change is only a change of characters inside one w:t. */
function fitsInPlace(run: Run, operation: Operation): boolean {
  if (operation.kind === "marker") return false;
  if (operation.kind === "delete") return true;
  return (
    operation.piece.kind === "text" && operation.like === run && !/[\t\u2028]/.test(operation.text)
  );
}

/** Where the operations of one piece cut its text, with both ends, in order. */
function cutPoints(length: number, operations: readonly Operation[]): number[] {
  const points = new Set([0, length]);
  for (const operation of operations) {
    if (operation.kind === "delete") points.add(operation.from).add(operation.to);
    else points.add(operation.at);
  }
  return [...points].sort((a, b) => a - b);
}

function isDeleted(operations: readonly Operation[], from: number, to: number): boolean {
  return operations.some(
    (operation) => operation.kind === "delete" && operation.from <= from && operation.to >= to,
  );
}

function textInPlace(piece: Piece, operations: readonly Operation[], xml: ChangeXml): Splice {
  const { segment } = piece;
  if (piece.kind !== "text" || !segment) {
    return { from: piece.from, to: piece.to, build: () => "" };
  }
  const length = segment.to - segment.from;
  const points = cutPoints(length, operations);
  let text = "";
  for (const [index, point] of points.entries()) {
    for (const operation of operations) {
      if (operation.kind === "insert" && operation.at === point) text += escapeText(operation.text);
    }
    const next = points[index + 1];
    if (next === undefined || isDeleted(operations, point, next)) continue;
    text += xml.source.slice(sourceOffset(segment, point), sourceOffset(segment, next));
  }
  const open = xml.source.slice(piece.from, piece.innerFrom);
  if (/xml:space\s*=/.test(open) || !/^\s|\s$/.test(text)) {
    const from = sourceOffset(segment, 0);
    return { from, to: sourceOffset(segment, length), build: () => text };
  }
  const tag = /^<([^\s/>]+)/.exec(open)?.[1] ?? "w:t";
  const rebuilt = `<${tag} xml:space="preserve">${text}</${tag}>`;
  return { from: piece.from, to: piece.to, build: () => rebuilt };
}

/** The run cut into runs: kept pieces, deletions one to a run, insertions between them. */
function rebuiltRun(run: Run, operations: readonly Operation[], xml: ChangeXml): Splice {
  return {
    from: run.from,
    to: run.to,
    build: (inner) => new RunRebuilder(run, operations, xml, inner).build(),
  };
}

class RunRebuilder {
  private readonly prefix: string;
  private readonly openTag: string;
  private readonly properties: string;
  private output = "";
  private kept = "";
  private struck = "";
  private runs = 0;

  constructor(
    private readonly run: Run,
    private readonly operations: readonly Operation[],
    private readonly xml: ChangeXml,
    private readonly inner: (from: number, to: number) => string,
  ) {
    this.prefix = prefixOf(run.tag);
    this.openTag = xml.source.slice(run.from, run.openTo);
    this.properties = xml.source.slice(run.propertiesFrom, run.propertiesTo);
  }

  build(): string {
    for (const piece of this.run.pieces) {
      const own = this.operations.filter((operation) => operation.piece === piece);
      if (own.length === 0) this.keep(this.inner(piece.from, piece.to));
      else this.rebuildPiece(piece, own);
    }
    this.flush();
    return this.output;
  }

  private rebuildPiece(piece: Piece, own: readonly Operation[]): void {
    const length = piece.segment ? piece.segment.to - piece.segment.from : 0;
    const points = cutPoints(length, own);
    for (const [index, point] of points.entries()) {
      for (const operation of own) {
        if (operation.kind === "insert" && operation.at === point) this.insert(operation);
      }
      this.markers(own, point, true);
      this.markers(own, point, false);
      const next = points[index + 1];
      if (next === undefined) break;
      const deleted = isDeleted(own, point, next);
      if (piece.kind === "text") this.text(piece, point, next, length, deleted);
      else if (deleted) this.strike(this.xml.source.slice(piece.from, piece.to));
      else this.keep(this.inner(piece.from, piece.to));
    }
  }

  private text(piece: Piece, from: number, to: number, length: number, deleted: boolean): void {
    const { segment } = piece;
    if (!segment) return;
    const { prefix } = this;
    const raw = this.xml.source.slice(sourceOffset(segment, from), sourceOffset(segment, to));
    if (deleted) this.strike(`<${prefix}delText xml:space="preserve">${raw}</${prefix}delText>`);
    else if (to - from === length) this.keep(this.xml.source.slice(piece.from, piece.to));
    else this.keep(`<${prefix}t xml:space="preserve">${raw}</${prefix}t>`);
  }

  private insert(operation: Operation & { kind: "insert" }): void {
    this.flush();
    const inserted = this.xml.inserted(operation.text, operation.like, this.prefix);
    const around = this.xml.reopened(this.run);
    this.output += around ? `${EDGE}${around.close}${inserted}${around.open}${EDGE}` : inserted;
  }

  private markers(own: readonly Operation[], point: number, closes: boolean): void {
    for (const operation of own) {
      if (operation.kind !== "marker" || operation.at !== point) continue;
      if (operation.closes !== closes) continue;
      this.flush();
      this.output += operation.xml;
    }
  }

  private keep(xml: string): void {
    this.flushStruck();
    this.kept += xml;
  }

  private strike(xml: string): void {
    this.flushKept();
    this.struck += xml;
  }

  private flush(): void {
    this.flushKept();
    this.flushStruck();
  }

  private flushKept(): void {
    if (this.kept) this.output += this.wrapped(this.kept);
    this.kept = "";
  }

  private flushStruck(): void {
    if (this.struck) this.output += this.xml.deleted(this.wrapped(this.struck), this.prefix);
    this.struck = "";
  }

  private wrapped(content: string): string {
    const properties = this.runs++ === 0 ? this.properties : this.xml.renumbered(this.properties);
    return `${this.openTag}${properties}${content}</${this.run.tag}>`;
  }
}
