import { Engine } from "../core/engine/engine.ts";
import { readText, type TextReadings } from "../core/engine/reading.ts";
import type { Language } from "../core/language/analysis.ts";
import type { Kind, Manuscript, Variety } from "../core/manuscript/model.ts";
import { measureCard } from "../core/readings/measures.ts";
import { PARTS, type Scope, USUAL_SCOPE } from "../core/readings/scope.ts";
import { loadLanguage } from "./checking.ts";
import { openFile } from "./files.ts";
import { parseOptions, UsageError } from "./options.ts";

/** Prints how each file reads. */
export async function runReadings(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseOptions(args, {
    json: { type: "boolean" },
    with: { type: "string" },
    without: { type: "string" },
  });
  const scope = scopeOf(values.with, values.without);
  if (positionals.length === 0) throw new UsageError("Name a file to read.");
  const language = loadLanguage();
  let unreadable = false;
  for (const file of positionals) {
    const opened = await openFile(file, language.lexicon);
    if (!opened) {
      unreadable = true;
      continue;
    }
    const readings = readManuscript(opened.manuscript, language, scope);
    process.stdout.write(values.json ? `${asJson(file, readings)}\n` : forPeople(file, readings));
  }
  return unreadable ? 2 : 0;
}

/** The usual scope with some parts taken in or left out. */
function scopeOf(added: string | undefined, removed: string | undefined): Scope {
  const scope: Record<string, boolean> = { ...USUAL_SCOPE };
  for (const [list, on] of [
    [added, true],
    [removed, false],
  ] as const) {
    for (const name of list?.split(",") ?? []) {
      if (!PARTS.some((part) => part === name.trim())) {
        throw new UsageError(`--with and --without take a list of: ${PARTS.join(", ")}.`);
      }
      scope[name.trim()] = on;
    }
  }
  return scope as Scope;
}

/** How a manuscript reads as it stands. */
export function readManuscript(
  manuscript: Pick<Manuscript, "text" | "blocks" | "spans"> & { kind: Kind; variety: Variety },
  language: Language,
  scope: Scope = USUAL_SCOPE,
): TextReadings {
  const { kind, variety } = manuscript;
  const settings = { kind, variety, appetites: {}, words: [] };
  const engine = new Engine(manuscript, language, settings);
  for (const _done of engine.examineAll(["sentences"]));
  return readText(engine, language, scope, null);
}

function asJson(file: string, readings: TextReadings): string {
  const { counts, document, measures, grade, diversity, sections, parts, scope } = readings;
  return JSON.stringify({
    file,
    counts,
    document,
    measures,
    grade,
    diversity,
    sections: sections.map(
      ({ title, from, to, counts: own, measures: theirs, diversity: varied }) => ({
        title,
        from,
        to,
        counts: own,
        measures: theirs,
        diversity: varied,
      }),
    ),
    scope,
    parts,
  });
}

function forPeople(file: string, { document, counts, measures, grade }: TextReadings): string {
  const lines = [
    `${file}: ${document.words} words, of which ${counts.words} are measured in ${counts.sentences} sentences`,
    ...measures.map(({ id, value }) => {
      const { title, least } = measureCard(id);
      const told =
        value === null ? `needs ${least?.number ?? 1} ${least?.of ?? "words"}` : value.toFixed(1);
      return `  ${title.padEnd(28)} ${told}`;
    }),
  ];
  if (grade) {
    lines.push(
      `  ${grade.measures} grades lie between ${grade.lowest.toFixed(1)} and ${grade.highest.toFixed(1)}`,
    );
  }
  return `${lines.join("\n")}\n`;
}
