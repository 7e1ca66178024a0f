import { type AskedWork, askedWorksSchema } from "../core/citations/outside/asking.ts";

/** Bytes of the longest question that is read. */
const LONGEST = 400_000;

/** The works asked for in a request, or the answer that says what is wrong with it (RFC 9457). */
export async function askedIn(request: Request): Promise<readonly AskedWork[] | Response> {
  const length = Number(request.headers.get("content-length") ?? 0);
  if (length > LONGEST) return problem(413, "This is more than can be asked for at once.");
  const text = await request.text();
  if (text.length > LONGEST) return problem(413, "This is more than can be asked for at once.");
  const asked = askedWorksSchema.safeParse(parsed(text));
  return asked.success ? asked.data.works : problem(400, "This is no question about works.");
}

/** Bytes of the longest question about sources: the fingerprints of a book of a million words. */
const LONGEST_BYTES = 2_000_000;

/** The body of a request, or the answer that says it is too long. */
export async function bytesOf(request: Request): Promise<Uint8Array | Response> {
  const length = Number(request.headers.get("content-length") ?? 0);
  if (length > LONGEST_BYTES) return problem(413, "This is more than can be asked for at once.");
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.length > LONGEST_BYTES)
    return problem(413, "This is more than can be asked for at once.");
  return bytes;
}

/** An answer that nobody keeps. */
export function answer(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { "content-type": "application/json; charset=utf-8", "cache-control": "no-store" },
  });
}

/** An answer that says what is wrong (RFC 9457). */
export function problem(status: number, detail: string): Response {
  return new Response(JSON.stringify({ status, title: "The question can’t be answered", detail }), {
    status,
    headers: { "content-type": "application/problem+json", "cache-control": "no-store" },
  });
}

/** What a body of JSON says; undefined where it is none. */
export function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
