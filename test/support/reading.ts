import { Engine } from "../../src/core/engine/engine.ts";
import { readText, type TextReadings } from "../../src/core/engine/reading.ts";
import { readMd } from "../../src/core/formats/md/format.ts";
import { type Scope, USUAL_SCOPE } from "../../src/core/readings/scope.ts";
import { loadLanguage } from "./language.ts";

/** An engine that has read the sentences of a Markdown text, a British report. */
export function readingEngine(markdown: string): Engine {
  const settings = { variety: "en-GB", kind: "report", appetites: {}, words: [] } as const;
  const manuscript = readMd(new TextEncoder().encode(markdown), "a.md");
  const engine = new Engine(manuscript, loadLanguage(), settings);
  for (const _ of engine.examineAll(["sentences"]));
  return engine;
}

/** How a Markdown text reads, with some parts counted otherwise than usual. */
export function reading(markdown: string, parts: Partial<Scope> = {}): TextReadings {
  return readText(readingEngine(markdown), loadLanguage(), { ...USUAL_SCOPE, ...parts }, null);
}
