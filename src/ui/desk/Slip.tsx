import { useEffect, useRef, useState } from "react";
import { cardById } from "../../core/checks/cards.ts";
import type { CollatedCell } from "../../core/gathered/overlaps.ts";
import { Key } from "../parts/Key.tsx";
import { count } from "../parts/words.ts";
import { Collation } from "./boards/originality/Collation.tsx";
import { CitedPair } from "./CitedPair.tsx";
import type { DeskCommands } from "./commands.ts";
import { Explanation } from "./Explanation.tsx";
import { Meanings } from "./Meanings.tsx";
import type { DeskSession } from "./session.ts";
import type { LessQuestion, Subject } from "./state.ts";
import { TieByHand } from "./TieByHand.tsx";
import { useSlice } from "./use-slice.ts";

interface SlipProps {
  session: DeskSession;
  commands: DeskCommands;
  /** The note field for a query is open. */
  asking: boolean;
}

/** Where a decision is made: the reason, the corrections, and what else can be done. */
export function Slip({ session, commands, asking }: SlipProps) {
  const state = useSlice(session, "subject", "choices", "typing", "shown", "less", "openOfAll");
  const { subject, typing } = state;
  if (!subject) return null;
  if (asking) {
    return <QueryField subject={subject} session={session} onDone={commands.closeQuery} />;
  }
  if (state.less) return <LessField less={state.less} session={session} />;
  const twins = session.walk.twins(subject).length;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: a press here leaves the caret where it is
    <div
      data-testid="slip"
      data-shown={state.shown}
      data-keys={typing ? "typing" : "slip"}
      // What is pressed with the pointer must not take the keys: Enter would press it once more.
      onMouseDown={(event) => event.preventDefault()}
    >
      <p className="flex items-baseline gap-3">
        <span className="grow">{reasonOf(subject, Math.max(0, twins - 1), session)}</span>
      </p>
      <EntryBeside subject={subject} session={session} />
      <SourceBeside subject={subject} session={session} />
      <Choices session={session} />
      <Meanings state={state} />
      <Acts subject={subject} twins={twins} session={session} commands={commands} />
    </div>
  );
}

/** The entry that a citation may mean, beneath the citation. */
function EntryBeside({
  subject,
  session,
}: {
  subject: Exclude<Subject, null>;
  session: DeskSession;
}) {
  const [entry, setEntry] = useState<string | null>(null);
  const place = subject.kind === "mark" ? subject.place : null;
  const isTie = place !== null && TIES.has(place.mark.rule);
  useEffect(() => {
    let current = true;
    setEntry(null);
    if (isTie && place) {
      void session.deciding.entryOf(place.mark).then((found) => {
        if (current) setEntry(found);
      });
    }
    return () => {
      current = false;
    };
  }, [isTie, place, session]);
  if (!isTie || !place) return null;
  return (
    <>
      {entry ? <CitedPair cited={place.mark.text} entry={entry} /> : null}
      <TieByHand key={place.mark.id} mark={place.mark} session={session} />
    </>
  );
}

/** A passage that stands elsewhere above its source, word above word. */
function SourceBeside({
  subject,
  session,
}: {
  subject: Exclude<Subject, null>;
  session: DeskSession;
}) {
  const [cells, setCells] = useState<CollatedCell[] | null>(null);
  const mark = subject.kind === "mark" ? subject.place.mark : null;
  const isOverlap = mark?.pass === "originality";
  useEffect(() => {
    let current = true;
    setCells(null);
    if (isOverlap && mark) {
      void session.overlaps.collationAt(mark).then((found) => {
        if (current) setCells(found);
      });
    }
    return () => {
      current = false;
    };
  }, [isOverlap, mark, session]);
  return cells ? (
    <div className="mt-2">
      <Collation cells={cells} />
    </div>
  ) : null;
}

/** Checks whose slip shows the entry beside the citation. */
const TIES = new Set([
  "citations/no-entry",
  "citations/near-name",
  "citations/near-year",
  "citations/year-letter",
]);

/** The corrections, numbered; the one shown in the line is outlined. */
function Choices({ session }: { session: DeskSession }) {
  const { subject, choices, previewed, typing } = useSlice(
    session,
    "subject",
    "choices",
    "previewed",
    "typing",
  );
  return (
    <div className="mt-2 flex min-h-9 flex-wrap gap-2">
      {choices === null ? (
        <span className="self-center text-soft">Looking for corrections…</span>
      ) : null}
      {choices?.length === 0 ? (
        <span className="self-center text-soft">{withoutChoices(subject)}</span>
      ) : null}
      {choices?.map((choice, index) => (
        <button
          key={choice.label}
          type="button"
          onClick={() => void session.deciding.take(index, false)}
          onMouseMove={(event) => {
            // A slip that opens under a resting pointer must not choose by itself.
            if (event.movementX !== 0 || event.movementY !== 0) session.walk.preview(index);
          }}
          onFocus={() => session.walk.preview(index)}
          className={`flex items-baseline gap-2 rounded-xs border bg-sheet py-1 pr-3 pl-1.5 ${
            index === previewed ? "border-ink shadow-[inset_0_-2px_var(--ink)]" : "border-rule"
          }`}
        >
          <Key hidden={typing}>{String(index + 1)}</Key>
          <span className="font-book text-base">{choice.label}</span>
          {choice.note ? <span className="text-xs text-soft">{choice.note}</span> : null}
          {index !== Math.max(0, previewed) ? null : (
            <span className={`text-xs text-soft ${typing ? "invisible" : ""}`}>
              <Key>Enter</Key>
              {previewed < 0 ? " shows it" : ""}
            </span>
          )}
        </button>
      ))}
    </div>
  );
}

interface ActsProps {
  subject: Exclude<Subject, null>;
  /** Places with the same cause, this one included. */
  twins: number;
  session: DeskSession;
  commands: DeskCommands;
}

/** What else can be decided, each with its key. */
function Acts({ subject, twins, session, commands }: ActsProps) {
  const { choices, typing } = useSlice(session, "choices", "typing");
  return (
    <div className="mt-2.5 -mr-5 flex flex-wrap items-center gap-x-4 gap-y-1.5 text-[13px] text-soft">
      {subject.kind === "mark" ? (
        <>
          <Act
            letter="S"
            typing={typing}
            label="stet"
            run={() => void session.deciding.stet(false)}
          />
          {cardById(subject.place.mark.rule)?.takesWords ? (
            <Act
              letter="W"
              typing={typing}
              label="word list"
              run={() => void session.deciding.listWord()}
            />
          ) : null}
          {subject.place.mark.pass === "originality" ? (
            <Act
              letter="B"
              typing={typing}
              label="its source; reword, my own, stock phrase"
              run={commands.showBoard}
            />
          ) : null}
          {session.groups.get(subject.place.mark.group)?.matter ? (
            <Act
              letter="B"
              typing={typing}
              label="settle all its places"
              run={commands.showBoard}
            />
          ) : null}
          <Act
            letter="D"
            typing={typing}
            label="less like this"
            run={() => void session.settings.lessLikeThis(false)}
          />
        </>
      ) : null}
      <Act letter="Q" typing={typing} label="query" run={commands.openQuery} />
      <Act letter="F" typing={typing} label="for the house" run={commands.makeRule} />
      {typing ? (
        <span className="flex items-baseline gap-1.5 font-semibold whitespace-nowrap text-pen">
          <Key>Esc</Key>
          keys to the slip
        </span>
      ) : (
        <Act letter="E" typing={false} label="edit" run={commands.editHere} />
      )}
      {twins > 1 ? (
        <span className="ml-auto flex gap-4">
          {choices && choices.length > 0 ? (
            <Act
              letter="⇧1"
              typing={typing}
              label={`all ${count(twins, "place")}`}
              run={() => commands.everywhere(0)}
            />
          ) : null}
          <Act
            letter="⇧S"
            typing={typing}
            label={`stet all ${count(twins, "place")}`}
            run={() => void session.deciding.stet(true)}
          />
        </span>
      ) : null}
    </div>
  );
}

/** Asked of a check that is what a pass is for: the word, the list, or the check itself? */
function LessField({ less, session }: { less: LessQuestion; session: DeskSession }) {
  const { text, places, hides, inEvery } = less;
  const answers = [
    `Let “${text}” stand everywhere in this document: ${count(places, "place")}`,
    `Put “${text}” on the word list`,
    `Mark no unknown words in ${inEvery ? "any document" : "this document"}: hides ${count(hides, "mark")}`,
  ];
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: a press here leaves the caret where it is
    <div
      data-testid="slip"
      data-shown="true"
      data-keys="slip"
      onMouseDown={(event) => event.preventDefault()}
    >
      <p>Less of what? Looking for such words is what this pass is for.</p>
      <ol className="mt-2 space-y-1.5">
        {answers.map((answer, index) => (
          <li key={answer}>
            <button
              type="button"
              className="flex items-baseline gap-2 text-left"
              onClick={() => void session.settings.answerLess(index)}
            >
              <Key>{String(index + 1)}</Key>
              {answer}
            </button>
          </li>
        ))}
      </ol>
      <p className="mt-2.5 text-[13px] text-soft">
        <button type="button" onClick={() => session.walk.dismiss()}>
          <Key>Esc</Key> leave it as it is
        </button>
      </p>
    </div>
  );
}

/** What to say where no correction is offered. */
function withoutChoices(subject: Subject): string {
  const rule = subject?.kind === "mark" ? subject.place.mark.rule : "";
  const text = subject?.kind === "mark" ? subject.place.mark.text : "";
  if (rule === "" || cardById(rule)?.takesWords) return "Nothing in the dictionary is near it.";
  const others = /^[\p{L}'’-]+$/u.test(text) ? ", M shows other words" : "";
  return `No rewrite fits every case: E edits here${others}.`;
}

function reasonOf(subject: Exclude<Subject, null>, others: number, session: DeskSession) {
  if (subject.kind !== "mark") {
    const byMeaning = session.state.choices?.[0]?.byMeaning;
    const offered = byMeaning ? "Other words for it:" : "Words near it by their letters:";
    return (
      <>
        “{subject.word.word}” carries no mark. {session.state.choices ? offered : ""}
      </>
    );
  }
  const { mark } = subject.place;
  const check = cardById(mark.rule);
  const note = session.groups.get(mark.group)?.note;
  const same = others > 0 ? `The same is in ${count(others, "other place")}.` : "";
  return (
    <>
      {[mark.reason, note, same].filter(Boolean).join(" ")}{" "}
      {check ? <Explanation check={check} also={mark.also} key={mark.id} /> : null}
    </>
  );
}

interface ActProps {
  letter: string;
  label: string;
  /** Keys go into the text: the key is not shown. */
  typing: boolean;
  run: () => void;
}

function Act({ letter, label, typing, run }: ActProps) {
  return (
    <button type="button" className="flex items-baseline gap-1.5 whitespace-nowrap" onClick={run}>
      <Key hidden={typing}>{letter}</Key>
      {label}
    </button>
  );
}

interface QueryProps {
  /** What the question is about, whatever the walk does while it is written. */
  subject: Exclude<Subject, null>;
  session: DeskSession;
  onDone: () => void;
}

function QueryField({ subject, session, onDone }: QueryProps) {
  const [note, setNote] = useState("");
  const field = useRef<HTMLTextAreaElement>(null);
  useEffect(() => field.current?.focus(), []);
  const send = () => {
    if (note.trim() === "") return;
    onDone();
    void session.deciding.query(subject, note.trim());
  };
  return (
    <form
      data-testid="slip"
      data-shown="true"
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
