import dictionary from "dictionary-en";
import retextEnglish from "retext-english";
import retextPos from "retext-pos";
import retextRepeatedWords from "retext-repeated-words";
import retextSpell from "retext-spell";
import retextStringify from "retext-stringify";
import { unified } from "unified";
import { brownTexts } from "../scripts/corpus/brown.ts";
import { loadLanguage } from "../src/command/checking.ts";
import { Engine } from "../src/core/engine/engine.ts";
import { linesManuscript } from "../src/core/manuscript/lines.ts";
import { median, report, time } from "./timing.ts";

const WORDS = 100_000;

/**
 * Splitting, tokenising, tagging and spelling 100,000 words of the Brown corpus as one document,
 * beside the retext pipeline with its plugins for the same.
 */
export async function benchPipeline(): Promise<void> {
  const blocks: string[] = [];
  let words = 0;
  for (const { text } of brownTexts().flatMap((one) => one.blocks)) {
    if (words >= WORDS) break;
    blocks.push(text);
    words += text.split(/\s+/).length;
  }
  const text = blocks.join("\n");
  const manuscript = linesManuscript(text);
  const language = loadLanguage();
  console.log(`\n${words} words of the Brown corpus`);
  const settings = { variety: "en-US", kind: "report", appetites: {}, words: [] } as const;
  const ours = await time(7, () => {
    const engine = new Engine(manuscript, language, settings);
    for (const _ of engine.examineAll(["spelling"]));
  });
  report("split, tokenise, tag, spell, judge", ours, 600);
  const engines: Engine[] = [];
  for (let run = 0; run < 5; run++) {
    const engine = new Engine(manuscript, language, settings);
    for (const _ of engine.examineAll(["spelling"]));
    engines.push(engine);
  }
  const beyond = await time(5, () => {
    for (const _ of engines.pop()?.examineAll() ?? []);
  });
  report("grammar and wording beyond that", beyond, 800);
  const all = await time(5, () => {
    const engine = new Engine(manuscript, language, settings);
    for (const _ of engine.examineAll());
  });
  report("all passes", all, 1600);
  const pipeline = unified()
    .use(retextEnglish)
    .use(retextPos)
    .use(retextRepeatedWords)
    .use(retextSpell, { dictionary })
    .use(retextStringify);
  const theirs = await time(1, () => pipeline.process(blocks.join("\n\n")));
  report("  retext, the same with its plugins", theirs);
  console.log(`  ${(median(theirs) / median(ours)).toFixed(1)} times as fast as retext (goal 10)`);
}
