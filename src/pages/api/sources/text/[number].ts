import type { APIRoute } from "astro";
import { z } from "zod";
import { answer, problem } from "../../../../server/asked.ts";
import { openText } from "../../../../server/collection.ts";

export const prerender = false;

/** The whole text of an open source. */
export const GET: APIRoute = async ({ params }) => {
  const number = z.coerce.number().int().nonnegative().safeParse(params["number"]);
  const found = number.success ? await openText(number.data) : null;
  return found ? answer(200, found) : problem(404, "There is no source of this number to be read.");
};
