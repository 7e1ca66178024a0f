import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { XMLValidator } from "fast-xml-parser";
import { FormatProblem } from "../../src/core/formats/problem.ts";
import {
  decode,
  decodeWithOffsets,
  escapeAttribute,
  escapeText,
} from "../../src/core/formats/xml/entities.ts";
import { attribute, scanXml } from "../../src/core/formats/xml/scan.ts";
import { openArchive } from "../../src/core/formats/zip/archive.ts";
import { realDocuments } from "../support/fixtures.ts";

const W = 'xmlns:q="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';

function events(source: string): string[] {
  const found: string[] = [];
  scanXml(source, {
    open: (name, tag, from, to, selfClosing) =>
      found.push(
        `${name}${selfClosing ? "/" : ""}=${source.slice(from, to).slice(0, tag.length + 1)}`,
      ),
    close: (name) => found.push(`/${name}`),
  });
  return found;
}

describe("the scanner", () => {
  test("names elements by namespace, whatever prefix the file uses", () => {
    assert.deepEqual(events(`<q:p ${W}><q:r/></q:p>`), ["w:p=<q:p", "w:r/=<q:r", "/w:r", "/w:p"]);
    const byDefault = '<p xmlns="http://purl.oclc.org/ooxml/wordprocessingml/main"><r/></p>';
    assert.deepEqual(events(byDefault), ["w:p=<p", "w:r/=<r", "/w:r", "/w:p"]);
  });

  test("ends a namespace with the element that declares it", () => {
    const source = '<a><b xmlns="urn:one"><c/></b><c/></a>';
    assert.deepEqual(
      events(source).filter((one) => one.includes("c/")),
      ["{urn:one}:c/=<c", ":c/=<c"],
    );
  });

  test("passes over comments, instructions and character data, and '>' in attributes", () => {
    const source = '<?xml version="1.0"?><!-- <x> --><a b="1 > 0" c=\'"\'><![CDATA[<y>]]></a>';
    assert.deepEqual(events(source), [":a=<a", "/:a"]);
  });

  test("refuses what is not well formed", () => {
    for (const source of [
      "<a>",
      "<a></b>",
      "<a",
      "</a>",
      "<a b='1></a>",
      "<x:a/>",
      "<a><!-- </a>",
      "< a/>",
    ]) {
      assert.throws(() => scanXml(source, { open() {}, close() {} }), FormatProblem, source);
    }
  });

  test("reads every XML part of the real files that fast-xml-parser finds well formed", () => {
    let parts = 0;
    for (const { name, bytes } of realDocuments()) {
      const archive = openArchive(bytes);
      for (const entry of archive.entries) {
        if (!/\.(?:xml|rels)$/.test(entry.name)) continue;
        const source = new TextDecoder().decode(archive.read(entry.name));
        const valid = XMLValidator.validate(source) === true;
        const scan = () => scanXml(source, { open() {}, close() {} });
        if (valid) assert.doesNotThrow(scan, `${name}: ${entry.name}`);
        parts++;
      }
    }
    assert.ok(parts > 800, `${parts} parts`);
  });
});

describe("attributes and references", () => {
  test("an attribute is found by its local name, decoded", () => {
    const tag = `<q:p q:val="a &amp; b" other='x'>`;
    assert.equal(attribute(tag, 0, tag.length, "val"), "a & b");
    assert.equal(attribute(tag, 0, tag.length, "other"), "x");
    assert.equal(attribute(tag, 0, tag.length, "al"), undefined);
  });

  test("references are resolved, and unknown ones refused", () => {
    assert.equal(decode("&lt;&gt;&amp;&quot;&apos;&#65;&#x1F600;"), `<>&"'A😀`);
    for (const wrong of ["&nbsp;", "&#0;", "&#xD800;", "&#x110000;"]) {
      assert.throws(() => decode(wrong), FormatProblem, wrong);
    }
  });

  test("each decoded character knows where it came from", () => {
    const source = "x&amp;y&#x1F600;\r\nz";
    const { text, offsets } = decodeWithOffsets(source, 0, source.length);
    assert.equal(text, "x&y😀\nz");
    assert.deepEqual([...(offsets ?? [])], [0, 1, 6, 7, 7, 16, 18, 19]);
    assert.equal(decodeWithOffsets("plain", 0, 5).offsets, null);
  });

  test("escaped text decodes to itself", () => {
    const text = `a < b & "c" > 'd'`;
    assert.equal(decode(escapeText(text)), text);
    assert.equal(decode(escapeAttribute(text)), text);
    assert.equal(escapeAttribute('"').includes('"'), false);
  });
});
