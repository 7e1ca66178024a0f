import stockUrl from "../../data/stock-phrases.txt?url";
import { answeredPassagesSchema } from "../core/originality/asking.ts";
import type { ShippedCollection } from "./comparing.ts";

/** Milliseconds after which the collection is taken to be out of reach. */
const PATIENCE_MS = 60_000;

async function answered(address: string, type: string, body: BodyInit): Promise<Response> {
  const response = await fetch(address, {
    method: "POST",
    headers: { "content-type": type },
    body,
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  if (!response.ok) throw new Error(`the collection could not answer (${response.status})`);
  return response;
}

/** The collection that ships, behind the server's endpoints. */
export const SHIPPED: ShippedCollection = {
  async places(question) {
    const body = new Uint8Array(question);
    const response = await answered("/api/sources/places", "application/octet-stream", body);
    return new Uint8Array(await response.arrayBuffer());
  },
  async passages(stretches) {
    const body = JSON.stringify({ stretches });
    const response = await answered("/api/sources/passages", "application/json", body);
    return answeredPassagesSchema.parse(await response.json());
  },
  async stockPhrases() {
    const response = await fetch(stockUrl);
    if (!response.ok) throw new Error(`the phrases could not be loaded (${response.status})`);
    return response.text();
  },
};
