import { mkdir, writeFile } from "node:fs/promises";
import path from "node:path";
import { canExport, EXPORT_FORMS, type Exported, writeDocument } from "../core/formats/document.ts";
import { withEdits } from "../core/manuscript/layout.ts";
import { checkText, firstChoices, loadLanguage } from "./checking.ts";
import { openFile } from "./files.ts";
import { CHECK_OPTIONS, checkOptions, oneOf, parseOptions, UsageError } from "./options.ts";

/** Writes each document in the form asked for; one that cannot be read is reported and skipped. */
export async function runExport(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseOptions(args, {
    ...CHECK_OPTIONS,
    take: { type: "string" },
    as: { type: "string" },
    author: { type: "string" },
    "out-dir": { type: "string" },
  });
  const options = checkOptions(values);
  const take = oneOf("take", values.take, ["first", "none"]);
  const form = oneOf("as", values.as, EXPORT_FORMS);
  const folder = values["out-dir"];
  if (!take || !form || !folder) throw new UsageError("export needs --take, --as and --out-dir.");
  if (positionals.length === 0) throw new UsageError("Name a file to export.");
  const language = loadLanguage();
  await mkdir(folder, { recursive: true });
  let status = 0;
  for (const file of positionals) {
    const opened = await openFile(file, language.lexicon);
    if (!opened) {
      status = 2;
      continue;
    }
    const { bytes, manuscript } = opened;
    const { format, name } = manuscript.origin;
    if (!canExport(format, form)) {
      process.stderr.write(`${file}: a .${format} cannot hold tracked changes; use --as clean.\n`);
      status = 2;
      continue;
    }
    const variety = options.variety ?? manuscript.variety;
    const kind = options.kind ?? manuscript.kind;
    const passes = options.passes;
    const edits =
      take === "none"
        ? []
        : firstChoices(checkText(manuscript, language, { variety, kind, passes }).marks);
    const exported = writeDocument({
      bytes,
      format,
      current: withEdits(manuscript, edits),
      edits,
      queries: [],
      form,
      author: values.author ?? "Dry Run",
      date: new Date().toISOString(),
    });
    const target = path.join(folder, name.replace(/\.[^.]+$/, `.${exported.extension}`));
    await writeFile(target, exported.bytes);
    report(file, target, edits.length, exported);
  }
  return status;
}

function report(file: string, target: string, edits: number, { refused }: Exported): void {
  process.stderr.write(`${file} → ${target}: ${edits - refused.length} corrections\n`);
  for (const { edit, reason } of refused) {
    process.stderr.write(`  left out at ${edit.from}: ${reason}\n`);
  }
}
