import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { USUAL_SCOPE } from "../../src/core/readings/scope.ts";
import { readRecord } from "../../src/store/shelf.ts";
import { openSession, reopen, settled, until } from "../support/desk.ts";

const HARD =
  "The keeper who had read the gauge that was set in the well which the office had dug in the dry summer of the long war said nothing of it.";
const TEXT = `It was recieved wet.\n\n${HARD}\n\nThe tide came in.\n`;

async function opened(text = TEXT) {
  const one = await openSession(text);
  await until(() => one.session.state.readings !== null);
  return one;
}

describe("the readings of a document on the desk", () => {
  test("are there when it has been read, and its grade on the shelf", async () => {
    const { session, id } = await opened();
    const { readings } = session.state;
    assert.equal(readings?.counts.sentences, 3);
    assert.equal(readings?.before, null);
    await session.close();
    const record = await readRecord(id);
    assert.equal(record?.run?.grade, readings?.grade?.median);
  });

  test("are made anew when they are asked for, beside those before", async () => {
    const { session } = await opened();
    await session.deciding.take(0, false);
    await settled(session);
    const before = session.state.readings;
    await session.readings.refresh();
    const { readings } = session.state;
    assert.notEqual(readings, before);
    assert.equal(readings?.before?.counts.words, readings?.counts.words);
    await session.close();
  });

  test("count other parts when that is asked for, and the last thing asked for is what is shown", async () => {
    const { session } = await openSession("# A heading of five words\n\nIt rained.\n", "a.md");
    await until(() => session.state.readings !== null);
    const usual = session.state.readings?.counts.words ?? 0;
    const first = session.readings.refresh({ ...USUAL_SCOPE, headings: true });
    const second = session.readings.refresh(USUAL_SCOPE);
    await Promise.all([first, second]);
    assert.equal(session.state.readings?.counts.words, usual);
    assert.deepEqual(session.state.scope, USUAL_SCOPE);
    await session.readings.refresh({ ...USUAL_SCOPE, headings: true });
    assert.equal(session.state.readings?.counts.words, usual + 5);
    await session.close();
  });

  test("open to places in the text", async () => {
    const { session } = await opened();
    const { text } = session.current();
    const places = await session.readings.places({ forms: ["tide"] });
    assert.deepEqual(
      places.map(({ from, to }) => text.slice(from, to)),
      ["tide"],
    );
    await session.close();
  });

  test("lead to a sentence, to its mark where it has one", async () => {
    const { session, screen } = await opened();
    const [hardest] = session.state.readings?.hardest ?? [];
    assert.ok(hardest);
    session.walk.showRange(hardest.shown, "sentences");
    await settled(session);
    assert.equal(session.state.pass, "sentences");
    const { subject } = session.state;
    assert.equal(subject?.kind === "mark" && subject.place.from, hardest.shown.from);
    const outcomes = screen.outcomes;
    const last = session.state.readings?.sentences.at(-1);
    assert.ok(last);
    session.walk.showRange(last, "sentences");
    assert.equal(session.state.subject, null);
    assert.equal(screen.outcomes, outcomes + 1);
    await session.close();
  });

  test("follow the reader, which is a decision: in the ledger, kept, taken back", async () => {
    const { session, id } = await opened();
    assert.equal(session.state.passes.sentences.open, 1);
    await session.settings.setReader("5-99@20");
    await settled(session);
    assert.equal(session.state.passes.sentences.open, 0);
    assert.equal(session.state.decisions.at(-1)?.setting?.name, "reader");
    await session.close();
    const again = await reopen(id);
    assert.equal(again.session.state.record?.reader, "5-99@20");
    assert.equal(again.session.state.passes.sentences.open, 0);
    await again.session.deciding.undoLast();
    await settled(again.session);
    assert.equal(again.session.state.record?.reader, null);
    assert.equal(again.session.state.passes.sentences.open, 1);
    await again.session.close();
  });
});
