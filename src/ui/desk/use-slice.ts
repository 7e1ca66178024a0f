import { useRef, useSyncExternalStore } from "react";
import type { DeskSession } from "./session.ts";
import type { DeskState } from "./state.ts";

/** These parts of the desk's state; whoever asks is drawn again only when one of them changes. */
export function useSlice<K extends keyof DeskState>(
  { store }: Pick<DeskSession, "store">,
  ...names: K[]
): Pick<DeskState, K> {
  const last = useRef<Pick<DeskState, K> | null>(null);
  return useSyncExternalStore(store.subscribe, () => {
    const now = store.getSnapshot();
    const before = last.current;
    if (before && names.every((name) => before[name] === now[name])) return before;
    const slice = Object.fromEntries(names.map((name) => [name, now[name]]));
    last.current = slice as Pick<DeskState, K>;
    return last.current;
  });
}
