import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { Checking } from "../../src/ui/desk/checking.ts";
import { DeskDocument } from "../../src/ui/desk/desk-document.ts";
import { type Connection, connectProofreader, WorkerGone } from "../../src/worker/connect.ts";
import type { Update } from "../../src/worker/proofreader.ts";
import { loadLanguage } from "../support/language.ts";

const settings: CheckSettings = { variety: "en-GB", kind: "general", appetites: {}, words: [] };
const TEXT = "It was recieved at noon.\nThey was late, untill dark.";

/** A worker in this thread that can be held back, told to fail, and made to lose an edit. */
class StandIn {
  engine: Engine | null = null;
  revision = 0;
  read = true;
  fails = 0;
  loses = false;
  /** Whole checks that can't be had the data of the later passes. */
  lacking = 0;
  checks = 0;
  private held: (() => void)[] | null = null;

  hold(): void {
    this.held = [];
  }

  letGo(): void {
    const waiting = this.held ?? [];
    this.held = null;
    for (const go of waiting) go();
  }

  async check(
    document: string,
    edits: readonly Edit[],
    revision: number,
    _settings: CheckSettings,
    _report: unknown,
    deliver: (update: Update) => void,
  ): Promise<Update | "unread"> {
    this.checks++;
    await this.gate();
    if (!this.read) return "unread";
    const desk = new DeskDocument(linesManuscript(TEXT), []);
    desk.type(edits);
    this.engine = new Engine({ ...desk.current(), document }, loadLanguage(), settings);
    for (const _ of this.engine.examineAll());
    this.revision = revision;
    deliver(this.update());
    const unread = this.lacking > 0 ? (["grammar", "wording"] as const) : [];
    this.lacking--;
    return { ...this.update(), unread };
  }

  async edit(edits: readonly Edit[], revision: number): Promise<Update | "missed" | null> {
    if (this.loses) {
      this.loses = false;
      return null;
    }
    if (revision !== this.revision + 1) return "missed";
    this.revision = revision;
    const update = this.update(this.engine?.edit(edits));
    await this.gate();
    return update;
  }

  async stop(): Promise<void> {}

  private update(report = this.engine?.wholeReport()): Update {
    if (!report) throw new Error("nothing was checked");
    return { ...report, revision: this.revision, unread: [] };
  }

  private async gate(): Promise<void> {
    if (this.held) await new Promise<void>((resolve) => this.held?.push(resolve));
    if (this.fails > 0) {
      this.fails--;
      throw new WorkerGone(false);
    }
  }
}

function open() {
  const worker = new StandIn();
  const copy = new DeskDocument(linesManuscript(TEXT), [], "log");
  const said: string[] = [];
  const checking = new Checking(
    worker as unknown as ConstructorParameters<typeof Checking>[0],
    {
      copy: () => copy,
      settings: () => settings,
      file: () => ({ bytes: new Uint8Array(), name: "a.txt" }),
      began: () => said.push("began"),
      progressed: () => undefined,
      delivered: (_, whole) => said.push(whole ? "whole" : "first"),
      changed: () => said.push("changed"),
      amiss: (sentence) => said.push(sentence),
    },
    30,
  );
  const marked = () => copy.openMarks().map(({ from, to }) => copy.text.slice(from, to));
  const type = (from: number, insert: string) => {
    const edits = [{ from, to: from, insert }];
    copy.type(edits);
    return checking.edit(edits);
  };
  /** What a fresh engine marks in the text as it is. */
  const fresh = () => {
    const engine = new Engine(copy.current(), loadLanguage(), settings);
    for (const _ of engine.examineAll());
    return engine.allMarks().map(({ text }) => text);
  };
  return { worker, copy, said, checking, marked, type, fresh };
}

/** Faults that a test makes on purpose are logged; the test's output need not show them. */
async function quietly(work: () => Promise<void>): Promise<void> {
  const { error } = console;
  console.error = () => undefined;
  try {
    await work();
  } finally {
    console.error = error;
  }
}

describe("the conversation with the worker", () => {
  test("loses no mark when the next letters are typed before an answer comes", async () => {
    const { worker, checking, marked, type, fresh } = open();
    await checking.whole();
    worker.hold();
    const answers = [..."teh "].map((letter, index) => type(index, letter));
    await Promise.resolve();
    worker.letGo();
    await Promise.all(answers);
    assert.deepEqual(marked(), fresh());
    assert.ok(marked().includes("teh"));
  });

  test("reads passes whose data could not be had once more, by itself, until they can", async () => {
    const { worker, checking, said } = open();
    worker.lacking = 2;
    await checking.whole();
    assert.equal(worker.checks, 1);
    await new Promise((resolve) => setTimeout(resolve, 400));
    assert.equal(worker.checks, 3);
    assert.equal(said.filter((what) => what === "whole").length, 3);
    checking.stop();
  });

  test("checks all anew when an edit never came to the worker", async () => {
    const { worker, checking, said, marked, type, fresh } = open();
    await checking.whole();
    worker.loses = true;
    await type(0, "x");
    await type(0, "teh ");
    assert.equal(worker.checks, 2);
    assert.ok(said.filter((one) => one === "whole").length === 2);
    assert.deepEqual(marked(), fresh());
  });

  test("starts anew when the worker stops, and says so; gives up after three times", async () => {
    await quietly(async () => {
      const { worker, checking, said, marked, fresh } = open();
      worker.fails = 1;
      await checking.whole();
      assert.ok(said.some((one) => /started anew/.test(one)));
      assert.deepEqual(marked(), fresh());
      worker.fails = 9;
      await checking.whole();
      assert.match(said.at(-1) ?? "", /stopped three times/);
      worker.fails = 0;
      await checking.whole();
      assert.equal(said.at(-1), "whole");
    });
  });

  test("takes no answer of a check that another has replaced", async () => {
    const { worker, checking, said } = open();
    worker.hold();
    const first = checking.whole();
    const second = checking.whole();
    worker.letGo();
    await Promise.all([first, second]);
    assert.deepEqual(said, ["began", "began", "first", "whole"]);
  });
});

describe("the link to the worker", () => {
  function connections(answer: (name: string) => Promise<unknown>) {
    const ended: number[] = [];
    const failures: (() => void)[] = [];
    let started = 0;
    const start = (): Connection => {
      const number = ++started;
      const remote = new Proxy({}, { get: (_, name) => () => answer(String(name)) });
      return {
        remote: remote as Connection["remote"],
        onError: (failed) => failures.push(failed),
        end: () => ended.push(number),
      };
    };
    return { link: connectProofreader(start), ended, failures, started: () => started };
  }

  test("rejects what a failed worker owes, and starts another at the next call", async () => {
    let answers = false;
    const { link, ended, failures, started } = connections(() =>
      answers ? Promise.resolve("answer") : new Promise(() => undefined),
    );
    const owed = link.stop();
    failures[0]?.();
    await assert.rejects(owed, WorkerGone);
    assert.deepEqual(ended, [1]);
    answers = true;
    assert.equal(await link.alive(), "answer");
    assert.equal(started(), 2);
  });

  test("takes a worker that gives no sign of life for hung", async (context) => {
    context.mock.timers.enable({ apis: ["setTimeout"] });
    let now = 0;
    context.mock.method(performance, "now", () => now);
    const { link, ended } = connections(() => new Promise(() => undefined));
    const owed = link.wordsNear("teh", { variety: "en-GB" }, 3);
    const rejected = assert.rejects(owed, (error: unknown) => (error as WorkerGone).hung);
    for (let second = 0; second < 20; second++) {
      now += 1000;
      context.mock.timers.tick(1000);
    }
    await rejected;
    assert.deepEqual(ended, [1]);
  });
});
