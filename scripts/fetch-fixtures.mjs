// Fetches real .docx files for the tests: the test documents of the mammoth package (BSD-2-Clause,
// installed as a development dependency) and of Debian's pandoc source package (GPL-2-or-later, so
// they are unpacked into .cache and never committed). Prints the folder.
import { execFileSync } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";

const root = path.resolve(import.meta.dirname, "..");
const cache = path.join(root, ".cache", "fixtures");
const done = path.join(cache, "complete");

if (!existsSync(done)) {
  rmSync(cache, { recursive: true, force: true });
  mkdirSync(path.join(cache, "mammoth"), { recursive: true });
  mkdirSync(path.join(cache, "pandoc"), { recursive: true });
  const shipped = path.join(root, "node_modules", "mammoth", "test", "test-data");
  for (const name of readdirSync(shipped)) {
    if (name.endsWith(".docx")) cpSync(path.join(shipped, name), path.join(cache, "mammoth", name));
  }
  fetchSource("pandoc", path.join(cache, "pandoc"));
  writeFileSync(done, "");
}
console.log(cache);

/** Downloads a Debian source package and unpacks its .docx files, names made unique. */
function fetchSource(name, folder) {
  const work = path.join(root, ".cache", "source");
  rmSync(work, { recursive: true, force: true });
  mkdirSync(path.join(work, "lists", "partial"), { recursive: true });
  const run = (command, args, options = {}) =>
    execFileSync(command, args, { stdio: ["ignore", "pipe", "pipe"], ...options }).toString();
  const list = ["/etc/apt/sources.list.d/debian.sources", "/etc/apt/sources.list"].find(existsSync);
  if (!list) throw new Error("no Debian sources list");
  const sources = path.join(work, list.endsWith(".sources") ? "source.sources" : "source.list");
  const text = run("sed", ["-E", "s/^Types: .*/Types: deb-src/; s/^deb /deb-src /", list]);
  writeFileSync(sources, text);
  const apt = [
    ["Dir::Etc::sourcelist", sources],
    ["Dir::Etc::sourceparts", "/dev/null"],
    ["Dir::State::lists", path.join(work, "lists")],
  ].flatMap(([key, value]) => ["-o", `${key}=${value}`]);
  run("apt-get", [...apt, "update", "-qq"]);
  run("apt-get", [...apt, "source", "--download-only", name], { cwd: work });
  const archive = readdirSync(work).find((file) => /\.orig\.tar\./.test(file));
  if (!archive) throw new Error(`no source archive for ${name}`);
  const members = run("tar", ["tf", path.join(work, archive)]).split("\n");
  const wanted = members.filter((member) => member.endsWith(".docx"));
  run("tar", ["xf", path.join(work, archive), "-C", work, ...wanted]);
  for (const member of wanted) {
    cpSync(path.join(work, member), path.join(folder, member.split("/").slice(1).join("-")));
  }
  rmSync(work, { recursive: true, force: true });
}
