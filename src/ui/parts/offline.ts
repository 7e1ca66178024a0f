/**
 * Has the pages kept for when the server has stopped, once this page is through with its own loading:
 * keeping them fetches everything a page may need.
 */
export function keepPagesOffline(): void {
  if (!("serviceWorker" in navigator) || import.meta.env.DEV) return;
  const register = () => {
    // Without it everything works while the server runs.
    navigator.serviceWorker.register("/offline.js").catch(() => undefined);
  };
  setTimeout(register, SETTLED_MS);
}

/** Milliseconds after which a page has loaded what it needs itself. */
const SETTLED_MS = 5000;
