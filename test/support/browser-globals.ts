import "fake-indexeddb/auto";

/** What the desk asks of a browser, for tests without one: a database in memory, and frames. */
const globals = globalThis as unknown as Record<string, unknown>;
globals["self"] ??= globalThis;
globals["navigator"] ??= {};
globals["requestAnimationFrame"] ??= (draw: (time: number) => void) => setTimeout(draw, 1);
