import type { Kind } from "../manuscript/model.ts";

/**
 * What the passes can leave alone: kinds of unknown words, and how people speak. Each is a switch of the document,
 * with a default by kind of copy.
 */
export interface LeaveKind {
  id: Leave;
  title: string;
  /** What it covers, with an example. */
  note: string;
  /** Kinds of copy in which it is off unless the person says otherwise. */
  offFor: readonly Kind[];
}

export const LEAVES = [
  "names",
  "abbreviations",
  "capitals",
  "quantities",
  "identifiers",
  "addresses",
  "code",
  "derived",
  "foreign",
  "quoted",
  "binomials",
  "roman",
  "speech",
  "terms",
] as const;
export type Leave = (typeof LEAVES)[number];

/** The bit that stands for a kind in a fact. */
export const LEAVE_BITS = Object.fromEntries(
  LEAVES.map((leave, index) => [leave, 1 << index]),
) as Record<Leave, number>;

const ALL_KINDS: readonly Kind[] = [
  "paper",
  "report",
  "specification",
  "brief",
  "clinical",
  "fiction",
  "letter",
  "sheet",
  "general",
];

export const LEAVE_KINDS: readonly LeaveKind[] = [
  {
    id: "names",
    title: "Names",
    note: "capitalised inside sentences and near no common word, after a title or initials, or used more than once",
    offFor: [],
  },
  {
    id: "abbreviations",
    title: "Abbreviations",
    note: "cut short by a full stop, or letters with full stops between them",
    offFor: [],
  },
  {
    id: "capitals",
    title: "Words in capitals",
    note: "GHTO among ordinary words; a heading set in capitals is read all the same",
    offFor: ["fiction", "letter"],
  },
  {
    id: "quantities",
    title: "Numbers with units, ordinals",
    note: "12 kPa, 3rd",
    offFor: [],
  },
  {
    id: "identifiers",
    title: "Words with digits, item codes, mixed case",
    note: "GH-104, tideLog, read_gauge",
    offFor: [],
  },
  {
    id: "addresses",
    title: "Web, mail and file addresses",
    note: "gannet-head.example/log",
    offFor: [],
  },
  {
    id: "code",
    title: "Code and mail headers",
    note: "what is set as code or looks like it, columns, the head of a mail and what it quotes",
    offFor: [],
  },
  {
    id: "derived",
    title: "Words built from known words",
    note: "unmoored, lanternless, harbourwards",
    offFor: [],
  },
  {
    id: "foreign",
    title: "Foreign phrases",
    note: "in italics or quotation marks, and passages in another language",
    offFor: [],
  },
  {
    id: "quoted",
    title: "Quoted passages",
    note: "everything between quotation marks, and quotations set apart",
    offFor: ALL_KINDS.filter((kind) => kind !== "brief"),
  },
  {
    id: "binomials",
    title: "Latin names of species",
    note: "Morus bassanus, M. bassanus",
    offFor: ["brief"],
  },
  { id: "roman", title: "Roman numerals", note: "xiv, MCMXII", offFor: [] },
  {
    id: "speech",
    title: "Grammar and wording of quoted speech",
    note: "people say “it don’t matter”, and a quotation is its author’s",
    offFor: [],
  },
  {
    id: "terms",
    title: "Words that look like terms",
    note: "in no dictionary and near no common word, joined by signs, or beside others of their kind",
    offFor: [],
  },
];

/** What a document of a kind leaves alone, with the person's own switches over the defaults. */
export function leftAlone(kind: Kind, own: Readonly<Partial<Record<Leave, boolean>>>): number {
  let bits = 0;
  for (const { id, offFor } of LEAVE_KINDS) {
    if (own[id] ?? !offFor.includes(kind)) bits |= LEAVE_BITS[id];
  }
  return bits;
}
