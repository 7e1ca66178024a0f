import { realWordResults } from "../bench/grammar.ts";

const part = (process.argv[2] ?? "tune") as "tune";
const r = realWordResults(part, 1500);
console.log(
  "planted",
  r.planted.length,
  "found",
  ((100 * r.planted.filter((p) => p.found).length) / r.planted.length).toFixed(1),
  "alarms per 1000",
  r.alarms,
);
const by = new Map<string, number[]>();
for (const p of r.planted) {
  const b = by.get(p.set) ?? [0, 0];
  b[0]! += p.found ? 1 : 0;
  b[1]!++;
  by.set(p.set, b);
}
for (const [s, [f, n]] of [...by].sort((a, b) => b[1][1]! - a[1][1]!).slice(0, 40))
  console.log(s, f, n);
