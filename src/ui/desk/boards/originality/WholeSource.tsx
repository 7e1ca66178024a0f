import { useEffect, useRef, useState } from "react";
import type { CollatedCell } from "../../../../core/gathered/overlaps.ts";
import type { ShownSource } from "../../../../core/originality/compared-sources.ts";
import { Key } from "../../../parts/Key.tsx";
import { figure } from "../../../parts/words.ts";
import type { Overlaps } from "../../overlaps.ts";

interface WholeSourceProps {
  source: ShownSource;
  overlaps: Overlaps;
  /** The open passage beside it, by which its place is found. */
  cells: readonly CollatedCell[] | null;
  onClose: () => void;
}

/** The whole of an open source, at the open passage; a closed one says that it is. */
export function WholeSource({ source, overlaps, cells, onClose }: WholeSourceProps) {
  const [text, setText] = useState<string | null | "missing">(null);
  const here = useRef<HTMLElement>(null);
  const { id, number, closed } = source;
  useEffect(() => {
    let current = true;
    setText(null);
    if (closed) return;
    const read = number === null ? overlaps.sourceText(id) : shippedText(number);
    void read.then((found) => {
      if (current) setText(found ?? "missing");
    });
    return () => {
      current = false;
    };
  }, [id, number, closed, overlaps]);
  const range = text && text !== "missing" ? placeOf(text, cells ?? []) : null;
  // biome-ignore lint/correctness/useExhaustiveDependencies: it scrolls along with the passage
  useEffect(() => {
    // What this returns is no cleaning up.
    void here.current?.scrollIntoView({ block: "center" });
  }, [text, range?.from]);
  return (
    <section aria-label="The whole source" className="flex min-h-0 grow flex-col">
      <p className="flex items-baseline gap-4 border-b border-hair px-6 py-2 text-[13px]">
        <strong className="font-book text-base">{source.title}</strong>
        <span className="text-soft">
          {source.detail}, {figure(source.words)} words
        </span>
        <button type="button" className="button-text ml-auto" onClick={onClose}>
          <Key>O</Key> back to the map
        </button>
      </p>
      {closed ? (
        <p className="px-6 py-6 text-soft">
          This source is closed: what it shares is counted, and its text is not shown to anybody.
        </p>
      ) : null}
      {!closed && text === null ? <p className="px-6 py-6 text-soft">Fetching…</p> : null}
      {text === "missing" ? (
        <p className="px-6 py-6 text-soft">Its text can’t be had just now.</p>
      ) : null}
      {text && text !== "missing" ? (
        <div
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a long text is scrolled by keyboard
          tabIndex={0}
          className="min-h-0 grow overflow-auto px-6 py-4 font-book text-[15px] leading-relaxed whitespace-pre-wrap"
          data-testid="whole-source"
        >
          {range ? (
            <>
              {text.slice(0, range.from)}
              <mark ref={here} className="bg-tint text-ink">
                {text.slice(range.from, range.to)}
              </mark>
              {text.slice(range.to)}
            </>
          ) : (
            text
          )}
        </div>
      ) : null}
    </section>
  );
}

async function shippedText(number: number): Promise<string | null> {
  try {
    const response = await fetch(`/api/sources/text/${number}`);
    if (!response.ok) return null;
    const body: unknown = await response.json();
    return typeof body === "object" && body !== null && "text" in body ? String(body.text) : null;
  } catch {
    return null;
  }
}

/** Where the words of a passage stand in a source, whatever lies between them. */
function placeOf(
  text: string,
  cells: readonly CollatedCell[],
): { from: number; to: number } | null {
  const words = cells.flatMap(({ source }) => (source === null ? [] : [source]));
  if (words.length === 0) return null;
  const escaped = words.map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, "\\$&"));
  const found = new RegExp(escaped.join("[^\\p{L}\\p{N}]{0,12}"), "u").exec(text);
  return found ? { from: found.index, to: found.index + found[0].length } : null;
}
