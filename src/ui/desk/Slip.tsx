import { useEffect, useRef, useState } from "react";
import { checkById } from "../../core/checks/index.ts";
import { Key } from "../parts/Key.tsx";
import { count } from "../parts/words.ts";
import type { DeskCommands } from "./commands.ts";
import { Explanation } from "./Explanation.tsx";
import { Meanings } from "./Meanings.tsx";
import type { DeskSession } from "./session.ts";
import type { DeskState } from "./state.ts";

interface SlipProps {
  state: DeskState;
  session: DeskSession;
  commands: DeskCommands;
  /** The note field for a query is open. */
  asking: boolean;
}

/** Where a decision is made: the reason, the corrections, and what else can be done. */
export function Slip({ state, session, commands, asking }: SlipProps) {
  const { subject, choices, previewed } = state;
  if (!subject) return null;
  if (asking) return <QueryField session={session} onDone={commands.closeQuery} />;
  const twins = session.twins(subject).length;
  return (
    <div data-testid="slip">
      <p className="flex items-baseline gap-3">
        <span className="grow">{reasonOf(state)}</span>
      </p>
      <div className="mt-2 flex min-h-9 flex-wrap gap-2">
        {choices === null ? (
          <span className="self-center text-soft">Looking for corrections…</span>
        ) : null}
        {choices?.length === 0 ? (
          <span className="self-center text-soft">{withoutChoices(state)}</span>
        ) : null}
        {choices?.map((choice, index) => (
          <button
            key={choice.label}
            type="button"
            onClick={() => void session.take(index, false)}
            onMouseMove={(event) => {
              // A slip that opens under a resting pointer must not choose by itself.
              if (event.movementX !== 0 || event.movementY !== 0) session.preview(index);
            }}
            onFocus={() => session.preview(index)}
            className={`flex items-baseline gap-2 rounded-xs border bg-sheet py-1 pr-3 pl-1.5 ${
              index === previewed ? "border-ink shadow-[inset_0_-2px_var(--ink)]" : "border-rule"
            }`}
          >
            <Key>{String(index + 1)}</Key>
            <span className="font-book text-base">{choice.label}</span>
            {choice.note ? <span className="text-xs text-soft">{choice.note}</span> : null}
          </button>
        ))}
      </div>
      <Meanings state={state} />
      <div className="mt-2.5 -mr-5 flex flex-wrap items-center gap-x-4 gap-y-1.5 text-[13px] text-soft">
        {subject.kind === "mark" ? (
          <>
            <Act letter="S" label="stet" run={() => void session.stet(false)} />
            {checkById(subject.place.mark.rule)?.takesWords ? (
              <Act letter="W" label="word list" run={() => void session.listWord()} />
            ) : null}
          </>
        ) : null}
        {subject.kind === "mark" ? (
          <Act letter="D" label="less like this" run={() => void session.lessLikeThis(false)} />
        ) : null}
        <Act letter="Q" label="query" run={commands.openQuery} />
        <Act letter="E" label="edit" run={commands.editHere} />
        {twins > 1 ? (
          <span className="ml-auto flex gap-4">
            <Act
              letter="⇧1"
              label={`all ${count(twins, "place")}`}
              run={() => void session.take(0, true)}
            />
            <Act letter="⇧S" label="stet all" run={() => void session.stet(true)} />
          </span>
        ) : null}
      </div>
    </div>
  );
}

/** What to say where no correction is offered. */
function withoutChoices({ subject }: DeskState): string {
  const rule = subject?.kind === "mark" ? subject.place.mark.rule : "";
  if (rule === "" || rule.startsWith("spelling/")) return "Nothing in the dictionary is near it.";
  return "No rewrite fits every case: E edits here, M shows other words.";
}

function reasonOf({ subject, open }: DeskState) {
  if (subject?.kind !== "mark") {
    return <>“{subject?.word.word}” carries no mark. These words are near it.</>;
  }
  const { mark } = subject.place;
  const others = open.filter((place) => place.mark.group === mark.group).length - 1;
  const check = checkById(mark.rule);
  return (
    <>
      {mark.reason}
      {others > 0 ? ` The same stands in ${count(others, "other place")}.` : ""}{" "}
      {check ? <Explanation check={check} key={mark.id} /> : null}
    </>
  );
}

function Act({ letter, label, run }: { letter: string; label: string; run: () => void }) {
  return (
    <button type="button" className="flex items-baseline gap-1.5 whitespace-nowrap" onClick={run}>
      <Key>{letter}</Key>
      {label}
    </button>
  );
}

function QueryField({ session, onDone }: { session: DeskSession; onDone: () => void }) {
  const [note, setNote] = useState("");
  const field = useRef<HTMLTextAreaElement>(null);
  useEffect(() => field.current?.focus(), []);
  const send = () => {
    if (note.trim() === "") return;
    onDone();
    void session.query(note.trim());
  };
  return (
    <form
      data-testid="slip"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <label className="block">
        Ask the author about this place. The question leaves with the tracked export, as a comment.
        <textarea
          ref={field}
          value={note}
          rows={2}
          className="field mt-2 block w-full"
          onChange={(event) => setNote(event.target.value)}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === "Escape") onDone();
            if (event.key === "Enter" && !event.shiftKey) {
              event.preventDefault();
              send();
            }
          }}
        />
      </label>
      <div className="mt-2.5 flex gap-4 text-[13px]">
        <button type="submit" className="font-semibold">
          <Key>Enter</Key> ask
        </button>
        <button type="button" className="text-soft" onClick={onDone}>
          <Key>Esc</Key> leave it
        </button>
      </div>
    </form>
  );
}
