import { Suspense, useEffect, useMemo } from "react";
import type { RuleDraft } from "../../core/house/rule-draft.ts";
import { readerOf } from "../../core/readings/readers.ts";
import type { BoardDeciding } from "./boards/board.ts";
import { PASS_PARTS, READINGS } from "./pass-parts.ts";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

interface BoardPaneProps {
  session: DeskSession;
  /** The readings, or the board of the present pass. */
  which: "pass" | "readings";
  onClose: () => void;
  /** Has a rule of the house made of a draft. */
  onRule: (draft: RuleDraft) => void;
}

/** A board over the text: of the present pass, or how the text reads. */
export function BoardPane({ session, which, onClose, onRule }: BoardPaneProps) {
  const { openOfAll, tables, pass, subject, record, readings, scope, ...kept } = useSlice(
    session,
    "openOfAll",
    "tables",
    "pass",
    "subject",
    "record",
    "readings",
    "scope",
    "decisions",
    "standing",
    "reading",
    "comparing",
  );
  const board = which === "readings" ? READINGS : PASS_PARTS[pass].board;
  const isReadings = board === READINGS;
  // What was decided or typed since is read when the board comes up, and while it is.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the readings are of the text that is told of
  useEffect(() => {
    if (isReadings) void session.readings.refresh();
  }, [session, isReadings, tables]);
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
      goToRange(range, of = "sentences") {
        onClose();
        session.walk.showRange(range, of);
      },
      corrections: (place) => session.deciding.correctionsAt(place),
      putIn: (edit, range) => void session.deciding.putIn(edit, range),
      reword: (range, text) => void session.deciding.reword(range, text),
      correct: (place, choice) => void session.deciding.correctOne(place, choice),
      correctEach: (chosen) => session.deciding.correctEach(chosen),
      cite: (citation) => void session.deciding.cite(citation),
      sortLists: (...what) => void session.settling.sortLists(...what),
      setReader: (reader) => void session.settings.setReader(reader),
      setScope: (parts) => void session.readings.refresh(parts),
      places: (query) => session.readings.places(query),
      formPlaces: (group, form) => session.settling.places(group, form),
      gathered: (what) => session.settling.gathered(what),
      mergeTerms: (...what) => void session.settling.mergeTerms(...what),
      partTerms: (pairs) => void session.settling.partTerms(pairs),
      writeForm: (...what) => void session.settling.write(...what),
      keepForms: (group, places) => void session.settling.keepAll(group, places),
      houseRule: (group, form) => onRule(session.house.draftOfGroup(group, form)),
      explainInEach: (each) => void session.settings.explainInEach(each),
      ask: (rule, range, note) => void session.deciding.ask(rule, range, note),
      takeBack: (seq) => void session.deciding.undo(seq),
      say: (notice) => session.say(notice),
    }),
    [session, onClose, onRule],
  );
  if (!tables) return <p className="p-10 text-soft">Nothing has been read yet.</p>;
  const { Screen } = board;
  const kind = record?.kind ?? "general";
  const reader = readerOf(record?.reader, kind);
  const about = {
    readings,
    scope,
    reader,
    forms: record?.forms ?? {},
    readerSetting: record?.reader ?? reader.id ?? "",
  };
  const from = subject?.kind === "mark" ? subject.place : null;
  const { groups, boardMemory: memory, outside, overlaps } = session;
  return (
    <main className="absolute inset-0 z-10 grid min-h-0 grid-rows-[minmax(0,1fr)] border-r border-rule">
      <Suspense fallback={<p className="p-10 text-soft">Opening…</p>}>
        <Screen
          reports={{
            title: record?.title ?? "",
            fileName: record?.fileName ?? "",
            text,
            blocks,
            open: openOfAll,
            groups,
            tables,
            from,
            pass,
            memory,
            outside,
            overlaps,
            ...about,
            ...kept,
          }}
          deciding={deciding}
        />
      </Suspense>
    </main>
  );
}
