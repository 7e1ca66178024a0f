import { PASSES, type Pass } from "../../core/checks/check.ts";
import { count, figure, PASS_LABELS } from "../parts/words.ts";
import type { DeskSession } from "./session.ts";
import type { DeskState } from "./state.ts";

interface WalkEndProps {
  state: DeskState;
  session: DeskSession;
  onExport: () => void;
}

/** Shown when no mark is open: what was done, and what no check can promise. */
export function WalkEnd({ state, session, onExport }: WalkEndProps) {
  const lines = doneLines(state);
  const next = PASSES.find((pass) => state.passes[pass].open > 0);
  return (
    <section
      aria-label="End of the walk"
      className="border-t border-pen bg-wash px-8 py-5 pl-[66px]"
    >
      <h2 className="font-book text-xl font-semibold">
        {state.total === 0 ? "Nothing to mark" : DONE[state.pass]}
      </h2>
      <p className="mt-1">{lines.length === 0 ? NOTHING[state.pass] : `${lines.join(", ")}.`}</p>
      <p className="mt-2 max-w-[64ch] text-soft">{BEYOND[state.pass]}</p>
      <div className="mt-4 flex items-center gap-5">
        {next ? (
          <button type="button" className="button-main" onClick={() => session.setPass(next)}>
            Go on with {PASS_LABELS[next].toLowerCase()}, {figure(state.passes[next].open)} open
          </button>
        ) : null}
        <button type="button" className={next ? "button-plain" : "button-main"} onClick={onExport}>
          Export…
        </button>
        <a href="/" className="button-text">
          Back to the shelf
        </a>
      </div>
    </section>
  );
}

const DONE: Record<Pass, string> = {
  spelling: "The walk is done",
  grammar: "The grammar pass is done",
  wording: "The wording pass is done",
};

const NOTHING: Record<Pass, string> = {
  spelling: "The spelling pass found no word to question.",
  grammar: "The grammar pass found nothing to question.",
  wording: "The wording pass has no advice.",
};

/** What each pass can’t promise. */
const BEYOND: Record<Pass, string> = {
  spelling:
    "What this pass can’t see: a wrong name, date or figure, and what was left out. Read those once more with your own eyes.",
  grammar:
    "What this pass can’t see: a sentence that is right and says the wrong thing. Checks are silent where they are not sure, so read on.",
  wording:
    "What this pass can’t judge: whether the argument holds, and whether this reader needs it said so. Advice is only advice.",
};

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
