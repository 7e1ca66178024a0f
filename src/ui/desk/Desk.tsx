import { setNonce } from "get-nonce";
import { type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { RuleDraft } from "../../core/house/rule-draft.ts";
import { keepPagesOffline } from "../parts/offline.ts";
import { useFileDrop } from "../parts/use-file-drop.ts";
import { BoardPane } from "./BoardPane.tsx";
import { CleanupBoard } from "./boards/CleanupBoard.tsx";
import type { DeskCommands } from "./commands.ts";
import { DeskHeader } from "./DeskHeader.tsx";
import { ExportDialog } from "./ExportDialog.tsx";
import { GalleyPane } from "./GalleyPane.tsx";
import type { Galley } from "./galley/galley.ts";
import { HouseRuleDialog } from "./HouseRuleDialog.tsx";
import { KeysDialog } from "./KeysDialog.tsx";
import { openDropped } from "./open-dropped.ts";
import { PassRail } from "./PassRail.tsx";
import { ReplaceDialog } from "./ReplaceDialog.tsx";
import { type Sheet, SideSheet } from "./SideSheet.tsx";
import { StatusLine } from "./StatusLine.tsx";
import { DeskSession } from "./session.ts";
import { AT_END, isAtEnd, passAfter } from "./state.ts";
import { useSlice } from "./use-slice.ts";
import { useWalkKeys } from "./use-walk-keys.ts";
import { WalkEnd } from "./WalkEnd.tsx";
import { Warnings } from "./Warnings.tsx";

/** What may lie over the text. */
export type BoardName = "pass" | "readings" | "cleanup";

/** The screen where one document is proofread. */
export function Desk({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const id = useMemo(() => new URLSearchParams(location.search).get("doc") ?? "", []);
  const session = useMemo(() => new DeskSession(id), [id]);
  const { phase, problem, record, subject, manuscript } = useSlice(
    session,
    "phase",
    "problem",
    "record",
    "subject",
    "manuscript",
  );
  const galley = useRef<Galley | null>(null);
  const [sheet, setSheet] = useState<Sheet>("occurrences");
  const sheetShown = useRef<Sheet>(sheet);
  sheetShown.current = sheet;
  const [board, setBoard] = useState<BoardName | null>(null);
  const [asking, setAsking] = useState(false);
  const [exporting, setExporting] = useState(false);
  const [keysShown, setKeysShown] = useState(false);
  const [replacing, setReplacing] = useState(false);
  const [ruling, setRuling] = useState<RuleDraft | null>(null);
  const commands = useMemo<DeskCommands>(
    () => ({
      openQuery: () => session.deciding.mayDecide && session.state.subject && setAsking(true),
      closeQuery: () => setAsking(false),
      everywhere: (choice) => {
        const { subject } = session.state;
        const places = session.walk.twins(subject).length;
        if (places > 1 && sheetShown.current !== "occurrences") {
          setSheet("occurrences");
          session.say(`These are the ${places} places. Once more corrects them all.`);
        } else void session.deciding.take(choice, true);
      },
      scroll: (to) => galley.current?.scroll(to),
      goOn: () => {
        const now = session.state;
        if (!isAtEnd(now)) return false;
        const next = passAfter(now);
        if (next) session.walk.setPass(next);
        else setExporting(true);
        return true;
      },
      editHere: () => {
        const place = session.walk.placeToEdit();
        if (place) galley.current?.edit(place.from, place.to);
      },
      find: () => galley.current?.find(),
      showOccurrences: () => setSheet((now) => (now === "occurrences" ? null : "occurrences")),
      showEntry: () => setSheet((now) => (now === "entry" ? null : "entry")),
      showKeys: () => setKeysShown(true),
      makeRule: () => setRuling(session.state.reading ? null : session.house.draft()),
      showBoard: () => setBoard("pass"),
      showReadings: () => setBoard("readings"),
      cleanUp: () => setBoard("cleanup"),
    }),
    [session],
  );
  useSessionLife(session);
  const dropped = useCallback((files: FileList) => void openDropped(session, files), [session]);
  const refused = useCallback(
    () => session.say("Only files can be dropped here. Text is brought in by pasting it."),
    [session],
  );
  const dropping = useFileDrop(dropped, refused);
  useWalkKeys(
    session,
    commands,
    board !== null || exporting || keysShown || replacing || ruling !== null,
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: a question belongs to one subject
  useEffect(() => setAsking(false), [subject]);
  useEffect(() => {
    if (record) document.title = `${record.title} – Dry Run`;
  }, [record]);
  const ready = useCallback((made: Galley) => {
    galley.current = made;
  }, []);
  const closeBoard = useCallback(() => setBoard(null), []);
  if (phase === "missing") return <Missing problem={problem} />;
  return (
    <div className="grid h-screen min-w-[1024px] grid-rows-[44px_minmax(0,1fr)_auto] overflow-hidden">
      <DeskHeader
        session={session}
        sheet={sheet}
        onSheet={setSheet}
        onExport={() => setExporting(true)}
      />
      <div className="grid min-h-0 grid-cols-[212px_minmax(0,1fr)]">
        <PassRail
          session={session}
          board={board}
          onBoard={(which) => setBoard(board === which ? null : which)}
          onReplace={() => setReplacing(true)}
        />
        <div className="relative min-h-0">
          <div
            inert={board !== null}
            className={`grid h-full min-h-0 grid-rows-[minmax(0,1fr)] ${sheet ? "grid-cols-[minmax(0,1fr)_324px]" : "grid-cols-[minmax(0,744px)_1fr]"}`}
          >
            <DeskMain session={session} onExport={() => setExporting(true)}>
              {manuscript ? (
                <GalleyPane
                  session={session}
                  commands={commands}
                  asking={asking}
                  nonce={nonce}
                  onReady={ready}
                />
              ) : (
                <p className="p-10 text-soft">Opening…</p>
              )}
            </DeskMain>
            {sheet ? <SideSheet sheet={sheet} onSheet={setSheet} session={session} /> : null}
          </div>
          {board === "cleanup" ? <CleanupBoard session={session} onClose={closeBoard} /> : null}
          {board === "pass" || board === "readings" ? (
            <BoardPane session={session} which={board} onClose={closeBoard} onRule={setRuling} />
          ) : null}
        </div>
      </div>
      <StatusLine session={session} commands={commands} board={board !== null} />
      <ExportDialog open={exporting} onClose={() => setExporting(false)} session={session} />
      <ReplaceDialog open={replacing} onClose={() => setReplacing(false)} session={session} />
      <HouseRuleDialog session={session} draft={ruling} onClose={() => setRuling(null)} />
      <KeysDialog open={keysShown} onClose={() => setKeysShown(false)} />
      {dropping ? (
        <div className="pointer-events-none fixed inset-3 z-20 border-2 border-dashed border-pen bg-wash/80 p-10 font-book text-2xl">
          Let go to open it; this document stays as it is
        </div>
      ) : null}
    </div>
  );
}

/** Opens the session with the screen, and has everything written before the page goes. */
function useSessionLife(session: DeskSession): void {
  useEffect(() => {
    void session.open();
    keepPagesOffline();
    const leave = () => void session.flush();
    const hold = (event: BeforeUnloadEvent) => {
      if (session.holdsPage) event.preventDefault();
    };
    addEventListener("pagehide", leave);
    addEventListener("beforeunload", hold);
    document.addEventListener("visibilitychange", leave);
    return () => {
      removeEventListener("pagehide", leave);
      removeEventListener("beforeunload", hold);
      document.removeEventListener("visibilitychange", leave);
      void session.close();
    };
  }, [session]);
}

interface DeskMainProps {
  session: DeskSession;
  onExport: () => void;
  children: ReactNode;
}

/** The text, with what can't wait above it and the end of the walk below. */
function DeskMain({ session, onExport, children }: DeskMainProps) {
  const { deciding, shown, ...end } = useSlice(session, ...AT_END, "deciding", "shown");
  return (
    <main
      className="flex min-h-0 flex-col"
      aria-busy={deciding || (end.subject !== null && !shown)}
    >
      <Warnings session={session} onExport={onExport} />
      {children}
      {isAtEnd(end) ? (
        <div className="mr-6.5 ml-7.5">
          <WalkEnd session={session} onExport={onExport} />
        </div>
      ) : null}
    </main>
  );
}

function Missing({ problem }: { problem: string }) {
  return (
    <main className="mx-auto max-w-xl px-8 py-20">
      <h1 className="font-book text-2xl font-semibold">This document can’t be shown</h1>
      <p className="mt-3 text-soft">{problem}</p>
      <p className="mt-6">
        <a className="button-text" href="/">
          Go to the shelf
        </a>
      </p>
    </main>
  );
}
