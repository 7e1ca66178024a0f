import { brownTexts } from "../scripts/corpus/brown.ts";
import { loadLanguage } from "../src/command/checking.ts";
import { Engine } from "../src/core/engine/engine.ts";
import type { Language } from "../src/core/language/analysis.ts";
import { LINE_SEPARATOR } from "../src/core/manuscript/model.ts";

/** What one paragraph is filled with, over and over: prose, lists, code, and what is made to be slow. */
const PATTERNS: Record<string, string> = {
  "is ": "is ",
  "a ": "a ",
  "the ": "the ",
  "and ": "and ",
  "to be ": "to be ",
  "that ": "that ",
  "straight quotation marks": '"',
  "opening quotation marks": "“",
  "pairs of quotation marks": "“a” ",
  apostrophes: "'",
  "quoted letters": "'a' ",
  "opening brackets": "(",
  "closing brackets": ")",
  "opening brackets and words": "( the",
  "pairs of brackets": "() ",
  "words in brackets": "(it was) ",
  "nested brackets": "((a) ",
  stops: ".",
  "stops and spaces": ". ",
  "stops, then a letter": "....a",
  "question marks": "?!",
  ellipses: "… ",
  commas: ",",
  "commas and spaces": ", ",
  "words and commas": "lamp, ",
  "spaced commas": "lamp ,",
  semicolons: "a;b ",
  dashes: "—",
  hyphens: "-",
  "hyphened words": "pre-",
  spaces: " ",
  "words without spaces": "abc",
  capitals: "ABC ",
  "capitalised words": "Gannet ",
  digits: "7",
  "numbers and units": "5 mm ",
  initials: "J. K. ",
  addresses: "www.gannet-head.example/a ",
  "unknown words": "zxqw vbnt ",
  "line breaks": `word${LINE_SEPARATOR}`,
};
/** As many letters of running prose in one paragraph. */
const PROSE = "prose of the Brown corpus";
const SIZES = (process.env.SIZES?.split(",").map(Number) ?? [10_000, 100_000, 1_000_000]) as [
  number,
  number,
  number,
];

/**
 * One paragraph of 10,000 to 1,000,000 characters, filled with each of 40 patterns and with prose: the
 * time of all passes, how it grows (the exponent from the middle size to the largest), and of an edit.
 */
export function benchLongParagraphs(): void {
  const language = loadLanguage();
  const prose = brownTexts()
    .flatMap(({ blocks }) => blocks.map(({ text }) => text))
    .join(" ");
  const wanted = process.env.PATTERN;
  console.log(
    "\none paragraph of 10,000, 100,000 and 1,000,000 characters, all passes; an edit in it",
  );
  let worst = 0;
  let slowest = 0;
  for (const [name, pattern] of Object.entries({ ...PATTERNS, [PROSE]: prose })) {
    if (wanted !== undefined && name !== wanted) continue;
    const times = SIZES.map((size) => read(pattern, size, language));
    const [, middle = 1, large = 1] = times.map(({ all }) => all);
    // Below some milliseconds, growth is noise.
    const exponent = Math.log10(Math.max(large, 100) / Math.max(middle, 10));
    worst = Math.max(worst, exponent);
    slowest = Math.max(slowest, large);
    const shown = times.map(({ all }) => all.toFixed(0).padStart(7)).join(" ");
    const flag = exponent > 1.15 || large > 10_000 ? "  NO" : "";
    console.log(
      `${name.padEnd(28)} ${shown} ms  exponent ${exponent.toFixed(2)}  edit ${(times[2]?.edit ?? 0).toFixed(0)} ms${flag}`,
    );
  }
  console.log(
    `  worst exponent ${worst.toFixed(2)} (goal 1.15), slowest million ${(slowest / 1000).toFixed(1)} s (goal 10)`,
  );
}

/** Characters after which a number is put in, lest stretches be alike and the second cost nothing. */
const ALIKE = 900;

function filled(pattern: string, size: number): string {
  if (pattern.length > ALIKE) return pattern.slice(0, size);
  const stretch = pattern.repeat(Math.ceil(ALIKE / pattern.length));
  let text = "";
  for (let number = 1; text.length < size; number++) text += `${stretch}${number} `;
  return text.slice(0, size);
}

function read(pattern: string, size: number, language: Language): { all: number; edit: number } {
  const text = filled(pattern, size);
  const block = {
    id: "b0",
    kind: "paragraph",
    from: 0,
    to: text.length,
    story: "body",
    section: 0,
  };
  const manuscript = {
    text,
    blocks: [{ ...block, kind: "paragraph", story: "body" } as const],
    spans: [],
  };
  const settings = { variety: "en-GB", kind: "general", appetites: {}, words: [] } as const;
  const engine = new Engine(manuscript, language, settings);
  let started = performance.now();
  for (const _ of engine.examineAll());
  const all = performance.now() - started;
  started = performance.now();
  engine.edit([{ from: size >> 1, to: size >> 1, insert: "x" }]);
  return { all, edit: performance.now() - started };
}
