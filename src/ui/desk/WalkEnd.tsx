import { PASS_LABELS } from "../../core/report/words.ts";
import { Key } from "../parts/Key.tsx";
import { count, figure } from "../parts/words.ts";
import { checksOff } from "./checks-off.ts";
import { PASS_PARTS } from "./pass-parts.ts";
import type { DeskSession } from "./session.ts";
import { type DeskState, passAfter } from "./state.ts";
import { useSlice } from "./use-slice.ts";

interface WalkEndProps {
  session: DeskSession;
  onExport: () => void;
}

/** Shown at the end of a pass: what was done, what was not looked for, and what no check can promise. */
export function WalkEnd({ session, onExport }: WalkEndProps) {
  const state = useSlice(
    session,
    "decisions",
    "standing",
    "pass",
    "open",
    "total",
    "passes",
    "unread",
    "record",
  );
  const lines = doneLines(state);
  const { pass, open, total, passes } = state;
  const next = passAfter(state);
  const off = checksOff(pass, session);
  const none = lines.length === 0 && off.length === 0 ? PASS_PARTS[pass].nothing : "";
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
          <button type="button" className="button-text" onClick={() => session.walk.next()}>
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
      <p className="mt-2 max-w-[64ch] text-soft">{PASS_PARTS[pass].beyond}</p>
      <div className="mt-4 flex items-center gap-5">
        {next ? (
          <button type="button" className="button-main" onClick={() => session.walk.setPass(next)}>
            Go on with {PASS_LABELS[next].toLowerCase()}, {figure(passes[next].open)} open{" "}
            <Key>Enter</Key>
          </button>
        ) : null}
        <button type="button" className={next ? "button-plain" : "button-main"} onClick={onExport}>
          Export… {next ? null : <Key>Enter</Key>}
        </button>
        <a
          href={`/report?doc=${encodeURIComponent(state.record?.id ?? "")}`}
          className="button-text"
        >
          Report
        </a>
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

function headingOf(
  { pass, open, total }: Pick<DeskState, "pass" | "open" | "total">,
  off: number,
): string {
  if (open.length > 0) return "The end of the text";
  if (total > 0)
    return off > 0 ? `No open marks in ${PASS_LABELS[pass].toLowerCase()}` : PASS_PARTS[pass].done;
  return off > 0 ? "Nothing open among what was looked for" : "Nothing to mark";
}

function doneLines({ decisions, standing }: Pick<DeskState, "decisions" | "standing">): string[] {
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
