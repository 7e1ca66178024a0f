import assert from "node:assert/strict";
import { readdirSync, readFileSync, statSync } from "node:fs";
import path from "node:path";
import { test } from "node:test";
import { CARDS } from "../src/core/checks/cards.ts";
import { CHECKS } from "../src/core/checks/index.ts";

const source = path.resolve(import.meta.dirname, "../src");

/** Layers from the lowest: each may import itself and what stands below it. */
const LAYERS = [
  "core/manuscript",
  "core/readings|core/ledger|core/house",
  "core/language|core/formats",
  "core/citations",
  "core/originality",
  "core/checks",
  "core/engine|core/backup|core/gathered|core/carry|core/cleanup",
  "core/report",
  "worker|store|command|server",
  "ui",
  "layouts|pages",
];

/** Inside core, what may import sideways and upwards beyond the layers' order. */
const ALSO_ALLOWED = [/^core\/(?:readings|house) -> core\/(?:language|formats)$/];

/** Packages that only the interface may use. */
const SCREEN_PACKAGES =
  /^(?:react|react-dom|radix-ui|lucide-react|@codemirror\/|localforage|comlink)/;

function filesIn(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const file = path.join(folder, name);
    return statSync(file).isDirectory() ? filesIn(file) : [file];
  });
}

function imports(file: string): string[] {
  const text = readFileSync(file, "utf8");
  return [...text.matchAll(/(?:^|\n)(?:import|export)[^"';]*?["']([^"']+)["']/g)].map(
    (m) => m[1] ?? "",
  );
}

function layerOf(file: string): { index: number; name: string } | null {
  const relative = path.relative(source, file);
  for (const [index, layer] of LAYERS.entries()) {
    const name = layer.split("|").find((one) => relative === one || relative.startsWith(`${one}/`));
    if (name) return { index, name };
  }
  return null;
}

test("imports run downward", () => {
  const wrong: string[] = [];
  for (const file of filesIn(source).filter((name) => /\.(?:tsx?|astro)$/.test(name))) {
    const from = layerOf(file);
    for (const target of imports(file)) {
      if (!target.startsWith(".")) continue;
      const to = layerOf(path.resolve(path.dirname(file), target.replace(/\?.*$/, "")));
      if (!from || !to) continue;
      const line = `${from.name} -> ${to.name}`;
      if (to.index > from.index && !ALSO_ALLOWED.some((one) => one.test(line))) {
        wrong.push(`${path.relative(source, file)} imports ${target}`);
      }
    }
  }
  assert.deepEqual(wrong, []);
});

test("the core imports no interface package and names no DOM global", () => {
  const wrong: string[] = [];
  for (const file of filesIn(path.join(source, "core"))) {
    for (const target of imports(file))
      if (SCREEN_PACKAGES.test(target)) wrong.push(`${file}: ${target}`);
    if (
      /\b(?:document|window|navigator)\.\w/.test(
        readFileSync(file, "utf8").replace(/^\s*\*.*$/gm, ""),
      )
    ) {
      wrong.push(`${file}: DOM`);
    }
  }
  assert.deepEqual(wrong, []);
});

test("every file in core stays under 500 lines", () => {
  const long = filesIn(path.join(source, "core"))
    .map((file) => ({ file, lines: readFileSync(file, "utf8").split("\n").length }))
    .filter(({ file, lines }) => lines > 500 && !file.endsWith("read-part.ts"));
  assert.deepEqual(long, []);
});

test("a check's file is found by its id, and its card in that file's folder", () => {
  const files = filesIn(path.join(source, "core/checks"));
  for (const { id, pass } of CHECKS) {
    const name = `${id.slice(pass.length + 1)}.ts`;
    const own = files.filter(
      (file) => path.basename(file) === name && file.includes(`${path.sep}${pass}${path.sep}`),
    );
    assert.equal(own.length, 1, `${id}: ${own}`);
    const cards = readFileSync(path.join(path.dirname(own[0] ?? ""), "cards.ts"), "utf8");
    assert.ok(cards.includes(`id: "${id}"`), `${id} has no card in its folder`);
  }
});

test("the list of cards and the list of checks are one", () => {
  assert.deepEqual(
    CARDS.map(({ id }) => id),
    CHECKS.map(({ id }) => id),
  );
});

test("the interface loads cards, and no check's logic", () => {
  const wrong: string[] = [];
  const allowed = /core\/checks\/(?:card|cards|check|kinds|leave)\.ts$/;
  for (const folder of ["ui", "store", "layouts", "pages"]) {
    for (const file of filesIn(path.join(source, folder))) {
      for (const target of imports(file)) {
        if (target.includes("core/checks/") && !allowed.test(target))
          wrong.push(`${path.relative(source, file)} imports ${target}`);
      }
    }
  }
  assert.deepEqual(wrong, []);
});

test("no files import each other in a circle, be it for types", () => {
  const files = filesIn(source).filter((name) => /\.tsx?$/.test(name));
  const targets = new Map(
    files.map((file) => [
      file,
      imports(file)
        .filter((target) => target.startsWith("."))
        .map((target) => path.resolve(path.dirname(file), target.replace(/\?.*$/, ""))),
    ]),
  );
  const done = new Set<string>();
  const circles: string[] = [];
  const visit = (file: string, above: readonly string[]) => {
    if (above.includes(file)) {
      const circle = [...above.slice(above.indexOf(file)), file];
      circles.push(circle.map((one) => path.relative(source, one)).join(" > "));
      return;
    }
    if (done.has(file)) return;
    done.add(file);
    for (const target of targets.get(file) ?? []) visit(target, [...above, file]);
  };
  for (const file of files) visit(file, []);
  assert.deepEqual(circles, []);
});
