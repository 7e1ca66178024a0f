import type { FileComment } from "../../manuscript/model.ts";
import { decodeWithOffsets, escapeAttribute, escapeText } from "../xml/entities.ts";
import { attribute, scanXml } from "../xml/scan.ts";
import { partText, relationships } from "../zip/parts.ts";
import type { DocxPackage } from "./package.ts";
import { addOperation, blockAt, type Plan } from "./plan.ts";
import { type FreeIds, prefixOf, WORD_NAMESPACE } from "./render.ts";
import type { Segment, SourceBlock } from "./source.ts";

/** A question to the author about the original text [from, to), written as a comment. */
export interface Query {
  from: number;
  to: number;
  text: string;
}

interface Comment {
  id: number;
  text: string;
}

/**
 * Plans the range markers of each query. A query in a note is anchored at the note's number in the
 * body, since the format allows no comments in notes; one in a header or footer cannot be anchored.
 * Returns the comments to write and the queries that found no place.
 */
export function planComments(
  docx: DocxPackage,
  plan: Plan,
  queries: readonly Query[],
  ids: FreeIds,
): { comments: Comment[]; unplaced: Query[] } {
  const comments: Comment[] = [];
  const unplaced: Query[] = [];
  for (const query of queries) {
    const id = ids.take();
    if (planComment(docx, plan, query, id)) comments.push({ id, text: query.text });
    else unplaced.push(query);
  }
  return { comments, unplaced };
}

function planComment(docx: DocxPackage, plan: Plan, query: Query, id: number): boolean {
  const block = blockAt(docx.blocks, query.from);
  if (!block) return false;
  const place =
    block.note === null ? placeInBody(block, query) : placeAtReference(docx, block.note);
  if (!place) return false;
  const { first, firstAt, last, lastAt } = place;
  const prefix = prefixOf(first.run.tag);
  const name = prefix || "w:";
  const namespace = prefix ? "" : ` xmlns:w="${WORD_NAMESPACE}"`;
  const element = (local: string) => `<${prefix}${local}${namespace} ${name}id="${id}"/>`;
  const start = element("commentRangeStart");
  const end = `${element("commentRangeEnd")}<${prefix}r>${element("commentReference")}</${prefix}r>`;
  // A range of no width is one place: its end must not come before its start.
  if (query.to <= query.from) {
    const { run, piece } = first;
    addOperation(plan, run, { kind: "marker", piece, at: firstAt, closes: true, xml: start + end });
    return true;
  }
  addOperation(plan, first.run, {
    kind: "marker",
    piece: first.piece,
    at: firstAt,
    closes: false,
    xml: start,
  });
  addOperation(plan, last.run, {
    kind: "marker",
    piece: last.piece,
    at: lastAt,
    closes: true,
    xml: end,
  });
  return true;
}

interface Place {
  first: Segment;
  firstAt: number;
  last: Segment;
  lastAt: number;
}

function placeInBody(block: SourceBlock, query: Query): Place | null {
  if (block.story !== "body") return null;
  const from = query.from - block.at;
  const to = Math.min(query.to - block.at, block.text.length);
  const anchors = block.segments.filter(({ run }) => !run.equation);
  const first = anchors.find((segment) => segment.to > from) ?? anchors.at(-1);
  const last = anchors.findLast((segment) => segment.from < to) ?? first;
  if (!first || !last) return null;
  return {
    first,
    firstAt: Math.min(Math.max(0, from - first.from), first.to - first.from),
    last,
    lastAt: Math.max(0, Math.min(last.to, to) - last.from),
  };
}

/** The text just before the note's number in the body. */
function placeAtReference(docx: DocxPackage, note: string): Place | null {
  for (const block of docx.blocks) {
    if (block.story !== "body") continue;
    const anchor = block.spans.find((span) => span.kind === "note-anchor" && span.label === note);
    if (!anchor) continue;
    const anchors = block.segments.filter(({ run }) => !run.equation);
    const segment = anchors.findLast((one) => one.from < anchor.from) ?? anchors[0];
    if (!segment) return null;
    const end = segment.to - segment.from;
    return { first: segment, firstAt: 0, last: segment, lastAt: end };
  }
  return null;
}

/** Adds the comments to the package's parts: new part, relationship and content type where missing. */
export function writeComments(
  docx: DocxPackage,
  comments: readonly Comment[],
  author: string,
  date: string,
): Map<string, string> {
  const changed = new Map<string, string>();
  const main = docx.parts[0];
  if (comments.length === 0 || !main) return changed;
  const { archive } = docx;
  const strict = main.source.includes(STRICT_NAMESPACE);
  const namespace = strict ? STRICT_NAMESPACE : WORD_NAMESPACE;
  const existing = relationships(archive, main.name).find(({ type }) => type === "comments");
  const existingName = existing && archive.find(existing.target)?.name;
  const body = comments.map((one) => commentXml(one, namespace, author, date)).join("");
  if (existingName) {
    changed.set(existingName, withinRoot(partText(archive, existingName), body));
    return changed;
  }
  const folder = main.name.slice(0, main.name.lastIndexOf("/") + 1);
  let name = `${folder}comments.xml`;
  for (let count = 2; archive.find(name); count++) name = `${folder}comments${count}.xml`;
  changed.set(
    name,
    `<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n<w:comments xmlns:w="${namespace}">${body}</w:comments>`,
  );
  const relsName = `${folder}_rels/${main.name.slice(folder.length)}.rels`;
  const stored = archive.find(relsName)?.name;
  const rels = stored ? partText(archive, stored) : EMPTY_RELATIONSHIPS;
  const taken = new Set(relationships(archive, main.name).map(({ id }) => id));
  let id = "rIdQueries";
  for (let count = 2; taken.has(id); count++) id = `rIdQueries${count}`;
  const type = `${strict ? STRICT_RELATIONSHIPS : RELATIONSHIPS}/comments`;
  changed.set(
    stored ?? relsName,
    withinRoot(
      rels,
      `<Relationship Id="${id}" Type="${type}" Target="${name.slice(folder.length)}"/>`,
    ),
  );
  const types = archive.find("[Content_Types].xml")?.name ?? "[Content_Types].xml";
  changed.set(
    types,
    withinRoot(
      partText(archive, types),
      `<Override PartName="/${name}" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.comments+xml"/>`,
    ),
  );
  return changed;
}

const STRICT_NAMESPACE = "http://purl.oclc.org/ooxml/wordprocessingml/main";
const RELATIONSHIPS = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
const STRICT_RELATIONSHIPS = "http://purl.oclc.org/ooxml/officeDocument/relationships";
const EMPTY_RELATIONSHIPS =
  '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"></Relationships>';

/** Puts children at the end of the root element, whatever follows it; it may be prefixed or self-closing. */
function withinRoot(source: string, children: string): string {
  let depth = 0;
  let end = { from: 0, to: 0, tag: "", empty: false };
  let opening = { from: 0, to: 0, selfClosing: false };
  scanXml(source, {
    open(_name, _tag, from, to, selfClosing) {
      if (depth++ === 0) opening = { from, to, selfClosing };
    },
    close(_name, tag, from, to) {
      if (--depth === 0) end = { from, to, tag, empty: opening.selfClosing };
    },
  });
  const prefix = prefixOf(end.tag);
  const prefixed = children.replace(/<(Relationship|Override) /g, `<${prefix}$1 `);
  if (!end.empty) return source.slice(0, end.from) + prefixed + source.slice(end.from);
  const open = source.slice(opening.from, opening.to).replace(/\s*\/>$/, ">");
  return `${source.slice(0, opening.from)}${open}${prefixed}</${end.tag}>${source.slice(opening.to)}`;
}

/** The file's own comments, with the places of the text they are about. */
export function readComments(docx: DocxPackage): FileComment[] {
  const source = commentsSource(docx);
  if (source === "") return [];
  const places = new Map<string, number>();
  for (const block of docx.blocks) {
    for (const { id, at } of block.comments) places.set(id, block.at + at);
  }
  const comments: FileComment[] = [];
  let open: { id: string; author: string; paragraphs: string[] } | null = null;
  let textFrom = -1;
  scanXml(source, {
    open(name, _tag, from, to, selfClosing) {
      if (name === "w:comment") {
        const id = attribute(source, from, to, "id") ?? "";
        open = { id, author: attribute(source, from, to, "author") ?? "", paragraphs: [] };
      } else if (name === "w:p" && open) open.paragraphs.push("");
      else if (name === "w:t" && !selfClosing) textFrom = to;
    },
    close(name, _tag, from) {
      if (name === "w:t" && textFrom >= 0 && open) {
        const { text } = decodeWithOffsets(source, textFrom, from);
        const last = Math.max(0, open.paragraphs.length - 1);
        open.paragraphs[last] = (open.paragraphs[last] ?? "") + text;
        textFrom = -1;
      } else if (name === "w:comment" && open) {
        const { id, author, paragraphs } = open;
        comments.push({ author, text: paragraphs.join("\n").trim(), at: places.get(id) ?? null });
        open = null;
      }
    },
  });
  return comments;
}

/** The part that holds the file's own comments; "" where there is none. */
export function commentsSource({ archive, parts }: DocxPackage): string {
  const existing = relationships(archive, parts[0]?.name ?? "").find(
    ({ type }) => type === "comments",
  );
  const name = existing && archive.find(existing.target)?.name;
  return name ? partText(archive, name) : "";
}

function commentXml(
  { id, text }: Comment,
  namespace: string,
  author: string,
  date: string,
): string {
  const initials = author
    .split(/\s+/)
    .map((word) => word[0] ?? "")
    .join("");
  const paragraphs = text
    .split("\n")
    .map((line) => `<w:p><w:r><w:t xml:space="preserve">${escapeText(line)}</w:t></w:r></w:p>`);
  return `<w:comment xmlns:w="${namespace}" w:id="${id}" w:author="${escapeAttribute(author)}" w:date="${date}" w:initials="${escapeAttribute(initials)}">${paragraphs.join("")}</w:comment>`;
}
