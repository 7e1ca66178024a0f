import { useVirtualizer } from "@tanstack/react-virtual";
import { setNonce } from "get-nonce";
import { useEffect, useMemo, useRef, useState } from "react";
import type { CarriedDecisions } from "../../core/carry/carry-decisions.ts";
import type { ComparedRow, Stretch } from "../../core/carry/compare.ts";
import { readRecord, type ShelfRecord } from "../../store/shelf.ts";
import { connectProofreader } from "../../worker/connect.ts";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { count } from "../parts/words.ts";
import { corrected, versionOf } from "../shelf/revision.ts";

interface Compared {
  old: ShelfRecord;
  now: ShelfRecord;
  rows: ComparedRow[];
  carried: CarriedDecisions;
}

type Filter = "all" | "differing";

/** A revised version beside the one before it: what is new, gone and moved, and what became of the decisions. */
export function VersionsScreen({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const id = useMemo(() => new URLSearchParams(location.search).get("doc") ?? "", []);
  const [compared, setCompared] = useState<Compared | null>(null);
  const [problem, setProblem] = useState("");
  const [filter, setFilter] = useState<Filter>("differing");
  useEffect(() => {
    let current = true;
    compareWithEarlier(id).then(
      (made) => {
        if (!current) return;
        if (typeof made === "string") setProblem(made);
        else setCompared(made);
      },
      (error: unknown) => {
        console.error(error);
        if (current)
          setProblem("The two versions could not be compared. Both are still kept as they were.");
      },
    );
    return () => {
      current = false;
    };
  }, [id]);
  return (
    <div className="grid h-screen min-w-[960px] grid-rows-[auto_minmax(0,1fr)]">
      <SiteHeader here="/versions" />
      <main className="mx-auto grid w-full max-w-[1280px] min-h-0 grid-rows-[auto_auto_minmax(0,1fr)] px-8 pt-6">
        {problem ? <p className="text-soft">{problem}</p> : null}
        {!compared && !problem ? (
          <p className="text-soft" role="status">
            Reading both versions…
          </p>
        ) : null}
        {compared ? (
          <>
            <Head compared={compared} filter={filter} onFilter={setFilter} />
            <Carried carried={compared.carried} id={compared.now.id} />
            <Rows
              rows={
                filter === "all"
                  ? compared.rows
                  : compared.rows.filter(({ fate }) => fate !== "same")
              }
            />
          </>
        ) : null}
      </main>
    </div>
  );
}

async function compareWithEarlier(id: string): Promise<Compared | string> {
  const now = await readRecord(id);
  if (!now) return "This document is not on the shelf any more.";
  const old = now.revises === null ? null : await readRecord(now.revises);
  if (!old) return "There is no earlier version of this document on the shelf.";
  const worker = connectProofreader();
  const [before, after] = [await corrected(worker, old), await corrected(worker, now)];
  if (!before || !after) return "One of the two versions can’t be read.";
  const [one, other] = [versionOf(before), versionOf(after)];
  const carried = await worker.carry(one, before.decisions, other);
  return { old, now, rows: await worker.compare(one, other), carried };
}

interface HeadProps {
  compared: Compared;
  filter: Filter;
  onFilter(filter: Filter): void;
}

function Head({ compared: { old, now, carried }, filter, onFilter }: HeadProps) {
  const { same, changed, moved, gone, added } = carried.fates;
  return (
    <header className="flex items-end gap-6 pb-3">
      <div className="min-w-0 grow">
        <p className="text-[13px] text-soft">
          A revised version of “{old.title}”, as it was corrected
        </p>
        <h1 className="font-book text-[28px] leading-tight font-semibold">{now.title}</h1>
        <p className="mt-1 text-soft">
          {count(same, "paragraph")} as before, {changed} changed, {moved} moved, {added} new,{" "}
          {gone} gone.
        </p>
      </div>
      <label className="shrink-0 text-soft">
        Show{" "}
        <select
          className="field text-ink"
          value={filter}
          onChange={(event) => onFilter(event.target.value as Filter)}
        >
          <option value="differing">what differs</option>
          <option value="all">everything</option>
        </select>
      </label>
      <a className="button-main shrink-0" href={`/desk?doc=${now.id}`}>
        To the desk
      </a>
    </header>
  );
}

/** What became of the decisions: carried, come back wrong, without a place. */
function Carried({ carried, id }: { carried: CarriedDecisions; id: string }) {
  const { drafts, cameBack, unplaced, stillRight } = carried;
  return (
    <section aria-label="Decisions" className="border-t border-ink py-3">
      <p>
        {count(drafts.length, "decision")} carried over; {count(stillRight, "correction")} still in
        the text.
      </p>
      {cameBack.length > 0 ? (
        <details className="mt-2" open>
          <summary className="font-semibold text-alarm">
            {count(cameBack.length, "place")} came back wrong
          </summary>
          <ul className="mt-1 max-h-32 overflow-auto">
            {cameBack.map(({ from, wrong, right }) => (
              <li key={from} className="font-book">
                <del className="decoration-pen decoration-2">{wrong}</del> {right}
              </li>
            ))}
          </ul>
          <p className="text-[13px] text-soft">
            The checks mark most of them again:{" "}
            <a className="button-text" href={`/desk?doc=${id}`}>
              on the desk
            </a>
            .
          </p>
        </details>
      ) : null}
      {unplaced.length > 0 ? (
        <details className="mt-2">
          <summary>{count(unplaced.length, "decision")} found no place</summary>
          <ul className="mt-1 max-h-32 overflow-auto">
            {unplaced.map(({ act, text, note }, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: several decisions may be about the same words
              <li key={index} className="text-[13px]">
                <span className="font-book text-[15px]">{text}</span>{" "}
                <span className="text-soft">
                  {act === "query" ? `asked: ${note}` : "let stand"}
                </span>
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </section>
  );
}

const LABELS: Readonly<Record<ComparedRow["fate"], string>> = {
  same: "",
  moved: "moved",
  changed: "changed",
  gone: "gone",
  added: "new",
};

/** Paragraph beside paragraph; only those in view are drawn. */
function Rows({ rows }: { rows: readonly ComparedRow[] }) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 90,
    overscan: 8,
  });
  return (
    <section
      ref={scroller}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keyboard
      tabIndex={0}
      aria-label="Paragraphs"
      className="overflow-auto border-t border-rule pb-10"
    >
      <div className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          if (!row) return null;
          return (
            <div
              key={index}
              ref={virtual.measureElement}
              data-index={index}
              className="absolute inset-x-0 grid grid-cols-[minmax(0,1fr)_64px_minmax(0,1fr)] border-b border-hair py-2 font-book text-[15px] leading-snug"
              style={{ top: start }}
            >
              <p>
                <Side stretches={row.old} isOld />
              </p>
              <span className="text-center font-plain text-xs text-pen">{LABELS[row.fate]}</span>
              <p>
                <Side stretches={row.now} isOld={false} />
              </p>
            </div>
          );
        })}
      </div>
    </section>
  );
}

function Side({ stretches, isOld }: { stretches: readonly Stretch[]; isOld: boolean }) {
  return (
    <>
      {stretches.map(({ text, isOnlyHere }, index) => {
        const key = `${index} ${text.length}`;
        if (!isOnlyHere) return <span key={key}>{text}</span>;
        return isOld ? (
          <del key={key} className="decoration-pen decoration-2">
            {text}
          </del>
        ) : (
          <ins key={key} className="bg-tint no-underline">
            {text}
          </ins>
        );
      })}
    </>
  );
}
