import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import type { StyleId } from "../../src/core/citations/styles/style.ts";
import { type CslItem, type SetEntry, setList } from "../../test/support/csl.ts";
import { recordsFolder } from "./records.ts";

/** Records set in a style by the processor, sorted as the style sorts a list; kept on disk, for it is slow. */
export function setEntries(items: readonly CslItem[], style: StyleId): SetEntry[] {
  const folder = path.join(recordsFolder(), "..", "set");
  mkdirSync(folder, { recursive: true });
  const key = createHash("sha1")
    .update(`3 ${style} ${JSON.stringify(items)}`)
    .digest("hex");
  const file = path.join(folder, `${key}.json`);
  if (existsSync(file)) return JSON.parse(readFileSync(file, "utf8"));
  const made = setList(items, style);
  writeFileSync(file, JSON.stringify(made));
  return made;
}
