import type { APIRoute } from "astro";
import { z } from "zod";
import { answer, problem } from "../../../server/asked.ts";
import { listSources } from "../../../server/collection.ts";

export const prerender = false;

const askedSchema = z.object({
  search: z.string().max(200).default(""),
  from: z.coerce.number().int().nonnegative().max(1_000_000).default(0),
});

/** The sources of the collection that ships, some at a time. */
export const GET: APIRoute = async ({ url }) => {
  const asked = askedSchema.safeParse(Object.fromEntries(url.searchParams));
  if (!asked.success) return problem(400, "This is no search.");
  return answer(200, await listSources(asked.data.search, asked.data.from));
};
