import path from "node:path";
import { pathToFileURL } from "node:url";
import { bundle } from "./bundle.mjs";

/** Bundles the benches as the product is bundled, so that they measure that, and runs them. */
const root = path.resolve(import.meta.dirname, "..");
const outfile = path.join(root, "node_modules/.cache/bench/run.mjs");
await bundle([path.join(root, "bench/run.ts")], { outfile });
await import(pathToFileURL(outfile).href);
