import type { DeskSession } from "./session.ts";

/** What the desk's keys and buttons do beside the session's own decisions. */
export interface DeskCommands {
  openQuery: () => void;
  closeQuery: () => void;
  editHere: () => void;
  find: () => void;
  showOccurrences: () => void;
  showEntry: () => void;
  showKeys: () => void;
}

/** The keys of the walk, as the list of keys shows them. */
export const KEYS: { keys: string[]; label: string }[] = [
  { keys: ["↓", "↑"], label: "next mark, previous mark" },
  { keys: ["1", "9"], label: "make the correction with this number" },
  { keys: ["Enter"], label: "make the correction that is shown" },
  { keys: ["⇧1", "⇧Enter"], label: "make it in every place with the same mistake" },
  { keys: ["D"], label: "less like this, in this document: only when sure, then off" },
  { keys: ["⇧D"], label: "less like this, in every document" },
  { keys: ["S"], label: "stet: let it stand here" },
  { keys: ["⇧S"], label: "let it stand everywhere in this document" },
  { keys: ["W"], label: "put the word on the word list" },
  { keys: ["Q"], label: "ask the author" },
  { keys: ["E"], label: "edit the text here; Esc comes back" },
  { keys: ["G"], label: "occurrences of the same" },
  { keys: ["M"], label: "meanings, synonyms and sound of the word" },
  { keys: ["U", "Ctrl Z"], label: "undo the last decision" },
  { keys: ["⇧U", "Ctrl Y"], label: "take the undo back" },
  { keys: ["/"], label: "find in the text" },
  { keys: ["Esc"], label: "close the slip, leave the text" },
  { keys: ["?"], label: "this list" },
];

/**
 * Carries out a key pressed outside text entry; returns whether it was one of the walk's. Shifted
 * digits are told by the key's place on the keyboard, since their characters differ by layout.
 */
export function runKey(
  event: KeyboardEvent,
  session: DeskSession,
  commands: DeskCommands,
): boolean {
  if (event.ctrlKey || event.metaKey) return runControlKey(event, session);
  if (event.altKey) return false;
  const digit = /^(?:Digit|Numpad)([1-9])$/.exec(event.code)?.[1];
  if (digit !== undefined) {
    void session.take(Number(digit) - 1, event.shiftKey);
    return true;
  }
  if (event.key === "Enter") {
    const { previewed } = session.getSnapshot();
    void session.take(Math.max(0, previewed), event.shiftKey);
    return true;
  }
  const run = actionsOf(session, commands).get(event.shiftKey ? `⇧${event.key}` : event.key);
  run?.();
  return run !== undefined;
}

function runControlKey(event: KeyboardEvent, session: DeskSession): boolean {
  const key = event.key.toLowerCase();
  if (key === "y" || (key === "z" && event.shiftKey)) void session.redo();
  else if (key === "z") void session.undoLast();
  else return false;
  return true;
}

function actionsOf(session: DeskSession, commands: DeskCommands): Map<string, () => void> {
  return new Map<string, () => void>([
    ["ArrowDown", () => session.next()],
    ["ArrowUp", () => session.previous()],
    ["Escape", () => session.dismiss()],
    ["s", () => void session.stet(false)],
    ["⇧S", () => void session.stet(true)],
    ["w", () => void session.listWord()],
    ["u", () => void session.undoLast()],
    ["⇧U", () => void session.redo()],
    ["d", () => void session.lessLikeThis(false)],
    ["⇧D", () => void session.lessLikeThis(true)],
    ["q", commands.openQuery],
    ["e", commands.editHere],
    ["g", commands.showOccurrences],
    ["m", commands.showEntry],
    ["/", commands.find],
    ["?", commands.showKeys],
    ["⇧?", commands.showKeys],
  ]);
}
