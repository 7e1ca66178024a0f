import type { Edit } from "../manuscript/model.ts";
import type { CleanBlock } from "./places.ts";

/** Words that begin with an apostrophe: something is left out before them. */
const CLIPPED = /^(?:tis|twas|twere|em|cause|bout|til|n|round|\d0s)(?![\p{L}\p{N}])/iu;
const opens = (before: string) => before === "" || /[\s([{—–“‘"-]/.test(before);
const closes = (after: string) => after === "" || /[\s)\]}.,;:!?—–’”"-]/.test(after);

/**
 * Straight quotation marks as curved ones. A block in which they do not open and close in turn is left
 * alone, since nothing tells what was meant.
 */
export function curvedQuotes({ text, isSpared }: CleanBlock): Edit[] {
  const doubles = placesOf(text, '"', isSpared).filter((at) => !/\d/.test(text.charAt(at - 1)));
  const edits: Edit[] = [];
  for (const [turn, at] of doubles.entries()) {
    const isOpening = turn % 2 === 0;
    const fits = isOpening
      ? opens(text.charAt(at - 1)) && /\S/.test(text.charAt(at + 1))
      : closes(text.charAt(at + 1)) && /\S/.test(text.charAt(at - 1));
    if (!fits || isLiteral(text, at, doubles[turn + 1])) return singles(text, isSpared);
    edits.push({ from: at, to: at + 1, insert: isOpening ? "“" : "”" });
  }
  if (doubles.length % 2 === 1) return singles(text, isSpared);
  return [...edits, ...singles(text, isSpared)].sort((a, b) => a.from - b.from);
}

/** Whether marks hold a word of a program, which keeps them straight: "cmd_", "psuh:". */
function isLiteral(text: string, open: number, close: number | undefined): boolean {
  const inner = text.slice(open + 1, close ?? open + 1);
  // Options, variables, placeholders and paths: what is typed at a prompt.
  if (/(?<!\S)--?\p{L}|\$[\p{L}_{]|<[\p{L}-]+>|\p{L}\/[\p{L}/]*\.\p{L}|::/u.test(inner))
    return true;
  return !/\s/.test(inner) && /[^\p{L}\p{N}'’.,!?;-]|:$/u.test(inner);
}

/** Straight single marks that pair around words, apostrophes aside. */
function singles(text: string, isSpared: CleanBlock["isSpared"]): Edit[] {
  const edits: Edit[] = [];
  let open = -1;
  for (const at of placesOf(text, "'", isSpared)) {
    const [before, after] = [text.charAt(at - 1), text.charAt(at + 1)];
    if (open < 0) {
      if (opens(before) && /[\p{L}\p{N}]/u.test(after) && !CLIPPED.test(text.slice(at + 1)))
        open = at;
    } else if (/\S/.test(before) && closes(after) && !isOwner(text, at)) {
      edits.push({ from: open, to: open + 1, insert: "‘" }, { from: at, to: at + 1, insert: "’" });
      open = -1;
    }
  }
  return open < 0 ? edits : [];
}

/** “The keepers' boat”: an owner, where a word follows; the mark of a quotation may do the same, and stays. */
function isOwner(text: string, at: number): boolean {
  return (
    text.charAt(at - 1) === "s" &&
    /^'\s\p{Ll}/u.test(text.slice(at)) &&
    !/^'\s(?:and|or|to|is|was|in|on|for|as)\s/.test(text.slice(at))
  );
}

/** Straight apostrophes as curved ones: within words, of owners, and where something is left out. */
export function curvedApostrophes({ text, isSpared }: CleanBlock, quotes: readonly Edit[]): Edit[] {
  return placesOf(text, "'", isSpared).flatMap((at): Edit[] => {
    if (quotes.some(({ from }) => from === at)) return [];
    const [before, after] = [text.charAt(at - 1), text.charAt(at + 1)];
    const within = /\p{L}/u.test(before) && /\p{L}/u.test(after);
    const clipped = opens(before) && CLIPPED.test(text.slice(at + 1));
    const owner = before === "s" && /^'\s\p{L}/u.test(text.slice(at)) && !hasOpening(text, at);
    return within || clipped || owner ? [{ from: at, to: at + 1, insert: "’" }] : [];
  });
}

function hasOpening(text: string, at: number): boolean {
  return /(?:^|[\s(])'[\p{L}\p{N}]/u.test(text.slice(0, at));
}

function placesOf(text: string, sign: string, isSpared: CleanBlock["isSpared"]): number[] {
  const places: number[] = [];
  for (let at = text.indexOf(sign); at >= 0; at = text.indexOf(sign, at + 1)) {
    if (!isSpared(at, at + 1)) places.push(at);
  }
  return places;
}
