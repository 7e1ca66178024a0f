import { Key } from "../parts/Key.tsx";
import { clock, count, figure } from "../parts/words.ts";
import type { DeskCommands } from "./commands.ts";
import type { DeskSession } from "./session.ts";
import type { DeskState } from "./state.ts";
import { useSlice } from "./use-slice.ts";

interface StatusLineProps {
  session: DeskSession;
  commands: DeskCommands;
}

/** The foot of the desk: where the reader is, where keys go, what just happened, and what is kept. */
export function StatusLine({
  session,
  commands,
  board,
}: StatusLineProps & { /** A board is up, and has its own keys. */ board: boolean }) {
  const state = useSlice(session, ...PLACE, "typing", "notice", "kept");
  return (
    <footer className="flex h-7 items-center gap-4.5 border-t border-rule px-4.5 text-xs text-soft">
      <span className="min-w-28 whitespace-nowrap">{placeLabel(state)}</span>
      <span
        data-testid="keys"
        className={`whitespace-nowrap ${state.typing ? "font-semibold text-pen" : ""}`}
      >
        {state.typing ? "Keys type in the text, Esc ends" : ""}
      </span>
      {state.typing || board ? null : <Hints session={session} commands={commands} />}
      <span className="min-w-0 grow truncate text-right font-semibold text-ink" aria-live="polite">
        {state.notice}
      </span>
      <span data-testid="kept">{keptLabel(state)}</span>
    </footer>
  );
}

function Hints({ session, commands }: StatusLineProps) {
  return (
    <>
      <Hint keyName="↓" label="next" run={() => session.walk.next()} />
      <Hint keyName="↑" label="previous" run={() => session.walk.previous()} />
      <Hint keyName="U" label="undo" run={() => void session.deciding.undoLast()} />
      <Hint keyName="G" label="occurrences" run={commands.showOccurrences} />
      <Hint keyName="M" label="meaning" run={commands.showEntry} />
      <Hint keyName="/" label="find" run={commands.find} />
      <Hint keyName="?" label="all keys" run={commands.showKeys} />
    </>
  );
}

function Hint({ keyName, label, run }: { keyName: string; label: string; run: () => void }) {
  return (
    <button type="button" className="flex items-baseline gap-1.5 whitespace-nowrap" onClick={run}>
      <Key>{keyName}</Key>
      {label}
    </button>
  );
}

const PLACE = ["subject", "open", "openOfAll", "total", "phase"] as const;

function placeLabel({
  subject,
  open,
  openOfAll,
  total,
  phase,
}: Pick<DeskState, (typeof PLACE)[number]>): string {
  if (phase === "opening") return "Opening…";
  if (phase === "checking") return "Reading the copy…";
  if (phase === "stopped") return "The pass was stopped";
  const left = `${figure(open.length)} left, ${figure(openOfAll.length)} in all passes`;
  if (subject?.kind === "mark") {
    const at = open.findIndex(({ mark }) => mark.id === subject.place.mark.id);
    if (at >= 0) return `Mark ${figure(total - open.length + at + 1)} of ${figure(total)}, ${left}`;
  }
  if (open.length > 0)
    return `${count(open.length, "open mark")}, ${figure(openOfAll.length)} in all passes`;
  return openOfAll.length > 0
    ? `No open marks, ${figure(openOfAll.length)} in other passes`
    : "No open marks";
}

function keptLabel({ kept }: Pick<DeskState, "kept">): string {
  switch (kept.state) {
    case "keeping":
      return "Keeping…";
    case "failed":
      return "Not kept";
    case "kept":
      return kept.at ? `Kept on this computer, ${clock(kept.at)}` : "Kept on this computer";
  }
}
