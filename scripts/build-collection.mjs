// Builds the collection of sources that ships: manuals and documents whose licences allow it, from
// Debian packages, unpacked into .cache and turned into plain text. Needs apt-get, dpkg, groff and col.
// Writes data/collection: texts in packed files of 128, and a catalogue with title, origin and licence.
import { execFile, execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import {
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import path from "node:path";
import { promisify } from "node:util";
import { brotliCompressSync, constants, gunzipSync } from "node:zlib";

const root = path.resolve(import.meta.dirname, "..");
const cache = path.join(root, ".cache", "collection");
const out = path.join(root, "data", "collection");
const TEXTS_A_FILE = 128;
const LEAST_WORDS = 150;
const run = promisify(execFile);

/** Each package with its licence, the files that are texts, and how they are read. */
const PACKAGES = [
  {
    name: "freebsd-manpages",
    licence: "BSD-2-Clause, BSD-4-Clause",
    folder: "usr/share/man",
    matches: /\.\d\w*\.gz$/,
    read: manualPage,
  },
  {
    name: "postgresql-doc-15",
    licence: "PostgreSQL",
    folder: "usr/share/doc/postgresql-doc-15/html",
    matches: /\.html$/,
    read: webPage,
  },
  {
    name: "python3.11-doc",
    licence: "PSF-2.0",
    folder: "usr/share/doc/python3.11/html",
    matches: /^(?!genindex|search|_|contents).*\.html$/,
    read: webPage,
  },
  {
    name: "sqlite3-doc",
    licence: "public domain",
    folder: "usr/share/doc/sqlite3",
    matches: /\.html$/,
    read: webPage,
  },
  {
    name: "python-django-doc",
    licence: "BSD-3-Clause",
    folder: "usr/share/doc/python-django-doc/html",
    matches: /^(?!genindex|search|_|contents).*\.html$/,
    read: webPage,
  },
  {
    name: "apache2-doc",
    licence: "Apache-2.0",
    folder: "usr/share/doc/apache2-doc/manual/en",
    matches: /\.html$/,
    read: webPage,
  },
  {
    name: "miscfiles",
    licence: "public domain",
    folder: "usr/share/state",
    matches: /\.gz$/,
    read: async (file) => ({
      title: file.includes("declaration")
        ? "The Declaration of Independence, 1776"
        : "The Constitution of the United States",
      text: gunzipSync(readFileSync(file)).toString("latin1"),
    }),
  },
];

mkdirSync(cache, { recursive: true });
const texts = [];
const seen = new Set();
for (const one of PACKAGES) {
  const folder = path.join(fetched(one.name), one.folder);
  const files = readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => one.matches.test(name) && lstatSync(path.join(folder, name)).isFile())
    .sort();
  for (let at = 0; at < files.length; at += 16) {
    const group = files.slice(at, at + 16);
    const read = await Promise.all(group.map((name) => one.read(path.join(folder, name))));
    for (const [index, made] of read.entries()) {
      if (!made) continue;
      const text = tidied(made.text);
      const words = (text.match(/[\p{L}\p{N}]+/gu) ?? []).length;
      const print = createHash("sha256").update(text).digest("hex");
      if (words < LEAST_WORDS || seen.has(print)) continue;
      seen.add(print);
      const name = group[index].replace(/\.gz$/, "").replaceAll(path.sep, "/");
      texts.push({
        id: `${one.name}/${name}`,
        title: made.title.trim() || name,
        origin: one.name,
        licence: one.licence,
        text,
      });
    }
  }
  console.log(one.name, texts.filter(({ origin }) => origin === one.name).length);
}

rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });
const catalogue = texts.map(({ text, ...row }, index) => ({
  ...row,
  characters: text.length,
  file: Math.floor(index / TEXTS_A_FILE),
}));
for (let file = 0; file * TEXTS_A_FILE < texts.length; file++) {
  const own = texts.slice(file * TEXTS_A_FILE, (file + 1) * TEXTS_A_FILE);
  pack(
    `${file}.br`,
    own.map(({ text }) => text),
  );
}
pack("catalogue.br", catalogue);
console.log(texts.length, "texts");

function pack(name, value) {
  const bytes = brotliCompressSync(Buffer.from(JSON.stringify(value)), {
    params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_LGWIN]: 24 },
  });
  writeFileSync(path.join(out, name), bytes);
}

/** A package unpacked, its folder. */
function fetched(name) {
  const folder = path.join(cache, name);
  if (existsSync(folder)) return folder;
  execFileSync("apt-get", ["download", name], { cwd: cache, stdio: "pipe" });
  const file = readdirSync(cache).find((one) => one.startsWith(`${name}_`));
  execFileSync("dpkg", ["-x", path.join(cache, file), folder]);
  return folder;
}

/** A page of a manual as lines of whole paragraphs, without its header and footer. */
async function manualPage(file) {
  const source = gunzipSync(readFileSync(file)).toString("latin1");
  if (/^\.so /m.test(source.slice(0, 200))) return null;
  try {
    const made = run("groff", ["-mandoc", "-Tutf8", "-P-cbou", "-rLL=900n", "-rHY=0", "-dAD=l"], {
      maxBuffer: 1 << 26,
    });
    made.child.stdin.end(source);
    const { stdout } = await made;
    const lines = stdout.split("\n").map((line) => line.trim());
    const filled = lines.filter((line) => line !== "");
    const head = filled[0] ?? "";
    const name = head.split(/\s{2,}/)[0] ?? "";
    const about = filled[2]?.replace(/\s+/g, " ") ?? "";
    const text = lines.filter((line) => line !== head && line !== filled.at(-1)).join("\n");
    return { title: about.length > 4 && about.length < 90 ? about : name, text };
  } catch {
    return null;
  }
}

async function webPage(file) {
  const html = readFileSync(file, "utf8");
  const title = /<title>([^<]*)<\/title>/i.exec(html)?.[1] ?? "";
  const body = html
    .replace(/<(script|style|nav|head)\b[\s\S]*?<\/\1>/gi, " ")
    .replace(
      /<div[^>]*(?:class="(?:nav|related|sphinxsidebar|footer|clearer)[^"]*"|role="navigation")[\s\S]*?<\/div>/gi,
      " ",
    )
    .replace(/<(?:p|div|h\d|li|tr|dt|dd|pre|br|section|table)\b[^>]*>/gi, "\n")
    .replace(/<[^>]*>/g, "");
  return { title: unescaped(title).split(" — ")[0] ?? "", text: unescaped(body).replace(/¶/g, "") };
}

function unescaped(text) {
  const named = {
    amp: "&",
    lt: "<",
    gt: ">",
    quot: '"',
    nbsp: " ",
    apos: "'",
    mdash: "—",
    ndash: "–",
  };
  return text.replace(/&(#x?[\da-f]+|\w+);/gi, (whole, name) => {
    if (name[0] !== "#") return named[name.toLowerCase()] ?? whole;
    const code =
      name[1].toLowerCase() === "x" ? Number.parseInt(name.slice(2), 16) : Number(name.slice(1));
    return String.fromCodePoint(code);
  });
}

function tidied(text) {
  return text
    .replace(/\r/g, "")
    .replace(/[ \t\u00a0]+/g, " ")
    .replace(/ ?\n ?/g, "\n")
    .replace(/\n{3,}/g, "\n\n")
    .trim();
}
