import { readFileSync } from "node:fs";
import path from "node:path";
import { pathToFileURL } from "node:url";
import { build } from "esbuild";

/**
 * TypeScript made into modules that Node runs as they are, as the product is bundled. A loader that
 * compiles file by file does so anew in each process, and keeps the name of every function at some
 * cost.
 */

/** Files look for data from where they lie. */
const ownPlaces = {
  name: "own places",
  setup({ onLoad }) {
    onLoad({ filter: /\.(?:ts|mjs)$/ }, ({ path: file }) => {
      if (file.includes("node_modules")) return undefined;
      const places = {
        dirname: path.dirname(file),
        filename: file,
        url: pathToFileURL(file).href,
      };
      let contents = readFileSync(file, "utf8");
      for (const [name, place] of Object.entries(places)) {
        contents = contents.replaceAll(`import.meta.${name}`, JSON.stringify(place));
      }
      return { contents, loader: "ts" };
    });
  },
};

/** Bundles entries; `options` say where to, as esbuild takes them. */
export async function bundle(entryPoints, options) {
  return build({
    entryPoints,
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    packages: "external",
    plugins: [ownPlaces],
    logLevel: "error",
    ...options,
  });
}
