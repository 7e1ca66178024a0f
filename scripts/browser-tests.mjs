// Starts the built application and runs the browser tests against it.
import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
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
const scratch = mkdtempSync(path.join(tmpdir(), "dry-run-shelf-"));
const env = {
  ...process.env,
  TEST_URL: `http://127.0.0.1:${port}`,
  // What a browser keeps once the demo documents have been read: most tests begin there.
  TEST_SHELF: path.join(scratch, "shelf.json"),
};
const node = (...args) =>
  spawnSync(process.execPath, ["--import", "tsx", ...args], { cwd: root, stdio: "inherit", env })
    .status ?? 1;
try {
  process.exitCode =
    node("test/support/fill-shelf.ts") ||
    node(
      "--test",
      "--test-reporter=spec",
      "--test-concurrency=2",
      `--test-timeout=${process.env.TEST_TIMEOUT ?? 1_200_000}`,
      ...files.map((name) => path.join("test/browser", path.basename(name))),
    );
} finally {
  rmSync(scratch, { recursive: true });
  server.removeAllListeners("exit");
  server.kill();
}
