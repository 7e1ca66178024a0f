import { FormatProblem } from "../problem.ts";
import { decode, withoutCdata } from "../xml/entities.ts";
import { attribute, scanXml } from "../xml/scan.ts";
import type { Archive } from "./archive.ts";

/** Parts of an Open Packaging Conventions file (ISO/IEC 29500-2) and how they point at each other. */

export interface Relationship {
  id: string;
  /** Last segment of the relationship's type, such as "styles". */
  type: string;
  /** Name of the part it points at. */
  target: string;
}

/** A part as a string; UTF-8 or UTF-16, its byte order mark kept. */
export function partText(archive: Archive, name: string): string {
  const bytes = archive.read(name);
  if (!bytes) {
    throw new FormatProblem(
      "damaged",
      "A part of this file is missing. Open it in the program it came from and save it again.",
    );
  }
  const encoding = encodingOf(bytes);
  const known = encodings.get(archive) ?? new Map<string, PartEncoding>();
  encodings.set(archive, known.set(name, encoding));
  try {
    const source = new TextDecoder(encoding, { fatal: true, ignoreBOM: true }).decode(bytes);
    return withoutCdata(source);
  } catch {
    throw new FormatProblem(
      "damaged",
      "A part of this file is not valid Unicode text. Open it in the program it came from and save it again.",
    );
  }
}

type PartEncoding = "utf-8" | "utf-16le" | "utf-16be";

/** How the parts that were read are encoded. */
const encodings = new WeakMap<Archive, Map<string, PartEncoding>>();

/** By the byte order mark, or by the first "<" where there is none (XML 1.0, appendix F). */
function encodingOf(bytes: Uint8Array): PartEncoding {
  if (bytes[0] === 0xff || (bytes[0] === 0x3c && bytes[1] === 0)) return "utf-16le";
  return bytes[0] === 0xfe || (bytes[0] === 0 && bytes[1] === 0x3c) ? "utf-16be" : "utf-8";
}

/** Parts as bytes, each in the encoding it was read in, which its declaration may name; new ones in UTF-8. */
export function encodeParts(
  archive: Archive,
  sources: ReadonlyMap<string, string>,
): Map<string, Uint8Array> {
  const encoder = new TextEncoder();
  const encoded = new Map<string, Uint8Array>();
  for (const [name, source] of sources) {
    const encoding = encodings.get(archive)?.get(name) ?? "utf-8";
    encoded.set(
      name,
      encoding === "utf-8" ? encoder.encode(source) : utf16(source, encoding === "utf-16le"),
    );
  }
  return encoded;
}

function utf16(text: string, little: boolean): Uint8Array {
  const bytes = new Uint8Array(text.length * 2);
  const view = new DataView(bytes.buffer);
  for (let at = 0; at < text.length; at++) view.setUint16(at * 2, text.charCodeAt(at), little);
  return bytes;
}

/** Relationships of a part, or of the package for the empty name; external targets left out. */
export function relationships(archive: Archive, partName: string): Relationship[] {
  const folder = partName.slice(0, partName.lastIndexOf("/") + 1);
  const name = `${folder}_rels/${partName.slice(folder.length)}.rels`;
  if (!archive.find(name)) return [];
  const source = partText(archive, name);
  const found: Relationship[] = [];
  scanXml(source, {
    open(element, _tag, from, to) {
      if (element !== "rel:Relationship") return;
      if (attribute(source, from, to, "TargetMode") === "External") return;
      const type = attribute(source, from, to, "Type") ?? "";
      found.push({
        id: attribute(source, from, to, "Id") ?? "",
        type: type.slice(type.lastIndexOf("/") + 1),
        target: resolveTarget(folder, attribute(source, from, to, "Target") ?? ""),
      });
    },
    close() {},
  });
  return found;
}

/** The part of this relationship type that the main part points at; undefined when absent. */
export function relatedPart(archive: Archive, mainName: string, type: string): string | undefined {
  const related = relationships(archive, mainName).find((one) => one.type === type);
  return related ? archive.find(related.target)?.name : undefined;
}

function resolveTarget(folder: string, target: string): string {
  if (target.startsWith("/")) return decodeName(target.slice(1));
  const segments = folder.split("/").filter(Boolean);
  for (const segment of target.split("/")) {
    if (segment === "..") segments.pop();
    else if (segment !== ".") segments.push(segment);
  }
  return decodeName(segments.join("/"));
}

function decodeName(name: string): string {
  try {
    return decodeURI(decode(name));
  } catch {
    return name;
  }
}
