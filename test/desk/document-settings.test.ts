import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readSettings } from "../../src/store/house.ts";
import type { DeskSession } from "../../src/ui/desk/session.ts";
import { openSession, reopen, settled } from "../support/desk.ts";

const TEXT =
  "The log was recieved wet, in order to be dried. Brundle came in order to read it, and it was recieved again.\n";

const openOf = ({ state }: DeskSession, rule: string) =>
  state.openOfAll.filter(({ mark }) => mark.rule === rule).length;

async function openRule(session: DeskSession, rule: string): Promise<void> {
  const place = session.state.openOfAll.find(({ mark }) => mark.rule === rule);
  assert.ok(place, rule);
  session.walk.open(place);
  await settled(session);
}

describe("less like this", () => {
  test("asks of a check of words what is meant, and lets the word stand", async () => {
    const { session } = await openSession(TEXT);
    await settled(session);
    await session.settings.lessLikeThis(false);
    assert.deepEqual(session.state.less, {
      text: "recieved",
      places: 2,
      hides: openOf(session, "spelling/unknown-word"),
      inEvery: false,
    });
    await session.settings.answerLess(7);
    assert.ok(session.state.less, "no such answer");
    await session.settings.answerLess(0);
    await settled(session);
    assert.equal(session.state.less, null);
    assert.ok(session.state.openOfAll.every(({ mark }) => mark.text !== "recieved"));
    await session.close();
  });

  test("lists the word, or switches the check off, as it is answered", async () => {
    const { session } = await openSession(TEXT);
    await session.settings.lessLikeThis(false);
    session.walk.dismiss();
    assert.equal(session.state.less, null, "Escape takes the question back");
    await session.settings.lessLikeThis(false);
    await session.settings.answerLess(1);
    await settled(session);
    assert.equal(session.state.decisions[0]?.act, "word");
    await session.deciding.undoLast();
    await settled(session);
    await openRule(session, "spelling/unknown-word");
    await session.settings.lessLikeThis(false);
    await session.settings.answerLess(2);
    await settled(session);
    assert.equal(session.settings.appetiteOf("spelling/unknown-word"), "off");
    assert.equal(openOf(session, "spelling/unknown-word"), 0);
    assert.match(session.state.notice, /off in this document: \d+ hidden/);
    await session.close();
  });

  test("of advice keeps what is sure, then nothing, and says how many that hides", async () => {
    const { session } = await openSession(TEXT);
    const rule = "wording/wordy";
    const before = openOf(session, rule);
    assert.ok(before >= 2);
    await openRule(session, rule);
    await session.settings.lessLikeThis(false);
    await settled(session);
    assert.equal(session.settings.appetiteOf(rule), "sure");
    const left = openOf(session, rule);
    assert.match(session.state.notice, /only when sure, in this document/);
    assert.match(session.state.notice, new RegExp(`${before - left} hidden`));
    await session.deciding.undoLast();
    await settled(session);
    assert.equal(session.settings.appetiteOf(rule), "all");
    assert.equal(openOf(session, rule), before);
    await session.close();
  });

  test("in every document holds for the next one, above nothing of its own", async () => {
    const { session, id } = await openSession(TEXT);
    const rule = "wording/wordy";
    await openRule(session, rule);
    await session.settings.lessLikeThis(true);
    await settled(session);
    assert.equal(session.state.style.appetites[rule], "sure");
    assert.match(session.state.notice, /in every document/);
    await session.close();
    const other = await openSession("They came in order to read it.\n", "b.txt");
    assert.equal(other.session.settings.appetiteOf(rule), "sure");
    await other.session.close();
    const again = await openSession(TEXT, "c.txt");
    await again.session.settings.setAppetite(rule, "all");
    await settled(again.session);
    assert.ok(openOf(again.session, rule) >= 2, "the document's own choice stands above");
    await again.session.close();
    const first = await reopen(id);
    await first.session.deciding.undoLast();
    await settled(first.session);
    assert.equal(first.session.state.style.appetites[rule], undefined);
    await first.session.close();
  });
});

describe("a document's settings", () => {
  test("leave kinds of words alone, and count subject lists", async () => {
    const { session } = await openSession("The Brundlemore post stood by the Fennwick gate.\n");
    await session.settings.switchLeave("names", true);
    await settled(session);
    assert.equal(session.state.record?.leave.names, true);
    assert.equal(openOf(session, "spelling/unknown-word"), 0);
    await session.settings.switchLeave("names", true);
    assert.equal(session.state.decisions.length, 1, "nothing to turn");
    await session.settings.switchSubject("law", true);
    await settled(session);
    assert.deepEqual(session.state.record?.subjects, ["law"]);
    await session.settings.switchSubject("law", false);
    await settled(session);
    assert.deepEqual(session.state.record?.subjects, []);
    await session.close();
  });

  test("take the document for another kind of copy, here and when it is opened again", async () => {
    const { session, id } = await openSession(TEXT);
    await session.settings.setKind("fiction");
    await settled(session);
    assert.equal(openOf(session, "wording/wordy"), 0, "none in fiction");
    await session.close();
    const again = await reopen(id);
    assert.equal(again.session.state.record?.kind, "fiction");
    assert.equal(again.session.state.manuscript?.kind, "fiction");
    await again.session.close();
  });

  test("have typing checked only when asked for, and at once again", async () => {
    const { session, screen } = await openSession(TEXT);
    await session.settings.setWhileTyping(false);
    assert.equal((await readSettings()).whileTyping, false);
    const edit = { from: 0, to: 0, insert: "It was writen. " };
    screen.apply([edit]);
    session.typing.type([edit]);
    await session.typing.leave();
    await settled(session);
    assert.equal(session.state.stale, true);
    assert.ok(session.state.openOfAll.every(({ mark }) => mark.text !== "writen"));
    await session.settings.setWhileTyping(true);
    await settled(session);
    assert.equal(session.state.stale, false);
    assert.ok(session.state.openOfAll.some(({ mark }) => mark.text === "writen"));
    await session.close();
  });

  test("make replacements as one decision, and none where there are none", async () => {
    const { session, screen } = await openSession("The gague and the gague.\n");
    await session.settings.applyReplacements([]);
    assert.equal(session.state.decisions.length, 0);
    assert.deepEqual(session.settings.replacementPlaces(), []);
    const edits = [
      { from: 4, to: 9, insert: "gauge" },
      { from: 18, to: 23, insert: "gauge" },
    ];
    await session.settings.applyReplacements(edits);
    await settled(session);
    assert.equal(screen.text, "The gauge and the gauge.");
    assert.equal(session.state.notice, "2 places corrected. U takes them back together.");
    await session.deciding.undoLast();
    await settled(session);
    assert.equal(session.state.notice, "Undone: the replacements.");
    await session.settings.setReplaceTyping(true);
    assert.equal((await readSettings()).replaceTyping, true);
    await session.close();
  });
});
