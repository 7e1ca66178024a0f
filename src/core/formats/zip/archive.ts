import { Inflate } from "fflate";
import { FormatProblem } from "../problem.ts";
import { crc32 } from "./crc.ts";

/**
 * Reading a zip archive (PKWARE APPNOTE 6.3) that nobody vouches for: its directory is checked
 * before anything is unpacked, and unpacking stops at the sizes the directory promised.
 */
export interface Entry {
  name: string;
  method: number;
  flags: number;
  crc: number;
  compressedSize: number;
  size: number;
  /** Where the local record starts, where its data starts, and where the next record starts. */
  recordFrom: number;
  dataFrom: number;
  recordTo: number;
  /** The entry in the central directory. */
  directoryFrom: number;
  directoryTo: number;
}

export interface Archive {
  bytes: Uint8Array;
  entries: Entry[];
  /** Start of the end-of-central-directory record. */
  endFrom: number;
  /** Unpacks an entry by name, letter case aside; undefined when there is none. */
  read(name: string): Uint8Array | undefined;
  /** The entry's name as the archive writes it. */
  find(name: string): Entry | undefined;
}

export const ZIP_LIMITS = {
  entries: 5000,
  entryBytes: 256_000_000,
  totalBytes: 512_000_000,
  /** Compressed bytes handed to the inflater at a time, so that a bomb is noticed early. */
  feedBytes: 8192,
};

const LOCAL = 0x04034b50;
const DIRECTORY = 0x02014b50;
const END = 0x06054b50;
const END_LENGTH = 22;

/** Throws FormatProblem: "encrypted" or "old-format", "not-zip", "damaged", "hostile", "too-large". */
export function openArchive(bytes: Uint8Array): Archive {
  refuseCompoundFile(bytes);
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const endFrom = findEnd(view);
  const entries = readDirectory(bytes, view, endFrom);
  const byName = new Map(entries.map((entry) => [entry.name.toLowerCase(), entry]));
  const find = (name: string) => byName.get(name.toLowerCase());
  let total = 0;
  const read = (name: string) => {
    const entry = find(name);
    if (!entry) return undefined;
    total += entry.size;
    if (total > ZIP_LIMITS.totalBytes) throw tooLarge();
    return unpack(bytes, entry);
  };
  return { bytes, entries, endFrom, read, find };
}

function refuseCompoundFile(bytes: Uint8Array): void {
  if (bytes[0] !== 0xd0 || bytes[1] !== 0xcf || bytes[2] !== 0x11 || bytes[3] !== 0xe0) return;
  const names = new TextDecoder("utf-16le").decode(bytes.subarray(0, 1 << 20).slice());
  if (names.includes("EncryptedPackage") || names.includes("EncryptionInfo")) {
    throw new FormatProblem(
      "encrypted",
      "This document is locked with a password. Open it where it was made, save it without the password, then open that copy here.",
    );
  }
  throw new FormatProblem(
    "old-format",
    "This is a document in the old binary format. Save it as .docx in the program it came from, then open that copy here.",
  );
}

function findEnd(view: DataView): number {
  const lowest = Math.max(0, view.byteLength - END_LENGTH - 0xffff);
  for (let at = view.byteLength - END_LENGTH; at >= lowest; at--) {
    if (view.getUint32(at, true) === END) return at;
  }
  const startsLikeZip = view.byteLength > 4 && view.getUint32(0, true) === LOCAL;
  throw startsLikeZip
    ? new FormatProblem(
        "damaged",
        "The end of this file is missing, as after an interrupted download. Fetch or save it again.",
      )
    : new FormatProblem(
        "not-zip",
        "This file has the name of a .docx but not its contents. Check that it is the file you meant.",
      );
}

function readDirectory(bytes: Uint8Array, view: DataView, endFrom: number): Entry[] {
  const count = view.getUint16(endFrom + 10, true);
  const size = view.getUint32(endFrom + 12, true);
  const start = view.getUint32(endFrom + 16, true);
  if (count === 0xffff || start === 0xffffffff) throw tooLarge();
  if (count > ZIP_LIMITS.entries) throw hostile();
  if (start + size > endFrom) throw damaged();
  const entries: Entry[] = [];
  const names = new Set<string>();
  let at = start;
  for (let index = 0; index < count; index++) {
    if (at + 46 > endFrom || view.getUint32(at, true) !== DIRECTORY) throw damaged();
    const entry = readEntry(bytes, view, at);
    const key = entry.name.toLowerCase();
    if (names.has(key) || entry.name.split("/").includes("..")) throw hostile();
    names.add(key);
    entries.push(entry);
    at = entry.directoryTo;
  }
  const ordered = [...entries].sort((a, b) => a.recordFrom - b.recordFrom);
  for (const [index, entry] of ordered.entries()) {
    entry.recordTo = ordered[index + 1]?.recordFrom ?? start;
    if (entry.dataFrom + entry.compressedSize > entry.recordTo) throw hostile();
  }
  return entries;
}

function readEntry(bytes: Uint8Array, view: DataView, at: number): Entry {
  const flags = view.getUint16(at + 8, true);
  if (flags & 1) {
    throw new FormatProblem(
      "encrypted",
      "This file is locked with a password. Save it without the password, then open that copy here.",
    );
  }
  const nameLength = view.getUint16(at + 28, true);
  const extraLength = view.getUint16(at + 30, true);
  const commentLength = view.getUint16(at + 32, true);
  const directoryTo = at + 46 + nameLength + extraLength + commentLength;
  const recordFrom = view.getUint32(at + 42, true);
  if (directoryTo > bytes.length || recordFrom + 30 > bytes.length) throw damaged();
  if (view.getUint32(recordFrom, true) !== LOCAL) throw damaged();
  const decoder = new TextDecoder(flags & 0x800 ? "utf-8" : "latin1");
  return {
    name: decoder.decode(bytes.subarray(at + 46, at + 46 + nameLength)),
    method: view.getUint16(at + 10, true),
    flags,
    crc: view.getUint32(at + 16, true),
    compressedSize: view.getUint32(at + 20, true),
    size: view.getUint32(at + 24, true),
    recordFrom,
    dataFrom:
      recordFrom +
      30 +
      view.getUint16(recordFrom + 26, true) +
      view.getUint16(recordFrom + 28, true),
    recordTo: 0,
    directoryFrom: at,
    directoryTo,
  };
}

function unpack(bytes: Uint8Array, entry: Entry): Uint8Array {
  if (entry.size > ZIP_LIMITS.entryBytes) throw tooLarge();
  const packed = bytes.subarray(entry.dataFrom, entry.dataFrom + entry.compressedSize);
  if (entry.method === 0) return verified(packed, entry);
  if (entry.method !== 8) throw damaged();
  // A claimed size is not believed before the data arrives: grow towards it.
  let out = new Uint8Array(Math.min(entry.size, Math.max(65536, packed.length * 8)));
  let filled = 0;
  const inflate = new Inflate((chunk) => {
    if (filled + chunk.length > entry.size) throw hostile();
    if (filled + chunk.length > out.length) {
      const wanted = Math.max(filled + chunk.length, out.length * 2);
      const grown = new Uint8Array(Math.min(entry.size, wanted));
      grown.set(out.subarray(0, filled));
      out = grown;
    }
    out.set(chunk, filled);
    filled += chunk.length;
  });
  try {
    for (let at = 0; at < packed.length; at += ZIP_LIMITS.feedBytes) {
      const last = at + ZIP_LIMITS.feedBytes >= packed.length;
      inflate.push(packed.subarray(at, at + ZIP_LIMITS.feedBytes), last);
    }
  } catch (error) {
    throw error instanceof FormatProblem ? error : damaged();
  }
  if (filled !== entry.size) throw damaged();
  return verified(out.subarray(0, filled), entry);
}

function verified(data: Uint8Array, entry: Entry): Uint8Array {
  if (data.length !== entry.size || crc32(data) !== entry.crc) throw damaged();
  return data;
}

function damaged(): FormatProblem {
  return new FormatProblem(
    "damaged",
    "This file is damaged: its contents do not match its own index. Fetch or save it again.",
  );
}

function hostile(): FormatProblem {
  return new FormatProblem(
    "hostile",
    "This file’s index contradicts itself in a way that only a tampered file does, so it was not read.",
  );
}

function tooLarge(): FormatProblem {
  return new FormatProblem(
    "too-large",
    "Unpacked, this file is larger than 256 MB a part or 512 MB in all, so it was not read. Split it into chapters.",
  );
}
