import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { loadLanguage } from "../src/command/checking.ts"; import { readDocument } from "../src/core/formats/document.ts"; import { Engine } from "../src/core/engine.ts"; import { seeded } from "./seeded.ts";
const root = "node_modules"; const names = readdirSync(root).flatMap((n) => n.startsWith("@") ? readdirSync(path.join(root, n)).map((m) => `${n}/${m}`) : [n]);
const language = loadLanguage(); const out: { pkg: string; rule: string; text: string; to: string; context: string; sentence: string }[] = []; let words = 0; const seen = new Set<string>();
for (const name of names.sort()) {
  if (/retext|spell|dictionary|biome|lint|misspell|nlcst|textlint|write-good|alex|grammar|proof/.test(name)) continue;
  const dir = path.join(root, name); if (!existsSync(dir) || !statSync(dir).isDirectory()) continue;
  const file = readdirSync(dir).find((f) => /^readme(\.md|\.markdown)?$/i.test(f)); if (!file) continue;
  const bytes = new Uint8Array(readFileSync(path.join(dir, file))); if (bytes.length > 120000) continue;
  const read = await readDocument(bytes, "readme.md", () => "en-US"); if (!("manuscript" in read)) continue;
  const m = read.manuscript; const e = new Engine(m, language, { variety: "en-US", kind: "report", appetites: {}, words: [] }); for (const _ of e.examineAll()); words += e.counts().words;
  for (const mark of e.allMarks()) { if (mark.pass === "spelling" || mark.weight !== "fix") continue; const at = e.blockRange(mark.block).from; const from = at + mark.from; const to = at + mark.to;
    const c = m.text.slice(Math.max(0, from - 70), from) + "[" + m.text.slice(from, to) + "]" + m.text.slice(to, to + 60); const key = mark.rule + c; if (seen.has(key)) continue; seen.add(key);
    out.push({ pkg: name, rule: mark.rule, text: mark.text, to: e.choices(mark)[0]?.label ?? "", context: c.replace(/\s+/g, " "), sentence: "" }); }
}
console.log(words, "words", out.length, "fix marks");
const r = seeded(41); const picked = out.map((o) => ({ o, k: r() })).sort((a, b) => a.k - b.k).map(({ o }) => o).slice(0, Number(process.argv[2] ?? 300));
const by = new Map<string, number>(); for (const o of out) by.set(o.rule, (by.get(o.rule) ?? 0) + 1); console.log([...by].sort((a, b) => b[1] - a[1]).map(([k, v]) => `${k} ${v}`).join(", "));
writeFileSync("/tmp/w/sample.json", JSON.stringify(picked));
picked.forEach((o, i) => console.log(`${i}\t${o.rule.slice(8)}\t${o.context}\t-> ${o.to}`));
