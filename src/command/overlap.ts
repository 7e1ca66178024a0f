import type { Manuscript } from "../core/manuscript/model.ts";
import { Comparison } from "../core/originality/comparison.ts";
import { comparedBlocks } from "../core/originality/regions.ts";
import { counts, totalsOf, USUALLY_COUNTED } from "../core/originality/totals.ts";
import type { ComparedWith } from "./checking.ts";
import { openFile } from "./files.ts";
import { printLine } from "./json-line.ts";
import { parseOptions, UsageError } from "./options.ts";
import { loadStockPhrases, openSources } from "./sources.ts";

/** Reads the sources, and the phrases that belong to nobody. */
export async function openCompared(from: string, index?: string): Promise<ComparedWith> {
  return { sources: await openSources(from, index), stock: loadStockPhrases() };
}

/** Prints what each file shares with the sources. */
export async function runOverlap(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseOptions(args, {
    sources: { type: "string" },
    index: { type: "string" },
    json: { type: "boolean" },
  });
  if (!values.sources) throw new UsageError("Name the sources with --sources.");
  if (positionals.length === 0) throw new UsageError("Name a file to compare.");
  const compared = await openCompared(values.sources, values.index);
  let unreadable = false;
  for (const file of positionals) {
    const opened = await openFile(file, null);
    if (!opened) {
      unreadable = true;
      continue;
    }
    const result = { file, ...printedOverlaps(opened.manuscript, compared) };
    if (values.json) await printLine({ ...result, text: opened.manuscript.text });
    else process.stdout.write(`${readable(result)}\n`);
  }
  return unreadable ? 2 : 0;
}

/** What a document shares with sources. Offsets in its text, and in the texts of the sources. */
export function printedOverlaps(
  manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
  { sources, stock }: ComparedWith,
) {
  const blocks = comparedBlocks(manuscript);
  const { words: all, passages } = new Comparison(sources, stock).lookAtOnce(blocks);
  const totals = totalsOf(passages, all, USUALLY_COUNTED);
  const share = (words: number) => (all === 0 ? 0 : Number((words / all).toFixed(4)));
  return {
    words: all,
    counted: totals.words,
    share: share(totals.words),
    sources: totals.bySource.map(({ source, words }) => ({
      id: source,
      words,
      share: share(words),
    })),
    overlaps: passages.map((passage) => {
      const places = sources.placesOf(passage.source);
      const [first, last] = passage.sourceWords;
      return {
        from: passage.from,
        to: passage.to,
        source: passage.source,
        sourceFrom: places?.from[first] ?? 0,
        sourceTo: places?.to[last - 1] ?? 0,
        tier: passage.tier,
        identity: Number(passage.identity.toFixed(3)),
        keptOut: passage.keptOut,
        counts: counts(passage, USUALLY_COUNTED),
        alsoIn: passage.alsoIn,
      };
    }),
  };
}

function readable({
  file,
  words,
  counted,
  share,
  sources,
  overlaps,
}: { file: string } & ReturnType<typeof printedOverlaps>): string {
  const keptOut = overlaps.filter((one) => one.keptOut !== null).length;
  return [
    `${file}: ${counted} of ${words} words stand elsewhere (${(share * 100).toFixed(1)}%); ${overlaps.length} passages, ${keptOut} of them kept out`,
    ...sources.map((one) => `  ${String(one.words).padStart(6)}  ${one.id}`),
  ].join("\n");
}
