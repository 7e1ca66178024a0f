import { Engine } from "../core/engine/engine.ts";
import { gatherAbbreviations } from "../core/gathered/abbreviations.ts";
import { type PlacedQuantity, quantitiesOfDocument } from "../core/gathered/quantities.ts";
import { loadLanguage } from "./checking.ts";
import { openFile } from "./files.ts";
import { parseOptions, UsageError } from "./options.ts";

/** Prints the abbreviations of each file. */
export function runAbbreviations(args: readonly string[]): Promise<number> {
  return runGathered(
    args,
    (engine) =>
      gatherAbbreviations(engine.gathering()).map(({ findings, ...row }) => ({
        ...row,
        findings: findings.map(({ kind, from, to }) => ({ kind, from, to })),
      })),
    ({ abbreviation, expansions, places, findings }) => {
      const found = findings.map(({ kind }) => kind).join(", ");
      const said = expansions.join("; ") || "no expansion";
      return `${abbreviation}  ${said}  ${places.length}${found ? `  ${found}` : ""}`;
    },
  );
}

/** Prints the quantities of each file. */
export function runQuantities(args: readonly string[]): Promise<number> {
  return runGathered(
    args,
    (engine) => quantitiesOfDocument(engine.gathering()).map(printedQuantity),
    ({ value, unit, kind, from }) => `${from}  ${value} ${unit}  ${kind}`,
  );
}

export interface PrintedQuantity {
  from: number;
  to: number;
  value: number;
  unit: string;
  kind: string;
}

/** A quantity as the commands print it; offsets in the whole text. */
export function printedQuantity({ from, to, value, unit, kind }: PlacedQuantity): PrintedQuantity {
  return { from, to, value, unit, kind };
}

/** Checks each file for consistency and prints what is gathered of it: JSON, a line a file, or rows to read. */
async function runGathered<Row>(
  args: readonly string[],
  gather: (engine: Engine) => Row[],
  line: (row: Row) => string,
): Promise<number> {
  const { values, positionals } = parseOptions(args, { json: { type: "boolean" } });
  if (positionals.length === 0) throw new UsageError("Name a file to read.");
  const language = loadLanguage();
  let unreadable = false;
  for (const file of positionals) {
    const opened = await openFile(file, language.lexicon);
    if (!opened) {
      unreadable = true;
      continue;
    }
    const { manuscript } = opened;
    const { variety, kind } = manuscript;
    const engine = new Engine(manuscript, language, { variety, kind, appetites: {}, words: [] });
    for (const _done of engine.examineAll(["spelling", "consistency"]));
    const rows = gather(engine);
    const output = values.json
      ? JSON.stringify(rows)
      : [`${file}: ${rows.length}`, ...rows.map((row) => `  ${line(row)}`)].join("\n");
    process.stdout.write(`${output}\n`);
  }
  return unreadable ? 2 : 0;
}
