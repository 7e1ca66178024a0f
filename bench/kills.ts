import { spawnSync } from "node:child_process";
import path from "node:path";

/** A tab killed at a random moment during decisions, twenty times: the browser test with that count. */
export function benchKills(): void {
  const root = path.resolve(import.meta.dirname, "..");
  console.log("\na tab killed 20 times while deciding");
  const run = spawnSync(process.execPath, ["scripts/browser-tests.mjs", "keeping.test.ts"], {
    cwd: root,
    env: { ...process.env, KILLS: "20", TEST_TIMEOUT: "600000" },
    encoding: "utf8",
  });
  console.log(
    run.stdout
      .split("\n")
      .filter((line) => /killed|✖/.test(line))
      .join("\n"),
  );
}
