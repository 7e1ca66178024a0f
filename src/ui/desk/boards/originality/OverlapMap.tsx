import type { PassageRow } from "../../../../core/gathered/overlaps.ts";
import { TIER_LABELS } from "../../../../core/report/overlap-parts.ts";
import { figure } from "../../../parts/words.ts";
import { tierClass } from "./tiers.ts";

interface OverlapMapProps {
  /** Words of the whole document. */
  words: number;
  passages: readonly PassageRow[];
  /** The number of the passage that is looked at. */
  open: number | null;
  onOpen: (passage: number) => void;
}

/** Lines of the map, more or less. */
const LINES = 12;
const LEAST_LINE = 50;

/** Words on a line of the map. */
export function wordsALine(words: number): number {
  return Math.max(LEAST_LINE, Math.ceil(words / LINES / 50) * 50);
}

/** The text as lines of so many words, and the passages where they lie on them. */
export function OverlapMap({ words, passages, open, onOpen }: OverlapMapProps) {
  const width = wordsALine(words);
  const lines = Math.max(1, Math.ceil(words / width));
  return (
    <ol className="space-y-1.5" data-testid="map">
      {Array.from({ length: lines }, (_, line) => {
        const [from, to] = [line * width, Math.min(words, (line + 1) * width)];
        const here = passages.filter(
          (one) => one.firstWord < to && one.firstWord + one.words > from,
        );
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line is its number
          <li key={line} className="relative h-4">
            <span
              className="absolute inset-y-0 left-0 bg-hair/60"
              style={{ width: `${(100 * (to - from)) / width}%` }}
            />
            {here.map((passage) => {
              const start = Math.max(from, passage.firstWord);
              const end = Math.min(to, passage.firstWord + passage.words);
              const isOpen = passage.number === open;
              return (
                <button
                  key={passage.number}
                  type="button"
                  tabIndex={-1}
                  aria-label={`${figure(passage.words)} words, ${passage.counts ? TIER_LABELS[passage.tier] : "kept out"}`}
                  aria-current={isOpen ? "true" : undefined}
                  className={`absolute inset-y-0 ${tierClass(passage.tier, passage.counts)} ${isOpen ? "outline-2 outline-ink" : ""}`}
                  style={{
                    left: `${(100 * (start - from)) / width}%`,
                    width: `max(3px, ${(100 * (end - start)) / width}%)`,
                  }}
                  onClick={(event) => {
                    onOpen(passage.number);
                    if (event.detail > 0) event.currentTarget.blur();
                  }}
                />
              );
            })}
          </li>
        );
      })}
    </ol>
  );
}

/** What the rules beneath the passages mean. */
export function MapLegend() {
  return (
    <p className="flex flex-wrap gap-x-5 gap-y-1 pt-2 text-[13px] text-soft">
      {(["identical", "near", "reworded", "possible"] as const).map((tier) => (
        <span key={tier} className="flex items-center gap-2">
          <span className={`inline-block h-3.5 w-7 ${tierClass(tier, true)}`} /> {TIER_LABELS[tier]}
        </span>
      ))}
      <span className="flex items-center gap-2">
        <span className="overlap overlap-out inline-block h-3.5 w-7" /> kept out
      </span>
    </p>
  );
}
