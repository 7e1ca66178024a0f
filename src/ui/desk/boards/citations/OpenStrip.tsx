import { cardById } from "../../../../core/checks/cards.ts";
import { Key } from "../../../parts/Key.tsx";
import { figure } from "../../../parts/words.ts";
import { CitedPair } from "../../CitedPair.tsx";
import { Explanation } from "../../Explanation.tsx";
import type { PlacedMark } from "../../reported.ts";
import type { PlacedChoice } from "../../state.ts";
import type { BoardDeciding } from "../board.ts";
import { Act } from "../settling/Act.tsx";
import type { ListRow } from "./list-rows.ts";

interface OpenStripProps {
  row: ListRow;
  mark: PlacedMark | null;
  choices: readonly PlacedChoice[] | null;
  text: string;
  /** Which of the open rows it is, from 1. */
  at: number;
  openRows: number;
  deciding: BoardDeciding;
  onTake: (index: number) => void;
  onStet: () => void;
  onSee: () => void;
  onNext: () => void;
  onLookUp: () => void;
  /** Copies the list in its right order. */
  onCopy: (() => void) | null;
}

/** What is to be decided about the row that is looked at. */
export function OpenStrip(props: OpenStripProps) {
  const { row, mark, choices, text, at, openRows, deciding } = props;
  const card = mark ? cardById(mark.mark.rule) : undefined;
  return (
    <footer className="border-t border-ink bg-wash px-8 py-3 text-[13px]">
      {mark ? (
        <>
          <p className="text-sm">
            {mark.mark.reason} {card ? <Explanation check={card} key={card.id} /> : null}
          </p>
          {row.kind === "entry" && isCitation(mark, row) ? (
            <CitedPair
              cited={text.slice(mark.from, mark.to)}
              entry={text.slice(row.entry.from, row.entry.to)}
            />
          ) : null}
          <div className="mt-2 flex min-h-9 flex-wrap gap-2">
            {choices === null ? <span className="self-center text-soft">Looking…</span> : null}
            {choices?.length === 0 ? (
              <span className="self-center text-soft">
                Nothing can be put in by itself: go to the text, or let it stand.
              </span>
            ) : null}
            {choices?.map((choice, index) => (
              <button
                key={choice.label}
                type="button"
                className="flex max-w-full items-baseline gap-2 rounded-xs border border-rule bg-sheet py-1 pr-3 pl-1.5"
                onClick={() => props.onTake(index)}
              >
                <Key>{String(index + 1)}</Key>
                <span className="truncate font-book text-base">{choice.label}</span>
              </button>
            ))}
          </div>
        </>
      ) : (
        <p className="text-sm text-soft">Nothing is open here.</p>
      )}
      <div className="mt-2 flex flex-wrap gap-x-5 gap-y-1.5 text-soft">
        {mark ? <Act letter="S" label="stet" run={props.onStet} /> : null}
        <Act letter="L" label="look it up" run={props.onLookUp} />
        <Act letter="B" label="see it in the text" run={props.onSee} />
        <Act letter="↓" label="next open" run={props.onNext} />
        <span>
          <Key>PgDn</Key> entries
        </span>
        <Act letter="U" label="undo" run={deciding.undo} />
        {props.onCopy ? (
          <button type="button" className="button-text" onClick={props.onCopy}>
            Copy the list, sorted
          </button>
        ) : null}
        <span className="grow text-right">
          {openRows > 0 ? `${figure(at)} of ${figure(openRows)} open` : "nothing open"}
        </span>
      </div>
    </footer>
  );
}

function isCitation({ from, to }: PlacedMark, row: Extract<ListRow, { kind: "entry" }>): boolean {
  return from >= row.entry.to || to <= row.entry.from;
}
