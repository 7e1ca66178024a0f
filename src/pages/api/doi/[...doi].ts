import type { APIRoute } from "astro";
import { z } from "zod";
import { indexedWorkSchema } from "../../../core/citations/outside/asking.ts";
import { answer, problem } from "../../../server/asked.ts";
import { findDoi } from "../../../server/works.ts";

export const prerender = false;

/** The syntax of the DOI handbook (ISO 26324). */
const doiSchema = z
  .string()
  .max(200)
  .regex(/^10\.\d{4,9}(?:\.\d+)*\/\S+$/);

/** The work of a DOI, as the index has it. */
export const GET: APIRoute = async ({ params }) => {
  const asked = doiSchema.safeParse(params["doi"]);
  if (!asked.success) return problem(400, "This is no DOI.");
  const work = await findDoi(asked.data);
  return work
    ? answer(200, indexedWorkSchema.parse(work))
    : problem(404, "The index has no work with this DOI.");
};
