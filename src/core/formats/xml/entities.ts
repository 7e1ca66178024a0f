import { FormatProblem } from "../problem.ts";

/** Character data and references of XML 1.0 (W3C Recommendation, fifth edition), with offsets. */

const PREDEFINED = new Map([
  ["lt", "<"],
  ["gt", ">"],
  ["amp", "&"],
  ["quot", '"'],
  ["apos", "'"],
]);

function resolve(name: string): string {
  if (name.startsWith("#")) {
    const hexadecimal = name[1] === "x" || name[1] === "X";
    const code = Number.parseInt(name.slice(hexadecimal ? 2 : 1), hexadecimal ? 16 : 10);
    if (code > 0 && code <= 0x10ffff && (code < 0xd800 || code > 0xdfff)) {
      return String.fromCodePoint(code);
    }
  }
  const character = PREDEFINED.get(name);
  if (character === undefined) {
    throw new FormatProblem(
      "damaged",
      "This file contains a character reference that XML does not know. Save it again in the program it came from.",
    );
  }
  return character;
}

/** A reference is never longer: a run of ampersands is not looked through to its end from each. */
const LONGEST_REFERENCE = 32;
const REFERENCE = /&([^;&]{1,32});/g;

/** Text of an attribute value or of element content, references resolved. */
export function decode(raw: string): string {
  return raw.includes("&") ? raw.replace(REFERENCE, (_, name: string) => resolve(name)) : raw;
}

export interface DecodedText {
  text: string;
  /** Source offset of each UTF-16 unit and of the end; null when it is `from` plus the index. */
  offsets: Uint32Array | null;
}

/**
 * Decodes source[from, to) and remembers where each character came from. Line ends are one character
 * each (XML 1.0, 2.11); comments and processing instructions among the text are passed over.
 */
export function decodeWithOffsets(source: string, from: number, to: number): DecodedText {
  const raw = source.slice(from, to);
  if (!/[&\r<]/.test(raw)) return { text: raw, offsets: null };
  let text = "";
  const offsets: number[] = [];
  let position = from;
  while (position < to) {
    const character = source[position];
    if (character === "&") {
      const end = source.slice(position, Math.min(to, position + LONGEST_REFERENCE)).indexOf(";");
      if (end < 0) throw damagedReference();
      const resolved = resolve(source.slice(position + 1, position + end));
      for (let unit = 0; unit < resolved.length; unit++) offsets.push(position);
      text += resolved;
      position += end + 1;
    } else if (character === "<") {
      const ends = source[position + 1] === "?" ? "?>" : "-->";
      const end = source.indexOf(ends, position);
      position = end < 0 ? to : end + ends.length;
    } else if (character === "\r") {
      offsets.push(position);
      text += "\n";
      position += source[position + 1] === "\n" && position + 1 < to ? 2 : 1;
    } else {
      offsets.push(position);
      text += character;
      position++;
    }
  }
  offsets.push(to);
  return { text, offsets: Uint32Array.from(offsets) };
}

function damagedReference(): FormatProblem {
  return new FormatProblem(
    "damaged",
    "This file contains an unfinished character reference. Save it again in the program it came from.",
  );
}

/** Text as XML element content. */
export function escapeText(text: string): string {
  return text.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;");
}

/** Text as the inside of a double-quoted XML attribute. */
export function escapeAttribute(text: string): string {
  return escapeText(text).replace(/"/g, "&quot;");
}

/**
 * A source with its CDATA sections written as escaped text, which says the same (XML 1.0, 2.7): what
 * reads and writes the text then knows one form only.
 */
export function withoutCdata(source: string): string {
  if (!source.includes("<![CDATA[")) return source;
  let out = "";
  let position = 0;
  for (;;) {
    const open = source.indexOf("<!", position);
    if (open < 0) return out + source.slice(position);
    const cdata = source.startsWith("<![CDATA[", open);
    const ends = cdata ? "]]>" : source.startsWith("<!--", open) ? "-->" : ">";
    const end = source.indexOf(ends, open + 2);
    if (end < 0) return out + source.slice(position);
    out += source.slice(position, open);
    out += cdata
      ? escapeText(source.slice(open + "<![CDATA[".length, end))
      : source.slice(open, end + ends.length);
    position = end + ends.length;
  }
}
