// Installs what is missing, and nothing else: the packages of package-lock.json, and for the tests
// Debian's Chromium.
import { execFileSync } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import path from "node:path";

const root = path.resolve(import.meta.dirname, "..");

/** Whether every package of these sections of package.json is installed in its version. */
function isInstalled(sections) {
  const { [sections[0]]: first, [sections[1] ?? ""]: second } = JSON.parse(
    readFileSync(path.join(root, "package.json"), "utf8"),
  );
  return Object.entries({ ...first, ...second }).every(([name, version]) => {
    const file = path.join(root, "node_modules", name, "package.json");
    return existsSync(file) && JSON.parse(readFileSync(file, "utf8")).version === version;
  });
}

function npm(args) {
  console.log(`npm ${args.join(" ")}`);
  execFileSync("npm", args, { cwd: root, stdio: "inherit" });
}

/** The packages the application needs to build and run. */
export function installForRunning() {
  if (!isInstalled(["dependencies"])) npm(["ci", "--omit=dev", "--no-audit", "--no-fund"]);
}

/** The packages the tests need as well, and a browser. */
export function installForTesting() {
  if (!isInstalled(["dependencies", "devDependencies"])) npm(["ci", "--no-audit", "--no-fund"]);
  if (!existsSync("/usr/bin/chromium")) apt(["chromium"]);
  if (!existsSync("/usr/share/unicode/auxiliary/SentenceBreakTest.txt")) apt(["unicode-data"]);
  if (!existsSync("/usr/bin/hunspell") || !existsSync("/usr/share/dict/ngerman")) {
    apt(["hunspell", "wngerman"]);
  }
}

function apt(packages) {
  const options = ["-y", "--no-install-recommends", "-o", "DPkg::Lock::Timeout=300"];
  console.log(`apt-get install ${packages.join(" ")}`);
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  execFileSync("apt-get", ["update", "-qq"], { stdio: "inherit", env });
  execFileSync("apt-get", ["install", ...options, ...packages], {
    stdio: ["ignore", "ignore", "inherit"],
    env,
  });
}
