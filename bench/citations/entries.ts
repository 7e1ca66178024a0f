import { loadLanguage } from "../../src/command/checking.ts";
import { readEntry } from "../../src/core/citations/read-entry.ts";
import { reviewEntries } from "../../src/core/citations/review-entries.ts";
import { STYLE_IDS } from "../../src/core/citations/styles/style.ts";
import { styleOf } from "../../src/core/citations/styles/styles.ts";
import type { Range } from "../../src/core/manuscript/model.ts";
import { FAULTS } from "./faults.ts";
import { realRecords } from "./records.ts";
import { setEntries } from "./set.ts";

const THIS_YEAR = 2026;

/** Marks on right entries, and single planted faults found, by style; italics are not given. */
export function benchEntries(part: "tune" | "test", show = ""): void {
  const { lexicon } = loadLanguage();
  const records = realRecords(part);
  const isWord = (word: string) => lexicon.varieties(word) > 0;
  const totals = { found: 0, once: 0, planted: 0, marked: 0, clean: 0 };
  console.log(
    `\nEntries of ${records.length} real records: right ones marked; planted faults found, found with one mark`,
  );
  for (const id of STYLE_IDS) {
    const style = styleOf(id);
    const entries = setEntries(records, id).map((entry) => ({
      ...entry,
      italics: withItalics(entry.italics),
    }));
    const review = (texts: readonly string[], italics: readonly (readonly Range[])[]) =>
      reviewEntries({
        entries: texts.map((text, at) => readEntry(text, style, italics[at])),
        style,
        thisYear: THIS_YEAR,
        isWord,
        italics,
      });
    const clean = review(
      entries.map(({ text }) => text),
      entries.map(({ italics }) => italics),
    );
    const marked = clean.filter((found) => found.length > 0).length;
    for (const [at, found] of clean.entries()) {
      if (show === `${id}:clean`)
        for (const one of found)
          console.log(`    ${entries[at]?.text}\n      ${one.rule}: ${one.reason}`);
    }
    let line = "";
    const sums = { found: 0, once: 0, planted: 0 };
    for (const [name, fault] of Object.entries(FAULTS)) {
      const planted = entries.flatMap((entry) => {
        const text = fault(entry, id);
        return text === null || text === entry.text ? [] : [{ entry, text }];
      });
      if (planted.length === 0) continue;
      let found = 0;
      let once = 0;
      for (const { entry, text } of planted) {
        const before = clean[entries.indexOf(entry)] ?? [];
        if (before.length > 0) continue;
        // Read among the entries of its author's namesakes, as it would be.
        const family = entry.item.author?.[0]?.family ?? "";
        const namesakes = entries.filter(
          (one) => one !== entry && one.item.author?.some((name) => name.family === family),
        );
        const [marks = []] = review(
          [text, ...namesakes.map((one) => one.text)],
          [shifted(entry.italics, entry.text, text), ...namesakes.map((one) => one.italics)],
        );
        if (marks.length > 0) found++;
        if (marks.length === 1) once++;
        if (show === `${id}:${name}` && marks.length !== 1)
          console.log(
            `    ${text}\n      ${marks.map((one) => `${one.rule}: ${one.reason}`).join(" | ") || "nothing"}`,
          );
      }
      const all = planted.filter(
        ({ entry }) => (clean[entries.indexOf(entry)] ?? []).length === 0,
      ).length;
      sums.found += found;
      sums.once += once;
      sums.planted += all;
      line += ` ${name} ${found}/${once}/${all}`;
    }
    totals.found += sums.found;
    totals.once += sums.once;
    totals.planted += sums.planted;
    totals.marked += marked;
    totals.clean += entries.length;
    console.log(
      `  ${id.padEnd(20)} marked ${marked} of ${entries.length} (${((marked / entries.length) * 100).toFixed(1)}%), found ${percent(sums.found, sums.planted)}, with one mark ${percent(sums.once, sums.planted)} of ${sums.planted}`,
    );
    if (show === "faults") console.log(`      ${line}`);
  }
  console.log(
    `  all: marked ${percent(totals.marked, totals.clean)} (goal at most 1), found ${percent(totals.found, totals.planted)}, with one mark ${percent(totals.once, totals.planted)} (goal 95)`,
  );
}

function withItalics(italics: readonly Range[]): readonly Range[] {
  return process.env["NO_ITALICS"] ? [] : italics;
}

function percent(part: number, whole: number): string {
  return `${((part / Math.max(1, whole)) * 100).toFixed(1)}%`;
}

/** Italic ranges behind a change moved with it. */
function shifted(italics: readonly Range[], before: string, after: string): Range[] {
  let same = 0;
  while (same < before.length && before[same] === after[same]) same++;
  let tail = 0;
  while (
    tail < before.length - same &&
    tail < after.length - same &&
    before.at(-1 - tail) === after.at(-1 - tail)
  )
    tail++;
  const move = (at: number) =>
    at <= same ? at : at >= before.length - tail ? at + after.length - before.length : same;
  return italics
    .map(({ from, to }) => ({ from: move(from), to: move(to) }))
    .filter(({ from, to }) => from < to);
}
