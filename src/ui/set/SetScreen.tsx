import { setNonce } from "get-nonce";
import { useEffect, useMemo, useState } from "react";
import type { Group } from "../../core/engine/mark.ts";
import { readSet } from "../../store/sets.ts";
import { connectProofreader } from "../../worker/connect.ts";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { count, figure } from "../parts/words.ts";
import { OpenGroup } from "./OpenGroup.tsx";
import { SetAbbreviations } from "./SetAbbreviations.tsx";
import { SetDocuments } from "./SetDocuments.tsx";
import { SetTerms } from "./SetTerms.tsx";
import { SetSession } from "./set-session.ts";

type State =
  | { phase: "missing" }
  | { phase: "reading"; share: number }
  | { phase: "ready"; session: SetSession; revision: number };

type View = "forms" | "terms" | "abbreviations" | "documents";
const VIEWS: Readonly<Record<View, string>> = {
  forms: "Forms",
  terms: "Terms",
  abbreviations: "Abbreviations",
  documents: "Documents",
};

/** Several documents settled as one: what is written in two ways across them, and each place in its document. */
export function SetScreen({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const id = useMemo(() => new URLSearchParams(location.search).get("id") ?? "", []);
  const [state, setState] = useState<State>({ phase: "reading", share: 0 });
  const [said, setSaid] = useState("");
  useEffect(() => {
    let current = true;
    let session: SetSession | null = null;
    const open = async () => {
      const set = await readSet(id);
      if (!set) {
        setState({ phase: "missing" });
        return;
      }
      session = new SetSession(set, connectProofreader());
      await session.open();
      await session.check((share) => current && setState({ phase: "reading", share }));
      if (current) setState({ phase: "ready", session, revision: 0 });
      else session.close();
    };
    void open().catch((error: unknown) => {
      console.error(error);
      if (current)
        setSaid("The documents could not be checked as one. All of them are kept as they were.");
    });
    return () => {
      current = false;
      session?.close();
    };
  }, [id]);
  const again = async (session: SetSession, line: string) => {
    setSaid(line);
    await session.check(() => undefined);
    setState((now) => (now.phase === "ready" ? { ...now, revision: now.revision + 1 } : now));
  };
  return (
    <div className="min-h-screen min-w-[960px]">
      <SiteHeader here="/set" />
      <main className="mx-auto max-w-[1280px] px-8 pt-8 pb-16">
        {state.phase === "missing" ? <p className="text-soft">There is no such set.</p> : null}
        {state.phase === "reading" ? (
          <p role="status" className="text-soft">
            {said || `Reading the documents as one, ${Math.round(100 * state.share)}%…`}
          </p>
        ) : null}
        {state.phase === "ready" ? (
          <Ready
            session={state.session}
            revision={state.revision}
            said={said}
            again={(line) => again(state.session, line)}
          />
        ) : null}
      </main>
    </div>
  );
}

interface ReadyProps {
  session: SetSession;
  revision: number;
  said: string;
  /** Has all of it checked again, with a line that says what was done. */
  again(line: string): Promise<void>;
}

function Ready({ session, revision, said, again }: ReadyProps) {
  const [view, setView] = useState<View>("forms");
  const [open, setOpen] = useState("");
  // biome-ignore lint/correctness/useExhaustiveDependencies: the session is the same while what it holds changes
  const groups = useMemo(
    () =>
      session.groups().sort((one, other) => other.documents - one.documents || other.odd - one.odd),
    [session, revision],
  );
  const shown = groups.find(({ group }) => group.id === open) ?? groups[0];
  const { titles } = session;
  const undo = async () => again(await session.undoLast());
  return (
    <>
      <header className="flex items-end gap-6 border-b border-ink pb-3">
        <div className="min-w-0 grow">
          <p className="text-[13px] text-soft">{count(titles.length, "document")} as one</p>
          <h1 className="font-book text-[28px] leading-tight font-semibold">{session.set.name}</h1>
        </div>
        <div role="tablist" aria-label="Views" className="flex gap-5">
          {Object.entries(VIEWS).map(([name, title]) => (
            <button
              key={name}
              type="button"
              role="tab"
              aria-selected={view === name}
              className={`border-b-2 pb-1 ${view === name ? "border-pen font-semibold" : "border-transparent text-soft"}`}
              onClick={() => setView(name as View)}
            >
              {title}
            </button>
          ))}
        </div>
        <button
          type="button"
          className="button-plain"
          disabled={session.done.length === 0}
          onClick={() => void undo()}
        >
          Take the last back
        </button>
      </header>
      {session.problems.map((problem) => (
        <p key={problem} className="mt-3 border-l-3 border-alarm bg-sheet px-4 py-2">
          {problem}
        </p>
      ))}
      <p role="status" className="mt-2 min-h-5 text-[13px] font-semibold">
        {said}
      </p>
      {view === "documents" ? <SetDocuments session={session} /> : null}
      {view === "abbreviations" ? <SetAbbreviations session={session} revision={revision} /> : null}
      {view === "terms" ? (
        <SetTerms session={session} revision={revision} onWritten={(line) => void again(line)} />
      ) : null}
      {view === "forms" ? (
        <div className="mt-2 grid grid-cols-[minmax(0,1fr)_300px] gap-8">
          <div>
            {shown ? (
              <OpenGroup
                key={`${shown.group.id} ${revision}`}
                session={session}
                group={shown.group}
                onWritten={(line) => void again(line)}
              />
            ) : (
              <p className="text-soft">The documents write everything one way.</p>
            )}
          </div>
          <Groups groups={groups} open={shown?.group.id ?? ""} onOpen={setOpen} />
        </div>
      ) : null}
    </>
  );
}

interface GroupsProps {
  groups: readonly { group: Group; odd: number; documents: number }[];
  open: string;
  onOpen(id: string): void;
}

/** All groups with their places at odds, those that run through most documents first. */
function Groups({ groups, open, onOpen }: GroupsProps) {
  return (
    <nav aria-label="Groups" className="max-h-[70vh] overflow-auto border-l border-rule">
      <ul>
        {groups.map(({ group, odd }) => (
          <li key={group.id}>
            <button
              type="button"
              aria-current={group.id === open ? "true" : undefined}
              className={`flex w-full justify-between gap-3 border-l-3 px-3 py-1.5 text-left font-book ${
                group.id === open ? "border-pen bg-sheet font-semibold" : "border-transparent"
              }`}
              onClick={() => onOpen(group.id)}
            >
              <span className="min-w-0 truncate">
                {(group.variants ?? []).map(({ text }) => text).join(", ")}
              </span>
              <span className="font-plain font-normal text-soft">{figure(odd)}</span>
            </button>
          </li>
        ))}
      </ul>
    </nav>
  );
}
