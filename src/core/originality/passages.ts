import type { Claim } from "./claims.ts";
import type { Tier } from "./overlaps.ts";
import type { Region, RegionKind } from "./regions.ts";
import type { ComparedWords } from "./words.ts";

/** Why a passage is not counted, as long as its switch says so. */
export const KEPT_OUT = ["quoted", "reference", "heading", "stock", "own"] as const;
export type KeptOut = (typeof KEPT_OUT)[number];

/** A passage of the document that counts for one source. Word numbers are those of the compared words. */
export interface Passage {
  /** Offsets in the document's text. */
  from: number;
  to: number;
  /** Its words in the document, [from, to). */
  words: readonly [number, number];
  source: string;
  /** Its words in the source, [from, to). */
  sourceWords: readonly [number, number];
  tier: Tier;
  identity: number;
  /** What it is, which a switch may keep out of the count; null for plain text. */
  keptOut: KeptOut | null;
  /** It stands in quotation marks, and no citation stands by it. */
  uncited: boolean;
  /** Pairs of equal words: of the document, and of the source. */
  pairs: readonly (readonly [number, number])[];
  /** Other sources that have the same. */
  alsoIn: readonly string[];
}

/** A shorter piece of an overlap goes with the piece beside it. */
const LEAST_PIECE = 5;
/** In more sources than this a short passage is a phrase of everybody’s. */
const MANY_SOURCES = 5;
const SHORT = 20;

/** What is known of the sources. */
export interface KnownSources {
  /** The person's own earlier documents. */
  isOwn(source: string): boolean;
}

/** The passages of a document, each of one kind, in order. */
export function passagesOf(
  claims: readonly Claim[],
  { from: starts, to: ends }: Pick<ComparedWords, "from" | "to">,
  regions: readonly Region[],
  known: KnownSources,
): Passage[] {
  const kinds = kindsOfWords(starts, regions);
  return claims.flatMap((claim) => {
    const others = [...new Set(claim.alsoIn.map(({ source }) => source))];
    return piecesOf(claim, kinds).map(({ from, to, kind }): Passage => {
      const pairs = claim.pairs.filter(([word]) => word >= from && word < to);
      const first = pairs[0]?.[1] ?? claim.sourceFrom;
      const last = pairs.at(-1)?.[1] ?? claim.sourceTo - 1;
      const isEverybodys = others.length >= MANY_SOURCES && to - from <= SHORT;
      return {
        from: starts[from] ?? 0,
        to: ends[to - 1] ?? 0,
        words: [from, to],
        source: claim.source,
        sourceWords: [first, last + 1],
        tier: claim.tier,
        identity: claim.identity,
        keptOut: keptOutBy(kind, isEverybodys, known.isOwn(claim.source)),
        uncited: kind === "quoted-uncited",
        pairs,
        alsoIn: others,
      };
    });
  });
}

function keptOutBy(kind: RegionKind | null, isEverybodys: boolean, isOwn: boolean): KeptOut | null {
  if (kind !== null && kind !== "quoted-uncited") return kind;
  if (isEverybodys) return "stock";
  return isOwn ? "own" : null;
}

/** What each word stands in; null for plain text. The first region that has a word speaks for it. */
function kindsOfWords(starts: Uint32Array, regions: readonly Region[]): (RegionKind | null)[] {
  const kinds = new Array<RegionKind | null>(starts.length).fill(null);
  for (const { kind, from, to } of regions) {
    for (let word = firstAt(starts, from); word < starts.length && (starts[word] ?? 0) < to; word++)
      kinds[word] ??= kind;
  }
  return kinds;
}

/** The first word that begins at or behind a place. */
export function firstAt(starts: Uint32Array, place: number): number {
  let low = 0;
  let high = starts.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((starts[middle] ?? 0) < place) low = middle + 1;
    else high = middle;
  }
  return low;
}

interface Piece {
  from: number;
  to: number;
  kind: RegionKind | null;
}

/** What counts of a claim, cut where it becomes another kind of text. */
function piecesOf({ counted }: Claim, kinds: readonly (RegionKind | null)[]): Piece[] {
  return counted.flatMap(([from, to]) => {
    const pieces: Piece[] = [];
    for (let word = from; word < to; word++) {
      const kind = kinds[word] ?? null;
      const last = pieces.at(-1);
      if (last?.kind === kind) last.to = word + 1;
      else pieces.push({ from: word, to: word + 1, kind });
    }
    return joinedPieces(pieces);
  });
}

/** Pieces of a few words go with the longer one beside them. */
function joinedPieces(pieces: readonly Piece[]): Piece[] {
  const long = pieces.filter(({ from, to }) => to - from >= LEAST_PIECE);
  if (long.length === 0) {
    const [first, last] = [pieces[0], pieces.at(-1)];
    const longest = [...pieces].sort((a, b) => b.to - b.from - (a.to - a.from))[0];
    return first && last && longest ? [{ from: first.from, to: last.to, kind: longest.kind }] : [];
  }
  const joined: Piece[] = [];
  for (const piece of pieces) {
    const last = joined.at(-1);
    const isShort = piece.to - piece.from < LEAST_PIECE;
    if (last && (isShort || last.kind === piece.kind)) last.to = piece.to;
    else if (last && last.to - last.from < LEAST_PIECE)
      joined[joined.length - 1] = { ...piece, from: last.from };
    else joined.push({ ...piece });
  }
  return joined;
}
