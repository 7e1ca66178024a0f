/**
 * Who may write to a document when it is open in more than one tab: the first that asks, until it
 * is closed. Uses Web Locks; where the browser has none, every tab is taken to be alone.
 */
export interface Hold {
  /** True at once when nobody else holds the document. */
  first: boolean;
  /** Resolves when this tab holds it. */
  granted: Promise<void>;
  release(): void;
}

function lockOf(id: string): string {
  return `dry-run document ${id}`;
}

/** Whether some tab holds the document now. */
export async function isHeld(id: string): Promise<boolean> {
  const { held = [] } = (await navigator.locks?.query()) ?? {};
  return held.some(({ name }) => name === lockOf(id));
}

/** Asks for the document; the hold ends with the page or with `release`. */
export async function holdDocument(id: string): Promise<Hold> {
  const name = lockOf(id);
  if (!navigator.locks) return { first: true, granted: Promise.resolve(), release: () => {} };
  let release: () => void = () => {};
  const released = new Promise<void>((resolve) => {
    release = resolve;
  });
  const first = await new Promise<boolean>((resolve) => {
    void navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? released : undefined;
    });
  });
  if (first) return { first, granted: Promise.resolve(), release };
  const granted = new Promise<void>((resolve) => {
    void navigator.locks.request(name, () => {
      resolve();
      return released;
    });
  });
  // A page that is reloaded lets go a moment after its successor asks.
  const soon = await Promise.race([granted.then(() => true), pause(RELOAD_MS).then(() => false)]);
  return { first: soon, granted, release };
}

/** Milliseconds within which a page that was reloaded or left has let go. */
const RELOAD_MS = 700;

function pause(milliseconds: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}
