// Installs what is missing, then type check, lint, unit tests, build and browser tests.
import { spawnSync } from "node:child_process";
import path from "node:path";
import { installForTesting } from "./install.mjs";

const root = path.resolve(import.meta.dirname, "..");
const node = process.execPath;

installForTesting();
const steps = [
  ["Types", node, ["node_modules/astro/astro.js", "check"]],
  ["Lint and format", node, ["node_modules/@biomejs/biome/bin/biome", "ci", "."]],
  ["Documents to test with", node, ["scripts/fetch-fixtures.mjs"]],
  ["Unit tests", node, ["scripts/unit-tests.mjs"]],
  ["Build", node, ["scripts/build.mjs"]],
  ["Browser tests", node, ["scripts/browser-tests.mjs"]],
];
for (const [name, command, args] of steps) {
  const started = Date.now();
  console.log(`\n== ${name}`);
  const run = spawnSync(command, args, {
    cwd: root,
    stdio: "inherit",
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1" },
  });
  console.log(`== ${name}: ${((Date.now() - started) / 1000).toFixed(0)} s`);
  if (run.status !== 0) {
    console.error(`\n${name} failed.`);
    process.exit(run.status ?? 1);
  }
}
