import type { Edit } from "../manuscript/model.ts";
import { FormatProblem } from "./problem.ts";

/**
 * The text of a plain file, its line ends made "\n" for reading and given back as they were for
 * writing, and its encoding: UTF-8, UTF-16 with a byte order mark, or Windows-1252.
 */
export interface TextSource {
  text: string;
  encoding: "utf-8" | "utf-16le" | "utf-16be" | "windows-1252";
  byteOrderMark: boolean;
  /** The string as decoded, with its own line ends, without the byte order mark. */
  raw: string;
  /** Positions in `text` of the line ends that were "\r\n" in `raw`. */
  pairs: number[];
  /** What a new line break becomes. */
  lineEnd: string;
}

/** Decodes a file. Throws FormatProblem "not-text" for binary contents. */
export function decodeText(bytes: Uint8Array): TextSource {
  const { raw, encoding, byteOrderMark } = decodeBytes(bytes);
  // biome-ignore lint/suspicious/noControlCharactersInRegex: they tell binary data from text
  const controls = raw.match(/[\u0000-\u0008\u000e-\u001a\u001c-\u001f]/g)?.length ?? 0;
  if (controls > 0 && (raw.includes("\0") || controls > raw.length / 200)) {
    throw new FormatProblem(
      "not-text",
      "This file holds binary data, not text. Check that it is the file you meant.",
    );
  }
  const pairs: number[] = [];
  let text = "";
  let position = 0;
  for (const match of raw.matchAll(/\r\n?/g)) {
    text += raw.slice(position, match.index);
    if (match[0].length === 2) pairs.push(text.length);
    text += "\n";
    position = match.index + match[0].length;
  }
  text += raw.slice(position);
  const lineEnd = pairs.length > 0 ? "\r\n" : raw.includes("\r") ? "\r" : "\n";
  return { text, encoding, byteOrderMark, raw, pairs, lineEnd };
}

function decodeBytes(bytes: Uint8Array): Pick<TextSource, "raw" | "encoding" | "byteOrderMark"> {
  const decode = (encoding: "utf-8" | "utf-16le" | "utf-16be", skip: number) =>
    new TextDecoder(encoding, { fatal: true, ignoreBOM: true }).decode(bytes.subarray(skip));
  try {
    if (bytes[0] === 0xff && bytes[1] === 0xfe) {
      return { raw: decode("utf-16le", 2), encoding: "utf-16le", byteOrderMark: true };
    }
    if (bytes[0] === 0xfe && bytes[1] === 0xff) {
      return { raw: decode("utf-16be", 2), encoding: "utf-16be", byteOrderMark: true };
    }
    if (bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf) {
      return { raw: decode("utf-8", 3), encoding: "utf-8", byteOrderMark: true };
    }
    return { raw: decode("utf-8", 0), encoding: "utf-8", byteOrderMark: false };
  } catch {
    return {
      raw: Array.from(bytes, (byte) => HIGH_CONTROLS.get(byte) ?? String.fromCharCode(byte)).join(
        "",
      ),
      encoding: "windows-1252",
      byteOrderMark: false,
    };
  }
}

/** The file with edits made; positions refer to `source.text`. */
export function encodeText(source: TextSource, edits: readonly Edit[]): Uint8Array {
  let out = "";
  let position = 0;
  for (const { from, to, insert } of edits) {
    out += source.raw.slice(position, rawOffset(source, from));
    out += insert.replace(/\n/g, source.lineEnd);
    position = rawOffset(source, to);
  }
  return encodeString(out + source.raw.slice(position), source);
}

/** Whether the file's encoding can hold the text. */
export function canEncode(source: TextSource, text: string): boolean {
  if (source.encoding !== "windows-1252") return true;
  return [...text].every((character) => windows1252(character) !== undefined);
}

function rawOffset(source: TextSource, position: number): number {
  let low = 0;
  let high = source.pairs.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((source.pairs[middle] ?? 0) < position) low = middle + 1;
    else high = middle;
  }
  return position + low;
}

function encodeString(text: string, source: TextSource): Uint8Array {
  switch (source.encoding) {
    case "utf-8": {
      const body = new TextEncoder().encode(text);
      return source.byteOrderMark ? concat(Uint8Array.of(0xef, 0xbb, 0xbf), body) : body;
    }
    case "windows-1252":
      return Uint8Array.from(text, (character) => windows1252(character) ?? 0x3f);
    default: {
      const bytes = new Uint8Array(2 + text.length * 2);
      const view = new DataView(bytes.buffer);
      const little = source.encoding === "utf-16le";
      view.setUint16(0, 0xfeff, little);
      for (let i = 0; i < text.length; i++) view.setUint16(2 + i * 2, text.charCodeAt(i), little);
      return bytes;
    }
  }
}

function concat(head: Uint8Array, tail: Uint8Array): Uint8Array {
  const joined = new Uint8Array(head.length + tail.length);
  joined.set(head);
  joined.set(tail, head.length);
  return joined;
}

/**
 * Windows-1252 differs from Latin-1 in bytes 0x80 to 0x9F (WHATWG Encoding Standard, index
 * windows-1252). It is spelled out because not every runtime's decoder knows the difference.
 */
const HIGH_CONTROLS = new Map(
  [..."€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ"].map((character, index) => [
    0x80 + index,
    character,
  ]),
);
const HIGH_BYTES = new Map([...HIGH_CONTROLS].map(([byte, character]) => [character, byte]));

function windows1252(character: string): number | undefined {
  const code = character.codePointAt(0) ?? 0;
  return (
    HIGH_BYTES.get(character) ?? (code < 0x80 || (code >= 0xa0 && code < 0x100) ? code : undefined)
  );
}
