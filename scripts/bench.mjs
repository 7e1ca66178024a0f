import { mkdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { pathToFileURL } from "node:url";
import { build } from "esbuild";

/**
 * Bundles the benches as the product is bundled and runs them. A loader that compiles file by file
 * keeps the name of every function at some cost, and a bench would measure that too.
 */
const root = path.resolve(import.meta.dirname, "..");
const out = path.join(root, "node_modules/.cache/bench/run.mjs");

/** Files look for data from where they lie. */
const ownPlaces = {
  name: "own places",
  setup({ onLoad }) {
    onLoad({ filter: /\.ts$/ }, ({ path: file }) => {
      if (file.includes("node_modules")) return undefined;
      const places = {
        "import.meta.dirname": path.dirname(file),
        "import.meta.filename": file,
        "import.meta.url": pathToFileURL(file).href,
      };
      let contents = readFileSync(file, "utf8");
      for (const [name, place] of Object.entries(places)) {
        contents = contents.replaceAll(name, JSON.stringify(place));
      }
      return { contents, loader: "ts" };
    });
  },
};

mkdirSync(path.dirname(out), { recursive: true });
await build({
  entryPoints: [path.join(root, "bench/run.ts")],
  outfile: out,
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  packages: "external",
  plugins: [ownPlaces],
  logLevel: "error",
});
await import(pathToFileURL(out).href);
