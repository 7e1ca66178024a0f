import type { Pass } from "../../src/core/checks/card.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { loadLanguage } from "./language.ts";

/** An engine that has read a text, one paragraph a line: a British report unless told otherwise. */
export function engineOf(
  text: string,
  settings: Partial<CheckSettings> = {},
  passes?: readonly Pass[],
): Engine {
  const engine = new Engine(linesManuscript(text), loadLanguage(), {
    variety: "en-GB",
    kind: "report",
    appetites: {},
    words: [],
    ...settings,
  });
  for (const _ of engine.examineAll(passes));
  return engine;
}
