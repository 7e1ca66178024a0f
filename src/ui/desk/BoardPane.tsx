import { useMemo } from "react";
import type { BoardDeciding } from "./boards/board.ts";
import { PASS_PARTS } from "./pass-parts.ts";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

interface BoardPaneProps {
  session: DeskSession;
  onClose: () => void;
}

/** The board of the present pass, over the text. */
export function BoardPane({ session, onClose }: BoardPaneProps) {
  const { openOfAll, tables, pass, subject } = useSlice(
    session,
    "openOfAll",
    "tables",
    "pass",
    "subject",
  );
  const { text, blocks } = session.current();
  const deciding = useMemo<BoardDeciding>(
    () => ({
      go(place) {
        onClose();
        session.walk.open(place);
      },
      back: onClose,
      stet: (places) => void session.deciding.stetAt(places),
      undo: () => void session.deciding.undoLast(),
      redo: () => void session.deciding.redo(),
    }),
    [session, onClose],
  );
  if (!tables) return <p className="p-10 text-soft">Nothing has been read yet.</p>;
  const { Screen } = PASS_PARTS[pass].board;
  const from = subject?.kind === "mark" ? subject.place : null;
  const { groups } = session;
  return (
    <main className="absolute inset-0 z-10 grid min-h-0 grid-rows-[minmax(0,1fr)] border-r border-rule">
      <Screen
        reports={{ text, blocks, open: openOfAll, groups, tables, from, pass }}
        deciding={deciding}
      />
    </main>
  );
}
