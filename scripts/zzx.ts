import { marksIn } from "../bench/grammar.ts";

for (const t of process.argv.slice(2))
  console.log(
    t,
    marksIn(t, ["grammar", "wording"], { variety: "en-GB" }).marks.map(
      (m) => `${m.rule}:${m.text}:${m.weight}`,
    ),
  );
