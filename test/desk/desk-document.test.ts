import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import type { Draft } from "../../src/core/ledger/decision.ts";
import { lastUndoable, undo } from "../../src/core/ledger/ledger.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { DeskDocument } from "../../src/ui/desk/desk-document.ts";
import { loadLanguage } from "../support/language.ts";
import { seeded } from "../support/random.ts";

const settings: CheckSettings = { variety: "en-GB", kind: "report", appetites: {}, words: [] };
const language = loadLanguage();
const AT = "2031-03-12T10:42:00.000Z";
const TEXT =
  "The book was recieved wet.\nIt was recieved and the the rest is lost.\nBy the Sow, untill noon.";

function open() {
  const manuscript = linesManuscript(TEXT);
  const desk = new DeskDocument(manuscript, []);
  const engine = new Engine(manuscript, language, settings);
  for (const _ of engine.examineAll());
  desk.reported.report(engine.wholeReport(), 0);
  return { manuscript, desk, engine };
}

function decide(desk: DeskDocument, draft: Partial<Draft> & Pick<Draft, "act">): void {
  desk.apply(desk.enter({ scope: "here", marks: [], edits: [], ...draft }, AT));
}

const anchor = ({ mark, from, to }: ReturnType<DeskDocument["openMarks"]>[number]) => ({
  rule: mark.rule,
  text: mark.text,
  from,
  to,
});

describe("a document on the desk", () => {
  test("closes a mark that is stetted, there only, and opens it again when that is undone", () => {
    const { desk } = open();
    const [first] = desk.openMarks();
    assert.ok(first);
    decide(desk, { act: "stet", marks: [anchor(first)] });
    assert.deepEqual(
      desk.openMarks().map(({ mark }) => mark.text),
      ["recieved", "the the", "untill"],
    );
    const result = undo(desk.history, 1);
    assert.ok("draft" in result);
    desk.apply(desk.enter(result.draft, AT));
    assert.equal(desk.openMarks().length, 4);
  });

  test("keeps marks on their words while text before them changes", () => {
    const { desk } = open();
    decide(desk, { act: "edit", edits: [{ from: 0, to: 3, insert: "Every single" }] });
    for (const { mark, from, to } of desk.openMarks()) {
      assert.equal(desk.text.slice(from, to), mark.text);
    }
  });

  test("drops a mark whose word is changed, until it is checked again", () => {
    const { desk, engine } = open();
    const edits: Edit[] = [{ from: 13, to: 21, insert: "recived" }];
    decide(desk, { act: "edit", edits });
    assert.equal(desk.openMarks()[0]?.mark.block, 1);
    desk.reported.report(engine.edit(edits), desk.reported.revision);
    assert.equal(desk.openMarks()[0]?.mark.text, "recived");
  });

  test("keeps the marks of a report that comes when the next letter is typed already", () => {
    const { desk, engine } = open();
    const first: Edit[] = [{ from: 0, to: 0, insert: "teh " }];
    desk.type(first);
    const { revision } = desk.reported;
    const late = engine.edit(first);
    const second: Edit[] = [{ from: 4, to: 4, insert: "x" }];
    desk.type(second);
    assert.deepEqual(desk.reported.report(late, revision), [0]);
    const marked = () => new Set(desk.openMarks().map(({ from, to }) => desk.text.slice(from, to)));
    assert.deepEqual([...marked()].slice(0, 2), ["teh", "recieved"]);
    desk.reported.report(engine.edit(second), desk.reported.revision);
    assert.deepEqual([...marked()].slice(0, 2), ["teh", "recieved"]);
  });

  test("makes a decision beside what is typed while it is being written", () => {
    const random = seeded(77);
    for (let run = 0; run < 200; run++) {
      const { desk, manuscript } = open();
      const at = (least: number, most: number) => least + Math.floor(random() * (most - least));
      const edits: Edit[] = [{ from: 13, to: 21, insert: "received" }];
      const decision = desk.enter({ act: "correct", scope: "here", marks: [], edits }, AT);
      desk.announce(decision, null);
      const typedAt = at(0, 26);
      desk.type([{ from: typedAt, to: typedAt, insert: "new " }]);
      const other = at(27, 40);
      desk.type([{ from: other, to: other + 1, insert: "" }]);
      const notes = desk.typedNotes();
      assert.deepEqual(
        notes.map(({ after }) => after),
        [0, 1],
      );
      const before = desk.text;
      const made = desk.apply(decision);
      assert.equal(applyEdits(before, made), desk.text, "what is on screen is what is held");
      // Whichever of the two the disk has last, the text typed is found after it.
      assert.equal(applyEdits(TEXT, notes[0]?.typed ?? []), before);
      const decided = new DeskDocument(manuscript, [decision]);
      decided.type(notes[1]?.typed ?? []);
      assert.equal(decided.text, desk.text);
      const rest = desk.typedDraft();
      assert.ok(rest);
      desk.recordTyped(desk.enter(rest.draft, AT), rest.steps);
      assert.equal(new DeskDocument(manuscript, desk.decisions).text, desk.text);
    }
  });

  test("makes one decision of what was typed, and keeps what was typed meanwhile", () => {
    const { desk } = open();
    for (const [index, letter] of [..."new "].entries()) {
      desk.type([{ from: 4 + index, to: 4 + index, insert: letter }]);
    }
    const typed = desk.typedDraft();
    assert.ok(typed);
    assert.deepEqual(typed.draft.edits, [{ from: 4, to: 4, insert: "new " }]);
    const decision = desk.enter(typed.draft, AT);
    desk.type([{ from: 8, to: 8, insert: "!" }]);
    desk.recordTyped(decision, typed.steps);
    assert.match(desk.text, /^The new !book/);
    assert.deepEqual(desk.typedDraft()?.draft.edits, [{ from: 8, to: 8, insert: "!" }]);
  });

  test("leads back to the same state from its stored decisions", () => {
    const random = seeded(10);
    for (let run = 0; run < 40; run++) {
      const { desk, manuscript } = open();
      for (let step = 0; step < 10; step++) {
        const newest = lastUndoable(desk.history);
        const places = desk.openMarks();
        const place = places[Math.floor(random() * places.length)];
        if (random() < 0.2 && newest) {
          const result = undo(desk.history, newest.seq);
          assert.ok("draft" in result);
          desk.apply(desk.enter(result.draft, AT));
        } else if (place && random() < 0.5) {
          const edits = [{ from: place.from, to: place.to, insert: "tide" }];
          decide(desk, { act: "correct", marks: [anchor(place)], edits });
        } else if (place) decide(desk, { act: "query", marks: [anchor(place)], note: "?" });
      }
      const again = new DeskDocument(manuscript, desk.decisions);
      assert.equal(again.text, desk.text);
      assert.deepEqual(again.layout, desk.layout);
      const { edits, queries } = desk.outcome();
      assert.equal(applyEdits(TEXT, edits), desk.text);
      for (const { from, to } of queries) assert.ok(from >= 0 && to <= TEXT.length && from <= to);
    }
  });
});
