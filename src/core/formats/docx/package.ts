import type { Story } from "../../manuscript/model.ts";
import { FormatProblem } from "../problem.ts";
import { type Archive, openArchive } from "../zip/archive.ts";
import { partText, relationships } from "../zip/parts.ts";
import { readPart } from "./read-part.ts";
import type { Part, SourceBlock } from "./source.ts";

/** The parts of a .docx package (ISO/IEC 29500-2) that hold text, read in reading order. */
export interface DocxPackage {
  archive: Archive;
  /** The main part first, then notes, headers, footers. */
  parts: Part[];
  /** Blocks in reading order, shadows left out. */
  blocks: SourceBlock[];
}

/** Opens a package and reads its text. Throws FormatProblem for anything that is not a .docx. */
export function openPackage(bytes: Uint8Array): DocxPackage {
  const archive = openArchive(bytes);
  let ordinal = 0;
  const parts = textParts(archive).map(({ name, story }, index) =>
    readPart(name, partText(archive, name), story, index, () => ordinal++),
  );
  for (const part of parts) pairShadows(part);
  const blocks = parts.flatMap((part) => part.blocks.filter((block) => !block.shadow));
  return { archive, parts, blocks: withDropCaps(blocks) };
}

const STORIES = new Map<string, Story>([
  ["footnotes", "note"],
  ["endnotes", "note"],
  ["header", "header"],
  ["footer", "footer"],
]);
const READING_ORDER = ["footnotes", "endnotes", "header", "footer"];

function textParts(archive: Archive): { name: string; story: Story }[] {
  const main = relationships(archive, "").find(({ type }) => type === "officeDocument");
  const mainName = main && archive.find(main.target)?.name;
  if (!mainName) throw missingMain();
  const parts: { name: string; story: Story }[] = [{ name: mainName, story: "body" }];
  const related = relationships(archive, mainName).filter(({ type }) => STORIES.has(type));
  related.sort((a, b) => READING_ORDER.indexOf(a.type) - READING_ORDER.indexOf(b.type));
  for (const { type, target } of related) {
    const name = archive.find(target)?.name;
    const story = STORIES.get(type);
    if (name && story && !parts.some((part) => part.name === name)) parts.push({ name, story });
  }
  return parts;
}

function missingMain(): FormatProblem {
  return new FormatProblem(
    "wrong-type",
    "This is a zip file, but no Word-processing document is in it. If it is a folder of files, unpack it and open the document itself.",
  );
}

/** Letters of an initial, with what may be put beside it: more are a paragraph of its own. */
const LONGEST_INITIAL = 8;

/**
 * Joins a drop cap, which is a paragraph of its own, to the paragraph whose word it begins: the runs
 * stay where they are in the source, the text is one.
 */
function withDropCaps(blocks: readonly SourceBlock[]): SourceBlock[] {
  const joined: SourceBlock[] = [];
  let initial: SourceBlock | null = null;
  for (const block of blocks) {
    const short = block.text.length <= LONGEST_INITIAL && /\S$/.test(block.text);
    if (block.dropCap && short && !initial) {
      initial = block;
      continue;
    }
    if (initial && initial.story === block.story && initial.box === block.box && !block.cell) {
      prepend(block, initial);
    } else if (initial) joined.push(initial);
    initial = null;
    joined.push(block);
  }
  if (initial) joined.push(initial);
  return joined;
}

function prepend(block: SourceBlock, initial: SourceBlock): void {
  const by = initial.text.length;
  for (const one of [...block.segments, ...block.spans]) {
    one.from += by;
    one.to += by;
  }
  for (const comment of block.comments) comment.at += by;
  block.text = initial.text + block.text;
  block.segments = [...initial.segments, ...block.segments];
  block.spans = [...initial.spans, ...block.spans];
  block.comments = [...initial.comments, ...block.comments];
}

/** Ties each text box in a Fallback to the same box in the Choice before it, when both say the same. */
function pairShadows(part: Part): void {
  const boxes = new Map<number, SourceBlock[]>();
  for (const block of part.blocks) {
    const group = boxes.get(block.box);
    if (group) group.push(block);
    else boxes.set(block.box, [block]);
  }
  const order = [...boxes.keys()].filter((box) => box > 0);
  for (const [index, box] of order.entries()) {
    const shadows = boxes.get(box) ?? [];
    if (!shadows[0]?.shadow) continue;
    const liveBox = order.slice(0, index).findLast((earlier) => !boxes.get(earlier)?.[0]?.shadow);
    const live = boxes.get(liveBox ?? 0) ?? [];
    const same =
      live.length === shadows.length && live.every((b, i) => b.text === shadows[i]?.text);
    if (!same) continue;
    for (const [i, shadow] of shadows.entries()) shadow.shadowOf = live[i] ?? null;
  }
}
