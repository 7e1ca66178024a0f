import { readFileSync } from "node:fs";
import { type HouseStyle, readHouseStyle } from "../core/house/style.ts";
import { type Checked, checkText, loadLanguage } from "./checking.ts";
import { openFile } from "./files.ts";
import { CHECK_OPTIONS, checkOptions, parseOptions, UsageError } from "./options.ts";

/** Prints the marks of each file. */
export async function runCheck(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseOptions(args, {
    ...CHECK_OPTIONS,
    house: { type: "string" },
    json: { type: "boolean" },
    fail: { type: "boolean" },
  });
  const options = checkOptions(values);
  if (positionals.length === 0) throw new UsageError("Name a file to check.");
  const language = loadLanguage();
  const houses = values.house === undefined ? [] : readHouses(values.house);
  let unreadable = false;
  let fixes = 0;
  for (const file of positionals) {
    const opened = await openFile(file, language.lexicon);
    if (!opened) {
      unreadable = true;
      continue;
    }
    const { manuscript } = opened;
    const variety = options.variety ?? manuscript.variety;
    const kind = options.kind ?? manuscript.kind;
    const checked = checkText(manuscript, language, {
      variety,
      kind,
      passes: options.passes,
      houses,
    });
    fixes += checked.marks.filter(({ weight }) => weight === "fix").length;
    const { text } = manuscript;
    const { words, quantities: _quantities, ...found } = checked;
    const output = values.json
      ? `${JSON.stringify({ file, variety, words, text, ...found })}\n`
      : forPeople(file, variety, text, checked);
    process.stdout.write(output);
  }
  if (unreadable) return 2;
  return values.fail && fixes > 0 ? 1 : 0;
}

/** The house styles named, with commas between them. Throws UsageError for a file that is none. */
function readHouses(names: string): HouseStyle[] {
  return names.split(",").map((name) => {
    try {
      return readHouseStyle(JSON.parse(readFileSync(name.trim(), "utf8")));
    } catch (error) {
      const told = error instanceof RangeError ? error.message : "it can’t be read as JSON.";
      throw new UsageError(`--house ${name.trim()}: ${told}`);
    }
  });
}

/** Characters shown on each side of a mark. */
const CONTEXT = 36;

function forPeople(file: string, variety: string, text: string, { words, marks }: Checked): string {
  const lines = [`${file}: ${words} words, ${variety}, ${marks.length} marks`];
  for (const mark of marks) {
    const before = text.slice(Math.max(0, mark.from - CONTEXT), mark.from);
    const after = text.slice(mark.to, mark.to + CONTEXT);
    const context = `${before}[${mark.text}]${after}`.replace(/\s+/g, " ");
    const choices = mark.choices.map(({ label }) => label).join(", ");
    lines.push(
      `  ${mark.weight}  ${context}`,
      `        ${mark.reason}${choices && ` ${choices}?`}`,
    );
  }
  return `${lines.join("\n")}\n`;
}
