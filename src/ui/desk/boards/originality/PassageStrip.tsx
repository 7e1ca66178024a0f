import type { CollatedCell, OverlapTable, PassageRow } from "../../../../core/gathered/overlaps.ts";
import { KEPT_OUT_LABELS, TIER_LABELS } from "../../../../core/report/overlap-parts.ts";
import { Key } from "../../../parts/Key.tsx";
import { figure } from "../../../parts/words.ts";
import type { PlacedChoice } from "../../state.ts";
import type { BoardDeciding } from "../board.ts";
import { Act } from "../settling/Act.tsx";
import { Collation } from "./Collation.tsx";

interface PassageStripProps {
  passage: PassageRow;
  /** Which of the sources it counts for, from 1. */
  place: number;
  source: OverlapTable["sources"][number];
  cells: readonly CollatedCell[] | null;
  choices: readonly PlacedChoice[] | null;
  /** Something is to be decided about it. */
  isOpen: boolean;
  deciding: BoardDeciding;
  onTake: (index: number) => void;
  onStet: () => void;
  onSay: (verdict: "own" | "stock") => void;
  onAsk: () => void;
  onReword: () => void;
  onWhole: () => void;
  onSee: () => void;
  onNext: () => void;
  onNextSource: () => void;
}

/** The open passage beside its source, and what can be decided about it. */
export function PassageStrip(props: PassageStripProps) {
  const { passage, place, source, cells, choices } = props;
  return (
    <footer className="border-t border-ink bg-wash px-7 py-3 text-[13px]" data-testid="passage">
      <p className="pb-2 text-sm">
        <strong>Source {place}</strong>, “{source.title}”: {figure(passage.words)} words,{" "}
        {TIER_LABELS[passage.tier]}
        {passage.changed > 0 ? `, of which ${figure(passage.changed)} are changed` : ""}.{" "}
        {standing(passage)}
        {passage.alsoIn.length > 0 ? (
          <span className="text-soft">
            {" "}
            Also in{" "}
            {passage.alsoIn
              .slice(0, 3)
              .map((title) => `“${title}”`)
              .join(", ")}
            {passage.alsoIn.length > 3 ? ` and ${figure(passage.alsoIn.length - 3)} more` : ""}.
          </span>
        ) : null}
      </p>
      {cells ? (
        <Collation cells={cells} />
      ) : (
        <p className="border border-rule bg-sheet px-3.5 py-3 text-soft">
          {source.closed
            ? "This source is closed: it is counted, and not shown."
            : "Laying them beside each other…"}
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1.5 text-soft">
        {choices?.map((choice, index) => (
          <button
            key={choice.label}
            type="button"
            className="flex items-baseline gap-1.5 font-semibold text-ink"
            onClick={() => props.onTake(index)}
          >
            <Key>{String(index + 1)}</Key> {choice.label}
          </button>
        ))}
        <Act letter="R" label="reword…" run={props.onReword} />
        {props.isOpen ? <Act letter="S" label="let it stand" run={props.onStet} /> : null}
        <Act
          letter="M"
          label={passage.said === "own" ? "not my own after all" : "my own words"}
          run={() => props.onSay("own")}
        />
        <Act
          letter="P"
          label={passage.said === "stock" ? "no stock phrase after all" : "stock phrase"}
          run={() => props.onSay("stock")}
        />
        <Act letter="Q" label="query" run={props.onAsk} />
        <Act letter="U" label="undo" run={props.deciding.undo} />
        <span className="grow" />
        <Act letter="O" label="whole source" run={props.onWhole} />
        <Act letter="B" label="see it in the text" run={props.onSee} />
        <Act letter="↓" label="next" run={props.onNext} />
        <Act letter="→" label="next source" run={props.onNextSource} />
      </div>
    </footer>
  );
}

/** Whether it counts, and why not. */
function standing({ counts, keptOut, said, uncited, tier }: PassageRow): string {
  if (said === "own") return "You said these are your own words; they do not count.";
  if (said === "stock") return "You said this is a stock phrase; it does not count.";
  if (!counts && keptOut) return `Kept out: ${KEPT_OUT_LABELS[keptOut]}.`;
  if (!counts && tier === "possible") return "A guess by its small words; it does not count.";
  if (uncited) return "In quotation marks, with no citation by it.";
  return keptOut
    ? `Counted, though it is of ${KEPT_OUT_LABELS[keptOut]}.`
    : "Neither quoted nor cited here.";
}
