import { useEffect, useMemo, useState } from "react";
import type { Edit } from "../../core/manuscript/model.ts";
import { Modal } from "../parts/Modal.tsx";
import { count } from "../parts/words.ts";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

/** Characters of context on each side of a place. */
const CONTEXT = 34;

interface ReplaceDialogProps {
  open: boolean;
  onClose: () => void;
  session: DeskSession;
}

/** Every place at which a replacement applies, seen before anything is changed. */
export function ReplaceDialog({ open, onClose, session }: ReplaceDialogProps) {
  const { style } = useSlice(session, "style");
  // biome-ignore lint/correctness/useExhaustiveDependencies: places are found when it opens
  const places = useMemo(() => (open ? session.settings.replacementPlaces() : []), [open, style]);
  const [unticked, setUnticked] = useState<ReadonlySet<number>>(new Set());
  useEffect(() => {
    if (open) setUnticked(new Set());
  }, [open]);
  const ticked = places.filter(({ from }) => !unticked.has(from));
  const toggle = (from: number) => {
    const next = new Set(unticked);
    if (!next.delete(from)) next.add(from);
    setUnticked(next);
  };
  const { text } = session.current();
  return (
    <Modal
      open={open}
      onClose={onClose}
      title="Replace in this document"
      about={
        places.length === 0
          ? "None of the slips on your list is in this document."
          : "Each place as it would read. They are taken back together with U."
      }
    >
      <ul className="mt-4 max-h-80 overflow-auto">
        {places.map((edit) => (
          <li key={edit.from} className="border-t border-hair">
            <label className="flex items-baseline gap-3 py-1.5">
              <input
                type="checkbox"
                className="accent-ink"
                checked={!unticked.has(edit.from)}
                onChange={() => toggle(edit.from)}
              />
              <Place text={text} edit={edit} />
            </label>
          </li>
        ))}
      </ul>
      <div className="mt-5 flex gap-4">
        <button
          type="button"
          className="button-main"
          disabled={ticked.length === 0}
          onClick={() => {
            onClose();
            void session.settings.applyReplacements(ticked);
          }}
        >
          Replace {count(ticked.length, "place")}
        </button>
        <button type="button" className="button-plain" onClick={onClose}>
          Close
        </button>
      </div>
    </Modal>
  );
}

function Place({ text, edit: { from, to, insert } }: { text: string; edit: Edit }) {
  return (
    <span className="font-book">
      {text.slice(Math.max(0, from - CONTEXT), from).replace(/\s+/g, " ")}
      <del className="text-struck">{text.slice(from, to)}</del>{" "}
      <ins className="font-semibold no-underline">{insert}</ins>
      {text.slice(to, to + CONTEXT).replace(/\s+/g, " ")}
    </span>
  );
}
