import type { APIRoute } from "astro";
import {
  askedWordSchema,
  WORDNET_VERSION,
  wordEntrySchema,
} from "../../../../core/language/meanings/word-net.ts";
import { findEntry } from "../../../../server/word-net.ts";

export const prerender = false;

/**
 * The entry of a word as JSON. Its address carries the version of the data, so that an answer may be
 * kept for ever; an address of another version is not found.
 */
export const GET: APIRoute = async ({ params }) => {
  const asked = askedWordSchema.safeParse(params["word"]);
  if (!asked.success) return answer(400, { sentence: "This is no word that can be looked up." });
  if (params["version"] !== WORDNET_VERSION) {
    return answer(404, { sentence: "The meanings have changed; load the page again." });
  }
  // A word without an entry has no senses: to ask for one is no error.
  const entry = (await findEntry(asked.data)) ?? { word: asked.data.toLowerCase(), senses: [] };
  return answer(200, wordEntrySchema.parse(entry), KEPT_FOR_EVER);
};

const KEPT_FOR_EVER = "public, max-age=31536000, immutable";

function answer(status: number, body: unknown, kept = "no-store"): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { "content-type": "application/json; charset=utf-8", "cache-control": kept },
  });
}
