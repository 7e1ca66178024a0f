import type { APIRoute } from "astro";
import { askedPassagesSchema } from "../../../core/originality/asking.ts";
import { answer, bytesOf, parsed, problem } from "../../../server/asked.ts";
import { passagesAt } from "../../../server/collection.ts";

export const prerender = false;

/** What stands in stretches of sources. */
export const POST: APIRoute = async ({ request }) => {
  const bytes = await bytesOf(request);
  if (bytes instanceof Response) return bytes;
  const asked = askedPassagesSchema.safeParse(parsed(new TextDecoder().decode(bytes)));
  if (!asked.success) return problem(400, "This is no question about passages.");
  return answer(200, await passagesAt(asked.data.stretches));
};
