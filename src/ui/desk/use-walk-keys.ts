import { useEffect } from "react";
import { type DeskCommands, runKey } from "./commands.ts";
import type { DeskSession } from "./session.ts";

const TEXT_ENTRY =
  "input:not([type=checkbox], [type=radio]), textarea, select, [contenteditable=true], .cm-panel";

/** Keys pressed outside text entry and dialogs belong to the walk. */
export function useWalkKeys(session: DeskSession, commands: DeskCommands, paused: boolean): void {
  useEffect(() => {
    if (paused) return;
    const pressed = (event: KeyboardEvent) => {
      const target = event.target instanceof Element ? event.target : null;
      if (event.defaultPrevented) return;
      if (target?.closest(TEXT_ENTRY)) return;
      const onControl = target?.closest("button, a, summary") !== null && target !== null;
      if (onControl && (event.key === "Enter" || event.key === " ")) return;
      if (runKey(event, session, commands)) event.preventDefault();
    };
    addEventListener("keydown", pressed);
    return () => removeEventListener("keydown", pressed);
  }, [session, commands, paused]);
}
