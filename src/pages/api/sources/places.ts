import type { APIRoute } from "astro";
import { readAsked } from "../../../core/originality/asking.ts";
import { bytesOf, problem } from "../../../server/asked.ts";
import { placesWith } from "../../../server/collection.ts";

export const prerender = false;

/** The places of all fingerprints of the collection that begin with the bits sent. */
export const POST: APIRoute = async ({ request }) => {
  const bytes = await bytesOf(request);
  if (bytes instanceof Response) return bytes;
  const asked = readAsked(bytes);
  if (!asked) return problem(400, "This is no question about sources.");
  return new Response(new Uint8Array(await placesWith(asked)), {
    headers: { "content-type": "application/octet-stream", "cache-control": "no-store" },
  });
};
