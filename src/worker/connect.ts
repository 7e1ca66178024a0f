import { type Remote, wrap } from "comlink";
import type { Proofreader } from "./proofreader.ts";

/** A call that the worker will never answer: it stopped, or hung and was ended. */
export class WorkerGone extends Error {
  constructor(readonly hung: boolean) {
    super(hung ? "the worker did not answer any more" : "the worker stopped");
    this.name = "WorkerGone";
  }
}

/** A proofreader in a worker; its calls may reject with WorkerGone, and the next start a new worker. */
export type ProofreaderLink = Remote<Proofreader>;

/** What a connection is made of, so that it can be tried without a browser. */
export interface Connection {
  remote: Remote<Proofreader>;
  /** Calls when the worker fails by itself. */
  onError(failed: () => void): void;
  end(): void;
}

/** Milliseconds between two questions whether the worker is still there. */
const PULSE_MS = 2000;
/** Milliseconds without an answer after which a worker is taken for hung, by what it is asked to do. */
const PATIENCE_MS = 10_000;
const EDIT_PATIENCE_MS = 30_000;
const LONG_PATIENCE_MS = 90_000;
/** Reading a file is ended sooner: a file made to hang its reader is nobody's work. */
const READING_PATIENCE_MS = 30_000;
const PATIENCE: Partial<Record<keyof Proofreader, number>> = {
  read: READING_PATIENCE_MS,
  check: LONG_PATIENCE_MS,
  edit: EDIT_PATIENCE_MS,
  configure: EDIT_PATIENCE_MS,
  write: LONG_PATIENCE_MS,
};

type Calls = Record<string, (...args: unknown[]) => Promise<unknown>>;

/**
 * Starts a proofreader in a worker of its own and watches over it: while it owes an answer it is asked
 * for a sign of life, and one that gives none for too long, or fails, is ended. Its calls reject with
 * WorkerGone, and the next call starts another worker, which has read nothing yet.
 */
export function connectProofreader(start: () => Connection = startWorker): ProofreaderLink {
  let connection: Connection | null = null;
  const owed = new Set<{ reject: (error: Error) => void; patience: number }>();
  let pulse: ReturnType<typeof setTimeout> | undefined;
  let lastSign = 0;

  const end = (hung: boolean) => {
    clearTimeout(pulse);
    pulse = undefined;
    connection?.end();
    connection = null;
    for (const { reject } of owed) reject(new WorkerGone(hung));
    owed.clear();
  };
  const connect = (): Connection => {
    if (connection) return connection;
    const made = start();
    connection = made;
    made.onError(() => connection === made && end(false));
    return made;
  };
  const listen = () => {
    pulse = undefined;
    if (owed.size === 0 || !connection) return;
    const patience = Math.max(...[...owed].map((one) => one.patience));
    if (performance.now() - lastSign > patience) return end(true);
    const asked = connection;
    void asked.remote.alive().then(
      () => {
        if (connection === asked) lastSign = performance.now();
      },
      () => undefined,
    );
    pulse = setTimeout(listen, PULSE_MS);
  };
  const call = (name: string, args: unknown[]): Promise<unknown> => {
    const { remote } = connect();
    if (owed.size === 0) lastSign = performance.now();
    return new Promise((resolve, reject) => {
      const debt = { reject, patience: PATIENCE[name as keyof Proofreader] ?? PATIENCE_MS };
      owed.add(debt);
      pulse ??= setTimeout(listen, PULSE_MS);
      (remote as unknown as Calls)
        [name]?.(...args)
        .then(resolve, reject)
        .finally(() => {
          owed.delete(debt);
          lastSign = performance.now();
        });
    });
  };
  return new Proxy({} as ProofreaderLink, {
    get: (_, name) => {
      // A link is not a promise, though awaiting it asks.
      if (typeof name !== "string" || name === "then") return undefined;
      return (...args: unknown[]) => call(name, args);
    },
  });
}

function startWorker(): Connection {
  const worker = new Worker(new URL("./main.ts", import.meta.url), { type: "module" });
  return {
    remote: wrap<Proofreader>(worker),
    onError: (failed) => {
      worker.addEventListener("error", failed);
      worker.addEventListener("messageerror", failed);
    },
    end: () => worker.terminate(),
  };
}
