import type { CheckSettings, Mark, MarkChoice } from "../../core/engine/mark.ts";
import type { Anchor } from "../../core/ledger/decision.ts";
import { moveEdits } from "../../core/manuscript/edits.ts";
import type { Edit, Variety } from "../../core/manuscript/model.ts";
import { type ProofreaderLink, WorkerGone } from "../../worker/connect.ts";
import { otherWords } from "./other-words.ts";
import type { PlacedMark } from "./reported.ts";
import type { PlacedChoice, Subject } from "./state.ts";
import { fetchEntry } from "./word-entries.ts";

/** Corrections as the worker makes them, brought to their place in the document. */

const WORD_CHOICES = 5;

/** The choices for what the slip is about. */
export async function choicesFor(
  worker: ProofreaderLink,
  subject: Exclude<Subject, null>,
  settings: Pick<CheckSettings, "variety" | "soundRules">,
  startOf: BlockStart,
): Promise<PlacedChoice[]> {
  if (subject.kind === "mark") return choicesAt(worker, subject.place, startOf);
  const { word, from, to } = subject.word;
  const host = {
    fetchEntry,
    aboutWord: (one: string, variety: Variety) => worker.aboutWord(one, variety),
    fitSynonym: (...asked: Parameters<ProofreaderLink["fitSynonym"]>) =>
      worker.fitSynonym(...asked),
  };
  const synonyms = await otherWords(word, settings.variety, WORD_CHOICES, host).catch(() => []);
  // A word that has no entry may be a slip that was let alone.
  const labels =
    synonyms.length > 0 ? synonyms : await worker.wordsNear(word, settings, WORD_CHOICES);
  const byMeaning = synonyms.length > 0;
  return labels.map((label) => ({
    label,
    variant: label.toLowerCase(),
    edits: [{ from, to, insert: label }],
    byMeaning,
  }));
}

/** Where a block begins in the document. */
type BlockStart = (block: number) => number;

/** The choices for a mark at its place. */
export async function choicesAt(
  worker: ProofreaderLink,
  place: PlacedMark,
  startOf: BlockStart,
): Promise<PlacedChoice[]> {
  const [choices = []] = await choicesOf(worker, [place.mark]);
  return choices.map((choice) => {
    const { label, variant, note } = choice;
    return { label, variant, note, edits: placedEdits(choice, place, startOf) };
  });
}

/** The edits of a choice in the document; those of another block are that block's. */
function placedEdits(
  { edits, block }: MarkChoice,
  { from, mark }: PlacedMark,
  startOf: BlockStart,
): Edit[] {
  return moveEdits(edits, block === undefined ? from - mark.from : startOf(block));
}

/** Throws WorkerGone when the worker was started anew meanwhile and has checked nothing. */
async function choicesOf(worker: ProofreaderLink, marks: Mark[]): Promise<MarkChoice[][]> {
  const choices = await worker.choices(marks);
  if (choices === null) throw new WorkerGone(false);
  return choices;
}

/** The edits that bring places of a group to one variant, and the places that have it to offer. */
export async function correctionsOf(
  worker: ProofreaderLink,
  places: readonly PlacedMark[],
  variant: string,
  startOf: BlockStart,
): Promise<{ edits: Edit[]; marks: PlacedMark[] }> {
  const choices = await choicesOf(
    worker,
    places.map(({ mark }) => mark),
  );
  const edits: Edit[] = [];
  const marks: PlacedMark[] = [];
  for (const [index, place] of places.entries()) {
    const choice = choices[index]?.find((one) => one.variant === variant);
    if (!choice) continue;
    for (const edit of placedEdits(choice, place, startOf)) {
      // An entry that several places are about is mended once.
      const isMade = edits.some((one) => one.from === edit.from && one.to === edit.to);
      if (!isMade) edits.push(edit);
    }
    marks.push(place);
  }
  return { edits: edits.sort((a, b) => a.from - b.from), marks };
}

/** A mark as a decision remembers it. */
export function anchorOf({ mark, from, to }: PlacedMark): Anchor {
  return { rule: mark.rule, text: mark.text, from, to };
}
