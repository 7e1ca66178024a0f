import { folded } from "../fold.ts";
import type { ReferenceIndex } from "../tying.ts";
import type { Citation, CitationItem } from "./citation.ts";

const IBID = /^\s*(?:\[?\^?\d{0,3}\]?[.:]?\s*)?(?:see )?ibid\b\.?/iu;
const NUMBER = /^\s*\[?\^?\d{1,3}\]?[.:]?\s+/u;
const YEAR = /\b(?:1[4-9]|20)\d\d\b/u;
/** Words of a title that must stand in a note to tie it by them. */
const TITLE_WORDS = 2;

/** Citations of a note: full and short, parted by semicolons, and those that only say “ibid.” */
export function noteCitations(text: string, index: ReferenceIndex): Citation[] {
  const citations: Citation[] = [];
  const start = NUMBER.exec(text)?.[0].length ?? 0;
  let at = start;
  for (const part of text.slice(start).split(/;(?=\s)/u)) {
    const citation = readPart(text, at, part, index);
    if (citation) citations.push(citation);
    at += part.length + 1;
  }
  return citations;
}

function readPart(text: string, at: number, part: string, index: ReferenceIndex): Citation | null {
  const from = at + part.search(/\S|$/u);
  const to = at + part.trimEnd().length;
  if (to <= from) return null;
  const whole = text.slice(from, to);
  if (IBID.test(part)) return { kind: "ibid", from, to, text: whole, items: [], isPlain: true };
  const known = knownIn(whole, index);
  const year = YEAR.exec(whole);
  const isFull = Boolean(year) && /[“"(]/u.test(whole);
  if (!known) return null;
  const { name, place, title } = known;
  const nameAt = from + place;
  const pin = /,\s(\d+(?:[–-]\d+)?)\.?$/u.exec(whole);
  const pinAt = pin ? from + pin.index + pin[0].indexOf(pin[1] ?? "") : -1;
  const item: CitationItem = {
    from,
    to,
    names: [{ from: nameAt, to: nameAt + name.length, text: name }],
    etAl: null,
    isOpen: true,
    abbreviation: null,
    year: null,
    number: null,
    title,
    pinpoint: pin ? { from: pinAt, to: pinAt + (pin[1]?.length ?? 0), text: pin[1] ?? "" } : null,
    prefix: "",
    isContinued: false,
  };
  return {
    kind: isFull ? "note" : "short-note",
    from,
    to,
    text: whole,
    items: [item],
    isPlain: true,
  };
}

/** The entry whose author and title a note names. */
function knownIn(
  whole: string,
  index: ReferenceIndex,
): { name: string; place: number; title: string | null } | null {
  const plain = folded(whole);
  let best: { name: string; place: number; title: string | null; words: number } | null = null;
  for (const [at, entry] of index.entries.entries()) {
    const [first] = index.namesOf(at);
    const name = first?.family ?? first?.literal;
    const place = name ? whole.indexOf(name) : -1;
    if (!name || place < 0) continue;
    const title = entry.fields.title?.text ?? "";
    const words = title.split(/[\s:,.–—]+/u).filter((word) => word.length > 3);
    const found = words.filter((word) => plain.includes(folded(word))).length;
    // A note that begins with the name is a short one, whose title may be a word.
    const enough = Math.min(place === 0 ? 1 : TITLE_WORDS, words.length);
    if (found >= enough && found > (best?.words ?? 0)) best = { name, place, title, words: found };
  }
  return best;
}
