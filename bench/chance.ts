import { spawnSync } from "node:child_process";
import path from "node:path";

/**
 * Random keys and clicks in 200 sessions, and 500 rounds of kills, reloads, dead workers and refusals:
 * the browser tests of the same name with these counts, or with those of SESSIONS and ROUNDS.
 */
export function benchChance(): void {
  const root = path.resolve(import.meta.dirname, "..");
  const { SESSIONS = "200", ROUNDS = "500" } = process.env;
  console.log(`\n${SESSIONS} sessions of 300 random keys and clicks, ${ROUNDS} rounds of faults`);
  const run = spawnSync(process.execPath, ["scripts/browser-tests.mjs", "chance.test.ts"], {
    cwd: root,
    env: { ...process.env, SESSIONS, ROUNDS, TEST_TIMEOUT: "14400000" },
    encoding: "utf8",
  });
  console.log(
    run.stdout
      .split("\n")
      .filter((line) => /all undone|nothing lost|✖|seed|lost/.test(line))
      .join("\n"),
  );
}
