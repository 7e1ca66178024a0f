// A service worker that lets the pages load when the server has stopped: documents and decisions are
// in the browser anyway. What the server sends is taken first, and kept; what is named by its contents
// is taken from what was kept. Nothing of a document ever passes here.
const KEPT = "dry-run pages";
const PAGES = ["/", "/desk", "/house", "/ledger", "/report", "/guide"];

self.addEventListener("install", (event) => {
  event.waitUntil(keepPages().then(() => self.skipWaiting()));
});

self.addEventListener("activate", (event) => {
  event.waitUntil(self.clients.claim());
});

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const address = new URL(request.url);
  if (request.method !== "GET" || address.origin !== self.location.origin) return;
  if (address.pathname.startsWith("/_astro/")) event.respondWith(keptFirst(request));
  else if (request.mode === "navigate") event.respondWith(serverFirst(request, address.pathname));
});

/** The pages, and the scripts, styles and language data that the build lists. */
async function keepPages() {
  const kept = await caches.open(KEPT);
  const list = await fetch("/offline-files.json");
  const files = list.ok ? await list.json() : [];
  await Promise.all(
    [...PAGES, ...files].map(async (address) => {
      if (address.startsWith("/_astro/") && (await kept.match(address))) return;
      const response = await fetch(address).catch(() => null);
      if (response?.ok) await kept.put(address, response);
    }),
  );
  // What an earlier build named is of no use any more.
  const wanted = new Set(files);
  for (const { url } of await kept.keys()) {
    const { pathname } = new URL(url);
    if (pathname.startsWith("/_astro/") && files.length > 0 && !wanted.has(pathname)) {
      await kept.delete(url);
    }
  }
}

async function keptFirst(request) {
  const kept = await caches.open(KEPT);
  const known = await kept.match(request.url);
  if (known) return known;
  const response = await fetch(request);
  if (response.ok) await kept.put(request.url, response.clone());
  return response;
}

/** Pages are kept by their path: what comes after it is read in the page. */
async function serverFirst(request, path) {
  const kept = await caches.open(KEPT);
  try {
    const response = await fetch(request);
    if (response.ok) await kept.put(path, response.clone());
    return response;
  } catch (error) {
    const known = await kept.match(path);
    if (known) return known;
    throw error;
  }
}
