import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useMemo, useRef, useState } from "react";
import {
  type CleanLine,
  type CleanPlace,
  type Cleanup,
  cleanupEdits,
} from "../../../core/cleanup/cleanup.ts";
import { Key } from "../../parts/Key.tsx";
import { count, figure } from "../../parts/words.ts";
import type { DeskSession } from "../session.ts";
import { useSlice } from "../use-slice.ts";
import { useBoardKeys } from "./use-board-keys.ts";

interface Props {
  session: DeskSession;
  onClose(): void;
}

/** What the reader has switched against the usual: steps as a whole, and single places by where they are. */
interface Switched {
  steps: ReadonlyMap<string, boolean>;
  places: ReadonlySet<number>;
}

const NO_LINES: readonly CleanLine[] = [];
const NOTHING: Switched = { steps: new Map(), places: new Set() };

/** The mechanical clean-up: each step with its count, its places as they would be, and all made at once. */
export function CleanupBoard({ session, onClose }: Props) {
  const { reading } = useSlice(session, "reading");
  const found = useCleanup(session);
  const [switched, setSwitched] = useState(NOTHING);
  const [chosen, setChosen] = useState("");
  const lines = found?.lines ?? NO_LINES;
  const at = Math.max(
    0,
    lines.findIndex(({ step }) => step === chosen),
  );
  const line = lines[at];
  const isOn = ({ step, isOn: usual }: CleanLine) => switched.steps.get(step) ?? usual;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is on is told by what is switched
  const edits = useMemo(
    () =>
      cleanupEdits(
        lines
          .filter(isOn)
          .map(({ places }) => places.filter(({ from }) => !switched.places.has(from))),
      ),
    [lines, switched],
  );
  const toggleStep = (one: CleanLine) =>
    setSwitched((now) => ({ ...now, steps: new Map(now.steps).set(one.step, !isOn(one)) }));
  const togglePlace = ({ from }: CleanPlace) =>
    setSwitched((now) => {
      const places = new Set(now.places);
      if (!places.delete(from)) places.add(from);
      return { ...now, places };
    });
  const make = () => {
    if (edits.length === 0 || reading) return;
    onClose();
    void session.cleanUp.make(edits);
  };
  useBoardKeys({
    move: (by) => setChosen(lines[Math.min(lines.length - 1, Math.max(0, at + by))]?.step ?? ""),
    page: 5,
    go: make,
    back: onClose,
    stet: () => undefined,
    undo: () => void session.deciding.undoLast(),
    redo: () => void session.deciding.redo(),
    own: new Map([
      [" ", () => line && toggleStep(line)],
      ["b", onClose],
    ]),
  });
  return (
    <main
      aria-label="Clean-up"
      className="absolute inset-0 z-10 grid min-h-0 grid-rows-[auto_minmax(0,1fr)_auto] border-r border-rule bg-sheet"
    >
      <header className="px-6 pt-4 pb-3">
        <h2 className="font-book text-xl font-semibold">Clean-up</h2>
        <p className="text-soft">{aboutOf(found, edits.length)}</p>
      </header>
      <div className="grid min-h-0 grid-cols-[340px_minmax(0,1fr)] border-t border-rule">
        <ul className="overflow-auto border-r border-rule" aria-label="Steps">
          {lines.map((one) => (
            <li
              key={one.step}
              className={`flex items-baseline gap-3 border-b border-hair border-l-3 px-4 py-2 ${
                one === line ? "border-l-pen bg-wash" : "border-l-transparent"
              }`}
            >
              <input
                type="checkbox"
                aria-label={one.title}
                className="accent-ink"
                checked={isOn(one)}
                onChange={() => toggleStep(one)}
              />
              <button
                type="button"
                aria-current={one === line ? "true" : undefined}
                className={`min-w-0 grow text-left ${isOn(one) ? "" : "text-soft"}`}
                onClick={(event) => {
                  setChosen(one.step);
                  if (event.detail > 0) event.currentTarget.blur();
                }}
              >
                <span className="block">{one.title}</span>
                <span className="block text-[13px] text-soft">{one.note}</span>
              </button>
              <span className="tabular-nums text-soft">{figure(one.places.length)}</span>
            </li>
          ))}
        </ul>
        {line ? (
          <Places
            key={line.step}
            line={line}
            isOff={!isOn(line)}
            left={switched.places}
            toggle={togglePlace}
          />
        ) : (
          <p className="p-6 text-soft">{found ? "There is nothing to clean up." : "Looking…"}</p>
        )}
      </div>
      <footer className="flex items-center gap-5 border-t border-rule px-6 py-3 text-[13px] text-soft">
        <button
          type="button"
          className="button-main"
          disabled={edits.length === 0 || reading}
          onClick={make}
        >
          Make {count(edits.length, "change")}
        </button>
        <span>
          <Key>↓</Key> <Key>↑</Key> steps
        </span>
        <span>
          <Key>Space</Key> on, off
        </span>
        <span>
          <Key>Enter</Key> make them
        </span>
        <button type="button" onClick={onClose}>
          <Key>Esc</Key> back to the text
        </button>
        <span className="grow" />
        <span>
          <Key>U</Key> takes all of it back
        </span>
      </footer>
    </main>
  );
}

function aboutOf(found: Cleanup | null, number: number): string {
  if (!found) return "Looking through the document…";
  const empty =
    found.empty > 0
      ? ` ${count(found.empty, "empty paragraph")} can’t be taken out here: delete them in the program the file comes from.`
      : "";
  return `Last before the export: mechanical changes, each seen first. ${count(number, "change")} would be made.${empty}`;
}

interface PlacesProps {
  line: CleanLine;
  /** The whole step is off. */
  isOff: boolean;
  left: ReadonlySet<number>;
  toggle(place: CleanPlace): void;
}

const ROW = 34;

/** The places of a step, each as it would be. */
function Places({ line: { places }, isOff, left, toggle }: PlacesProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: places.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keyboard
    <section ref={scroller} tabIndex={0} aria-label="Places" className="overflow-auto px-6 py-2">
      <div className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const place = places[index];
          if (!place) return null;
          const off = isOff || left.has(place.from);
          return (
            <label
              key={place.from}
              className={`absolute inset-x-0 flex items-baseline gap-3 border-b border-hair font-book text-[15px] ${off ? "text-faint" : ""}`}
              style={{ top: start, height: ROW, lineHeight: `${ROW}px` }}
            >
              <input
                type="checkbox"
                className="accent-ink"
                disabled={isOff}
                checked={!off}
                onChange={() => toggle(place)}
              />
              <span className="w-[44%] truncate text-right whitespace-pre [direction:rtl]">
                <bdi className="[direction:ltr]">{shown(place.before)}</bdi>
              </span>
              <span className="shrink-0 whitespace-pre">
                <del className="decoration-pen decoration-2">{visible(place.text)}</del>
                {place.insert === "" ? null : (
                  <ins className="ml-1 bg-tint px-0.5 no-underline">{visible(place.insert)}</ins>
                )}
              </span>
              <span className="min-w-0 grow truncate whitespace-pre">{shown(place.after)}</span>
            </label>
          );
        })}
      </div>
    </section>
  );
}

/** Context as it is read; what can’t be seen in it does not matter. */
function shown(text: string): string {
  return text.replace(/[\n\u2028\t]/g, " ");
}

const SIGNS: Readonly<Record<string, string>> = { " ": "·", "\u00a0": "°", "\t": "→" };

/** Characters that can’t be seen, as signs. */
function visible(text: string): string {
  return text.replace(/[ \u00a0\t]|\p{Cf}|\p{Cc}/gu, (sign) => {
    const known = SIGNS[sign];
    return known ?? `‹${(sign.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, "0")}›`;
  });
}

/** What the clean-up finds in the text as it stands. */
function useCleanup(session: DeskSession): Cleanup | null {
  const { decisions, houses, style } = useSlice(session, "decisions", "houses", "style");
  const [found, setFound] = useState<Cleanup | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked for anew when the text or the houses change
  useEffect(() => {
    let current = true;
    void session.cleanUp.find().then((next) => {
      if (current) setFound(next);
    });
    return () => {
      current = false;
    };
  }, [session, decisions, houses, style]);
  return found;
}
