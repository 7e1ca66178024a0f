import { count } from "../parts/words.ts";
import type { DeskState } from "./state.ts";

/** Shown when no mark is open: what was done, and what no check can promise. */
export function WalkEnd({ state, onExport }: { state: DeskState; onExport: () => void }) {
  const lines = doneLines(state);
  return (
    <section
      aria-label="End of the walk"
      className="border-t border-pen bg-wash px-8 py-5 pl-[66px]"
    >
      <h2 className="font-book text-xl font-semibold">
        {state.total === 0 ? "Nothing to mark" : "The walk is done"}
      </h2>
      <p className="mt-1">
        {lines.length === 0
          ? "The spelling pass found no word to question."
          : `${lines.join(", ")}.`}
      </p>
      <p className="mt-2 max-w-[64ch] text-soft">
        What this pass can’t see: a right word in the wrong place, a wrong name, date or figure, and
        what was left out. Read those once more with your own eyes.
      </p>
      <div className="mt-4 flex items-center gap-5">
        <button type="button" className="button-main" onClick={onExport}>
          Export…
        </button>
        <a href="/" className="button-text">
          Back to the shelf
        </a>
      </div>
    </section>
  );
}

function doneLines({ decisions, standing }: DeskState): string[] {
  const done = { places: 0, stet: 0, query: 0, word: 0, edit: 0 };
  for (const { seq, act, marks, edits } of decisions) {
    if (!standing.has(seq)) continue;
    if (act === "correct") done.places += Math.max(1, marks.length, edits.length);
    else if (act === "stet") done.stet += Math.max(1, marks.length);
    else if (act === "query") done.query++;
    else if (act === "word") done.word++;
    else if (act === "edit") done.edit++;
  }
  const lines = [
    done.places > 0 ? `${count(done.places, "place")} corrected` : "",
    done.stet > 0 ? `${done.stet} let stand` : "",
    done.word > 0 ? `${count(done.word, "word")} put on the word list` : "",
    done.query > 0 ? `${count(done.query, "question")} for the author` : "",
    done.edit > 0 ? `${count(done.edit, "edit")} by hand` : "",
  ];
  return lines.filter(Boolean);
}
