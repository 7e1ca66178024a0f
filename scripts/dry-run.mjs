// The headless command: bundles it, which starts faster than compiling file by file, and runs it.
import { renameSync } from "node:fs";
import path from "node:path";
import { pathToFileURL } from "node:url";
import { bundle } from "./bundle.mjs";

const root = path.resolve(import.meta.dirname, "..");
const command = path.join(root, "node_modules/.cache/command/main.mjs");
// Runs side by side each write a file of their own, and a whole one takes the place of a whole one.
const outfile = `${command}.${process.pid}`;
await bundle([path.join(root, "src/command/main.ts")], { outfile });
renameSync(outfile, command);
await import(pathToFileURL(command).href);
