import { readFileSync } from "node:fs";
import path from "node:path";
import type { Choice, Pass } from "../core/checks/check.ts";
import { type CheckSettings, Engine, type Mark } from "../core/engine.ts";
import { Lexicon } from "../core/language/lexicon.ts";
import { moveEdits } from "../core/manuscript/edits.ts";
import type { Edit, Kind, Manuscript, Variety } from "../core/manuscript/model.ts";

/** The dictionary that ships in data/. */
export function loadLexicon(): Lexicon {
  const file = path.resolve(import.meta.dirname, "../../data/lexicon.bin");
  return new Lexicon(new Uint8Array(readFileSync(file)));
}

/** A mark with offsets in the whole text, as the command prints it. */
export interface PrintedMark {
  rule: string;
  pass: Pass;
  weight: Mark["weight"];
  from: number;
  to: number;
  text: string;
  reason: string;
  choices: Choice[];
}

export interface Checked {
  words: number;
  marks: PrintedMark[];
}

/** Runs the passes asked for over a text. */
export function checkText(
  manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
  lexicon: Lexicon,
  options: { variety: Variety; kind: Kind; passes: readonly Pass[] },
): Checked {
  const settings: CheckSettings = { ...options, off: [], words: [] };
  const engine = new Engine(manuscript, { lexicon }, settings);
  for (const _done of engine.examineAll());
  const marks = engine
    .allMarks()
    .filter((mark) => options.passes.includes(mark.pass))
    .map((mark) => printed(engine, mark));
  return { words: engine.counts().words, marks };
}

function printed(engine: Engine, mark: Mark): PrintedMark {
  const { from } = engine.blockRange(mark.block);
  return {
    rule: mark.rule,
    pass: mark.pass,
    weight: mark.weight,
    from: mark.from + from,
    to: mark.to + from,
    text: mark.text,
    reason: mark.reason,
    choices: engine.choices(mark).map((one) => ({ ...one, edits: moveEdits(one.edits, from) })),
  };
}

/** Edits of the first choice of every mark of weight fix; of marks that overlap, the first. */
export function firstChoices(marks: readonly PrintedMark[]): Edit[] {
  const edits: Edit[] = [];
  let last = -1;
  for (const mark of marks) {
    const choice = mark.choices[0];
    if (mark.weight !== "fix" || !choice || mark.from < last) continue;
    edits.push(...choice.edits);
    last = mark.to;
  }
  return edits;
}
