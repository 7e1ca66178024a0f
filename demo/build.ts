import { copyFileSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { parseSource, toDocx } from "./markdown-to-docx.ts";

/**
 * Makes the demo documents in public/demo from demo/sources: the Markdown sources with a title in
 * front matter become .docx, the others are taken as they are. Everything in them is made up.
 */
const sources = path.resolve(import.meta.dirname, "sources");
const target = path.resolve(import.meta.dirname, "../public/demo");
mkdirSync(target, { recursive: true });

const files: string[] = [];
for (const name of readdirSync(sources).sort()) {
  const file = path.join(sources, name);
  const text = readFileSync(file, "utf8");
  if (text.startsWith("---\n")) {
    const made = name.replace(/\.md$/, ".docx");
    writeFileSync(path.join(target, made), await toDocx(parseSource(text)));
    files.push(made);
  } else {
    copyFileSync(file, path.join(target, name));
    files.push(name);
  }
}
const ORDER = [
  "harbour-siltation",
  "gauge-house-req",
  "station-handbook",
  "visitor",
  "gauge-house-spares",
];
const rank = (name: string) => {
  const at = ORDER.findIndex((start) => name.startsWith(start));
  return at < 0 ? ORDER.length : at;
};
files.sort((a, b) => rank(a) - rank(b));
writeFileSync(path.join(target, "index.json"), `${JSON.stringify({ files }, null, 2)}\n`);
copyFileSync(path.join(sources, "../house.json"), path.join(target, "house.json"));
console.log(files.join("\n"));
