import { FormatProblem } from "../problem.ts";
import { decode } from "../xml/entities.ts";
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
  const utf16 = bytes[0] === 0xff ? "utf-16le" : bytes[0] === 0xfe ? "utf-16be" : null;
  try {
    return new TextDecoder(utf16 ?? "utf-8", { fatal: true, ignoreBOM: true }).decode(bytes);
  } catch {
    throw new FormatProblem(
      "damaged",
      "A part of this file is not valid Unicode text. Open it in the program it came from and save it again.",
    );
  }
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
