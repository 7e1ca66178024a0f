import { useEffect } from "react";
import { PASSES } from "../../core/checks/card.ts";
import { LEAVE_BITS, LEAVE_KINDS, leftAlone } from "../../core/checks/leave.ts";
import { SUBJECTS } from "../../core/house/subjects.ts";
import {
  type Counts,
  SPOKEN_WORDS_A_MINUTE,
  WORDS_A_MINUTE,
  WORDS_A_PAGE,
} from "../../core/readings/counts.ts";
import { Key } from "../parts/Key.tsx";
import { count, figure } from "../parts/words.ts";
import { PassEntry } from "./PassEntry.tsx";
import { loadReadings, PASS_PARTS } from "./pass-parts.ts";
import { Switch } from "./Switch.tsx";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

interface RailProps {
  session: DeskSession;
}

interface PassRailProps extends RailProps {
  /** The board is up. */
  board: "pass" | "readings" | "cleanup" | null;
  onBoard: (which: "pass" | "readings" | "cleanup") => void;
  onReplace: () => void;
}

/** The passes with what is left in each, the switches of their checks, and the readings in brief. */
export function PassRail({ session, board, onBoard, onReplace }: PassRailProps) {
  return (
    <nav aria-label="Passes" className="flex flex-col overflow-auto border-r border-rule pt-3.5">
      <h2 className="px-4.5 pb-2 text-xs font-semibold text-soft">Passes</h2>
      {PASSES.map((pass) => (
        <PassEntry key={pass} pass={pass} session={session} />
      ))}
      <button
        type="button"
        aria-pressed={board === "pass"}
        className={`mt-2 flex items-baseline justify-between border-l-3 py-1.5 pr-3.5 pl-3.5 text-left text-[13px] ${board === "pass" ? "border-pen bg-sheet font-semibold" : "border-transparent text-soft"}`}
        onClick={(event) => {
          onBoard("pass");
          if (event.detail > 0) event.currentTarget.blur();
        }}
      >
        <BoardTitle session={session} /> <Key>B</Key>
      </button>
      <button
        type="button"
        aria-pressed={board === "cleanup"}
        className={`flex items-baseline justify-between border-l-3 py-1.5 pr-3.5 pl-3.5 text-left text-[13px] ${board === "cleanup" ? "border-pen bg-sheet font-semibold" : "border-transparent text-soft"}`}
        onClick={(event) => {
          onBoard("cleanup");
          if (event.detail > 0) event.currentTarget.blur();
        }}
      >
        Clean-up <Key>C</Key>
      </button>
      <LeftAlone session={session} />
      <Subjects session={session} />
      <Replacing session={session} onReplace={onReplace} />
      <Readings session={session} open={board === "readings"} onOpen={() => onBoard("readings")} />
    </nav>
  );
}

function BoardTitle({ session }: RailProps) {
  const { pass } = useSlice(session, "pass");
  return <>{PASS_PARTS[pass].board.title}</>;
}

/** Parts of this document that no check reads, and the kinds of unknown words that are left alone. */
function LeftAlone({ session }: RailProps) {
  const { record, tables } = useSlice(session, "record", "tables");
  if (!record) return null;
  const left = leftAlone(record.kind, record.leave);
  const unread = tables ? unreadParts(tables.counts) : [];
  return (
    <details className="px-4.5 pt-3 text-[13px] text-soft">
      <summary className="select-none">
        Left alone
        {unread.length > 0 ? (
          <span className="mt-1 block pl-4 leading-snug" data-testid="unread">
            {unread.join(", ")}
          </span>
        ) : null}
      </summary>
      <ul className="mt-2 space-y-2">
        {LEAVE_KINDS.map(({ id, title, note }) => (
          <li key={id}>
            <Switch
              title={title}
              note={note}
              on={(left & LEAVE_BITS[id]) !== 0}
              onSwitch={(on) => void session.settings.switchLeave(id, on)}
            />
          </li>
        ))}
      </ul>
    </details>
  );
}

/** How many parts of a document are not read, by what they are. */
function unreadParts({ code, columns, mail, foreign }: Counts): string[] {
  const parts: [number, string][] = [
    [code, "of code"],
    [columns, "set in columns"],
    [mail, "of mail heads and quoted mail"],
    [foreign, "in another language"],
  ];
  return parts.flatMap(([number, what]) =>
    number > 0 ? [`${count(number, "part")} ${what}`] : [],
  );
}

/** The subject lists, shipped and own, that count for this document. */
function Subjects({ session }: RailProps) {
  const { record, style } = useSlice(session, "record", "style");
  if (!record) return null;
  const lists = [
    ...SUBJECTS.map(({ id, title, note }) => ({ id, title, note })),
    ...style.lists.map(({ id, name }) => ({ id, title: name, note: "your own list" })),
  ];
  return (
    <details className="px-4.5 pt-3 text-[13px] text-soft">
      <summary className="select-none">Subject lists</summary>
      <ul className="mt-2 space-y-2">
        {lists.map(({ id, title, note }) => (
          <li key={id}>
            <Switch
              title={title}
              note={note}
              on={record.subjects.includes(id)}
              onSwitch={(on) => void session.settings.switchSubject(id, on)}
            />
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Replacing habitual slips: on request, and while typing. */
function Replacing({ session, onReplace }: RailProps & { onReplace: () => void }) {
  const { style, replaceTyping } = useSlice(session, "style", "replaceTyping");
  const { replacements } = style;
  return (
    <details className="px-4.5 pt-3 pb-3 text-[13px] text-soft">
      <summary className="select-none">Replacements</summary>
      <div className="mt-2 space-y-2">
        {replacements.length === 0 ? (
          <p>
            None yet.{" "}
            <a className="button-text" href="/house?part=replacements">
              House style
            </a>{" "}
            keeps them.
          </p>
        ) : (
          <button type="button" className="button-text" onClick={onReplace}>
            Replace in this document…
          </button>
        )}
        <Switch
          title="Replace while typing"
          on={replaceTyping}
          onSwitch={(on) => void session.settings.setReplaceTyping(on)}
        />
      </div>
    </details>
  );
}

interface RailReadingsProps extends RailProps {
  /** Their board is up. */
  open: boolean;
  onOpen: () => void;
}

function Readings({ session, open, onOpen }: RailReadingsProps) {
  const { tables, readings } = useSlice(session, "tables", "readings");
  const known = readings !== null;
  // The board is fetched once there is something to show on it, so that it opens at once.
  useEffect(() => {
    if (known) void loadReadings();
  }, [known]);
  if (!tables) return null;
  const { counts } = tables;
  const rows: [string, string][] = [
    ["Words", figure(counts.words)],
    ["Sentences", figure(counts.sentences)],
    ["Words a sentence", (counts.proseWords / Math.max(1, counts.sentences)).toFixed(1)],
    ["Characters", figure(counts.characters)],
    ["Paragraphs", figure(counts.paragraphs)],
    [`Pages of ${WORDS_A_PAGE} words`, figure(Math.max(1, Math.ceil(counts.words / WORDS_A_PAGE)))],
    ["To read", duration(counts.words / WORDS_A_MINUTE)],
    ["To speak", duration(counts.words / SPOKEN_WORDS_A_MINUTE)],
  ];
  const grade = readings?.grade;
  if (grade) rows.push(["Grades", `${grade.lowest.toFixed(0)} to ${grade.highest.toFixed(0)}`]);
  return (
    <section className="mt-auto border-t border-rule px-4.5 py-3">
      <h2 className="text-xs font-semibold text-soft">
        <button
          type="button"
          aria-pressed={open}
          className={`flex w-full justify-between pb-1.5 ${open ? "text-ink" : ""}`}
          onClick={(event) => {
            onOpen();
            if (event.detail > 0) event.currentTarget.blur();
          }}
        >
          Readings
          <span className="font-normal">
            how it reads <Key>H</Key>
          </span>
        </button>
      </h2>
      <dl className="space-y-1 text-[13px]">
        {rows.map(([label, value]) => (
          <div key={label} className="flex justify-between">
            <dt className="text-soft">{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function duration(minutes: number): string {
  if (minutes < 60) return `${Math.max(1, Math.round(minutes))} min`;
  return `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`;
}
