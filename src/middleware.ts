import { defineMiddleware } from "astro:middleware";
import { randomBytes } from "node:crypto";

/**
 * Security headers. Astro's policy lists the hashes of its own scripts; the nonce added here is for
 * the style elements that the editor and the dialogs make while they run.
 */
export const onRequest = defineMiddleware(async (context, next) => {
  const nonce = randomBytes(16).toString("base64");
  context.locals.nonce = nonce;
  const response = await next();
  const policy = response.headers.get("content-security-policy");
  if (policy) {
    const withNonce = policy.replace(
      /style-src ([^;]*);/,
      (_all, sources: string) => `style-src ${sources.trim()} 'nonce-${nonce}';`,
    );
    response.headers.set("content-security-policy", withNonce);
  }
  response.headers.set("x-content-type-options", "nosniff");
  response.headers.set("referrer-policy", "no-referrer");
  response.headers.set("cross-origin-opener-policy", "same-origin");
  return response;
});
