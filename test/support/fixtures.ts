import { existsSync, readdirSync, readFileSync } from "node:fs";
import path from "node:path";

const folder = path.resolve(import.meta.dirname, "../../.cache/fixtures");

export interface Fixture {
  name: string;
  bytes: Uint8Array;
}

/** Real .docx files fetched by scripts/fetch-fixtures.mjs; throws when they were not fetched. */
export function realDocuments(): Fixture[] {
  if (!existsSync(path.join(folder, "complete"))) {
    throw new Error("run `node scripts/fetch-fixtures.mjs` first");
  }
  return ["mammoth", "pandoc"].flatMap((source) =>
    readdirSync(path.join(folder, source)).map((name) => ({
      name: `${source}/${name}`,
      bytes: new Uint8Array(readFileSync(path.join(folder, source, name))),
    })),
  );
}
