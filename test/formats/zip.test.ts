import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { crc32 as zlibCrc } from "node:zlib";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { openArchive } from "../../src/core/formats/zip/archive.ts";
import { crc32 } from "../../src/core/formats/zip/crc.ts";
import { patchArchive } from "../../src/core/formats/zip/patch.ts";
import { realDocuments } from "../support/fixtures.ts";

const stored = zipSync(
  { "a.txt": strToU8("tide"), "folder/b.xml": strToU8("<b/>".repeat(100)), "c.txt": strToU8("") },
  { level: 6 },
);

describe("an archive", () => {
  test("unpacks every entry of real files to what fflate unpacks", () => {
    let entries = 0;
    for (const { name, bytes } of realDocuments()) {
      const theirs = unzipSync(bytes);
      const archive = openArchive(bytes);
      for (const entry of archive.entries) {
        if (entry.name.endsWith("/")) continue;
        assert.deepEqual(archive.read(entry.name), theirs[entry.name], `${name}: ${entry.name}`);
        entries++;
      }
    }
    assert.ok(entries > 1000, `${entries} entries`);
  });

  test("is found in whatever letter case it is asked for", () => {
    const archive = openArchive(stored);
    assert.equal(archive.find("FOLDER/B.XML")?.name, "folder/b.xml");
    assert.equal(archive.read("none"), undefined);
  });

  test("with nothing changed is the same bytes", () => {
    assert.equal(patchArchive(openArchive(stored), new Map()), stored);
  });

  test("with one entry changed keeps the records of the others, and fflate reads it", () => {
    const archive = openArchive(stored);
    const patched = patchArchive(archive, new Map([["a.txt", strToU8("ebb and flow")]]));
    const files = unzipSync(patched);
    assert.equal(strFromU8(files["a.txt"] ?? new Uint8Array()), "ebb and flow");
    const again = openArchive(patched);
    for (const name of ["folder/b.xml", "c.txt"]) {
      const [before, after] = [archive.find(name), again.find(name)];
      assert.ok(before && after);
      assert.deepEqual(
        patched.subarray(after.recordFrom, after.recordTo),
        stored.subarray(before.recordFrom, before.recordTo),
      );
    }
  });

  test("takes new entries, with names beyond ASCII", () => {
    const patched = patchArchive(openArchive(stored), new Map([["wörter/é.xml", strToU8("<x/>")]]));
    assert.equal(strFromU8(unzipSync(patched)["wörter/é.xml"] ?? new Uint8Array()), "<x/>");
    assert.equal(openArchive(patched).entries.length, 4);
  });

  test("keeps what stands before it and its comment", () => {
    const comment = strToU8("kept");
    const commented = new Uint8Array(stored.length + comment.length);
    commented.set(stored);
    commented.set(comment, stored.length);
    new DataView(commented.buffer).setUint16(stored.length - 2, comment.length, true);
    const patched = patchArchive(openArchive(commented), new Map([["a.txt", strToU8("x")]]));
    assert.equal(strFromU8(patched.subarray(-4)), "kept");
    assert.equal(strFromU8(openArchive(patched).read("a.txt") ?? new Uint8Array()), "x");
  });

  test("patched twice is as good as patched once with both", () => {
    const once = patchArchive(
      openArchive(stored),
      new Map([
        ["a.txt", strToU8("1")],
        ["c.txt", strToU8("2")],
      ]),
    );
    const first = patchArchive(openArchive(stored), new Map([["a.txt", strToU8("1")]]));
    const twice = patchArchive(openArchive(first), new Map([["c.txt", strToU8("2")]]));
    assert.deepEqual(unzipSync(once), unzipSync(twice));
  });
});

test("the checksum is the one of zlib, and of the published check value", () => {
  assert.equal(crc32(strToU8("123456789")), 0xcbf43926);
  if (typeof zlibCrc === "function") {
    for (const text of ["", "tide", "\u00e9".repeat(1000)]) {
      assert.equal(crc32(strToU8(text)), zlibCrc(text));
    }
  }
});
