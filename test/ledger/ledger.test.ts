import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Draft } from "../../src/core/ledger/decision.ts";
import { inForce } from "../../src/core/ledger/decision.ts";
import {
  append,
  enter,
  type Ledger,
  lastRedoable,
  lastUndoable,
  ledgerEdits,
  openLedger,
  replay,
  undo,
} from "../../src/core/ledger/ledger.ts";
import { SettledPlaces } from "../../src/core/ledger/settled.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { someEdits } from "../support/edits.ts";
import { seeded } from "../support/random.ts";

const AT = "2031-03-12T10:42:00.000Z";

function decide(
  ledger: Ledger,
  act: Draft["act"],
  edits: Edit[],
  rest: Partial<Draft> = {},
): Ledger {
  const draft: Draft = { act, scope: "here", marks: [], edits, ...rest };
  return append(ledger, enter(ledger, draft, AT));
}

function takeBack(ledger: Ledger, seq: number): Ledger {
  const result = undo(ledger, seq);
  assert.ok("draft" in result, "draft" in result ? "" : result.refusal);
  return append(ledger, enter(ledger, result.draft, AT));
}

const replaceAll = (from: number, to: number, insert: string) => [{ from, to, insert }];

describe("the ledger", () => {
  test("original and decisions give the current text, always", () => {
    const random = seeded(4);
    const original = "The book was recieved too wet to read, and the the rest is lost.";
    for (let run = 0; run < 200; run++) {
      let ledger = openLedger(original);
      for (let step = 0; step < 15; step++) {
        const seq = 1 + Math.floor(random() * Math.max(1, ledger.decisions.length));
        const result = random() < 0.3 ? undo(ledger, seq) : null;
        ledger =
          result && "draft" in result
            ? append(ledger, enter(ledger, result.draft, AT))
            : decide(ledger, "edit", someEdits(ledger.text, random));
        assert.deepEqual(replay(original, ledger.decisions), ledger);
        assert.equal(applyEdits(original, ledgerEdits(ledger)), ledger.text);
      }
    }
  });

  test("undoing everything, in whatever order it allows, gives the original back", () => {
    const random = seeded(5);
    const original = "Soundings were taken along nine lines every spring and autumn.";
    for (let run = 0; run < 200; run++) {
      let ledger = openLedger(original);
      for (let step = 0; step < 8; step++)
        ledger = decide(ledger, "edit", someEdits(ledger.text, random));
      while (lastUndoable(ledger)) {
        const possible = ledger.decisions.flatMap(({ seq, act }) => {
          const result = act === "undo" ? null : undo(ledger, seq);
          return result && "draft" in result ? [result.draft] : [];
        });
        const draft = possible[Math.floor(random() * possible.length)];
        assert.ok(draft, "the newest decision can always be undone");
        ledger = append(ledger, enter(ledger, draft, AT));
      }
      assert.equal(ledger.text, original);
      assert.deepEqual(ledgerEdits(ledger), []);
    }
  });

  test("an old decision is undone while later ones stay", () => {
    let ledger = openLedger("teh tide and teh ebb");
    ledger = decide(ledger, "correct", replaceAll(0, 3, "the"));
    ledger = decide(ledger, "correct", replaceAll(13, 16, "the"));
    ledger = decide(ledger, "edit", replaceAll(4, 8, "spring tide"));
    ledger = takeBack(ledger, 1);
    assert.equal(ledger.text, "teh spring tide and the ebb");
    assert.deepEqual([...inForce(ledger.decisions)].sort(), [2, 3, 4]);
  });

  test("an undo is refused where a later edit changed the same text, and names that edit", () => {
    let ledger = openLedger("teh tide");
    ledger = decide(ledger, "correct", replaceAll(0, 3, "the"));
    ledger = decide(ledger, "edit", replaceAll(1, 2, "H"));
    const result = undo(ledger, 1);
    assert.ok("refusal" in result);
    assert.equal(result.blockedBy?.seq, 2);
    ledger = takeBack(takeBack(ledger, 2), 1);
    assert.equal(ledger.text, "teh tide");
  });

  test("what is undone cannot be undone again, and can be redone", () => {
    let ledger = openLedger("teh tide");
    ledger = decide(ledger, "correct", replaceAll(0, 3, "the"));
    ledger = takeBack(ledger, 1);
    assert.ok("refusal" in undo(ledger, 1));
    const redo = lastRedoable(ledger);
    assert.equal(redo?.seq, 2);
    ledger = takeBack(ledger, redo?.seq ?? 0);
    assert.equal(ledger.text, "the tide");
    assert.equal(lastRedoable(ledger), undefined);
    assert.equal(lastUndoable(ledger)?.seq, 1);
  });

  test("a decision that does not follow the last one is refused", () => {
    const ledger = openLedger("tide");
    const decision = enter(ledger, { act: "edit", scope: "here", marks: [], edits: [] }, AT);
    assert.throws(() => append(ledger, { ...decision, seq: 3 }), RangeError);
    assert.throws(() => replay("tide", [{ ...decision, seq: 2 }]), RangeError);
  });
});

describe("settled places", () => {
  const anchor = { rule: "spelling/unknown-word", text: "Sow", from: 4, to: 7 };

  function settle(ledger: Ledger): SettledPlaces {
    const settled = new SettledPlaces();
    for (const decision of ledger.decisions) settled.add(decision);
    return settled;
  }

  test("move with the text and end when their decision is undone", () => {
    let ledger = openLedger("the Sow and the seals");
    ledger = decide(ledger, "stet", [], { marks: [anchor] });
    ledger = decide(ledger, "edit", replaceAll(0, 3, "upon the"));
    assert.deepEqual(
      settle(ledger)
        .places()
        .map(({ from, to }) => [from, to]),
      [[9, 12]],
    );
    ledger = takeBack(ledger, 1);
    assert.deepEqual(settle(ledger).places(), []);
  });

  test("are gone while their text is replaced and come back with it", () => {
    let ledger = openLedger("the Sow and the seals");
    ledger = decide(ledger, "stet", [], { marks: [anchor] });
    ledger = decide(ledger, "edit", replaceAll(0, 11, "a"));
    assert.deepEqual(settle(ledger).places(), []);
    ledger = decide(ledger, "edit", replaceAll(0, 0, "And "));
    ledger = takeBack(ledger, 2);
    assert.equal(ledger.text, "And the Sow and the seals");
    assert.deepEqual(
      settle(ledger)
        .places()
        .map(({ from, to }) => [from, to]),
      [[8, 11]],
    );
  });

  test("of scope everywhere stand for every equal mark until undone", () => {
    let ledger = openLedger("the Sow and the Sow");
    ledger = decide(ledger, "stet", [], { marks: [anchor], scope: "everywhere" });
    assert.equal(settle(ledger).standsEverywhere(anchor.rule, "Sow"), true);
    assert.equal(settle(ledger).standsEverywhere(anchor.rule, "sow"), false);
    ledger = takeBack(ledger, 1);
    assert.equal(settle(ledger).standsEverywhere(anchor.rule, "Sow"), false);
    ledger = takeBack(ledger, 2);
    assert.equal(settle(ledger).standsEverywhere(anchor.rule, "Sow"), true);
  });
});
