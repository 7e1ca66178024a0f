// The server: Astro's handler, with compressed static files and a policy on worker scripts, neither
// of which its standalone mode gives.
import { createReadStream, existsSync } from "node:fs";
import { createServer } from "node:http";
import path from "node:path";
import { pipeline } from "node:stream";

process.env.ASTRO_NODE_AUTOSTART = "disabled";
const root = import.meta.dirname;
process.env.DRY_RUN_DATA ??= path.join(root, "data");
const { handler } = await import(path.join(root, "dist/server/entry.mjs"));

const client = path.join(root, "dist/client");
const types = {
  ".js": "text/javascript; charset=utf-8",
  ".css": "text/css; charset=utf-8",
  ".svg": "image/svg+xml",
  ".bin": "application/octet-stream",
  ".txt": "text/plain; charset=utf-8",
};
/** A worker obeys the policy its own script came with. */
const workerPolicy = "default-src 'none'; script-src 'self'; connect-src 'self'";

const server = createServer((request, response) => {
  response.setHeader("x-content-type-options", "nosniff");
  const pathname = (request.url ?? "/").split("?")[0] ?? "/";
  if (pathname.startsWith("/_astro/")) {
    response.setHeader("cross-origin-resource-policy", "same-origin");
    if (pathname.endsWith(".js")) response.setHeader("content-security-policy", workerPolicy);
    if (sendCompressed(pathname, request, response)) return;
  }
  handler(request, response);
});

/** Sends the file's .gz twin, made by the build, to a client that takes it. */
function sendCompressed(pathname, request, response) {
  const type = types[path.extname(pathname)];
  const twin = path.join(client, "_astro", `${path.basename(pathname)}.gz`);
  const takes = /\bgzip\b/.test(request.headers["accept-encoding"] ?? "");
  if (!type || !takes || request.method !== "GET" || !existsSync(twin)) return false;
  response.writeHead(200, {
    "content-type": type,
    "content-encoding": "gzip",
    vary: "accept-encoding",
    "cache-control": "public, max-age=31536000, immutable",
  });
  // A download that is broken off closes its file, which piping alone would leave open.
  pipeline(createReadStream(twin), response, () => undefined);
  return true;
}

const port = Number(process.env.PORT ?? 4321);
const host = process.env.HOST ?? "127.0.0.1";
server.on("error", (error) => {
  console.error(
    error.code === "EADDRINUSE"
      ? `Port ${port} is in use. Stop what uses it, or choose another: PORT=4322 npm run demo`
      : error.message,
  );
  process.exitCode = 1;
});
server.listen(port, host, () => console.log(`Dry Run is at http://${host}:${port}/`));
