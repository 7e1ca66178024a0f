import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { sumOutcomes } from "../../src/core/report/report.ts";
import { readSettings } from "../../src/store/house.ts";
import { makeReport } from "../../src/ui/report/make-report.ts";
import { languageSource, localProofreader, openSession, settled } from "../support/desk.ts";

const NOW = new Date("2031-04-02T12:00:00Z");
const TEXT =
  "# The log\n\nIt was recieved wet.\n\n# The gauge\n\nIt was usefull, and Brundlemore read it.\n";

async function report(id: string, source = languageSource()) {
  const seen: number[] = [];
  const made = await makeReport(localProofreader(source), id, NOW, ({ done }) => seen.push(done));
  return { made, seen };
}

describe("a report of a document on the shelf", () => {
  test("tells what was found in it and decided about it so far", async () => {
    const { session, id } = await openSession(TEXT, "log.md");
    const before = session.state.openOfAll.length;
    await session.deciding.take(0, false);
    await settled(session);
    const { subject } = session.state;
    assert.ok(subject);
    await session.deciding.query(subject, "Useful to whom?");
    await settled(session);
    await session.close();
    const { made } = await report(id);
    assert.ok(!("problem" in made));
    assert.equal(made.title, session.state.record?.title);
    assert.equal(made.at, NOW.toISOString());
    const sum = sumOutcomes(made.outcomes);
    assert.deepEqual([sum.found, sum.corrected, sum.queried], [before, 1, 1]);
    assert.deepEqual(
      made.queries.map(({ text, note, section }) => [text, note, section]),
      [["usefull", "Useful to whom?", "The gauge"]],
    );
    assert.ok(made.readings.before, "it was changed");
    assert.equal(made.decisions.length, 2);
  });

  test("tells of a document that nobody has touched what is open in it", async () => {
    const { session, id } = await openSession(TEXT, "log.md");
    const open = session.state.openOfAll.length;
    await session.close();
    const { made } = await report(id);
    assert.ok(!("problem" in made));
    const sum = sumOutcomes(made.outcomes);
    assert.deepEqual([sum.found, sum.open, sum.corrected], [open, open, 0]);
    assert.equal(made.readings.before, null);
  });

  test("counts a stet for the whole document in every place", async () => {
    const { session, id } = await openSession("It was recieved, and recieved again.\n");
    await session.deciding.stet(true);
    await settled(session);
    await session.close();
    const { made } = await report(id);
    assert.ok(!("problem" in made));
    assert.equal(sumOutcomes(made.outcomes).stet, 2);
  });

  test("says why there is none", async () => {
    assert.deepEqual((await report("nothing")).made, {
      problem: "This document is not on the shelf any more.",
    });
    const { session, id } = await openSession(TEXT, "log.md");
    await session.close();
    const { made } = await report(id, languageSource({ full: async () => null }));
    assert.ok("problem" in made);
    assert.match(made.problem, /could not be read to its end/);
    assert.equal((await readSettings()).author, "", "nothing else was touched");
  });
});
