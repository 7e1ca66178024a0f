import { readFileSync } from "node:fs";
import path from "node:path";
import type { Root, RootContent } from "mdast";
import { parseSource, toDocx } from "./markdown-to-docx.ts";

/**
 * A long document for measuring: the sections of the demo sources again and again, in an order that
 * differs from round to round, until it has the words asked for.
 */
export async function longDocument(words: number): Promise<Uint8Array> {
  const sources = ["harbour-siltation.md", "gauge-house-requirements.md", "visitor-leaflet.md"];
  const trees = sources.map((name) =>
    parseSource(readFileSync(path.resolve(import.meta.dirname, "sources", name), "utf8")),
  );
  const notes = trees.flatMap(({ children }) =>
    children.filter((node) => node.type === "footnoteDefinition"),
  );
  const sections = trees.flatMap(sectionsOf);
  const children: RootContent[] = [];
  let count = 0;
  for (let round = 0; count < words; round++) {
    for (let step = 0; step < sections.length && count < words; step++) {
      const section = sections[(step * 7 + round * 5) % sections.length] ?? [];
      children.push(...section);
      count += section.reduce((sum, node) => sum + wordsIn(node), 0);
    }
  }
  return toDocx({ type: "root", children: [...children, ...notes] });
}

function sectionsOf(tree: Root): RootContent[][] {
  const sections: RootContent[][] = [];
  for (const node of tree.children) {
    if (node.type === "yaml" || node.type === "footnoteDefinition") continue;
    if (node.type === "heading" || sections.length === 0) sections.push([]);
    sections.at(-1)?.push(node);
  }
  return sections;
}

function wordsIn(node: RootContent): number {
  if ("value" in node) return node.value.split(/\s+/).filter(Boolean).length;
  if (!("children" in node)) return 0;
  return node.children.reduce((sum, child) => sum + wordsIn(child as RootContent), 0);
}
