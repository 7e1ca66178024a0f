import { FormatProblem } from "../problem.ts";
import { decode } from "./entities.ts";

/**
 * A reader of XML that keeps the source string and reports where things stand in it. It builds no
 * tree and changes nothing, so a caller can splice the source and leave every other byte alone.
 */
export interface XmlHandler {
  /**
   * A start tag source[from, to). `name` is prefix and local name with the prefix that `NAMESPACES`
   * gives the namespace, whatever prefix the file uses; `tag` is the name as written.
   */
  open(name: string, tag: string, from: number, to: number, selfClosing: boolean): void;
  /** An end tag source[from, to); for a self-closing element from = to = the tag's end. */
  close(name: string, tag: string, from: number, to: number): void;
}

/** Prefixes by namespace, ISO/IEC 29500 transitional and strict. */
const NAMESPACES = new Map([
  ["http://schemas.openxmlformats.org/wordprocessingml/2006/main", "w"],
  ["http://purl.oclc.org/ooxml/wordprocessingml/main", "w"],
  ["http://schemas.openxmlformats.org/spreadsheetml/2006/main", "x"],
  ["http://purl.oclc.org/ooxml/spreadsheetml/main", "x"],
  ["http://schemas.openxmlformats.org/markup-compatibility/2006", "mc"],
  ["http://schemas.openxmlformats.org/officeDocument/2006/math", "m"],
  ["http://purl.oclc.org/ooxml/officeDocument/math", "m"],
  ["http://schemas.openxmlformats.org/package/2006/relationships", "rel"],
  ["http://schemas.openxmlformats.org/package/2006/content-types", "ct"],
]);

/** Deeper than any real document; a file beyond it is made to exhaust the reader. */
const MAX_DEPTH = 512;
/** A 100,000-word document has about a million tags. */
const MAX_TAGS = 8_000_000;

interface Scope {
  depth: number;
  /** Those declared here; the others are the parent's. */
  prefixes: Map<string, string>;
  names: Map<string, string>;
  parent: Scope | null;
}

/**
 * Reads a whole document. Throws FormatProblem "damaged" where it is not well formed and "hostile"
 * for a document type declaration or nesting beyond MAX_DEPTH.
 */
export function scanXml(source: string, handler: XmlHandler): void {
  const length = source.length;
  let position = source.charCodeAt(0) === 0xfeff ? 1 : 0;
  let tags = 0;
  const stack: string[] = [];
  let scope: Scope = {
    depth: -1,
    prefixes: new Map([["xml", "xml"]]),
    names: new Map(),
    parent: null,
  };
  const nameOf = (tag: string): string => {
    const known = scope.names.get(tag);
    if (known !== undefined) return known;
    const colon = tag.indexOf(":");
    const prefix = colon < 0 ? "" : tag.slice(0, colon);
    const canonical = prefixIn(scope, prefix);
    if (canonical === undefined && prefix) throw damaged();
    const name = `${canonical ?? ""}:${tag.slice(colon + 1)}`;
    scope.names.set(tag, name);
    return name;
  };
  const leaveScope = () => {
    if (scope.depth === stack.length && scope.parent) scope = scope.parent;
  };
  while (position < length) {
    const open = source.indexOf("<", position);
    if (open < 0) break;
    if (++tags > MAX_TAGS) throw hostile();
    const next = source.charCodeAt(open + 1);
    if (next === 0x2f) {
      const end = find(source, ">", open);
      let nameEnd = end;
      while (source.charCodeAt(nameEnd - 1) <= 32) nameEnd--;
      const tag = source.slice(open + 2, nameEnd);
      if (stack.pop() !== tag) throw damaged();
      handler.close(nameOf(tag), tag, open, end + 1);
      leaveScope();
      position = end + 1;
    } else if (next === 0x21) {
      if (source.startsWith("<!--", open)) position = find(source, "-->", open + 4) + 3;
      else if (source.startsWith("<![CDATA[", open)) position = find(source, "]]>", open) + 3;
      else throw hostile();
    } else if (next === 0x3f) {
      position = find(source, "?>", open) + 2;
    } else {
      const tag = readName(source, open + 1);
      const end = tagEnd(source, open + 1 + tag.length);
      const selfClosing = source.charCodeAt(end - 1) === 0x2f;
      const attributes = source.slice(open + 1 + tag.length, end);
      if (attributes.includes("xmlns")) scope = nestedScope(scope, stack.length, attributes);
      const name = nameOf(tag);
      handler.open(name, tag, open, end + 1, selfClosing);
      if (selfClosing) {
        handler.close(name, tag, end + 1, end + 1);
        leaveScope();
      } else {
        stack.push(tag);
        if (stack.length > MAX_DEPTH) throw hostile();
      }
      position = end + 1;
    }
  }
  if (stack.length > 0) throw damaged();
}

const NAMESPACE_DECLARATION = /\sxmlns(?::([^\s=]+))?\s*=\s*(?:"([^"]*)"|'([^']*)')/g;

function prefixIn(scope: Scope, prefix: string): string | undefined {
  for (let at: Scope | null = scope; at; at = at.parent) {
    const canonical = at.prefixes.get(prefix);
    if (canonical !== undefined) return canonical;
  }
  return undefined;
}

function nestedScope(parent: Scope, depth: number, attributes: string): Scope {
  const prefixes = new Map<string, string>();
  for (const match of attributes.matchAll(NAMESPACE_DECLARATION)) {
    const uri = match[2] ?? match[3] ?? "";
    prefixes.set(match[1] ?? "", NAMESPACES.get(uri) ?? `{${uri}}`);
  }
  return { depth, prefixes, names: new Map(), parent };
}

function readName(source: string, from: number): string {
  let end = from;
  for (let code = source.charCodeAt(end); code > 32 && code !== 0x3e && code !== 0x2f; ) {
    code = source.charCodeAt(++end);
  }
  if (end === from) throw damaged();
  return source.slice(from, end);
}

/** Position of the ">" that ends a tag; quoted attribute values may contain one. */
function tagEnd(source: string, from: number): number {
  let position = from;
  for (;;) {
    const code = source.charCodeAt(position);
    if (code === 0x3e) return position;
    if (code === 0x22) position = find(source, '"', position + 1);
    else if (code === 0x27) position = find(source, "'", position + 1);
    else if (code === 0x3c || Number.isNaN(code)) throw damaged();
    position++;
  }
}

function find(source: string, what: string, from: number): number {
  const at = source.indexOf(what, from);
  if (at < 0) throw damaged();
  return at;
}

const ATTRIBUTES = new Map<string, RegExp>();

/** Value of an attribute by local name, from the start tag source[from, to); undefined if absent. */
export function attribute(
  source: string,
  from: number,
  to: number,
  local: string,
): string | undefined {
  const tag = source.slice(from, to);
  if (!tag.includes(local)) return undefined;
  let pattern = ATTRIBUTES.get(local);
  if (!pattern) {
    pattern = new RegExp(`\\s(?:[^\\s=:"']+:)?${local}\\s*=\\s*(?:"([^"]*)"|'([^']*)')`);
    ATTRIBUTES.set(local, pattern);
  }
  const match = pattern.exec(tag);
  return match ? decode(match[1] ?? match[2] ?? "") : undefined;
}

function damaged(): FormatProblem {
  return new FormatProblem(
    "damaged",
    "A part of this file is not well-formed XML. Open it in the program it came from and save it again.",
  );
}

function hostile(): FormatProblem {
  return new FormatProblem(
    "hostile",
    "This file carries declarations or nesting that no document needs, so it was not read.",
  );
}
