// Installs what is missing, builds, and starts with the demo documents.
import { execFileSync } from "node:child_process";
import { installForRunning } from "./install.mjs";

installForRunning();
execFileSync(process.execPath, ["scripts/build.mjs"], {
  cwd: new URL("..", import.meta.url),
  stdio: "inherit",
});
await import("../server.mjs");
