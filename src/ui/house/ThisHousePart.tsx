import { useEffect, useState } from "react";
import { type HouseStyle, OWN } from "../../core/house/style.ts";
import { KINDS, type Kind } from "../../core/manuscript/model.ts";
import { heldLine, KIND_LABELS } from "../../core/report/words.ts";
import { listShelf, type ShelfRecord } from "../../store/shelf.ts";
import { Modal } from "../parts/Modal.tsx";
import type { ChangeStyle } from "./change-style.ts";

interface Props {
  style: HouseStyle;
  change: ChangeStyle;
  onCopy(): void;
  onDelete(): void;
}

/** A house as a whole: its name, what it holds, who follows it, and its end. */
export function ThisHousePart({ style, change, onCopy, onDelete }: Props) {
  const [documents, setDocuments] = useState<readonly ShelfRecord[]>([]);
  const [deleting, setDeleting] = useState(false);
  useEffect(() => {
    void listShelf().then(setDocuments);
  }, []);
  const isOwn = style.id === OWN;
  const followers = documents.filter(({ houses }) => isOwn || houses.includes(style.id));
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">
        {isOwn ? "For every document" : style.name}
      </h1>
      <p className="mt-1 max-w-[66ch] text-soft">
        {isOwn
          ? "What is kept here holds for every document, below the houses that it follows."
          : "A house holds for the documents that follow it. Which they are is chosen at the desk, beside the variety of English."}{" "}
        It holds {heldLine(style) || "nothing yet"}.
      </p>
      <label className="mt-5 block">
        <span className="block pb-1 text-[13px] text-soft">
          Name{isOwn ? ", as marks say it (“the house” where it has none)" : ", as marks say it"}
        </span>
        <input
          className="field w-80"
          defaultValue={style.name}
          maxLength={80}
          onBlur={(event) => {
            const name = event.target.value.trim();
            if (name !== style.name && (name !== "" || isOwn)) change((now) => ({ ...now, name }));
          }}
        />
      </label>
      <h2 className="mt-6 font-semibold">Words that may stand elsewhere, %</h2>
      <p className="mt-1 text-[13px] text-soft">
        The limit of the originality pass for each kind of copy; nothing for no limit. A document
        may have one of its own.
      </p>
      <div className="mt-2 flex max-w-2xl flex-wrap gap-x-5 gap-y-2">
        {KINDS.map((kind) => (
          <label key={`${style.id} ${kind}`} className="flex w-44 items-baseline gap-2 text-[13px]">
            <span className="grow">{KIND_LABELS[kind]}</span>
            <input
              type="number"
              min={0}
              max={100}
              className="field w-16 text-right text-[13px]"
              defaultValue={percentOf(style.overlapLimits[kind])}
              onBlur={({ target }) => change((now) => withLimit(now, kind, target.value))}
            />
          </label>
        ))}
      </div>
      <h2 className="mt-6 font-semibold">
        {isOwn ? "Documents on the shelf" : "Documents that follow it"}
      </h2>
      {followers.length === 0 ? <p className="mt-1 text-soft">None yet.</p> : null}
      <ul className="mt-1">
        {followers.map(({ id, title }) => (
          <li key={id} className="border-b border-hair py-1">
            <a className="hover:underline" href={`/desk?doc=${id}`}>
              {title}
            </a>
          </li>
        ))}
      </ul>
      <p className="mt-6 flex gap-4">
        <button type="button" className="button-plain" onClick={onCopy}>
          New house with the same rules
        </button>
        {isOwn ? null : (
          <button type="button" className="button-plain" onClick={() => setDeleting(true)}>
            Delete this house…
          </button>
        )}
      </p>
      <Modal
        open={deleting}
        onClose={() => setDeleting(false)}
        title="Delete this house for good?"
        about={`“${style.name}” with ${heldLine(style) || "nothing in it"} is removed. Documents that follow it go on without. A file of it, made under “Import, export”, brings it back.`}
      >
        <div className="mt-5 flex gap-3">
          <button type="button" className="button-main" onClick={() => setDeleting(false)}>
            Keep it
          </button>
          <button type="button" className="button-plain" onClick={onDelete}>
            Delete
          </button>
        </div>
      </Modal>
    </>
  );
}

function percentOf(limit: number | undefined): string | number {
  return limit === undefined ? "" : Math.round(limit * 100);
}

/** The style with the limit of a kind of copy, as it was typed in per cent; without one for nothing. */
function withLimit(style: HouseStyle, kind: Kind, typed: string): HouseStyle {
  const { [kind]: _before, ...others } = style.overlapLimits;
  const share = Number.parseFloat(typed) / 100;
  const isLimit = share >= 0 && share <= 1;
  return { ...style, overlapLimits: isLimit ? { ...others, [kind]: share } : others };
}
