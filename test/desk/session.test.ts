import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { openSession, reopen, settled, until } from "../support/desk.ts";

const TEXT =
  "The book was recieved wet, and it was recieved late.\n\nThe level of the tides are high. It was usefull.\n";
const PLAIN = TEXT.trim().replaceAll("\n\n", "\n");

const here = ({ state }: Awaited<ReturnType<typeof openSession>>["session"]) =>
  state.subject?.kind === "mark" ? state.subject.place.mark.text : null;

describe("a document on the desk", () => {
  test("is read to its end, with its first mark open and its correction shown in the line", async () => {
    const { session, screen } = await openSession(TEXT);
    const { state } = session;
    assert.equal(state.phase, "ready");
    assert.equal(screen.text, PLAIN);
    assert.equal(here(session), "recieved");
    assert.equal(state.choices?.[0]?.label, "received");
    assert.equal(state.previewed, 0);
    assert.deepEqual(
      Object.values(state.passes).map(({ open }) => open),
      [3, 1, 0, 0, 0, 0, 0],
    );
    assert.equal(state.tables?.counts.words, 20);
    await session.close();
  });

  test("is walked to the end and round, mark by mark", async () => {
    const { session } = await openSession(TEXT);
    session.walk.next();
    session.walk.next();
    await settled(session);
    assert.equal(here(session), "usefull");
    session.walk.next();
    assert.equal(session.state.edge, "end");
    assert.match(session.state.notice, /last/i);
    session.walk.next();
    await settled(session);
    const { subject } = session.state;
    assert.equal(subject?.kind === "mark" && subject.place.from, PLAIN.indexOf("recieved"));
    await session.close();
  });

  test("keeps a decision before it shows it, and has it again when it is opened anew", async () => {
    const { session, screen, id } = await openSession(TEXT);
    await session.deciding.takeShown(false);
    await settled(session);
    assert.equal(screen.text, PLAIN.replace("recieved", "received"));
    assert.equal(screen.outcomes, 1);
    assert.equal(session.state.decisions.length, 1);
    await session.close();
    const again = await reopen(id);
    assert.equal(again.screen.text, screen.text);
    assert.deepEqual(
      Object.values(again.session.state.passes).map(({ open }) => open),
      [2, 1, 0, 0, 0, 0, 0],
    );
    await again.session.deciding.undoLast();
    await settled(again.session);
    assert.equal(again.screen.text, PLAIN);
    assert.equal(again.session.state.notice, "Undone: the correction of “recieved”.");
    await again.session.close();
  });

  test("corrects every place of a mistake as one decision, and takes it back as one", async () => {
    const { session, screen } = await openSession(TEXT);
    assert.equal(session.walk.twins(session.state.subject).length, 2);
    await session.deciding.take(0, true);
    await settled(session);
    assert.equal(screen.text, PLAIN.replaceAll("recieved", "received"));
    assert.equal(session.state.decisions.length, 1);
    await session.deciding.undoLast();
    await settled(session);
    assert.equal(screen.text, PLAIN);
    await session.close();
  });

  test("goes over to another pass and comes back to where that was left", async () => {
    const { session } = await openSession(TEXT);
    session.walk.next();
    await settled(session);
    session.walk.stepPass(1);
    await settled(session);
    assert.equal(session.state.pass, "grammar");
    assert.equal(here(session), "are");
    session.walk.stepPass(-1);
    await settled(session);
    const { subject } = session.state;
    assert.equal(subject?.kind === "mark" && subject.place.from, PLAIN.lastIndexOf("recieved"));
    await session.close();
  });

  test("makes one decision of what is typed, and looks at it again", async () => {
    const { session, screen, id } = await openSession(TEXT);
    const at = PLAIN.indexOf("wet");
    session.typing.set(true);
    for (const [by, letter] of [..."verry "].entries()) {
      const edit = { from: at + by, to: at + by, insert: letter };
      screen.apply([edit]);
      session.typing.type([edit]);
    }
    await session.typing.leave();
    await until(() => session.state.open.some(({ mark }) => mark.text === "verry"));
    assert.deepEqual(
      session.state.decisions.map(({ act }) => act),
      ["edit"],
    );
    await session.close();
    const again = await reopen(id);
    assert.equal(again.screen.text, PLAIN.replace("wet", "verry wet"));
    await again.session.close();
  });

  test("what was typed and not yet decided is there when it is opened anew", async () => {
    const { session, id } = await openSession(TEXT);
    session.typing.type([{ from: 0, to: 0, insert: "So " }]);
    await session.close();
    const again = await reopen(id);
    assert.ok(again.screen.text.startsWith("So The book"));
    await again.session.close();
  });

  test("settings are decisions: seen at once, in the ledger, and taken back", async () => {
    const { session } = await openSession("The colour was gray-green. It was recieved.\n");
    const before = session.state.openOfAll.length;
    await session.settings.setVariety("en-US");
    await settled(session);
    assert.ok(session.state.openOfAll.some(({ mark }) => mark.text === "colour"));
    await session.settings.setAppetite("spelling/unknown-word", "off");
    await settled(session);
    assert.ok(!session.state.openOfAll.some(({ mark }) => mark.text === "recieved"));
    assert.equal(session.settings.appetiteOf("spelling/unknown-word"), "off");
    await session.deciding.undoLast();
    await session.deciding.undoLast();
    await settled(session);
    assert.equal(session.state.record?.variety, "en-GB");
    assert.equal(session.state.openOfAll.length, before);
    await session.close();
  });

  test("nothing is decided while a decision is on its way, nor before the slip is drawn", async () => {
    const { session } = await openSession(TEXT);
    assert.ok(session.walk.placeToEdit());
    const first = session.deciding.take(0, false);
    assert.equal(session.deciding.mayDecide, false);
    assert.equal(session.walk.placeToEdit(), null, "its text is about to change");
    await session.deciding.stet(false);
    await first;
    await settled(session);
    assert.deepEqual(
      session.state.decisions.map(({ act }) => act),
      ["correct"],
    );
    session.walk.next();
    assert.equal(session.deciding.mayDecide, false);
    await session.deciding.stet(true);
    assert.equal(session.state.decisions.length, 1);
    await session.close();
  });

  test("a synonym goes in only where the slip of its word has been drawn", async () => {
    const { session, screen } = await openSession(TEXT);
    session.walk.next();
    const unseen = session.putIn("accept", "verb");
    await unseen;
    await settled(session);
    assert.equal(session.state.decisions.length, 0);
    await session.putIn("accept", "verb");
    await settled(session);
    assert.equal(session.state.decisions.length, 1);
    assert.match(screen.text, /it was accepted late/);
    await session.close();
  });

  test("that is not on the shelf is said to be missing", async () => {
    const { session } = await reopen("nothing");
    assert.equal(session.state.phase, "missing");
    assert.match(session.state.problem, /not on the shelf/);
  });

  test("a board's way to a mark leads into its pass", async () => {
    const { session } = await openSession(TEXT);
    const place = session.state.openOfAll.find(({ mark }) => mark.pass === "grammar");
    assert.ok(place);
    session.walk.open(place);
    await settled(session);
    assert.equal(session.state.pass, "grammar");
    assert.equal(here(session), "are");
    await session.close();
  });
});
