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
  /** Makes a rule of the house from the mark or the word at hand. */
  makeRule: () => void;
  /** The board of the present pass, over the text. */
  showBoard: () => void;
  /** How the text reads, over the text. */
  showReadings: () => void;
  /** The mechanical clean-up, over the text. */
  cleanUp: () => void;
  /** Makes a choice in every place, once these have been seen. */
  everywhere: (choice: number) => void;
  scroll: (to: "up" | "down" | "start" | "end") => void;
  /** At the end of a pass: goes on with the next, or to the export; returns whether it was at an end. */
  goOn: () => boolean;
}

/** The keys of the walk, as the list of keys shows them. */
export const KEYS: { keys: string[]; label: string }[] = [
  { keys: ["↓", "↑"], label: "next mark, previous mark" },
  { keys: ["1", "9"], label: "make the correction with this number" },
  {
    keys: ["Enter"],
    label:
      "make the correction that is shown in the line; show it where none is; at the end of a pass, go on",
  },
  { keys: ["⇧1", "⇧Enter"], label: "make it in every place with the same mistake" },
  { keys: ["P", "⇧P"], label: "next pass, previous pass" },
  { keys: ["Space", "PageUp", "PageDown", "Home", "End"], label: "move through the text" },
  { keys: ["D"], label: "less like this, in this document: only when sure, then off" },
  { keys: ["⇧D"], label: "less like this, in every document" },
  { keys: ["S"], label: "stet: let it stand here" },
  { keys: ["⇧S"], label: "let it stand everywhere in this document" },
  { keys: ["W"], label: "put the word on the word list" },
  { keys: ["Q"], label: "ask the author" },
  {
    keys: ["F"],
    label: "for the house: make a rule of it, or of words selected in the text before Esc",
  },
  { keys: ["E"], label: "edit the text here; Esc comes back" },
  { keys: ["G"], label: "occurrences of the same" },
  { keys: ["B"], label: "the board of the pass, and from there back into the text" },
  { keys: ["H"], label: "how the text reads: counts, measures, hard sentences" },
  { keys: ["C"], label: "clean-up: mechanical changes, seen first and made at once" },
  { keys: ["M"], label: "meanings, synonyms and sound of the word" },
  { keys: ["U", "Ctrl Z"], label: "undo the last decision" },
  { keys: ["⇧U", "Ctrl Y"], label: "take the undo back" },
  { keys: ["/", "Ctrl F"], label: "find in the text" },
  { keys: ["Esc"], label: "close the slip, leave the text" },
  { keys: ["?"], label: "this list" },
];

/**
 * Carries out a key pressed outside text entry; returns whether it was one of the walk's. Shifted
 * digits are told by the key's place on the keyboard, since their characters differ by layout. Letters
 * are told by Shift alone, so that a lock on capitals changes nothing; a key that is held down decides
 * nothing more.
 */
export function runKey(
  event: KeyboardEvent,
  session: DeskSession,
  commands: DeskCommands,
): boolean {
  if (event.ctrlKey || event.metaKey) return runControlKey(event, session, commands);
  if (event.altKey) return false;
  const { shiftKey } = event;
  const digit = /^(?:Digit|Numpad)([1-9])$/.exec(event.code)?.[1];
  if (digit !== undefined) {
    if (!event.repeat) takeDigit(Number(digit) - 1, shiftKey, session, commands);
    return true;
  }
  if (event.key === "Enter") {
    if (!event.repeat) takeEnter(shiftKey, session, commands);
    return true;
  }
  const name = nameOf(event);
  const run = actionsOf(session, commands).get(name);
  if (!run) return false;
  if (!event.repeat || REPEATING.has(event.key)) run();
  return true;
}

/** Keys that go on while they are held down. */
const REPEATING = new Set(["ArrowDown", "ArrowUp", "PageDown", "PageUp", " "]);

function nameOf({ key, shiftKey }: KeyboardEvent): string {
  if (!/^\p{L}$/u.test(key)) return shiftKey ? `⇧${key}` : key;
  return shiftKey ? `⇧${key.toUpperCase()}` : key.toLowerCase();
}

function takeDigit(
  index: number,
  everywhere: boolean,
  session: DeskSession,
  commands: DeskCommands,
): void {
  if (session.state.less) void session.settings.answerLess(index);
  else if (everywhere) commands.everywhere(index);
  else void session.deciding.take(index, false);
}

function takeEnter(everywhere: boolean, session: DeskSession, commands: DeskCommands): void {
  const { less, previewed } = session.state;
  if (less || commands.goOn()) return;
  if (everywhere && previewed >= 0) commands.everywhere(previewed);
  else void session.deciding.takeShown(false);
}

function runControlKey(
  event: KeyboardEvent,
  session: DeskSession,
  commands: DeskCommands,
): boolean {
  const key = event.key.toLowerCase();
  if (key === "y" || (key === "z" && event.shiftKey)) void session.deciding.redo();
  else if (key === "z") void session.deciding.undoLast();
  else if (key === "f") commands.find();
  else return false;
  return true;
}

function actionsOf(session: DeskSession, commands: DeskCommands): Map<string, () => void> {
  return new Map<string, () => void>([
    ["ArrowDown", () => session.walk.next()],
    ["ArrowUp", () => session.walk.previous()],
    ["Escape", () => session.walk.dismiss()],
    ["s", () => void session.deciding.stet(false)],
    ["⇧S", () => void session.deciding.stet(true)],
    ["w", () => void session.deciding.listWord()],
    ["u", () => void session.deciding.undoLast()],
    ["⇧U", () => void session.deciding.redo()],
    ["d", () => void session.settings.lessLikeThis(false)],
    ["⇧D", () => void session.settings.lessLikeThis(true)],
    ["p", () => session.walk.stepPass(1)],
    ["⇧P", () => session.walk.stepPass(-1)],
    ["q", commands.openQuery],
    ["f", commands.makeRule],
    ["e", commands.editHere],
    ["g", commands.showOccurrences],
    ["m", commands.showEntry],
    ["b", commands.showBoard],
    ["c", commands.cleanUp],
    ["h", commands.showReadings],
    ["/", commands.find],
    ["?", commands.showKeys],
    ["⇧?", commands.showKeys],
    ["PageDown", () => commands.scroll("down")],
    ["PageUp", () => commands.scroll("up")],
    [" ", () => commands.scroll("down")],
    ["⇧ ", () => commands.scroll("up")],
    ["Home", () => commands.scroll("start")],
    ["End", () => commands.scroll("end")],
  ]);
}
