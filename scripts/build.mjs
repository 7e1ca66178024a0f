// Builds the application and packs its static files for the server.
import { execFileSync } from "node:child_process";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { gzipSync } from "node:zlib";

const root = path.resolve(import.meta.dirname, "..");
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
