import assert from "node:assert/strict";
import { beforeEach, describe, test } from "node:test";
import { holdDocument, isHeld } from "../../src/store/hold.ts";

type Granted = (lock: { name: string } | null) => unknown;

/** Locks as the Web Locks API grants them: one holder a name, the others in the order they asked. */
class Locks {
  private readonly held = new Map<string, Promise<unknown>>();

  async request(name: string, options: { ifAvailable?: boolean } | Granted, granted?: Granted) {
    const run = typeof options === "function" ? options : (granted as Granted);
    const before = this.held.get(name);
    if (before && typeof options !== "function" && options.ifAvailable) return run(null);
    const mine = (before ?? Promise.resolve()).then(() => run({ name }));
    this.held.set(name, mine);
    await mine;
    if (this.held.get(name) === mine) this.held.delete(name);
    return undefined;
  }

  async query() {
    return { held: [...this.held.keys()].map((name) => ({ name })) };
  }
}

function withLocks(locks: Locks | undefined): void {
  Object.defineProperty(globalThis, "navigator", { value: { locks }, configurable: true });
}

const soon = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

describe("the hold on a document", () => {
  beforeEach(() => withLocks(new Locks()));

  test("is had at once by the first, and by nobody else until it lets go", async () => {
    const first = await holdDocument("a");
    assert.equal(first.first, true);
    assert.equal(await isHeld("a"), true);
    assert.equal(await isHeld("b"), false);
    const second = await holdDocument("a");
    assert.equal(second.first, false);
    let granted = false;
    void second.granted.then(() => {
      granted = true;
    });
    await soon(5);
    assert.equal(granted, false);
    first.release();
    await second.granted;
    assert.equal(await isHeld("a"), true);
    second.release();
    await soon(5);
    assert.equal(await isHeld("a"), false);
  });

  test("of a page that is reloaded passes to its successor as if nobody had it", async () => {
    const leaving = await holdDocument("a");
    setTimeout(() => leaving.release(), 30);
    const successor = await holdDocument("a");
    assert.equal(successor.first, true);
  });

  test("is one for each document", async () => {
    assert.equal((await holdDocument("a")).first, true);
    assert.equal((await holdDocument("b")).first, true);
  });

  test("is everybody's where the browser has no locks", async () => {
    withLocks(undefined);
    assert.equal((await holdDocument("a")).first, true);
    assert.equal((await holdDocument("a")).first, true);
    assert.equal(await isHeld("a"), false);
  });
});
