import type { APIRoute } from "astro";
import { indexAnswerSchema } from "../../../core/citations/outside/asking.ts";
import { answer, askedIn } from "../../../server/asked.ts";
import { findWorks } from "../../../server/works.ts";

export const prerender = false;

/** What the index has for each of the works asked for: by title, first author and year alone. */
export const POST: APIRoute = async ({ request }) => {
  const asked = await askedIn(request);
  if (asked instanceof Response) return asked;
  return answer(200, indexAnswerSchema.parse({ works: await findWorks(asked) }));
};
