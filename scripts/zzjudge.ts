import { readdirSync, readFileSync, statSync, writeFileSync } from "node:fs"; import path from "node:path"; import zlib from "node:zlib"; import { execSync } from "node:child_process";
import { loadLanguage } from "../src/command/checking.ts"; import { readDocument } from "../src/core/formats/document.ts"; import { Engine } from "../src/core/engine.ts"; import { seeded } from "./seeded.ts";
const language = loadLanguage(); const out: any[] = []; let words = 0; const seen = new Set<string>();
const bad = /retext|spell|dictionary|biome|lint|misspell|nlcst|proof|grammar/i;
const files = execSync("find /usr/share/doc -maxdepth 3 -type f \\( -iname 'README*' -o -iname 'TODO*' -o -iname 'FAQ*' -o -iname 'NEWS*' -o -iname 'HACKING*' -o -iname 'INSTALL*' -o -iname '*.txt' -o -iname '*.txt.gz' \\) -size +1k -size -200k; find node_modules -type f -iname 'CHANGELOG.md' -size +1k -size -300k; find node_modules -type f -iname 'CONTRIBUTING.md' -size +1k", { encoding: "utf8", maxBuffer: 1e8 }).trim().split("\n").filter((f) => !bad.test(f));
for (const f of files) {
  if (/\.(pdf|ps|png)/.test(f)) continue; let b: Buffer = readFileSync(f); if (f.endsWith(".gz")) { try { b = zlib.gunzipSync(b); } catch { continue; } } if (b.includes(0)) continue;
  const md = /\.(md|markdown)(\.gz)?$/i.test(f); const read = await readDocument(new Uint8Array(b), md ? "a.md" : "a.txt", () => "en-US"); if (!("manuscript" in read)) continue; const m = read.manuscript;
  const e = new Engine(m, language, { variety: "en-US", kind: "report", appetites: {}, words: [] }); for (const _ of e.examineAll()); words += e.counts().words; let own = 0;
  for (const mark of e.allMarks()) { if (mark.pass === "spelling" || mark.weight !== "fix") continue; const at = e.blockRange(mark.block).from; const from = at + mark.from, to = at + mark.to;
    const c = (m.text.slice(Math.max(0, from - 70), from) + "[" + m.text.slice(from, to) + "]" + m.text.slice(to, to + 60)).replace(/\s+/g, " "); const key = mark.rule + c.slice(40, 110); if (seen.has(key) || ++own > 6) continue; seen.add(key);
    out.push({ rule: mark.rule, context: c, to: e.choices(mark)[0]?.label ?? "", source: f.replace(/^.*node_modules\//, "npm ").replace("/usr/share/doc/", "debian ") }); }
}
console.log(files.length, "files", words, "words", out.length, "fix marks");
const r = seeded(97); const picked = out.map((o) => ({ o, k: r() })).sort((a, b) => a.k - b.k).map(({ o }) => o).slice(0, 300);
writeFileSync("/tmp/w/sample2.json", JSON.stringify(picked));
picked.forEach((o, i) => console.log(`${i}\t${o.rule.slice(8)}\t${o.context}\t-> ${o.to}`));
