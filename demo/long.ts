import { readFileSync } from "node:fs";
import path from "node:path";
import type { Root, RootContent } from "mdast";
import { parseSource, toDocx } from "./markdown-to-docx.ts";

/**
 * A long document for measuring: the sections of the demo sources again and again, until it has the
 * words asked for. Order, sentences and figures differ from round to round, so that no paragraph
 * comes twice and nothing is gained by remembering one.
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
      children.push(...section.map((node) => varied(node, round)));
      count += section.reduce((sum, node) => sum + wordsIn(node), 0);
    }
  }
  return toDocx({ type: "root", children: [...children, ...notes] });
}

/** A copy with its sentences turned round by `round` places and its figures moved on as far. */
function varied<N extends RootContent>(node: N, round: number): N {
  const copy = structuredClone(node);
  const visit = (one: RootContent) => {
    if (one.type === "text") one.value = variedText(one.value, round);
    else if ("children" in one) for (const child of one.children) visit(child as RootContent);
  };
  if (round > 0) visit(copy);
  return copy;
}

function variedText(text: string, round: number): string {
  const sentences = text.split(/(?<=\.) (?=[A-Z])/);
  const turn = round % sentences.length;
  const turned = [...sentences.slice(turn), ...sentences.slice(0, turn)].join(" ");
  const numbered = turned.replace(/\d/g, (digit) => String((Number(digit) + round) % 10));
  return numbered.length > 60 ? `${numbered} This is reading ${round}.` : numbered;
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
