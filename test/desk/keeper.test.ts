import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Decision } from "../../src/core/ledger/decision.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { NotKept } from "../../src/store/failure.ts";
import { StorageCleared } from "../../src/store/ledger.ts";
import type { Typed } from "../../src/store/typing.ts";
import { DeskDocument } from "../../src/ui/desk/desk-document.ts";
import { Keeper, type KeeperStore } from "../../src/ui/desk/keeper.ts";
import type { Kept } from "../../src/ui/desk/state.ts";
import { seeded } from "../support/random.ts";

const TEXT = "The tide turned at noon.\nThey all went home.";

/** A store in memory that can be held back, made to refuse, and killed at any write. */
class Disk implements KeeperStore {
  readonly decisions = new Map<number, Decision>();
  readonly typed = new Map<number, Typed>();
  refuses: Error | null = null;
  dead = false;
  private held: (() => void)[] | null = null;

  hold(): void {
    this.held = [];
  }

  letGo(): void {
    const waiting = this.held ?? [];
    this.held = null;
    for (const go of waiting) go();
  }

  async writeDecision(decision: Decision): Promise<void> {
    await this.gate();
    if (decision.seq > 1 && !this.decisions.has(decision.seq - 1)) throw new StorageCleared();
    this.decisions.set(decision.seq, decision);
  }

  async writeTyped(typed: Typed): Promise<void> {
    await this.gate();
    this.typed.set(typed.after, structuredClone(typed));
  }

  async forgetTyped(after: number): Promise<void> {
    if (!this.dead) this.typed.delete(after);
  }

  async restore(decisions: readonly Decision[]): Promise<void> {
    for (const decision of decisions) this.decisions.set(decision.seq, decision);
  }

  /** The text that the next start finds: decisions in order, then what was typed after the last. */
  reopened(): string {
    const decisions: Decision[] = [];
    for (let seq = 1; this.decisions.has(seq); seq++) {
      const decision = this.decisions.get(seq);
      if (decision) decisions.push(decision);
    }
    const desk = new DeskDocument(linesManuscript(TEXT), decisions);
    const note = this.typed.get(decisions.length);
    if (note && note.at === (decisions.at(-1)?.at ?? "")) desk.type(note.typed);
    return desk.text;
  }

  private async gate(): Promise<void> {
    if (this.held) await new Promise<void>((resolve) => this.held?.push(resolve));
    if (this.dead) await new Promise(() => undefined);
    if (this.refuses) throw this.refuses;
  }
}

function open() {
  const disk = new Disk();
  const said: Kept[] = [];
  const faults: unknown[] = [];
  const keeper = new Keeper(disk, {
    kept: (kept) => said.push(kept),
    fault: (error) => faults.push(error),
  });
  const copy = new DeskDocument(linesManuscript(TEXT), []);
  const type = (at: number, insert: string) => {
    copy.type([{ from: at, to: at, insert }]);
    return keeper.noteTyping(copy);
  };
  const correct = (from: number, to: number, insert: string) =>
    keeper.enqueue(() =>
      keeper.decide(copy, {
        act: "correct",
        scope: "here",
        marks: [],
        edits: [{ from, to, insert }],
      }),
    );
  return { disk, said, faults, keeper, copy, type, correct };
}

describe("the keeper", () => {
  test("goes on after a step that failed, and says that it did", async () => {
    const { keeper, faults, correct, copy, disk } = open();
    await keeper.enqueue(async () => {
      throw new TypeError("a check that throws");
    });
    assert.equal(faults.length, 1);
    await correct(0, 3, "A");
    assert.match(copy.text, /^A tide/);
    assert.equal(disk.decisions.size, 1);
  });

  test("goes on after the store refused, and nothing of the refused step is made", async () => {
    const { disk, said, correct, copy } = open();
    disk.refuses = new NotKept("full");
    await correct(0, 3, "A");
    assert.equal(copy.text, TEXT);
    assert.deepEqual(said.at(-1), { state: "failed", sentence: "full" });
    disk.refuses = null;
    await correct(0, 3, "A");
    assert.match(copy.text, /^A tide/);
    assert.equal(said.at(-1)?.state, "kept");
  });

  test("writes what is typed before it is a decision, so that the next start has it", async () => {
    const { disk, type } = open();
    await type(4, "n");
    await type(5, "e");
    await type(6, "w ");
    assert.equal(disk.decisions.size, 0);
    assert.match(disk.reopened(), /^The new tide/);
  });

  test("says that typing is not kept when the store refuses, and keeps it when it no longer does", async () => {
    const { disk, said, keeper, copy, type } = open();
    disk.refuses = new NotKept("full");
    await type(4, "new ");
    assert.equal(said.at(-1)?.state, "failed");
    await keeper.enqueue(() => keeper.keepTyping(copy));
    assert.ok(copy.hasTyped, "it stays on screen");
    disk.refuses = null;
    await keeper.enqueue(() => keeper.keepTyping(copy));
    assert.equal(said.at(-1)?.state, "kept");
    assert.match(disk.reopened(), /^The new tide/);
    keeper.stop();
  });

  test("writes everything anew when the storage was cleared beneath it", async () => {
    const { disk, correct } = open();
    await correct(0, 3, "A");
    disk.decisions.clear();
    await correct(2, 6, "ebb");
    assert.deepEqual([...disk.decisions.keys()].sort(), [1, 2]);
    assert.match(disk.reopened(), /^A ebb turned/);
  });

  test("holds one decision at a time, in the order they were asked for", async () => {
    const { disk, copy, correct } = open();
    disk.hold();
    const first = correct(0, 3, "A");
    const second = correct(0, 1, "One");
    assert.equal(copy.text, TEXT, "nothing is shown before it is on disk");
    disk.letGo();
    await Promise.all([first, second]);
    assert.match(copy.text, /^One tide/);
  });

  test("loses nothing that was noted, wherever it is killed, 500 times", async () => {
    const random = seeded(13);
    for (let run = 0; run < 500; run++) {
      const { disk, copy, keeper, type, correct } = open();
      let safe = TEXT;
      const steps = 3 + Math.floor(random() * 12);
      const dies = Math.floor(random() * steps);
      for (let step = 0; step < steps; step++) {
        if (step === dies) {
          // What is asked for now is on its way when the end comes.
          disk.hold();
        }
        const at = Math.floor(random() * 20);
        const kind = random();
        const work =
          kind < 0.6
            ? type(at, "abc"[Math.floor(random() * 3)] ?? "a")
            : kind < 0.8
              ? keeper.enqueue(() => keeper.keepTyping(copy))
              : correct(at, at + 1, "X");
        if (step < dies) {
          await work;
          safe = copy.text;
        }
      }
      disk.dead = true;
      disk.letGo();
      await Promise.resolve();
      const found = disk.reopened();
      assert.equal(found, safe, `run ${run}`);
      keeper.stop();
    }
  });

  test("has what was typed while a decision was being written, whether that reached the disk or not", async () => {
    for (const reached of [true, false]) {
      const { disk, copy, type, correct } = open();
      disk.hold();
      const decided = correct(13, 15, "XY");
      await Promise.resolve();
      copy.type([{ from: 0, to: 0, insert: "Once " }]);
      const notes = copy.typedNotes();
      assert.equal(notes.length, 2);
      for (const note of notes) disk.typed.set(note.after, note);
      if (!reached) {
        assert.equal(disk.reopened(), `Once ${TEXT}`);
        continue;
      }
      disk.letGo();
      await decided;
      await type(5, "more ");
      assert.equal(disk.reopened(), copy.text);
      assert.match(copy.text, /^Once more The tide turnXY at/);
    }
  });
});
