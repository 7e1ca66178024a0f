import localforage from "localforage";

/**
 * The databases in the browser. Each document's ledger has one of its own, so that a decision is a
 * small write, no document waits for another, and deleting one leaves nothing.
 */
function open(name: string): LocalForage {
  return localforage.createInstance({
    name,
    storeName: "entries",
    driver: localforage.INDEXEDDB,
  });
}

export const shelfDatabase = open("dry-run shelf");
export const originalsDatabase = open("dry-run originals");
export const houseDatabase = open("dry-run house");
export const setsDatabase = open("dry-run sets");
export const outsideDatabase = open("dry-run outside");
export const sourcesDatabase = open("dry-run sources");

const ledgers = new Map<string, LocalForage>();

/** The ledger database of one document. */
export function ledgerDatabase(document: string): LocalForage {
  const known = ledgers.get(document);
  if (known) return known;
  const opened = open(ledgerName(document));
  ledgers.set(document, opened);
  return opened;
}

/** Removes a document's ledger database, file and all. */
export async function dropLedgerDatabase(document: string): Promise<void> {
  ledgers.delete(document);
  await localforage.dropInstance({ name: ledgerName(document) });
}

function ledgerName(document: string): string {
  return `dry-run ledger ${document}`;
}
