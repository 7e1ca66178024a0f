import { useEffect, useMemo, useState } from "react";
import { cardById } from "../../../../core/checks/cards.ts";
import { LIST_SORTED, SORTED } from "../../../../core/citations/sorted-list.ts";
import type { CitationTable } from "../../../../core/gathered/citations.ts";
import { count } from "../../../parts/words.ts";
import type { PlacedMark } from "../../reported.ts";
import type { PlacedChoice } from "../../state.ts";
import type { BoardDeciding, BoardReports } from "../board.ts";

interface AllAtOnceProps {
  table: CitationTable;
  reports: BoardReports;
  deciding: BoardDeciding;
}

/** A change that can be made: a mark with its first correction. */
interface Change {
  place: PlacedMark;
  choice: PlacedChoice;
}

const LIST_ORDER = "citations/list-order";

/** Every correction of the pass, by kind of trouble, each seen before it is made; and the list in its right order. */
export function AllAtOnce({ table, reports, deciding }: AllAtOnceProps) {
  const changes = useChanges(reports, deciding);
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const [busy, setBusy] = useState(false);
  const byRule = useMemo(() => changesByRule(changes ?? []), [changes]);
  const keyOf = ({ place: { mark, from } }: Change) => `${mark.id} ${from}`;
  const toggle = (keys: readonly string[], on: boolean) => {
    const next = new Set(off);
    for (const key of keys)
      if (on) next.delete(key);
      else next.add(key);
    setOff(next);
  };
  const make = async (chosen: readonly Change[]) => {
    setBusy(true);
    const made = await deciding.correctEach(chosen);
    const left = chosen.length - made;
    const rest = left > 0 ? ` ${count(left, "place")} met another and stayed open.` : "";
    deciding.say(`${count(made, "change")} made. U takes all of it back.${rest}`);
    setBusy(false);
  };
  return (
    <div className="min-h-0 grow overflow-auto px-8 py-4" data-testid="all-at-once">
      <SortedList table={table} reports={reports} deciding={deciding} />
      {changes === null ? <p className="mt-4 text-soft">Working the changes out…</p> : null}
      {changes?.length === 0 ? (
        <p className="mt-4 text-soft">No open mark has a correction of its own.</p>
      ) : null}
      {[...byRule].map(([rule, own]) => {
        const chosen = own.filter((one) => !off.has(keyOf(one)));
        return (
          <section key={rule} aria-label={cardById(rule)?.title ?? rule} className="mt-6">
            <h3 className="flex items-baseline gap-4 border-b border-rule pb-1.5 font-semibold">
              <label className="flex grow items-baseline gap-3">
                <input
                  type="checkbox"
                  className="accent-ink"
                  checked={chosen.length === own.length}
                  onChange={({ target }) => toggle(own.map(keyOf), target.checked)}
                />
                {cardById(rule)?.title ?? rule}
              </label>
              <button
                type="button"
                className="button-text text-[13px] font-normal"
                disabled={chosen.length === 0 || busy || reports.reading}
                onClick={() => void make(chosen)}
              >
                Make {count(chosen.length, "change")} of this kind
              </button>
            </h3>
            <ul>
              {own.map((change) => (
                <li key={keyOf(change)} className="border-b border-hair py-1.5">
                  <label className="flex items-baseline gap-3 font-book text-[15px]">
                    <input
                      type="checkbox"
                      className="accent-ink"
                      checked={!off.has(keyOf(change))}
                      onChange={({ target }) => toggle([keyOf(change)], target.checked)}
                    />
                    <Preview change={change} reports={reports} />
                  </label>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

function changesByRule(changes: readonly Change[]): ReadonlyMap<string, Change[]> {
  const byRule = new Map<string, Change[]>();
  for (const change of changes) {
    const { rule } = change.place.mark;
    byRule.set(rule, [...(byRule.get(rule) ?? []), change]);
  }
  return byRule;
}

/** The first correction of each open mark of the pass; null before they are known. */
function useChanges({ open }: BoardReports, deciding: BoardDeciding): readonly Change[] | null {
  const [changes, setChanges] = useState<readonly Change[] | null>(null);
  useEffect(() => {
    let current = true;
    const find = async () => {
      const found: Change[] = [];
      for (const place of open) {
        if (place.mark.pass !== "citations") continue;
        const [choice] = (await deciding.corrections(place)) ?? [];
        if (!current) return;
        if (choice && choice.edits.length > 0) found.push({ place, choice });
      }
      setChanges(found);
    };
    void find();
    return () => {
      current = false;
    };
  }, [open, deciding]);
  return changes;
}

/** Characters around a change. */
const AROUND = 40;

/** A place as it stands and as it would be, what goes struck out and what comes underlined. */
function Preview({
  change: { place, choice },
  reports: { text },
}: {
  change: Change;
  reports: BoardReports;
}) {
  const edits = [...choice.edits].sort((one, other) => one.from - other.from);
  const first = edits[0]?.from ?? place.from;
  const last = edits.at(-1)?.to ?? place.to;
  const line = text.lastIndexOf("\n", first - 1) + 1;
  const end = text.indexOf("\n", last);
  let at = Math.max(line, first - AROUND);
  const parts = edits.map((edit) => {
    const before = text.slice(at, edit.from);
    at = edit.to;
    return (
      <span key={edit.from}>
        {before}
        {edit.to > edit.from ? (
          <del className="text-soft">{text.slice(edit.from, edit.to)}</del>
        ) : null}
        {edit.insert ? <ins className="decoration-pen decoration-2">{edit.insert}</ins> : null}
      </span>
    );
  });
  return (
    <span className="min-w-0">
      {parts}
      {text.slice(at, Math.min(end < 0 ? text.length : end, at + AROUND))}
    </span>
  );
}

/** What would move if the list were sorted, and whether it leaves the document so. */
function SortedList({ table, reports, deciding }: AllAtOnceProps) {
  const isSorted = reports.forms[LIST_SORTED] === SORTED;
  const { slots, entries } = table;
  if (slots.length === 0 && !isSorted) return null;
  const misplaced = reports.open.filter(({ mark }) => mark.rule === LIST_ORDER);
  const shown = new Map(entries.map((entry) => [entry.reference, entry.shown]));
  return (
    <section aria-label="Order of the list">
      <h3 className="flex items-baseline gap-4 border-b border-rule pb-1.5 font-semibold">
        <span className="grow">Order of the list</span>
        <button
          type="button"
          className="button-text text-[13px] font-normal"
          disabled={reports.reading}
          onClick={() => deciding.sortLists(!isSorted, misplaced)}
        >
          {isSorted
            ? "Let it leave as it stands"
            : `Sort it: ${count(slots.length, "entry", "entries")} moved`}
        </button>
      </h3>
      <p className="pt-1 text-[13px] text-soft">
        {isSorted
          ? "The list leaves in its right order: as tracked moves in a .docx with changes tracked, otherwise in place. On screen it stays as it came."
          : "Paragraphs are moved when the document is exported, and what moves can be rejected there."}
      </p>
      <ul>
        {slots.map(({ reference, before }) => (
          <li key={reference} className="border-b border-hair py-1 font-book text-[15px]">
            <b className="font-semibold">{shown.get(reference)}</b>{" "}
            {before === null ? "to the end" : `before ${shown.get(before) ?? ""}`}
          </li>
        ))}
      </ul>
    </section>
  );
}
