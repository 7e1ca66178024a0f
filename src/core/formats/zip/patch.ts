import { deflateSync } from "fflate";
import type { Archive, Entry } from "./archive.ts";
import { crc32 } from "./crc.ts";

/**
 * A copy of an archive with some entries replaced or added. Every other record is copied as it is,
 * its compressed bytes, header and extra fields included; with nothing to change the whole file is.
 */
export function patchArchive(
  archive: Archive,
  changed: ReadonlyMap<string, Uint8Array>,
): Uint8Array {
  if (changed.size === 0) return archive.bytes;
  const output = new Output();
  const records = [...archive.entries].sort((a, b) => a.recordFrom - b.recordFrom);
  const placed = new Map<Entry, Placed>();
  output.push(archive.bytes.subarray(0, records[0]?.recordFrom ?? 0));
  for (const entry of records) {
    const at = output.length;
    const data = changed.get(entry.name);
    placed.set(entry, { at, packed: data ? pushChanged(output, archive, entry, data) : null });
    if (!data) output.push(archive.bytes.subarray(entry.recordFrom, entry.recordTo));
  }
  const added: { name: Uint8Array; at: number; packed: Packed }[] = [];
  for (const [name, data] of changed) {
    if (archive.entries.some((entry) => entry.name === name)) continue;
    const encoded = new TextEncoder().encode(name);
    const packed = pack(data, 8);
    added.push({ name: encoded, at: output.length, packed });
    output.push(localHeader(encoded, packed));
    output.push(packed.bytes);
  }
  const directoryFrom = output.length;
  for (const entry of archive.entries) {
    const place = placed.get(entry);
    if (place) output.push(directoryEntry(archive, entry, place));
  }
  for (const { name, at, packed } of added) output.push(newDirectoryEntry(name, at, packed));
  const end = archive.bytes.slice(archive.endFrom);
  const view = new DataView(end.buffer);
  const count = archive.entries.length + added.length;
  view.setUint16(8, count, true);
  view.setUint16(10, count, true);
  view.setUint32(12, output.length - directoryFrom, true);
  view.setUint32(16, directoryFrom, true);
  output.push(end);
  return output.join();
}

interface Packed {
  bytes: Uint8Array;
  crc: number;
  size: number;
}

interface Placed {
  at: number;
  packed: Packed | null;
}

/** Bit 3 says that sizes follow the data; a rewritten record has them in its header. */
const SIZES_FOLLOW = 8;

function pack(data: Uint8Array, method: number): Packed {
  const bytes = method === 8 ? deflateSync(data, { level: 6 }) : data;
  return { bytes, crc: crc32(data), size: data.length };
}

function pushChanged(output: Output, archive: Archive, entry: Entry, data: Uint8Array): Packed {
  const packed = pack(data, entry.method);
  const header = archive.bytes.slice(entry.recordFrom, entry.dataFrom);
  const view = new DataView(header.buffer);
  view.setUint16(6, entry.flags & ~SIZES_FOLLOW, true);
  setSizes(view, 14, packed);
  output.push(header);
  output.push(packed.bytes);
  return packed;
}

function setSizes(view: DataView, at: number, packed: Packed): void {
  view.setUint32(at, packed.crc, true);
  view.setUint32(at + 4, packed.bytes.length, true);
  view.setUint32(at + 8, packed.size, true);
}

function directoryEntry(archive: Archive, entry: Entry, { at, packed }: Placed): Uint8Array {
  const copy = archive.bytes.slice(entry.directoryFrom, entry.directoryTo);
  const view = new DataView(copy.buffer);
  view.setUint32(42, at, true);
  if (packed) {
    view.setUint16(8, entry.flags & ~SIZES_FOLLOW, true);
    setSizes(view, 16, packed);
  }
  return copy;
}

/** 1 January 1980, the earliest date the format can hold: a new part has no date of its own. */
const NO_DATE = 0x21;
const UTF8_NAME = 0x800;

function localHeader(name: Uint8Array, packed: Packed): Uint8Array {
  const header = new Uint8Array(30 + name.length);
  const view = new DataView(header.buffer);
  view.setUint32(0, 0x04034b50, true);
  view.setUint16(4, 20, true);
  view.setUint16(6, UTF8_NAME, true);
  view.setUint16(8, 8, true);
  view.setUint16(12, NO_DATE, true);
  setSizes(view, 14, packed);
  view.setUint16(26, name.length, true);
  header.set(name, 30);
  return header;
}

function newDirectoryEntry(name: Uint8Array, at: number, packed: Packed): Uint8Array {
  const entry = new Uint8Array(46 + name.length);
  const view = new DataView(entry.buffer);
  view.setUint32(0, 0x02014b50, true);
  view.setUint16(4, 20, true);
  view.setUint16(6, 20, true);
  view.setUint16(8, UTF8_NAME, true);
  view.setUint16(10, 8, true);
  view.setUint16(14, NO_DATE, true);
  setSizes(view, 16, packed);
  view.setUint16(28, name.length, true);
  view.setUint32(42, at, true);
  entry.set(name, 46);
  return entry;
}

class Output {
  private readonly pieces: Uint8Array[] = [];
  length = 0;

  push(piece: Uint8Array): void {
    this.pieces.push(piece);
    this.length += piece.length;
  }

  join(): Uint8Array {
    const joined = new Uint8Array(this.length);
    let at = 0;
    for (const piece of this.pieces) {
      joined.set(piece, at);
      at += piece.length;
    }
    return joined;
  }
}
