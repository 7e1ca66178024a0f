// Starts the built application and runs the browser tests against it.
import { spawn, spawnSync } from "node:child_process";
import { readdirSync } from "node:fs";
import path from "node:path";

const root = path.resolve(import.meta.dirname, "..");
const port = Number(process.env.TEST_PORT ?? 4377);
const wanted = process.argv.slice(2);
const folder = path.join(root, "test/browser");
const files =
  wanted.length > 0 ? wanted : readdirSync(folder).filter((name) => name.endsWith(".test.ts"));

const server = spawn(process.execPath, ["server.mjs"], {
  cwd: root,
  env: { ...process.env, PORT: String(port) },
  stdio: ["ignore", "pipe", "inherit"],
});
await new Promise((resolve, reject) => {
  server.stdout.on("data", (data) => String(data).includes("http://") && resolve(undefined));
  server.on("exit", (code) => reject(new Error(`the server stopped (${code})`)));
});
try {
  const run = spawnSync(
    process.execPath,
    [
      "--import",
      "tsx",
      "--test",
      "--test-reporter=spec",
      "--test-concurrency=1",
      `--test-timeout=${process.env.TEST_TIMEOUT ?? 240_000}`,
      ...files.map((name) => path.join("test/browser", path.basename(name))),
    ],
    { cwd: root, stdio: "inherit", env: { ...process.env, TEST_URL: `http://127.0.0.1:${port}` } },
  );
  process.exitCode = run.status ?? 1;
} finally {
  server.removeAllListeners("exit");
  server.kill();
}
