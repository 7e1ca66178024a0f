import { useEffect, useState } from "react";
import type { CollatedCell, PassageRow } from "../../../../core/gathered/overlaps.ts";
import type { Measured } from "../../../../core/originality/measured.ts";
import { Modal } from "../../../parts/Modal.tsx";
import { figure } from "../../../parts/words.ts";
import type { Overlaps } from "../../overlaps.ts";
import { WordsInstead } from "./WordsInstead.tsx";

interface RewordProps {
  passage: PassageRow;
  /** The passage as it stands. */
  text: string;
  cells: readonly CollatedCell[] | null;
  title: string;
  overlaps: Overlaps;
  onWrite: (text: string) => void;
  onClose: () => void;
}

/** Milliseconds after a key until the overlap is measured. */
const AFTER_MS = 60;

/** The passage beside its source, with what they still share measured while it is written anew. */
export function Reword({ passage, text, cells, title, overlaps, onWrite, onClose }: RewordProps) {
  const [written, setWritten] = useState(text);
  const [measured, setMeasured] = useState<Measured | null>(null);
  const [word, setWord] = useState("");
  useEffect(() => {
    let current = true;
    const later = setTimeout(() => {
      void overlaps.measure(passage.number, written).then((found) => {
        if (current) setMeasured(found);
      });
    }, AFTER_MS);
    return () => {
      current = false;
      clearTimeout(later);
    };
  }, [written, passage.number, overlaps]);
  const source = cells?.flatMap(({ source: one }) => (one === null ? [] : [one])).join(" ");
  return (
    <Modal
      open
      isWide
      onClose={onClose}
      title="Say it in your own words"
      about="Nothing is written by itself. What still stands in the source is underlined beneath, as you write."
    >
      <div className="mt-4 grid grid-cols-2 gap-6">
        <section>
          <h3 className="text-xs font-semibold text-soft">In the source, “{title}”</h3>
          <p className="mt-2 max-h-56 overflow-auto font-book text-base leading-relaxed">
            {source ?? "This source is closed; its text is not shown."}
          </p>
        </section>
        <section>
          <label className="text-xs font-semibold text-soft">
            Your text
            <textarea
              className="field mt-2 h-40 w-full font-book text-base leading-relaxed font-normal text-ink"
              value={written}
              onChange={({ target }) => setWritten(target.value)}
              onSelect={({ currentTarget }) => setWord(wordAt(currentTarget))}
            />
          </label>
        </section>
      </div>
      <div className="mt-3 min-h-14 border-t border-hair pt-2" aria-live="polite">
        {measured ? (
          <>
            <p className="text-[13px] font-semibold" data-testid="measured">
              {figure(measured.shared)} of {figure(measured.words)} words still stand there in a row
            </p>
            <p className="mt-1 font-book text-[15px]">
              {partsOf(written, measured.same).map(({ from, value, same }) => (
                <span key={from} className={same ? "border-b-2 border-pen" : "text-soft"}>
                  {value}
                </span>
              ))}
            </p>
          </>
        ) : null}
      </div>
      <WordsInstead
        word={word}
        sentence={written}
        overlaps={overlaps}
        onPut={(from, to, insert) =>
          setWritten(`${written.slice(0, from)}${insert}${written.slice(to)}`)
        }
      />
      <p className="mt-3 text-[13px] text-soft">
        A sentence may begin with another part: its time, its reason, its result. Where the thought
        is still the source’s, cite it.
      </p>
      <p className="mt-4 flex gap-4">
        <button
          type="button"
          className="button-main"
          disabled={written.trim() === "" || written === text}
          onClick={() => onWrite(written)}
        >
          Put it in the text
        </button>
        <button type="button" className="button-text" onClick={onClose}>
          Leave it as it was
        </button>
      </p>
    </Modal>
  );
}

/** The word that is selected, or in which the caret stands. */
function wordAt({ value, selectionStart, selectionEnd }: HTMLTextAreaElement): string {
  if (selectionEnd > selectionStart) return value.slice(selectionStart, selectionEnd).trim();
  const before = /[\p{L}’'-]*$/u.exec(value.slice(0, selectionStart))?.[0] ?? "";
  const after = /^[\p{L}’'-]*/u.exec(value.slice(selectionStart))?.[0] ?? "";
  return before + after;
}

function partsOf(text: string, same: Measured["same"]) {
  const parts: { from: number; value: string; same: boolean }[] = [];
  let at = 0;
  for (const [from, to] of same) {
    if (from > at) parts.push({ from: at, value: text.slice(at, from), same: false });
    parts.push({ from, value: text.slice(from, to), same: true });
    at = to;
  }
  if (at < text.length) parts.push({ from: at, value: text.slice(at), same: false });
  return parts;
}
