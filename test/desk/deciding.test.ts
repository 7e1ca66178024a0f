import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { DeskSession } from "../../src/ui/desk/session.ts";
import { openSession, reopen, settled } from "../support/desk.ts";

const TEXT =
  "The log was recieved on Monday, and Brundle recieved the key.\n\nBrundle wrote: it was usefull to Brundle.\n";
const PLAIN = TEXT.trim().replaceAll("\n\n", "\n");

const here = ({ state }: DeskSession) =>
  state.subject?.kind === "mark" ? state.subject.place.mark.text : null;

const acts = ({ state }: DeskSession) => state.decisions.map(({ act }) => act);

/** Opens the first open mark of a text. */
async function openAt(session: DeskSession, text: string): Promise<void> {
  const place = session.state.openOfAll.find(({ mark }) => mark.text === text);
  assert.ok(place, text);
  session.walk.open(place);
  await settled(session);
}

describe("a decision", () => {
  test("to let a mark stand closes it here, or wherever its like is found", async () => {
    const { session, screen } = await openSession(TEXT);
    await session.deciding.stet(true);
    await settled(session);
    assert.ok(session.state.openOfAll.every(({ mark }) => mark.text !== "recieved"));
    assert.equal(session.state.notice, "“recieved” stands.");
    assert.equal(screen.text, PLAIN);
    await session.deciding.undoLast();
    await settled(session);
    assert.equal(here(session), "recieved");
    assert.equal(session.state.notice, "Undone: “recieved” let stand.");
    await session.deciding.stet(false);
    await settled(session);
    assert.equal(here(session), "recieved", "the other one is open still");
    await session.close();
  });

  test("to ask the author is kept with its question, and goes out with it", async () => {
    const { session, id } = await openSession(TEXT);
    const { subject } = session.state;
    assert.ok(subject);
    await session.deciding.query(subject, "Received by whom?");
    await settled(session);
    assert.equal(session.state.notice, "A question on “recieved” is noted.");
    await session.close();
    const again = await reopen(id);
    const [query] = again.session.state.decisions;
    assert.equal(query?.note, "Received by whom?");
    assert.deepEqual(query?.marks[0]?.from, PLAIN.indexOf("recieved"));
    await again.session.close();
  });

  test("to ask about a word without a mark has its place", async () => {
    const { session } = await openSession(TEXT);
    const from = PLAIN.indexOf("Monday");
    assert.equal(session.walk.atHand(from, from + 6), true);
    await settled(session);
    const { subject } = session.state;
    assert.ok(subject?.kind === "word");
    await session.deciding.query(subject, "Monday of which week?");
    await settled(session);
    assert.deepEqual(session.state.decisions[0]?.marks, [
      { rule: "query", text: "Monday", from, to: from + 6 },
    ]);
    await session.close();
  });

  test("to list a word settles all its places; only words can be listed", async () => {
    const { session } = await openSession(TEXT);
    await openAt(session, "usefull");
    await session.deciding.listWord();
    await settled(session);
    assert.equal(session.state.notice, "“usefull” is on the word list.");
    assert.ok(session.state.style.words.some(({ word }) => word === "usefull"));
    assert.ok(session.state.openOfAll.every(({ mark }) => mark.text !== "usefull"));
    await session.deciding.undoLast();
    await settled(session);
    assert.ok(session.state.style.words.every(({ word }) => word !== "usefull"));
    assert.equal(here(session), "usefull");
    await session.deciding.redo();
    await settled(session);
    assert.ok(session.state.style.words.some(({ word }) => word === "usefull"));
    assert.match(session.state.notice, /^Redone: “usefull” on the word list/);
    await session.settings.unlistWord("usefull");
    await settled(session);
    assert.ok(session.state.style.words.every(({ word }) => word !== "usefull"));
    await session.close();
  });

  test("about many places at once is one decision", async () => {
    const { session } = await openSession(TEXT);
    const places = session.state.openOfAll.filter(({ mark }) => mark.text === "recieved");
    await session.deciding.stetAt(places);
    await settled(session);
    assert.equal(session.state.notice, "2 places stand.");
    assert.equal(session.state.decisions.length, 1);
    await session.close();
  });

  test("is not made where there is nothing to take back", async () => {
    const { session } = await openSession(TEXT);
    await session.deciding.undoLast();
    assert.equal(session.state.notice, "There is nothing to undo.");
    await session.deciding.redo();
    assert.equal(session.state.notice, "There is nothing to redo.");
    assert.equal(session.state.decisions.length, 0);
    await session.close();
  });

  test("older than others is taken back alone, and what stands on it says so", async () => {
    const { session, screen } = await openSession(TEXT);
    await session.deciding.take(0, false);
    await settled(session);
    await session.deciding.take(0, false);
    await settled(session);
    await session.deciding.undo(1);
    await settled(session);
    assert.equal(screen.text, PLAIN.replace("Brundle recieved", "Brundle received"));
    assert.deepEqual(acts(session), ["correct", "correct", "undo"]);
    await session.close();
  });

  test("whose text changed while it was being made is dropped", async () => {
    const { session, screen } = await openSession(TEXT);
    const edit = { from: 0, to: 0, insert: "So " };
    const acting = session.deciding.act(async () => {
      await new Promise((resolve) => setTimeout(resolve, 20));
      screen.apply([edit]);
      session.typing.type([edit]);
      return { act: "correct", scope: "here", marks: [], edits: [{ from: 0, to: 3, insert: "A" }] };
    });
    await acting;
    await settled(session);
    assert.deepEqual(acts(session), ["edit"]);
    assert.match(session.state.notice, /changed in the meantime/);
    assert.equal(screen.text, `So ${PLAIN}`);
    await session.close();
  });

  test("that a proposal fails at is told, and the desk goes on", async () => {
    const { session } = await openSession(TEXT);
    const { error } = console;
    console.error = () => undefined;
    try {
      await session.deciding.act(() => {
        throw new Error("of its own");
      });
    } finally {
      console.error = error;
    }
    assert.equal(session.state.deciding, false);
    assert.notEqual(session.state.notice, "");
    await session.deciding.take(0, false);
    await settled(session);
    assert.deepEqual(acts(session), ["correct"]);
    await session.close();
  });

  test("with Enter shows the first choice where none is shown, and takes it the second time", async () => {
    const { session, screen } = await openSession(TEXT);
    session.walk.preview(-1);
    assert.equal(session.state.previewed, -1);
    await session.deciding.takeShown(false);
    assert.equal(session.state.previewed, 0);
    assert.match(session.state.notice, /Enter once more/);
    assert.equal(screen.text, PLAIN);
    await session.deciding.takeShown(false);
    await settled(session);
    assert.equal(screen.text, PLAIN.replace("recieved", "received"));
    await session.close();
  });

  test("is refused for a change over the end of a paragraph, with the reason", async () => {
    const { session, screen } = await openSession(TEXT);
    const end = PLAIN.indexOf("\n");
    const edits = [{ from: end - 1, to: end + 2, insert: "" }];
    await session.deciding.act(() => ({ act: "correct", scope: "here", marks: [], edits }));
    await settled(session);
    assert.equal(screen.text, PLAIN);
    assert.equal(session.state.decisions.length, 0);
    assert.notEqual(session.state.notice, "");
    assert.equal(
      session.whyRefused(edits[0] ?? { from: 0, to: 0, insert: "" }),
      session.state.notice,
    );
    await session.close();
  });
});
