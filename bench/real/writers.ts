import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { loadLanguage } from "../../src/command/checking.ts";
import { readDocument } from "../../src/core/formats/document.ts";
import { guessVariety } from "../../src/core/language/text/variety.ts";
import type { Half, RealDocument } from "./documents.ts";

/** A slip somebody made: where, and what should stand there. */
export interface Slip {
  from: number;
  to: number;
  typed: string;
  right: string;
}

/** A text with its slips, as one of many writers would have sent it. */
export interface Written extends RealDocument {
  slips: Slip[];
}

const DATA = path.resolve(import.meta.dirname, "../data");

/** A text with "{typed|right}" in it, taken apart; where both are alike there is no slip. */
export function slipsIn(marked: string): { text: string; slips: Slip[] } {
  let text = "";
  const slips: Slip[] = [];
  let last = 0;
  for (const { 0: whole, 1: typed = "", 2: right = "", index } of marked.matchAll(
    /\{([^{}|]*)\|([^{}|]*)\}/g,
  )) {
    text += marked.slice(last, index);
    last = index + whole.length;
    const from = text.length;
    text += typed;
    // A word that is left out leaves one space, not two.
    if (typed === "" && text.endsWith(" ") && /^[ .,;]/.test(marked.slice(last))) {
      text = text.slice(0, -1);
    }
    if (typed !== right)
      slips.push({ from: Math.min(from, text.length), to: text.length, typed, right });
  }
  return { text: text + marked.slice(last), slips };
}

/** Texts written for this bench: those with slips, or the clean ones; every second for tuning. */
export async function writtenTexts(folder: "writers" | "clean"): Promise<Written[]> {
  const { lexicon } = loadLanguage();
  const found: Written[] = [];
  const names = readdirSync(path.join(DATA, folder)).sort();
  for (const [index, name] of names.entries()) {
    const [head = "", ...lines] = readFileSync(path.join(DATA, folder, name), "utf8").split("\n");
    const { text, slips } = slipsIn(lines.join("\n"));
    const read = await readDocument(new TextEncoder().encode(text), name, (own) =>
      guessVariety(own, lexicon, "en-US"),
    );
    if ("problem" in read) throw new Error(`${name}: ${read.problem.sentence}`);
    const { manuscript } = read;
    const half: Half = index % 2 === 0 ? "tune" : "test";
    const { variety, kind } = manuscript;
    const genre = head.replace(/^# /, "");
    found.push({
      name,
      genre,
      half,
      variety,
      kind,
      manuscript,
      slips: placed(slips, text, manuscript.text),
    });
  }
  return found;
}

/** Slips where they are in the text as it was read, which may have lost line ends and blanks. */
function placed(slips: readonly Slip[], written: string, read: string): Slip[] {
  if (written.trimEnd() === read.trimEnd()) return [...slips];
  const places: number[] = [];
  let at = 0;
  for (let index = 0; index < written.length; index++) {
    places[index] = at;
    if (
      written[index] === read[at] ||
      (/\s/.test(written[index] ?? "") && /\s/.test(read[at] ?? ""))
    )
      at++;
  }
  return slips.map((slip) => ({
    ...slip,
    from: places[slip.from] ?? at,
    to: places[slip.to] ?? at,
  }));
}
