// Runs the unit tests; names of files or folders may be given to run only those.
import { spawnSync } from "node:child_process";
import { readdirSync, rmSync, statSync } from "node:fs";
import { availableParallelism } from "node:os";
import path from "node:path";
import { bundle } from "./bundle.mjs";

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

const outdir = path.join(root, `node_modules/.cache/unit-tests/${process.pid}`);
await bundle(files, {
  outdir,
  outbase: path.join(root, "test"),
  outExtension: { ".js": ".mjs" },
  sourcemap: true,
});
const run = spawnSync(
  process.execPath,
  [
    "--enable-source-maps",
    "--test",
    "--test-reporter=spec",
    "--test-timeout=900000",
    `--test-concurrency=${availableParallelism()}`,
    ...files.map((file) =>
      path.join(outdir, path.relative(path.join(root, "test"), file)).replace(/\.ts$/, ".mjs"),
    ),
  ],
  { cwd: root, stdio: "inherit" },
);
rmSync(outdir, { recursive: true });
process.exitCode = run.status ?? 1;
