/**
 * A set of words as a trie packed into bytes, and the packing of one.
 *
 * The bytes: node count and word count as little-endian 32-bit numbers; one byte a node for its
 * character (Latin-1); one byte a node for its number of children, with the top bit set where a
 * word ends. Nodes stand in breadth-first order from the root, and words are numbered in that
 * order.
 */
export interface NearWord {
  word: string;
  index: number;
}

/** Letters typed for others that sound alike; `last` where only the end of a word is spelled so. */
export interface Respelling {
  typed: string;
  meant: string;
  last: boolean;
}

/**
 * For each node 0 when no word of interest ends there or below; otherwise 1 and the letters to the
 * farthest one below, with the top bit set where one ends.
 */
export type Selection = Uint8Array;
const NOTHING = 0;
const WANTED = 128;
const BELOW = 127;

const HEADER = 8;
const WORD_ENDS = 128;
const APOSTROPHE = 39;
/** No word is longer; deeper rows are never needed. */
const MAX_WORD = 64;

export class Trie {
  readonly wordCount: number;
  /** Bytes that the trie takes, from where it begins. */
  readonly byteLength: number;
  private readonly characters: Uint8Array;
  /** The characters in lower case. */
  private readonly letters: Uint8Array;
  private readonly counts: Uint8Array;
  private readonly firstChild: Uint32Array;
  private readonly parent: Uint32Array;
  /** Number of the word that ends at a node, or -1. */
  private readonly wordIndex: Int32Array;
  private readonly rows = new Uint8Array(MAX_WORD * MAX_WORD);

  /** Throws RangeError when the bytes are no trie. */
  constructor(bytes: Uint8Array) {
    if (bytes.length < HEADER) throw new RangeError("trie is damaged");
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    const nodes = view.getUint32(0, true);
    this.wordCount = view.getUint32(4, true);
    this.byteLength = HEADER + 2 * nodes;
    if (bytes.length < this.byteLength) throw new RangeError("trie is damaged");
    this.characters = bytes.subarray(HEADER, HEADER + nodes);
    this.letters = this.characters.map(lowerLatin);
    const packed = bytes.subarray(HEADER + nodes, this.byteLength);
    this.counts = new Uint8Array(nodes);
    this.firstChild = new Uint32Array(nodes);
    this.parent = new Uint32Array(nodes);
    this.wordIndex = new Int32Array(nodes);
    let next = 1;
    let word = 0;
    for (let node = 0; node < nodes; node++) {
      const byte = packed[node] ?? 0;
      const count = byte & (WORD_ENDS - 1);
      this.counts[node] = count;
      this.firstChild[node] = next;
      for (let child = next; child < next + count && child < nodes; child++) {
        this.parent[child] = node;
      }
      next += count;
      this.wordIndex[node] = byte & WORD_ENDS ? word++ : -1;
    }
    if (next !== nodes || word !== this.wordCount) throw new RangeError("trie is damaged");
  }

  /** The number of a word exactly as written (a typographic apostrophe counts as a plain one), or -1. */
  find(word: string): number {
    let node = 0;
    for (let index = 0; index < word.length; index++) {
      let code = word.charCodeAt(index);
      if (code === 0x2019) code = APOSTROPHE;
      const from = this.firstChild[node] ?? 0;
      const to = from + (this.counts[node] ?? 0);
      let child = from;
      while (child < to && this.characters[child] !== code) child++;
      if (child === to) return -1;
      node = child;
    }
    return this.wordIndex[node] ?? -1;
  }

  /**
   * Words within `distance` edits of a lower-case query (Damerau-Levenshtein, adjacent letters
   * swapped count as one), found by walking the trie with one row of the edit matrix a node, of
   * which only the columns near the diagonal can matter. Capitals are no difference. `selection`,
   * made by `select`, says which words are of interest. Words that begin with neither of the query's
   * first two letters may be held to a smaller distance, as few slips are made there.
   */
  near(
    query: string,
    distance: number,
    selection: Selection,
    elsewhere: number = distance,
  ): NearWord[] {
    const size = query.length;
    const found: NearWord[] = [];
    if (size + distance >= MAX_WORD) return found;
    const codes = Uint16Array.from(query, (letter) => letter.charCodeAt(0));
    const { rows, firstChild, counts, letters, wordIndex } = this;
    rows.fill(distance + 1);
    for (let column = 0; column <= Math.min(size, distance); column++) rows[column] = column;
    let limit = distance;
    const visit = (node: number, depth: number, above: number, spent: boolean) => {
      const row = depth + 1;
      const from = firstChild[node] ?? 0;
      const to = from + (counts[node] ?? 0);
      const allowed = spent ? lettersAllowed(rows, depth, codes, limit) : ANY_LETTER;
      for (let child = from; child < to; child++) {
        const selected = selection[child] ?? NOTHING;
        // Nothing there, or only words too short.
        if (row + (selected & BELOW) - 1 < size - distance || selected === NOTHING) continue;
        const letter = letters[child] ?? 0;
        if ((allowed & (1 << (letter & 31))) === 0) continue;
        const least = fillRow(rows, row, codes, letter, above, distance);
        if (depth === 0) {
          limit = letter === codes[0] || letter === codes[1] ? distance : elsewhere;
        }
        if (least > limit) continue;
        if (selected & WANTED && size >= row - distance && size <= row + distance) {
          const cost = rows[row * MAX_WORD + size] ?? distance + 1;
          if (cost <= limit) {
            found.push({ word: this.spell(child), index: wordIndex[child] ?? -1 });
          }
        }
        if (row < size + distance) visit(child, row, letter, least === limit);
      }
    };
    visit(0, 0, 0, distance === 0);
    return found;
  }

  /**
   * Words that a lower-case query spells otherwise: at any place some letters may stand for others, at
   * most `limit` times. Each with the fewest times that do.
   */
  respelled(
    query: string,
    spellings: readonly Respelling[],
    limit: number,
    selection: Selection,
  ): (NearWord & { times: number })[] {
    const fewest = new Map<number, number>();
    const visit = (at: number, node: number, times: number) => {
      if ((selection[node] ?? NOTHING) === NOTHING && node !== 0) return;
      if (at === query.length && (selection[node] ?? NOTHING) & WANTED) {
        fewest.set(node, Math.min(times, fewest.get(node) ?? times));
      }
      if (at < query.length) {
        const letter = query[at] ?? "";
        this.descend(node, letter, 0, (child) => visit(at + 1, child, times));
      }
      if (times === limit) return;
      for (const { typed, meant, last } of spellings) {
        if (!query.startsWith(typed, at) || (last && at + typed.length < query.length)) continue;
        this.descend(node, meant, 0, (child) => visit(at + typed.length, child, times + 1));
      }
    };
    visit(0, 0, 0);
    return [...fewest].map(([node, times]) => ({
      word: this.spell(node),
      index: this.wordIndex[node] ?? -1,
      times,
    }));
  }

  /** Calls back with the nodes that lower-case letters lead to from another, in capitals or not. */
  private descend(node: number, letters: string, at: number, then: (node: number) => void): void {
    if (at === letters.length) {
      then(node);
      return;
    }
    const code = letters.charCodeAt(at);
    const from = this.firstChild[node] ?? 0;
    const to = from + (this.counts[node] ?? 0);
    for (let child = from; child < to; child++) {
      if (this.letters[child] === code) this.descend(child, letters, at + 1, then);
    }
  }

  /** Marks the nodes on the way to words of interest; `wanted` tells by a word's number. */
  select(wanted: (index: number) => boolean): Selection {
    const selection = new Uint8Array(this.counts.length);
    for (let node = selection.length - 1; node > 0; node--) {
      const index = this.wordIndex[node] ?? -1;
      if (index >= 0 && wanted(index)) {
        selection[node] = WANTED | Math.max(1, (selection[node] ?? 0) & BELOW);
      }
      const below = (selection[node] ?? 0) & BELOW;
      if (below === 0) continue;
      const parent = this.parent[node] ?? 0;
      const known = selection[parent] ?? 0;
      selection[parent] = (known & WANTED) | Math.max(known & BELOW, below + 1);
    }
    return selection;
  }

  /** Every word with its number, in the order of their numbers. */
  *words(): Generator<{ word: string; index: number }> {
    for (let node = 0; node < this.wordIndex.length; node++) {
      const index = this.wordIndex[node] ?? -1;
      if (index >= 0) yield { word: this.spell(node), index };
    }
  }

  private spell(node: number): string {
    let word = "";
    for (let at = node; at !== 0; at = this.parent[at] ?? 0) {
      word = String.fromCharCode(this.characters[at] ?? 0) + word;
    }
    return word;
  }
}

const ANY_LETTER = -1;

/**
 * Where no further edit may be made, only some letters can follow: as bits by the low five bits of
 * their codes, so that a letter too many may pass but none is missed.
 */
function lettersAllowed(
  rows: Uint8Array,
  row: number,
  query: Uint16Array,
  distance: number,
): number {
  let allowed = 0;
  const here = row * MAX_WORD;
  const to = Math.min(query.length - 1, row + distance);
  for (let column = Math.max(0, row - distance); column <= to; column++) {
    if ((rows[here + column] ?? 0) <= distance) allowed |= 1 << ((query[column] ?? 0) & 31);
    if (row > 0 && column > 0 && (rows[here - MAX_WORD + column - 1] ?? 0) < distance) {
      allowed |= 1 << ((query[column - 1] ?? 0) & 31);
    }
  }
  return allowed;
}

/** Fills the columns of row `row` within `band` of the diagonal; returns their least value. */
function fillRow(
  rows: Uint8Array,
  row: number,
  query: Uint16Array,
  letter: number,
  previous: number,
  band: number,
): number {
  const here = row * MAX_WORD;
  const above = here - MAX_WORD;
  const from = Math.max(0, row - band);
  const to = Math.min(query.length, row + band);
  let least = band + 1;
  // Cells outside the band are never written, and hold more than any distance allowed.
  let left = band + 1;
  for (let column = from; column <= to; column++) {
    let value: number;
    if (column === 0) {
      value = row;
    } else {
      const typed = query[column - 1];
      value = (rows[above + column - 1] ?? 0) + (typed === letter ? 0 : 1);
      const inserted = column === row + band ? band + 1 : (rows[above + column] ?? 0) + 1;
      if (inserted < value) value = inserted;
      if (left + 1 < value) value = left + 1;
      if (row > 1 && column > 1 && typed === previous && query[column - 2] === letter) {
        const swapped = (rows[above - MAX_WORD + column - 2] ?? 0) + 1;
        if (swapped < value) value = swapped;
      }
    }
    rows[here + column] = value;
    left = value;
    if (value < least) least = value;
  }
  return least;
}

/** Lower case within Latin-1. */
function lowerLatin(code: number): number {
  const capital = (code >= 65 && code <= 90) || (code >= 0xc0 && code <= 0xde && code !== 0xd7);
  return capital ? code + 32 : code;
}

interface Node {
  character: number;
  ends: boolean;
  children: Map<number, Node>;
}

const beyondLatin1 = (letter: string) => letter.charCodeAt(0) > 255;

/** Packs words into a trie. Words with characters beyond Latin-1 are passed over, as are empty ones. */
export function packTrie(words: Iterable<string>): Uint8Array<ArrayBuffer> {
  const root: Node = { character: 0, ends: false, children: new Map() };
  let count = 0;
  for (const word of words) {
    if (word === "" || word.length >= MAX_WORD || [...word].some(beyondLatin1)) continue;
    let node = root;
    for (const letter of word) {
      const character = letter.charCodeAt(0);
      let child = node.children.get(character);
      if (!child) {
        child = { character, ends: false, children: new Map() };
        node.children.set(character, child);
      }
      node = child;
    }
    if (!node.ends) count++;
    node.ends = true;
  }
  const order: Node[] = [root];
  for (const node of order) {
    for (const child of [...node.children.values()].sort((a, b) => a.character - b.character)) {
      order.push(child);
    }
  }
  const bytes = new Uint8Array(HEADER + 2 * order.length);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, order.length, true);
  view.setUint32(4, count, true);
  for (const [index, { character, ends, children }] of order.entries()) {
    bytes[HEADER + index] = character;
    bytes[HEADER + order.length + index] = children.size | (ends ? WORD_ENDS : 0);
  }
  return bytes;
}
