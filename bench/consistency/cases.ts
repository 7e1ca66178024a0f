import { readFileSync } from "node:fs";
import path from "node:path";
import { loadLanguage } from "../../src/command/checking.ts";
import { readDocument } from "../../src/core/formats/document.ts";
import type { Manuscript, Range } from "../../src/core/manuscript/model.ts";

/** A text in which one place is at odds with the others. */
export interface Case {
  kind: string;
  half: "tune" | "test";
  manuscript: Manuscript;
  /** The odd place, in the manuscript's text. */
  odd: Range;
  /** What it should become; null where that is not one thing. */
  right: string | null;
}

const DATA = path.resolve(import.meta.dirname, "../data/consistency");

/** Paragraphs without anything that stands in several forms, between which sentences are planted. */
const FILLERS = [
  "The coast is low here, and the sand moves with every gale.",
  "Nobody lives on the spit, though sheep graze there in dry months.",
  "Most of the work is done by hand, as it was before the war.",
];

/** The planted cases of one sentence after the other, and those that need the shape of a document. */
export async function plantedCases(): Promise<Case[]> {
  const cases = [...sentenceCases(), ...documentCases()];
  const seen = new Map<string, number>();
  const read: Case[] = [];
  for (const { kind, marked, name } of cases) {
    const order = seen.get(kind) ?? 0;
    seen.set(kind, order + 1);
    const half = order % 2 === 0 ? "tune" : "test";
    read.push({ kind, half, ...(await planted(marked, name)) });
  }
  return read;
}

interface Marked {
  kind: string;
  /** The text with its odd place between ⟦ and ⟧. */
  marked: string;
  name: string;
}

function sentenceCases(): Marked[] {
  let kind = "";
  return readFileSync(path.join(DATA, "planted.txt"), "utf8")
    .split("\n")
    .flatMap((line) => {
      if (line.startsWith("## ")) kind = line.slice(3).trim();
      if (line.trim() === "" || line.startsWith("#")) return [];
      const paragraphs = line.split(" | ").map((sentence) =>
        sentence
          .replace(/\{([^{}]*)\}/g, "$1")
          .replace("[", "⟦")
          .replace("]", "⟧"),
      );
      const filled = paragraphs.flatMap((one, index) => [
        one,
        FILLERS[index % FILLERS.length] ?? "",
      ]);
      return [{ kind, marked: filled.join("\n\n"), name: "case.txt" }];
    });
}

function documentCases(): Marked[] {
  return readFileSync(path.join(DATA, "planted-documents.txt"), "utf8")
    .split(/^== /m)
    .slice(1)
    .map((part) => {
      const end = part.indexOf("\n");
      return {
        kind: part.slice(0, end).trim(),
        marked: part.slice(end + 1).trim(),
        name: "case.md",
      };
    });
}

async function planted(
  marked: string,
  name: string,
): Promise<Pick<Case, "manuscript" | "odd" | "right">> {
  const [, typed = "", arrow] = /⟦(.*?)(?:(=>.*?))?⟧/s.exec(marked) ?? [];
  // A place is found again by a sign that no text has, which is taken out once the file is read.
  const read = await readText(
    marked.replace(/⟦.*?⟧/s, () => `\ue000${typed}\ue001`),
    name,
  );
  const from = read.text.indexOf("\ue000");
  const to = read.text.indexOf("\ue001");
  const manuscript = await readText(
    marked.replace(/⟦.*?⟧/s, () => typed),
    name,
  );
  return {
    manuscript,
    odd: { from, to: to - 1 },
    right: arrow === undefined ? null : arrow.slice(2),
  };
}

/** Texts in which everything that differs differs for a reason. */
export async function variationTexts(names: readonly string[]): Promise<Manuscript[]> {
  return Promise.all(
    names.map((name) => readText(readFileSync(path.join(DATA, "variation", name), "utf8"), name)),
  );
}

async function readText(text: string, name: string): Promise<Manuscript> {
  loadLanguage();
  const read = await readDocument(new TextEncoder().encode(text), name, () => "en-GB");
  if ("problem" in read) throw new Error(`${name}: ${read.problem.sentence}`);
  return read.manuscript;
}
