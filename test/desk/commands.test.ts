import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { type DeskCommands, KEYS, runKey } from "../../src/ui/desk/commands.ts";
import type { DeskSession } from "../../src/ui/desk/session.ts";

/** Presses a key and says what it led to. */
function press(key: Partial<KeyboardEvent>): string {
  const did: string[] = [];
  const note =
    (name: string) =>
    (...args: unknown[]) => {
      did.push([name, ...args].join(" "));
    };
  const room = new Proxy({}, { get: (_, name) => note(`session.${String(name)}`) });
  const session = new Proxy({} as DeskSession, {
    get: (_, name) => (name === "state" ? { previewed: 1 } : room),
  });
  const commands = new Proxy({} as DeskCommands, {
    get: (_, name) => (name === "goOn" ? () => false : note(String(name))),
  });
  const event = {
    ctrlKey: false,
    metaKey: false,
    altKey: false,
    shiftKey: false,
    code: "",
    key: "",
    ...key,
  };
  const taken = runKey(event as KeyboardEvent, session, commands);
  if (!key.repeat) assert.equal(taken, did.length > 0);
  return did.join();
}

describe("keys of the walk", () => {
  test("walk, decide, and open what belongs to the desk", () => {
    const table: [Partial<KeyboardEvent>, string][] = [
      [{ key: "ArrowDown" }, "session.next"],
      [{ key: "ArrowUp" }, "session.previous"],
      [{ key: "3", code: "Digit3" }, "session.take 2 false"],
      [{ key: "Enter" }, "session.takeShown false"],
      [{ key: "Enter", shiftKey: true }, "everywhere 1"],
      [{ key: "s" }, "session.stet false"],
      [{ key: "S", shiftKey: true }, "session.stet true"],
      [{ key: "w" }, "session.listWord"],
      [{ key: "u" }, "session.undoLast"],
      [{ key: "U", shiftKey: true }, "session.redo"],
      [{ key: "q" }, "openQuery"],
      [{ key: "e" }, "editHere"],
      [{ key: "g" }, "showOccurrences"],
      [{ key: "b" }, "showBoard"],
      [{ key: "/" }, "find"],
      [{ key: "?", shiftKey: true }, "showKeys"],
      [{ key: "Escape" }, "session.dismiss"],
      [{ key: "p" }, "session.stepPass 1"],
      [{ key: "P", shiftKey: true }, "session.stepPass -1"],
      [{ key: "PageDown" }, "scroll down"],
      [{ key: " ", shiftKey: true }, "scroll up"],
      [{ key: "End" }, "scroll end"],
    ];
    for (const [key, wanted] of table) assert.equal(press(key), wanted, JSON.stringify(key));
  });

  test("with shift, digits are told by their place, whatever character they write", () => {
    for (const key of ["!", "1", "&", "+"]) {
      assert.equal(press({ key, code: "Digit1", shiftKey: true }), "everywhere 0");
    }
    assert.equal(press({ key: "2", code: "Numpad2" }), "session.take 1 false");
  });

  test("are told by Shift alone, so that a lock on capitals changes nothing", () => {
    assert.equal(press({ key: "S" }), "session.stet false");
    assert.equal(press({ key: "s", shiftKey: true }), "session.stet true");
    assert.equal(press({ key: "U" }), "session.undoLast");
  });

  test("that are held down decide nothing more, and walking goes on", () => {
    for (const key of ["Enter", "s", "u", "d"]) assert.equal(press({ key, repeat: true }), "");
    assert.equal(press({ key: "1", code: "Digit1", repeat: true }), "");
    assert.equal(press({ key: "ArrowDown", repeat: true }), "session.next");
  });

  test("with control are undo, redo and find; everything else is the browser's", () => {
    assert.equal(press({ key: "z", ctrlKey: true }), "session.undoLast");
    assert.equal(press({ key: "z", metaKey: true }), "session.undoLast");
    assert.equal(press({ key: "Z", ctrlKey: true, shiftKey: true }), "session.redo");
    assert.equal(press({ key: "y", ctrlKey: true }), "session.redo");
    assert.equal(press({ key: "f", ctrlKey: true }), "find");
    for (const key of ["s", "1", "w", "Enter"]) assert.equal(press({ key, ctrlKey: true }), "");
    assert.equal(press({ key: "s", altKey: true }), "");
    assert.equal(press({ key: "0", code: "Digit0" }), "");
    assert.equal(press({ key: "x" }), "");
  });

  test("are all in the list that is shown", () => {
    const listed = KEYS.flatMap(({ keys }) => keys);
    for (const key of [
      "↓",
      "↑",
      "1",
      "9",
      "Enter",
      "⇧1",
      "S",
      "⇧S",
      "W",
      "Q",
      "E",
      "G",
      "U",
      "⇧U",
      "P",
      "/",
      "Esc",
      "?",
    ]) {
      assert.ok(listed.includes(key), key);
    }
  });
});
