import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { PASSES } from "../../src/core/checks/card.ts";
import type { DeskSession } from "../../src/ui/desk/session.ts";
import { openSession, reopen, settled, until } from "../support/desk.ts";

const TEXT =
  "The log was recieved wet.\n\nThe level of the tides are high, and usefull.\n\nIt was writen late.\n";
const PLAIN = TEXT.trim().replaceAll("\n\n", "\n");

const here = ({ state }: DeskSession) =>
  state.subject?.kind === "mark" ? state.subject.place.mark.text : null;

async function step(session: DeskSession, by: "next" | "previous"): Promise<string | null> {
  session.walk[by]();
  await settled(session);
  return here(session);
}

describe("the walk", () => {
  test("goes back as it came, says where it begins, and round from there when asked again", async () => {
    const { session } = await openSession(TEXT);
    assert.deepEqual(
      [await step(session, "next"), await step(session, "next"), await step(session, "previous")],
      ["usefull", "writen", "usefull"],
    );
    await step(session, "previous");
    assert.equal(await step(session, "previous"), "recieved");
    assert.equal(session.state.edge, "start");
    assert.match(session.state.notice, /first open mark/);
    assert.equal(await step(session, "previous"), "writen");
    assert.equal(session.state.edge, null);
    await session.close();
  });

  test("says of the only mark of a pass that it is that", async () => {
    const { session } = await openSession("The log was recieved wet.\n");
    await step(session, "next");
    assert.equal(session.state.notice, "This is the only open mark of the pass.");
    await session.close();
  });

  test("opens a mark by its id, and passes over one that is no more", async () => {
    const { session } = await openSession(TEXT);
    const writen = session.state.open.find(({ mark }) => mark.text === "writen");
    session.walk.goTo(writen?.mark.id ?? "");
    await settled(session);
    assert.equal(here(session), "writen");
    session.walk.goTo("nothing");
    assert.equal(here(session), "writen");
    await session.close();
  });

  test("opens the mark that stands at a word, the word where none does, and nothing else", async () => {
    const { session } = await openSession(TEXT);
    const at = (word: string) => {
      const from = PLAIN.indexOf(word);
      return session.walk.atHand(from, from + word.length);
    };
    assert.equal(at("usefull"), true);
    await settled(session);
    assert.equal(here(session), "usefull");
    assert.equal(at("late"), true);
    await settled(session);
    const { subject, choices } = session.state;
    assert.equal(subject?.kind === "word" && subject.word.word, "late");
    assert.ok(choices);
    assert.deepEqual(session.wordAtHand(), {
      word: "late",
      from: PLAIN.indexOf("late"),
      to: PLAIN.indexOf("late") + 4,
    });
    assert.equal(at(", and"), false);
    await session.close();
  });

  test("closes what is open, and begins again after the place where it was", async () => {
    const { session } = await openSession(TEXT);
    await step(session, "next");
    session.walk.dismiss();
    assert.equal(session.state.subject, null);
    assert.equal(await step(session, "next"), "usefull");
    session.walk.dismiss();
    assert.equal(await step(session, "previous"), "recieved");
    await session.close();
  });

  test("shows a place of the original where it is now", async () => {
    const { session, screen } = await openSession(TEXT);
    await session.deciding.take(0, false);
    await settled(session);
    const outcomes = screen.outcomes;
    session.walk.showPlace(TEXT.indexOf("wet"));
    assert.equal(session.state.subject, null);
    assert.equal(screen.outcomes, outcomes + 1);
    await session.close();
  });

  test("previews a choice once, and none where there is none", async () => {
    const { session, screen } = await openSession(TEXT);
    const before = screen.shown.length;
    session.walk.preview(0);
    assert.equal(screen.shown.length, before, "it is shown already");
    session.walk.preview(99);
    assert.equal(session.state.previewed, -1);
    assert.deepEqual(screen.shown.at(-1), []);
    await session.close();
  });

  test("carries an open slip with its text, and drops it when its own text is changed", async () => {
    const { session, screen } = await openSession(TEXT);
    await step(session, "next");
    const type = async (from: number, to: number, insert: string) => {
      screen.apply([{ from, to, insert }]);
      session.typing.type([{ from, to, insert }]);
      await session.typing.leave();
      await settled(session);
    };
    await type(0, 0, "So ");
    await until(() => session.state.subject !== null);
    const { subject } = session.state;
    assert.equal(subject?.kind === "mark" && subject.place.from, PLAIN.indexOf("usefull") + 3);
    const at = screen.text.indexOf("usefull");
    await type(at, at + 7, "useful");
    await until(() => session.state.openOfAll.every(({ mark }) => mark.text !== "usefull"));
    assert.equal(session.state.subject, null);
    assert.equal(await step(session, "next"), "writen");
    await session.close();
  });

  test("carries a word without a mark as well", async () => {
    const { session, screen } = await openSession(TEXT);
    const from = PLAIN.indexOf("late");
    session.walk.atHand(from, from + 4);
    await settled(session);
    screen.apply([{ from: 0, to: 0, insert: "So " }]);
    session.typing.type([{ from: 0, to: 0, insert: "So " }]);
    const { subject } = session.state;
    assert.deepEqual(subject?.kind === "word" && subject.word, {
      word: "late",
      from: from + 3,
      to: from + 7,
    });
    await session.close();
  });

  test("goes round the passes in both directions", async () => {
    const { session } = await openSession(TEXT);
    const seen: string[] = [];
    for (const _ of PASSES) {
      session.walk.stepPass(-1);
      await settled(session);
      seen.push(session.state.pass);
    }
    assert.deepEqual(seen, [...PASSES].reverse());
    assert.equal(session.state.pass, "spelling", "where it began");
    session.walk.setPass(session.state.pass);
    await session.close();
  });

  test("is taken up in the pass and at the place where it was left", async () => {
    const { session, id } = await openSession(TEXT);
    session.walk.setPass("grammar");
    await settled(session);
    assert.equal(here(session), "are");
    await session.close();
    const again = await reopen(id);
    assert.equal(again.session.state.pass, "grammar");
    assert.equal(here(again.session), "are");
    await again.session.close();
  });

  test("stops with the check, keeps what was typed, and goes on when it is run again", async () => {
    const { session } = await openSession(TEXT);
    session.stop();
    assert.equal(session.state.phase, "stopped");
    await session.run();
    await until(() => session.state.phase === "ready");
    assert.equal(session.state.open.length, 3);
    await session.close();
  });
});
