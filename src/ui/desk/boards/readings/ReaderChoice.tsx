import { useState } from "react";
import { type Bounds, readerSetting as kept, READERS } from "../../../../core/readings/readers.ts";
import { boundsLabel } from "../../../../core/report/words.ts";
import { Modal } from "../../../parts/Modal.tsx";
import type { BoardProps } from "../board.ts";

const OWN = "own";

/** Whom the text is for: a named reader, or bounds of one's own. */
export function ReaderChoice({ reports: { reader, readerSetting }, deciding }: BoardProps) {
  const [asking, setAsking] = useState(false);
  const named = READERS.some(({ id }) => id === readerSetting);
  return (
    <span className="whitespace-nowrap text-soft">
      <label>
        Reader:{" "}
        <select
          className="border-b border-dotted border-faint bg-transparent font-semibold text-ink"
          value={named ? readerSetting : OWN}
          onChange={({ target }) =>
            target.value === OWN ? setAsking(true) : deciding.setReader(target.value)
          }
        >
          {READERS.map(({ id, title, note }) => (
            <option key={id} value={id} title={note}>
              {title}
            </option>
          ))}
          <option value={OWN}>{named ? "Bounds of your own…" : boundsLabel(reader)}</option>
        </select>
      </label>
      {named ? null : (
        <button type="button" className="button-text pl-2" onClick={() => setAsking(true)}>
          change
        </button>
      )}
      <BoundsDialog
        key={String(asking)}
        open={asking}
        bounds={reader}
        onClose={() => setAsking(false)}
        onSet={(bounds) => {
          setAsking(false);
          deciding.setReader(kept(bounds));
        }}
      />
    </span>
  );
}

interface BoundsDialogProps {
  open: boolean;
  bounds: Bounds;
  onClose: () => void;
  onSet: (bounds: Bounds) => void;
}

const FIELDS = [
  ["shortest", "Words a sentence, from", 1, 60],
  ["longest", "to", 2, 200],
  ["grade", "Highest school grade", 1, 25],
] as const;

function BoundsDialog({ open, bounds, onClose, onSet }: BoundsDialogProps) {
  const [own, setOwn] = useState<Bounds>({
    shortest: bounds.shortest,
    longest: bounds.longest,
    grade: bounds.grade,
  });
  const fits = own.shortest >= 1 && own.shortest < own.longest && own.grade > 0;
  return (
    <Modal
      open={open}
      onClose={onClose}
      title="A reader of your own"
      about="What this reader takes with ease: the band in the chart, and the grade that sections are held to."
    >
      <form
        className="mt-4 space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (fits) onSet(own);
        }}
      >
        {FIELDS.map(([name, label, min, max]) => (
          <label key={name} className="flex items-baseline justify-between gap-4">
            {label}
            <input
              className="field w-24 text-right"
              type="number"
              min={min}
              max={max}
              required
              value={own[name]}
              onChange={({ target }) => setOwn({ ...own, [name]: target.valueAsNumber || 0 })}
            />
          </label>
        ))}
        {fits ? null : (
          <p role="alert" className="text-alarm">
            The first number of words must be below the second, and the grade above 0.
          </p>
        )}
        <div className="flex gap-4 pt-2">
          <button type="submit" className="button-main" disabled={!fits}>
            Read for this reader
          </button>
          <button type="button" className="button-text" onClick={onClose}>
            Leave it
          </button>
        </div>
      </form>
    </Modal>
  );
}
