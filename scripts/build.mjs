// Builds the application and packs its static files for the server.
import { execFileSync } from "node:child_process";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { gzipSync } from "node:zlib";
import { amissInData } from "./data-record.mjs";

const root = path.resolve(import.meta.dirname, "..");

const amiss = amissInData();
if (amiss.length > 0) {
  console.error(`The build stops: ${amiss.join("; ")}.`);
  process.exit(1);
}

execFileSync(process.execPath, [path.join(root, "node_modules/astro/astro.js"), "build"], {
  cwd: root,
  stdio: "inherit",
  env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1" },
});

const folder = path.join(root, "dist/client/_astro");
for (const name of readdirSync(folder)) {
  if (!/\.(?:js|css|svg|bin|txt)$/.test(name)) continue;
  const file = path.join(folder, name);
  writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }));
}

// What a page needs when the server has stopped, for public/offline.js: everything but the built-in
// demo documents. Files are named by their contents, so a new build brings a new list.
const offline = readdirSync(folder)
  .filter((name) => !name.endsWith(".gz"))
  .map((name) => `/_astro/${name}`);
writeFileSync(path.join(root, "dist/client/offline-files.json"), JSON.stringify(offline));
