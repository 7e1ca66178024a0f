// Runs the unit tests; names of files or folders may be given to run only those.
import { spawnSync } from "node:child_process";
import { readdirSync, statSync } from "node:fs";
import path from "node:path";

const root = path.resolve(import.meta.dirname, "..");
const wanted = process.argv.slice(2);
const files = (wanted.length > 0 ? wanted : ["test"]).flatMap((name) =>
  testsIn(path.resolve(root, name)),
);

function testsIn(place) {
  if (!statSync(place).isDirectory()) return [place];
  return readdirSync(place).flatMap((name) => {
    const inside = path.join(place, name);
    if (statSync(inside).isDirectory()) return name === "browser" ? [] : testsIn(inside);
    return name.endsWith(".test.ts") ? [inside] : [];
  });
}

const run = spawnSync(
  process.execPath,
  ["--import", "tsx", "--test", "--test-reporter=spec", "--test-timeout=400000", ...files],
  { cwd: root, stdio: "inherit" },
);
process.exitCode = run.status ?? 1;
