import { useMemo, useState } from "react";
import { NOTICE_KINDS, type Notice } from "../../../../core/citations/outside/asking.ts";
import type { CitationTable, ListedEntry, UsePlace } from "../../../../core/gathered/citations.ts";
import type { Block, Range } from "../../../../core/manuscript/model.ts";
import { count } from "../../../parts/words.ts";
import { keyOfWork } from "../../outside.ts";
import { AskOutside } from "./AskOutside.tsx";
import type { AskedOutside } from "./use-outside.ts";

const LABELS: Readonly<Record<Notice["kind"], string>> = {
  retracted: "Retracted",
  withdrawn: "Withdrawn",
  concern: "Expression of concern",
  disputed: "Disputed by later work",
  corrected: "Corrected",
};
/** Words by which a text says that it knows of a notice. */
const MENTION = /retract|withdr[ae]w|concern|correct(?:ion|ed)|erratum|disput|doubt/iu;
/** Characters of the text before and behind a citation that are taken for its statement. */
const STATEMENT = 240;

interface NoticesProps {
  table: CitationTable;
  text: string;
  titles: readonly string[];
  blocks: readonly Block[];
  outside: AskedOutside;
  onSee: (place: Range) => void;
}

/** What a register says of the works in the list, the worst first, with each place where they are used. */
export function Notices({ table, text, titles, blocks, outside, onSee }: NoticesProps) {
  const [word, setWord] = useState("");
  const asked = table.entries.flatMap(({ asked: one }) => (one ? [one] : []));
  const answer = outside.answers.notices;
  const rows = useMemo(() => noticedEntries(table, answer), [table, answer]);
  const wanted = word.trim().toLowerCase();
  const shown = rows.filter(({ entry }) => {
    const sections = entry.uses.map((use) => titles[blocks[use.block]?.section ?? 0] ?? "");
    const whole = [text.slice(entry.from, entry.to), ...sections].join(" ");
    return whole.toLowerCase().includes(wanted);
  });
  return (
    <div className="min-h-0 grow overflow-auto" data-testid="notices">
      <AskOutside
        asked={outside}
        service="the register"
        entries={asked.length}
        label={`Ask about all ${asked.length} entries`}
        at={answer?.at ?? null}
        onAsk={() => outside.askNotices(asked)}
      />
      {answer ? (
        <p className="flex items-baseline justify-between gap-4 px-8 pt-3 text-soft">
          {rows.length === 0
            ? "The register has no notice on any of them."
            : `${count(rows.length, "notice")} on works of this list.`}
          <input
            type="search"
            aria-label="Find a word or a section"
            placeholder="Find a word or a section"
            className="field w-52 text-[13px]"
            value={word}
            onChange={({ target }) => setWord(target.value)}
          />
        </p>
      ) : null}
      <ul>
        {shown.map(({ entry, notice, isNew }) => (
          <li
            key={`${entry.reference} ${notice.kind} ${notice.date}`}
            className="border-b border-hair px-8 py-3"
          >
            <p className="flex items-baseline gap-3">
              <b className="font-semibold text-pen">{LABELS[notice.kind]}</b>
              <span className="text-soft">{day(notice.date)}</span>
              {isNew ? <span className="text-pen">new since last time</span> : null}
            </p>
            <p className="mt-0.5 font-book text-base">{text.slice(entry.from, entry.to)}</p>
            <p className="mt-0.5">{notice.reason}</p>
            {notice.by ? (
              <p className="mt-0.5 text-[13px] text-soft">
                {notice.by}: <q className="font-book text-base text-ink">{notice.words}</q>
              </p>
            ) : null}
            <p className="mt-0.5 text-[13px] text-soft">
              {usedLine(entry, text)} {afterLine(table, notice)}
            </p>
            <ul className="mt-1">
              {entry.uses.map((use) => (
                <Statement
                  key={use.from}
                  use={use}
                  text={text}
                  section={titles[blocks[use.block]?.section ?? 0] ?? ""}
                  onSee={() => onSee(use)}
                />
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The notices on the works of a list, the worst first and of equals the latest. */
function noticedEntries(
  table: CitationTable,
  answer: AskedOutside["answers"]["notices"],
): { entry: ListedEntry; notice: Notice; isNew: boolean }[] {
  if (!answer) return [];
  return table.entries
    .flatMap((entry) => {
      const key = entry.asked ? keyOfWork(entry.asked) : "";
      return (answer.found[key] ?? []).map((notice) => {
        const before = answer.before?.[key];
        const isNew =
          answer.before !== null &&
          !before?.some(({ date, kind }) => date === notice.date && kind === notice.kind);
        return { entry, notice, isNew };
      });
    })
    .sort(
      (a, b) =>
        NOTICE_KINDS.indexOf(a.notice.kind) - NOTICE_KINDS.indexOf(b.notice.kind) ||
        b.notice.date.localeCompare(a.notice.date),
    );
}

function usedLine({ uses }: ListedEntry, text: string): string {
  if (uses.length === 0) return "Nothing in the text cites it.";
  const tells = uses.filter((use) => MENTION.test(statementOf(use, text)));
  const told =
    tells.length === 0
      ? "and the text says nothing of the notice"
      : `and ${tells.length === 1 ? "one place" : `${tells.length} places`} may speak of the notice`;
  return `Cited ${uses.length === 1 ? "once" : `${uses.length} times`}, ${told}.`;
}

/** Whether the paper was written after the notice, as the years of its list tell. */
function afterLine({ entries }: CitationTable, { date }: Notice): string {
  const noticed = Number(date.slice(0, 4));
  const latest = Math.max(...entries.map(({ asked }) => asked?.year ?? 0));
  if (latest <= noticed) return "";
  return `The text was written after the notice: its list has a work of ${latest}.`;
}

/** The sentence around a citation. */
function statementOf({ from, to }: Range, text: string): string {
  const before = text.slice(Math.max(0, from - STATEMENT), from);
  const after = text.slice(to, to + STATEMENT);
  const start = Math.max(before.lastIndexOf("\n"), before.search(/[.?!]\s(?=[^.?!]*$)/u) + 1);
  const end = after.search(/[.?!](?:\s|$)|\n/u);
  return `${before.slice(start + 1)}${text.slice(from, to)}${end < 0 ? after : after.slice(0, end + 1)}`.trim();
}

function Statement({
  use,
  text,
  section,
  onSee,
}: {
  use: UsePlace;
  text: string;
  section: string;
  onSee: () => void;
}) {
  return (
    <li>
      <button
        type="button"
        className="grid w-full grid-cols-[8.5rem_minmax(0,1fr)] py-0.5 text-left text-[13px] text-soft"
        onClick={onSee}
      >
        <span className="truncate pr-3">{section}</span>
        <span className="font-book text-[15px] text-ink">{statementOf(use, text)}</span>
      </button>
    </li>
  );
}

function day(date: string): string {
  return new Date(date).toLocaleDateString("en-GB", { dateStyle: "long", timeZone: "UTC" });
}
