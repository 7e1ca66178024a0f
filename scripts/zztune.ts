import { cleanMarks, pairResults, plantedResults, showMarks } from "../bench/grammar.ts";
import { ERROR_KINDS } from "./corpus/planted-errors.ts";

const [what, n = "8"] = process.argv.slice(2);
const passes = what?.endsWith("w") ? (["wording"] as const) : (["grammar"] as const);
if (what?.startsWith("clean")) {
  for (const source of ["brown", "manuals"] as const) {
    const { words, marks } = cleanMarks(source, (process.argv[5] ?? "tune") as "tune", passes);
    const fs = marks.filter((m) => m.weight !== "weigh");
    console.log(
      `\n## ${source} ${words} words: fix+settle ${((1000 * fs.length) / words).toFixed(2)} all ${((1000 * marks.length) / words).toFixed(2)}`,
    );
    showMarks(
      words,
      marks.filter((m) => !process.argv[4] || m.rule.includes(process.argv[4])),
      Number(n),
    );
  }
}
if (what === "pairs") {
  const r = pairResults("tune");
  console.log(
    "bad marked",
    r.filter((p) => p.badMarks.length).length,
    "/",
    r.length,
    "good clean",
    r.filter((p) => !p.goodMarks.length).length,
  );
  for (const p of r) if (!p.badMarks.length) console.log(`MISS [${p.phenomenon}] ${p.bad}`);
  for (const p of r)
    if (p.goodMarks.length)
      console.log(
        `FALSE [${p.phenomenon}] ${p.good}  ${p.goodMarks.map((m) => m.rule + ":" + m.text)}`,
      );
  for (const p of r)
    if (p.badMarks.length && process.argv[4])
      console.log(`ok [${p.phenomenon}] ${p.bad}  ${p.badMarks.map((m) => m.rule + ":" + m.text)}`);
}
if (what === "planted") {
  const r = plantedResults("tune", 150);
  for (const kind of ERROR_KINDS) {
    const own = r.filter((x) => x.kind === kind);
    const found = own.filter((x) => x.marks.length);
    console.log(`${((100 * found.length) / own.length).toFixed(1)}% ${kind} ${own.length}`);
    for (const x of own.filter((y) => !y.marks.length).slice(0, Number(n)))
      console.log(
        `     MISS ${x.text.slice(Math.max(0, x.from - 70), x.from)}>>${x.text.slice(x.from, x.to)}<<${x.text.slice(x.to, x.to + 40)}`,
      );
  }
}
