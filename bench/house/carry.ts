import { Alignment } from "../../src/core/carry/alignment.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { realDocuments } from "../real/documents.ts";
import { report, time } from "../timing.ts";

/** Characters of the new version, each with where it was in the old one; -1 for what was put in. */
interface Revised {
  text: string;
  origin: number[];
}

/** What was done to a paragraph of the old version. */
type Change = "none" | "moved" | "edited" | "gone";

/**
 * Places carried onto revised versions of real documents of 30,000 words: one to two in ten paragraphs are
 * reworded, moved, parted, joined, taken out or put in. Which character came from which is known, so every
 * place carried is right or wrong.
 */
export async function benchCarry(): Promise<void> {
  const documents = (await realDocuments()).filter(({ half }) => half === "test");
  const texts = documents.map(({ manuscript }) => manuscript.text.replace(/[\t\u2028]/g, " "));
  const every = texts
    .join("\n")
    .split("\n")
    .filter((line) => line.trim() !== "");
  // Headings that each of the joined documents has ("Description") are in no document so many times.
  const times = new Map<string, number>();
  for (const line of every) times.set(line, (times.get(line) ?? 0) + 1);
  const all = every.filter((line) => (times.get(line) ?? 0) < 4);
  const spare = all.slice(-400);
  const totals: Record<Change, [number, number, number]> = {
    none: [0, 0, 0],
    moved: [0, 0, 0],
    edited: [0, 0, 0],
    gone: [0, 0, 0],
  };
  let runs: number[] = [];
  for (let seed = 1; seed <= 6; seed++) {
    const next = random(seed);
    const lines: string[] = [];
    let words = 0;
    for (
      let at = Math.floor(next() * all.length * 0.4);
      words < 30_000 && at < all.length - 400;
      at++
    ) {
      lines.push(all[at] ?? "");
      words += (all[at] ?? "").split(/\s+/).length;
    }
    const { old, changes, revised } = revise(lines, spare, 0.1 + 0.1 * next(), next);
    const versions = [linesManuscript(old), linesManuscript(revised.text)] as const;
    const alignment = new Alignment(...versions);
    runs = [...runs, ...(await time(1, () => new Alignment(...versions)))];
    const where = new Map<number, number>();
    for (const [at, from] of revised.origin.entries()) if (from >= 0) where.set(from, at);
    let start = 0;
    for (const [index, line] of lines.entries()) {
      const found = [...line.matchAll(/[\p{L}\p{N}’'-]{2,}/gu)];
      const match = found[Math.floor(next() * found.length)];
      if (match) {
        const from = start + match.index;
        const to = from + match[0].length;
        const truth = where.get(from);
        const isKept =
          truth !== undefined &&
          [...match[0]].every((_, at) => where.get(from + at) === truth + at);
        const change = changes[index] ?? "none";
        const carried = alignment.carry({ from, to });
        const total = totals[change];
        if (isKept) {
          total[0]++;
          if (carried?.from === truth) total[1]++;
        }
        if (carried && (!isKept || carried.from !== truth)) {
          total[2]++;
          if (process.env.SHOW) {
            const there = revised.text.slice(carried.from - 30, carried.to + 30);
            console.log(
              `  ${change}: [${match[0]}] ${line.slice(Math.max(0, match.index - 30), match.index + 40)} | ${there}`,
            );
          }
        } else if (isKept && !carried && process.env.SHOW)
          console.log(
            `  lost ${change}: [${match[0]}] ${line.slice(Math.max(0, match.index - 30), match.index + 40)}`,
          );
      }
      start += line.length + 1;
    }
  }
  console.log(
    "carried onto revised versions of 30,000 words (places kept in the text, carried right, carried wrong)",
  );
  for (const [change, [kept = 0, right = 0, wrong = 0]] of Object.entries(totals)) {
    console.log(
      `  ${change.padEnd(8)} ${kept} ${right} (${((100 * right) / Math.max(1, kept)).toFixed(1)}%), wrong ${wrong}`,
    );
  }
  report(
    "  two versions of 30,000 words aligned",
    runs.sort((a, b) => a - b),
  );
}

function revise(
  lines: readonly string[],
  spare: readonly string[],
  share: number,
  next: () => number,
) {
  const changes: Change[] = [];
  const old = lines.join("\n");
  let start = 0;
  interface Part {
    order: number;
    text: string;
    origin: number[];
  }
  const parts: Part[] = [];
  const own = (line: string, from: number) => ({
    text: line,
    origin: [...line].flatMap((sign, _at) => [...sign.split("")]).map((_, at) => from + at),
  });
  for (const [index, line] of lines.entries()) {
    let order = index;
    let part = own(line, start);
    let change: Change = "none";
    if (next() < share) {
      const what = next();
      if (what < 0.3) {
        change = "moved";
        order = Math.floor(next() * lines.length) + 0.5;
      } else if (what < 0.4) {
        change = "gone";
        part = { text: "", origin: [] };
      } else if (what < 0.5) {
        const added = spare[Math.floor(next() * spare.length)] ?? "";
        parts.push({ order: index - 0.3, text: added, origin: [...added.split("")].map(() => -1) });
      } else {
        change = "edited";
        part = reworded(part, spare, what, next);
      }
    }
    changes.push(change);
    if (part.text !== "") parts.push({ order, ...part });
    start += line.length + 1;
  }
  parts.sort((a, b) => a.order - b.order);
  const revised: Revised = { text: "", origin: [] };
  for (const [at, { text, origin }] of parts.entries()) {
    if (at > 0) {
      revised.text += "\n";
      revised.origin.push(-1);
    }
    revised.text += text;
    for (const one of origin) revised.origin.push(one);
  }
  return { old, changes, revised };
}

/** A paragraph with words put in, taken out and replaced, or parted in two. */
function reworded(
  part: Revised,
  spare: readonly string[],
  what: number,
  next: () => number,
): Revised {
  let { text, origin } = part;
  const splice = (from: number, to: number, insert: string) => {
    text = text.slice(0, from) + insert + text.slice(to);
    origin = [...origin.slice(0, from), ...insert.split("").map(() => -1), ...origin.slice(to)];
  };
  if (what > 0.9) {
    const stop = text.search(/(?<=[.!?]) (?=\p{Lu})/u);
    if (stop > 0) {
      splice(stop, stop + 1, "\n");
      return { text, origin };
    }
  }
  const words = [...text.matchAll(/[\p{L}\p{N}’'-]+/gu)];
  const strangers = (spare[Math.floor(next() * spare.length)] ?? "other words").match(
    /[\p{L}\p{N}’'-]+/gu,
  ) ?? ["other"];
  const times = 1 + Math.floor(next() * Math.min(6, words.length / 4));
  const chosen = new Set<number>();
  for (let time = 0; time < times; time++) chosen.add(Math.floor(next() * words.length));
  for (const index of [...chosen].sort((a, b) => b - a)) {
    const match = words[index];
    if (!match) continue;
    const [from, to] = [match.index, match.index + match[0].length];
    const stranger = strangers[Math.floor(next() * strangers.length)] ?? "other";
    const how = next();
    if (how < 0.5) splice(from, to, stranger);
    else if (how < 0.75) splice(from, from, `${stranger} `);
    else splice(from, Math.min(text.length, to + 1), "");
  }
  return { text, origin };
}

function random(seed: number): () => number {
  let state = seed * 2654435761;
  return () => {
    state = (Math.imul(state ^ (state >>> 15), 2246822519) + 0x9e3779b9) | 0;
    return ((state ^ (state >>> 13)) >>> 0) / 4294967296;
  };
}
