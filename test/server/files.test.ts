import assert from "node:assert/strict";
import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, writeFileSync } from "node:fs";
import { get } from "node:http";
import path from "node:path";
import { after, before, describe, test } from "node:test";
import { findEntry } from "../../src/server/word-net.ts";

const root = path.resolve(import.meta.dirname, "../..");
const PORT = 4391;
const SIZE = 40_000_000;

/** Files a process has open. */
const openFiles = (pid: number) => readdirSync(`/proc/${pid}/fd`).length;

describe("the server", { skip: !existsSync("/proc/self/fd") }, () => {
  const folder = path.join(root, "node_modules/.cache/server-test");
  let server: ChildProcess;

  before(async () => {
    // A stand-in for the built application: the server's own part is what is tried here.
    mkdirSync(path.join(folder, "dist/server"), { recursive: true });
    mkdirSync(path.join(folder, "dist/client/_astro"), { recursive: true });
    writeFileSync(
      path.join(folder, "dist/server/entry.mjs"),
      "export const handler = (_, response) => response.end('page');",
    );
    writeFileSync(path.join(folder, "dist/client/_astro/big.bin.gz"), new Uint8Array(SIZE));
    writeFileSync(path.join(folder, "server.mjs"), await copyOf("server.mjs"));
    server = spawn(process.execPath, ["server.mjs"], {
      cwd: folder,
      env: { ...process.env, PORT: String(PORT) },
      stdio: ["ignore", "pipe", "inherit"],
    });
    await new Promise((resolve) => server.stdout?.once("data", resolve));
  });

  after(() => {
    server.kill();
  });

  test("closes the file of a download that is broken off", async () => {
    const pid = server.pid ?? 0;
    const before = openFiles(pid);
    await Promise.all(Array.from({ length: 40 }, () => breakOff()));
    for (let wait = 0; wait < 40 && openFiles(pid) > before; wait++) {
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    assert.ok(openFiles(pid) <= before, `${openFiles(pid)} files open, ${before} before`);
    const page = await fetch(`http://127.0.0.1:${PORT}/`);
    assert.equal(await page.text(), "page");
  });
});

async function copyOf(name: string): Promise<string> {
  const { readFile } = await import("node:fs/promises");
  return readFile(path.join(root, name), "utf8");
}

/** Asks for the big file and hangs up at its first bytes. */
function breakOff(): Promise<void> {
  return new Promise((resolve, reject) => {
    const request = get(
      {
        port: PORT,
        path: "/_astro/big.bin",
        headers: { "accept-encoding": "gzip" },
        agent: false,
      },
      (response) => {
        response.once("data", () => {
          request.destroy();
          resolve();
        });
      },
    );
    request.on("error", (error) => (request.destroyed ? resolve() : reject(error)));
  });
}

test("300 look-ups at once are answered, each file of meanings unpacked once", async () => {
  const words = "tide water harbour stone keeper boat gale sand silt lamp".split(" ");
  const asked = Array.from({ length: 300 }, (_, index) => words[index % words.length] ?? "tide");
  const before = process.memoryUsage().rss;
  const entries = await Promise.all(asked.map(findEntry));
  assert.ok(entries.every((entry) => entry !== null && entry.senses.length > 0));
  const grown = (process.memoryUsage().rss - before) / 1e6;
  assert.ok(grown < 400, `${grown.toFixed(0)} MB more`);
});
