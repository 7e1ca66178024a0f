/**
 * Weights of hashed features, few classes each, packed for shipping: the features' keys sorted, as
 * differences in 7-bit groups, low first; one byte a feature for the number of its weights; one byte
 * a weight for its class; one signed byte a weight.
 */
export interface PackedSizes {
  features: number;
  keyBytes: number;
  weights: number;
}

/** Bits for each feature, at the least. */
const PRESENT_ROOM = 6;
const CLASS_BITS = 6;
const CLASS_SPACE = 1 << CLASS_BITS;
/** A weight with its class takes 14 bits. */
const PACKED = (1 << 14) - 1;
/** Slots for each feature, at the least. */
const ROOM = 1.4;

/** A table of such weights, each found at once. Classes are below 64. */
export class SparseWeights {
  /** Bytes it was read from. */
  readonly byteLength: number;
  private readonly mask: number;
  /**
   * For each slot the feature's key, then its weights: one or two right there, of which most
   * features have no more, or where they begin and how many they are. The low two bits tell which.
   */
  private readonly table: Int32Array;
  /** A bit for every key there may be: most features that are asked for are not there at all. */
  private readonly present: Uint8Array;
  private readonly presentMask: number;
  /** Each weight with its class, (weight + 128) * 64 + class. */
  private readonly weights: Int16Array;

  /** Throws RangeError when there are fewer bytes than the sizes ask for. */
  constructor(bytes: Uint8Array, { features, keyBytes, weights }: PackedSizes) {
    this.byteLength = keyBytes + features + 2 * weights;
    if (bytes.length < this.byteLength) throw new RangeError("the weights are damaged");
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    const classesAt = keyBytes + features;
    this.weights = new Int16Array(weights);
    for (let index = 0; index < weights; index++) {
      const weight = view.getInt8(classesAt + weights + index);
      this.weights[index] = (weight + 128) * CLASS_SPACE + (bytes[classesAt + index] ?? 0);
    }
    let capacity = 1;
    while (capacity < features * ROOM) capacity *= 2;
    this.mask = capacity - 1;
    let bits = 8;
    while (bits < features * PRESENT_ROOM) bits *= 2;
    this.present = new Uint8Array(bits >> 3);
    this.presentMask = bits - 1;
    this.table = new Int32Array(2 * capacity);
    let at = 0;
    let key = 0;
    let start = 0;
    for (let index = 0; index < features; index++) {
      let factor = 1;
      let byte = 0;
      do {
        byte = bytes[at++] ?? 0;
        key += (byte & 127) * factor;
        factor *= 128;
      } while (byte & 128);
      const slot = this.slot(key | 0);
      const bit = key & this.presentMask;
      this.present[bit >> 3] = (this.present[bit >> 3] ?? 0) | (1 << (bit & 7));
      const size = bytes[keyBytes + index] ?? 0;
      this.table[slot] = key | 0;
      const first = this.weights[start] ?? 0;
      const second = size > 1 ? (this.weights[start + 1] ?? 0) : 0;
      this.table[slot + 1] =
        size <= 2 ? size | (first << 2) | (second << 16) : (start << 8) | (size << 2);
      start += size;
    }
  }

  /** Adds a feature's weights to the scores of its classes. */
  add(scores: Int32Array, feature: number): void {
    const bit = feature & this.presentMask;
    if (((this.present[bit >> 3] ?? 0) & (1 << (bit & 7))) === 0) return;
    const slot = this.slot(feature || 1);
    if (this.table[slot] === 0) return;
    const place = this.table[slot + 1] ?? 0;
    const inPlace = place & 3;
    if (inPlace > 0) {
      addPacked(scores, (place >> 2) & PACKED);
      if (inPlace > 1) addPacked(scores, (place >> 16) & PACKED);
      return;
    }
    const from = place >> 8;
    const to = from + ((place >> 2) & (CLASS_SPACE - 1));
    for (let at = from; at < to; at++) addPacked(scores, this.weights[at] ?? 0);
  }

  private slot(key: number): number {
    const { table, mask } = this;
    let slot = (Math.imul(key, 0x9e3779b1) >>> 7) & mask;
    while (table[2 * slot] !== 0 && table[2 * slot] !== key) slot = (slot + 1) & mask;
    return 2 * slot;
  }
}

function addPacked(scores: Int32Array, packed: number): void {
  const one = packed & (CLASS_SPACE - 1);
  scores[one] = (scores[one] ?? 0) + (packed >> CLASS_BITS) - 128;
}

/** A feature with its weights, before packing; keys are 32-bit and above 0. */
export interface LearnedFeature {
  key: number;
  classes: number[];
  /** From -127 to 127. */
  values: number[];
}

/** Packs features for `SparseWeights`. */
export function packWeights(features: LearnedFeature[]): { bytes: Uint8Array; sizes: PackedSizes } {
  features.sort((a, b) => a.key - b.key);
  const keys: number[] = [];
  let previous = 0;
  for (const { key } of features) {
    let rest = key - previous;
    previous = key;
    while (rest > 127) {
      keys.push((rest % 128) | 128);
      rest = Math.floor(rest / 128);
    }
    keys.push(rest);
  }
  const classes = features.flatMap((feature) => feature.classes);
  const values = features.flatMap((feature) => feature.values);
  const sizes = { features: features.length, keyBytes: keys.length, weights: classes.length };
  const bytes = new Uint8Array(keys.length + features.length + 2 * classes.length);
  bytes.set(keys);
  bytes.set(
    features.map((feature) => feature.classes.length),
    keys.length,
  );
  bytes.set(classes, keys.length + features.length);
  bytes.set(
    values.map((value) => value & 255),
    keys.length + features.length + classes.length,
  );
  return { bytes, sizes };
}
