/** CRC-32 as zip uses it (ITU-T V.42, polynomial 0xEDB88320 reflected). */
const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let value = byte;
  for (let bit = 0; bit < 8; bit++) value = value & 1 ? 0xedb88320 ^ (value >>> 1) : value >>> 1;
  return value >>> 0;
});

/** The checksum of the bytes, as an unsigned 32-bit number. */
export function crc32(bytes: Uint8Array): number {
  let value = 0xffffffff;
  // Counted, not iterated: this runs over every byte of every part.
  for (let at = 0; at < bytes.length; at++) {
    value = (TABLE[(value ^ (bytes[at] ?? 0)) & 255] ?? 0) ^ (value >>> 8);
  }
  return (value ^ 0xffffffff) >>> 0;
}
