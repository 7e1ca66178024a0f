import { setNonce } from "get-nonce";
import { X } from "lucide-react";
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import { KINDS, type Kind, VARIETIES, type Variety } from "../../core/manuscript/model.ts";
import { NotKept } from "../../store/failure.ts";
import { connectProofreader } from "../../worker/connect.ts";
import { Brand } from "../parts/Brand.tsx";
import { Key } from "../parts/Key.tsx";
import { keepPagesOffline } from "../parts/offline.ts";
import { ThemeSwitch } from "../parts/ThemeSwitch.tsx";
import { useFileDrop } from "../parts/use-file-drop.ts";
import { clock, count, figure, KIND_LABELS, VARIETY_LABELS } from "../parts/words.ts";
import { takeIn } from "../shelf/intake.ts";
import { type DeskCommands, runKey } from "./commands.ts";
import { Decisions } from "./Decisions.tsx";
import { ExportDialog } from "./ExportDialog.tsx";
import { GalleyPane } from "./GalleyPane.tsx";
import type { Galley } from "./galley/galley.ts";
import { KeysDialog } from "./KeysDialog.tsx";
import { Occurrences } from "./Occurrences.tsx";
import { PassRail } from "./PassRail.tsx";
import { ReplaceDialog } from "./ReplaceDialog.tsx";
import { DeskSession } from "./session.ts";
import { type DeskState, isAtEnd, passAfter } from "./state.ts";
import { WalkEnd } from "./WalkEnd.tsx";
import { WordEntry } from "./WordEntry.tsx";
import { WordList } from "./WordList.tsx";

type Sheet = "occurrences" | "entry" | "decisions" | "words" | null;

/** The screen where one document is proofread. */
export function Desk({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const id = useMemo(() => new URLSearchParams(location.search).get("doc") ?? "", []);
  const session = useMemo(() => new DeskSession(id), [id]);
  const state = useSyncExternalStore(session.subscribe, session.getSnapshot);
  const galley = useRef<Galley | null>(null);
  const [sheet, setSheet] = useState<Sheet>("occurrences");
  const sheetShown = useRef<Sheet>(sheet);
  sheetShown.current = sheet;
  const [asking, setAsking] = useState(false);
  const [exporting, setExporting] = useState(false);
  const [keysShown, setKeysShown] = useState(false);
  const [replacing, setReplacing] = useState(false);
  const commands = useMemo<DeskCommands>(
    () => ({
      openQuery: () => session.mayDecide && session.getSnapshot().subject && setAsking(true),
      closeQuery: () => setAsking(false),
      everywhere: (choice) => {
        const { subject } = session.getSnapshot();
        const places = session.twins(subject).length;
        if (places > 1 && sheetShown.current !== "occurrences") {
          setSheet("occurrences");
          session.say(`These are the ${places} places. Once more corrects them all.`);
        } else void session.take(choice, true);
      },
      scroll: (to) => galley.current?.scroll(to),
      goOn: () => {
        const now = session.getSnapshot();
        if (!isAtEnd(now)) return false;
        const next = passAfter(now);
        if (next) session.setPass(next);
        else setExporting(true);
        return true;
      },
      editHere: () => {
        const { subject } = session.getSnapshot();
        const place = subject?.kind === "mark" ? subject.place : subject?.word;
        if (place) galley.current?.edit(place.from, place.to);
      },
      find: () => galley.current?.find(),
      showOccurrences: () => setSheet((now) => (now === "occurrences" ? null : "occurrences")),
      showEntry: () => setSheet((now) => (now === "entry" ? null : "entry")),
      showKeys: () => setKeysShown(true),
    }),
    [session],
  );
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
  const dropped = useCallback((files: FileList) => void openDropped(session, files), [session]);
  const refused = useCallback(
    () => session.say("Only files can be dropped here. Text is brought in by pasting it."),
    [session],
  );
  const dropping = useFileDrop(dropped, refused);
  useWalkKeys(session, commands, exporting || keysShown || replacing);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a question belongs to one subject
  useEffect(() => setAsking(false), [state.subject]);
  useEffect(() => {
    if (state.record) document.title = `${state.record.title} – Dry Run`;
  }, [state.record]);
  const ready = useCallback((made: Galley) => {
    galley.current = made;
  }, []);
  if (state.phase === "missing") return <Missing problem={state.problem} />;
  const finished = isAtEnd(state);
  return (
    <div className="grid h-screen min-w-[1024px] grid-rows-[44px_minmax(0,1fr)_auto] overflow-hidden">
      <Header
        state={state}
        session={session}
        sheet={sheet}
        onSheet={setSheet}
        onExport={() => setExporting(true)}
      />
      <div
        className={`grid min-h-0 ${sheet ? "grid-cols-[212px_minmax(0,1fr)_324px]" : "grid-cols-[212px_minmax(0,744px)_1fr]"}`}
      >
        <PassRail state={state} session={session} onReplace={() => setReplacing(true)} />
        <main
          className="flex min-h-0 flex-col"
          aria-busy={state.deciding || (state.subject !== null && !state.shown)}
        >
          <Warnings
            state={state}
            onExport={() => setExporting(true)}
            onAgain={() => void session.keepAgain()}
          />
          {state.manuscript ? (
            <GalleyPane
              state={state}
              session={session}
              commands={commands}
              asking={asking}
              nonce={nonce}
              onReady={ready}
            />
          ) : (
            <p className="p-10 text-soft">Opening…</p>
          )}
          {finished ? (
            <div className="mr-6.5 ml-7.5">
              <WalkEnd state={state} session={session} onExport={() => setExporting(true)} />
            </div>
          ) : null}
        </main>
        {sheet ? (
          <aside
            className="overflow-auto border-l border-rule px-4 pt-3.5 pb-6"
            aria-label="Side sheet"
          >
            <SheetTabs sheet={sheet} onSheet={setSheet} />
            {sheet === "occurrences" ? <Occurrences state={state} session={session} /> : null}
            {sheet === "entry" ? <WordEntry state={state} session={session} /> : null}
            {sheet === "decisions" ? <Decisions state={state} session={session} /> : null}
            {sheet === "words" ? <WordList state={state} session={session} /> : null}
          </aside>
        ) : null}
      </div>
      <StatusLine state={state} session={session} commands={commands} />
      <ExportDialog
        open={exporting}
        onClose={() => setExporting(false)}
        state={state}
        session={session}
      />
      <ReplaceDialog
        open={replacing}
        onClose={() => setReplacing(false)}
        state={state}
        session={session}
      />
      <KeysDialog open={keysShown} onClose={() => setKeysShown(false)} />
      {dropping ? (
        <div className="pointer-events-none fixed inset-3 z-20 border-2 border-dashed border-pen bg-wash/80 p-10 font-book text-2xl">
          Let go to open it; this document stays as it is
        </div>
      ) : null}
    </div>
  );
}

/** Puts dropped files on the shelf and goes to them; what can't be read is said, and the desk stays. */
async function openDropped(session: DeskSession, files: FileList): Promise<void> {
  const worker = connectProofreader();
  const said: string[] = [];
  let last = "";
  for (const file of files) {
    session.say(`Reading ${file.name}…`);
    try {
      const taken = await takeIn(
        worker,
        file.name,
        new Uint8Array(await file.arrayBuffer()),
        false,
      );
      if ("problem" in taken) said.push(`${file.name}: ${taken.problem}`);
      else last = taken.record.id;
    } catch (error) {
      said.push(
        `${file.name}: ${error instanceof NotKept ? error.sentence : "it could not be read."}`,
      );
    }
  }
  if (said.length > 0) return session.say(said.join(" "));
  await session.flush();
  location.assign(files.length === 1 ? `/desk?doc=${last}` : "/");
}

const TEXT_ENTRY =
  "input:not([type=checkbox], [type=radio]), textarea, select, [contenteditable=true], .cm-panel";

/** Keys pressed outside text entry and dialogs belong to the walk. */
function useWalkKeys(session: DeskSession, commands: DeskCommands, paused: boolean): void {
  useEffect(() => {
    if (paused) return;
    const pressed = (event: KeyboardEvent) => {
      const target = event.target instanceof Element ? event.target : null;
      if (event.defaultPrevented) return;
      if (target?.closest(TEXT_ENTRY)) return;
      const onControl = target?.closest("button, a, summary") !== null && target !== null;
      if (onControl && (event.key === "Enter" || event.key === " ")) return;
      if (runKey(event, session, commands)) event.preventDefault();
    };
    addEventListener("keydown", pressed);
    return () => removeEventListener("keydown", pressed);
  }, [session, commands, paused]);
}

interface HeaderProps {
  state: DeskState;
  session: DeskSession;
  sheet: Sheet;
  onSheet: (sheet: Sheet) => void;
  onExport: () => void;
}

function Header({ state, session, sheet, onSheet, onExport }: HeaderProps) {
  return (
    <header className="flex items-center gap-4.5 border-b border-rule px-4.5">
      <Brand />
      <h1 className="min-w-0 truncate text-soft">
        <a href="/" className="hover:underline">
          Shelf
        </a>{" "}
        / <b className="font-semibold text-ink">{state.record?.title ?? ""}</b>
      </h1>
      <span className="grow" />
      {state.record ? (
        <label className="text-soft">
          <span className="sr-only">Kind of copy</span>
          <select
            className="border-b border-dotted border-faint bg-transparent"
            value={state.record.kind}
            disabled={state.reading}
            onChange={(event) => void session.setKind(event.target.value as Kind)}
          >
            {KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {KIND_LABELS[kind]}
              </option>
            ))}
          </select>
        </label>
      ) : null}
      {state.record ? (
        <label className="text-soft">
          <span className="sr-only">Variety of English</span>
          <select
            className="border-b border-dotted border-faint bg-transparent"
            value={state.record.variety}
            disabled={state.reading}
            onChange={(event) => void session.setVariety(event.target.value as Variety)}
          >
            {VARIETIES.map((variety) => (
              <option key={variety} value={variety}>
                {VARIETY_LABELS[variety]}
              </option>
            ))}
          </select>
        </label>
      ) : null}
      <ThemeSwitch />
      <button
        type="button"
        className="border-b border-dotted border-faint text-soft"
        aria-pressed={sheet !== null}
        onClick={() => onSheet(sheet ? null : "occurrences")}
      >
        Side sheet
      </button>
      <button type="button" className="button-main" disabled={!state.manuscript} onClick={onExport}>
        Export…
      </button>
    </header>
  );
}

function SheetTabs({ sheet, onSheet }: { sheet: Sheet; onSheet: (sheet: Sheet) => void }) {
  const tabs: [Exclude<Sheet, null>, string][] = [
    ["occurrences", "Occurrences"],
    ["entry", "Word"],
    ["decisions", "Decisions"],
    ["words", "Lists"],
  ];
  return (
    <div className="mb-2.5 flex gap-3.5 whitespace-nowrap">
      {tabs.map(([name, label]) => (
        <button
          key={name}
          type="button"
          aria-pressed={sheet === name}
          className={
            sheet === name
              ? "border-b-2 border-ink pb-1 font-semibold"
              : "border-b-2 border-transparent pb-1 text-soft"
          }
          onClick={() => onSheet(name)}
        >
          {label}
        </button>
      ))}
      <span className="grow" />
      <button
        type="button"
        className="pb-1 text-soft"
        aria-label="Close the side sheet"
        onClick={() => onSheet(null)}
      >
        <X size={16} aria-hidden="true" />
      </button>
    </div>
  );
}

interface WarningsProps {
  state: DeskState;
  onExport: () => void;
  onAgain: () => void;
}

function Warnings({ state, onExport, onAgain }: WarningsProps) {
  const { kept } = state;
  return (
    <div aria-live="assertive">
      {kept.state === "failed" ? (
        <p
          role="alert"
          className="flex items-center gap-4 border-b border-alarm bg-sheet px-8 py-2.5 font-semibold text-alarm"
        >
          <span className="grow">{kept.sentence}</span>
          <button type="button" className="button-plain" onClick={onAgain}>
            Try again
          </button>
          <button type="button" className="button-main" onClick={onExport}>
            Export…
          </button>
        </p>
      ) : null}
      {state.reading ? (
        <p className="border-b border-rule bg-wash px-8 py-2">
          Another tab has this document open and does the writing. This one shows it, and takes over
          when the other is closed.
        </p>
      ) : null}
    </div>
  );
}

interface StatusLineProps {
  state: DeskState;
  session: DeskSession;
  commands: DeskCommands;
}

function StatusLine({ state, session, commands }: StatusLineProps) {
  return (
    <footer className="flex h-7 items-center gap-4.5 border-t border-rule px-4.5 text-xs text-soft">
      <span className="min-w-28 whitespace-nowrap">{placeLabel(state)}</span>
      <span
        data-testid="keys"
        className={`whitespace-nowrap ${state.typing ? "font-semibold text-pen" : ""}`}
      >
        {state.typing ? "Keys type in the text, Esc ends" : ""}
      </span>
      {state.typing ? null : <Hints session={session} commands={commands} />}
      <span className="min-w-0 grow truncate text-right font-semibold text-ink" aria-live="polite">
        {state.notice}
      </span>
      <span data-testid="kept">{keptLabel(state)}</span>
    </footer>
  );
}

function Hints({ session, commands }: Omit<StatusLineProps, "state">) {
  return (
    <>
      <Hint keyName="↓" label="next" run={() => session.next()} />
      <Hint keyName="↑" label="previous" run={() => session.previous()} />
      <Hint keyName="U" label="undo" run={() => void session.undoLast()} />
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

function placeLabel({ subject, open, openOfAll, total, phase }: DeskState): string {
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

function keptLabel({ kept }: DeskState): string {
  switch (kept.state) {
    case "keeping":
      return "Keeping…";
    case "failed":
      return "Not kept";
    case "kept":
      return kept.at ? `Kept on this computer, ${clock(kept.at)}` : "Kept on this computer";
  }
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
