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
): Promise<PlacedChoice[]> {
  if (subject.kind === "mark") {
    const { mark, from } = subject.place;
    const [choices = []] = await choicesOf(worker, [mark]);
    return choices.map(({ label, variant, edits, note }) => ({
      label,
      variant,
      note,
      edits: moveEdits(edits, from - mark.from),
    }));
  }
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
    edits.push(...moveEdits(choice.edits, place.from - place.mark.from));
    marks.push(place);
  }
  return { edits, marks };
}

/** A mark as a decision remembers it. */
export function anchorOf({ mark, from, to }: PlacedMark): Anchor {
  return { rule: mark.rule, text: mark.text, from, to };
}
