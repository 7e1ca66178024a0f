import type { Pass } from "../../core/checks/card.ts";
import { Key } from "../parts/Key.tsx";
import { count, figure, PASS_LABELS } from "../parts/words.ts";
import { checksOff } from "./checks-off.ts";
import type { DeskSession } from "./session.ts";
import { type DeskState, passAfter } from "./state.ts";

interface WalkEndProps {
  state: DeskState;
  session: DeskSession;
  onExport: () => void;
}

/** Shown at the end of a pass: what was done, what was not looked for, and what no check can promise. */
export function WalkEnd({ state, session, onExport }: WalkEndProps) {
  const lines = doneLines(state);
  const { pass, open, total, passes } = state;
  const next = passAfter(state);
  const off = checksOff(pass, session);
  const none = lines.length === 0 && off.length === 0 ? NOTHING[pass] : "";
  return (
    <section
      aria-label="End of the walk"
      className="border-t border-pen bg-wash px-8 py-5 pl-[66px]"
    >
      <h2 className="font-book text-xl font-semibold">{headingOf(state, off.length)}</h2>
      {lines.length > 0 || none ? (
        <p className="mt-1">{lines.length > 0 ? `${lines.join(", ")}.` : none}</p>
      ) : null}
      {open.length > 0 ? (
        <p className="mt-1">
          <button type="button" className="button-text" onClick={() => session.next()}>
            <Key>↓</Key> goes back to {count(open.length, "mark")} left open before this place
          </button>
        </p>
      ) : null}
      {off.length > 0 ? (
        <p className="mt-1">
          Not looked for, since off:{" "}
          {off
            .slice(0, MOST_NAMED)
            .map(({ title }) => title)
            .join("; ")}
          {off.length > MOST_NAMED ? ` and ${figure(off.length - MOST_NAMED)} more` : ""}.
        </p>
      ) : null}
      <p className="mt-2 max-w-[64ch] text-soft">{BEYOND[pass]}</p>
      <div className="mt-4 flex items-center gap-5">
        {next ? (
          <button type="button" className="button-main" onClick={() => session.setPass(next)}>
            Go on with {PASS_LABELS[next].toLowerCase()}, {figure(passes[next].open)} open{" "}
            <Key>Enter</Key>
          </button>
        ) : null}
        <button type="button" className={next ? "button-plain" : "button-main"} onClick={onExport}>
          Export… {next ? null : <Key>Enter</Key>}
        </button>
        <a href="/" className="button-text">
          Back to the shelf
        </a>
      </div>
      {total > 0 && state.unread.length > 0 ? (
        <p className="mt-2 text-soft">
          Not read yet: {state.unread.map((one) => PASS_LABELS[one].toLowerCase()).join(", ")}.
        </p>
      ) : null}
    </section>
  );
}

/** How many checks that are off are named; the rail lists them all. */
const MOST_NAMED = 4;

function headingOf({ pass, open, total }: DeskState, off: number): string {
  if (open.length > 0) return "The end of the text";
  if (total > 0)
    return off > 0 ? `No open marks in ${PASS_LABELS[pass].toLowerCase()}` : DONE[pass];
  return off > 0 ? "Nothing open among what was looked for" : "Nothing to mark";
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
