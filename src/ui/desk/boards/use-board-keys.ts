import { useEffect, useRef } from "react";

/** What the keys of every board do. */
export interface BoardKeys {
  /** On by so many rows, or back. */
  move(by: number): void;
  /** Rows that are seen at once. */
  page: number;
  go(): void;
  back(): void;
  stet(): void;
  undo(): void;
  redo(): void;
  /** What other keys do on this board, by their names; these come before the common ones. */
  own?: ReadonlyMap<string, () => void>;
  /** Shows charts as tables, or tables as charts, on boards that have some. */
  tables?(): void;
}

const FIELDS = "input, textarea, select";

/** Has keys outside fields move on the board and decide; a key that is held down only moves. */
export function useBoardKeys(keys: BoardKeys): void {
  const latest = useRef(keys);
  latest.current = keys;
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const target = event.target instanceof Element ? event.target : null;
      if (event.defaultPrevented || event.altKey || target?.closest("[role=dialog]")) return;
      if (target?.closest(FIELDS) && event.key !== "Escape") return;
      const name = nameOf(event);
      const run = latest.current.own?.get(name) ?? actionsOf(latest.current).get(name);
      if (!run) return;
      event.preventDefault();
      if (!event.repeat || /^(?:Arrow|Page)/.test(event.key)) run();
    };
    addEventListener("keydown", pressed);
    return () => removeEventListener("keydown", pressed);
  }, []);
}

function nameOf({ key, shiftKey, ctrlKey, metaKey }: KeyboardEvent): string {
  const name = key.length === 1 ? key.toLowerCase() : key;
  return `${ctrlKey || metaKey ? "Ctrl " : ""}${shiftKey ? "⇧" : ""}${name}`;
}

function actionsOf(keys: BoardKeys): Map<string, () => void> {
  const far = Number.MAX_SAFE_INTEGER;
  return new Map([
    ["ArrowDown", () => keys.move(1)],
    ["ArrowUp", () => keys.move(-1)],
    ["PageDown", () => keys.move(keys.page)],
    ["PageUp", () => keys.move(-keys.page)],
    ["Home", () => keys.move(-far)],
    ["End", () => keys.move(far)],
    ["Enter", () => keys.go()],
    ["b", () => keys.go()],
    ["Escape", () => keys.back()],
    ["s", () => keys.stet()],
    ["t", () => keys.tables?.()],
    ["u", () => keys.undo()],
    ["Ctrl z", () => keys.undo()],
    ["⇧u", () => keys.redo()],
    ["Ctrl y", () => keys.redo()],
  ]);
}
