import type { APIRoute } from "astro";
import { registerAnswerSchema } from "../../../core/citations/outside/asking.ts";
import { answer, askedIn } from "../../../server/asked.ts";
import { findNotices } from "../../../server/works.ts";

export const prerender = false;

/** What the register says of each of the works asked for: by title, first author and year alone. */
export const POST: APIRoute = async ({ request }) => {
  const asked = await askedIn(request);
  if (asked instanceof Response) return asked;
  return answer(200, registerAnswerSchema.parse({ notices: await findNotices(asked) }));
};
