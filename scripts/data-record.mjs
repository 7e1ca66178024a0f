import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync } from "node:fs";
import path from "node:path";

const DATA = path.resolve(import.meta.dirname, "../data");

/**
 * What is amiss with the record of the data files (`data/inputs.json`): a model or list without one, one
 * that is of another file than the one that is there, an input whose notice does not ship. Empty when
 * all is well.
 *
 * @returns {string[]}
 */
export function amissInData() {
  const record = JSON.parse(readFileSync(path.join(DATA, "inputs.json"), "utf8"));
  const amiss = [];
  for (const name of readdirSync(DATA)) {
    if (name.endsWith(".bin") && !record[name]) amiss.push(`${name} has no record of its inputs`);
  }
  for (const [file, { hash, inputs }] of Object.entries(record)) {
    const place = path.join(DATA, file);
    if (!existsSync(place)) amiss.push(`${file} is missing`);
    else if (hashOf(file) !== hash) {
      amiss.push(`${file} is not the file its record is of`);
    }
    for (const { name, version, notice } of inputs) {
      if (!version) amiss.push(`${file}: no version of ${name}`);
      if (notice && !existsSync(path.join(DATA, "licences", notice))) {
        amiss.push(`${file}: the notice of ${name} is missing`);
      }
    }
  }
  return amiss;
}

/**
 * The SHA-256 of a data file, in hexadecimal digits.
 *
 * @param {string} file
 * @returns {string}
 */
export function hashOf(file) {
  return createHash("sha256")
    .update(readFileSync(path.join(DATA, file)))
    .digest("hex");
}
