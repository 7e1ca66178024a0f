import { useEffect, useRef } from "react";
import type { HardestSentence } from "../../../../core/engine/reading.ts";
import { Key } from "../../../parts/Key.tsx";
import type { PartProps } from "./part.ts";

interface HardestProps extends PartProps {
  at: number;
  onPick: (at: number) => void;
}

/** The sentences that cost most, with what makes each hard underlined. */
export function Hardest({ readings, reports, deciding, at, onPick }: HardestProps) {
  const list = useRef<HTMLOListElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list is scrolled when the row changes
  useEffect(() => {
    list.current?.querySelector("[aria-current]")?.scrollIntoView({ block: "nearest" });
  }, [at]);
  return (
    <section aria-label="The sentences that cost most">
      <h3 className="flex items-baseline justify-between border-b border-rule pb-1 text-xs font-semibold text-soft">
        The sentences that cost most
        <span className="font-normal">
          <Key>↓</Key> next <Key>Enter</Key> go to it
        </span>
      </h3>
      {readings.hardest.length === 0 ? (
        <p className="py-3 text-soft">None: every sentence is easy.</p>
      ) : (
        <ol ref={list} className="max-h-[340px] overflow-auto">
          {readings.hardest.map((sentence, index) => (
            <li key={`${sentence.from}`}>
              <button
                type="button"
                aria-current={index === at ? "true" : undefined}
                className={`block w-full border-b border-hair px-2 py-2 text-left ${index === at ? "bg-wash" : ""}`}
                onClick={() => onPick(index)}
                onDoubleClick={() => deciding.goToRange(sentence.shown)}
              >
                <Shown sentence={sentence} text={reports.text} />
                <span className="block text-[12.5px] text-soft">{sentence.told}</span>
              </button>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

/** Characters shown before and within what is underlined. */
const BEFORE = 70;
const WITHIN = 130;

function Shown({ sentence, text }: { sentence: HardestSentence; text: string }) {
  const { from, to, shown } = sentence;
  const whole = shown.from === from && shown.to === to;
  const start = Math.max(from, shown.from - BEFORE);
  const end = Math.min(shown.to, shown.from + WITHIN);
  const after = text.slice(shown.to, Math.min(to, shown.to + 24));
  return (
    <span className="block font-book text-[15px] leading-normal">
      {start > from ? "…" : ""}
      {text.slice(start, shown.from)}
      <span className={whole ? "" : "border-b-2 border-dotted border-pen"}>
        {text.slice(shown.from, end)}
      </span>
      {end < shown.to ? "…" : after}
      {end < shown.to || shown.to + 24 >= to ? "" : "…"}
    </span>
  );
}
