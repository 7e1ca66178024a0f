import type { Range } from "../manuscript/model.ts";
import type { EntryName, Names } from "./entry.ts";
import {
  bareName,
  directName,
  initialsFirst,
  isFamily,
  isGiven,
  isInitials,
  isSuffix,
  type ReadName,
  stoppedName,
} from "./name-parts.ts";
import type { AuthorRules } from "./styles/style.ts";

/** A stretch between two separators of a list of names. */
interface Piece extends Range {
  text: string;
  /** What stands before it: a comma, a joining word, or both. */
  before: string;
}

const ET_AL = /,?\s*\b(?:et al\b\.?|and others|et alii)/u;
const ELLIPSIS = /(?:,\s*)?(?:…|\.\s?\.\s?\.)(?:\s*&)?/u;
const ROLE =
  /[,\s]*\(?\b(?:Eds?|eds?|[Ee]ditors?|edited by|Trans|trans|[Tt]ranslators?|comps?|[Cc]ompilers?|dir)\b\.?\)?\.?[,\s]*$/u;
const SEPARATOR = /\s*(?:;|,(?:\s*(?:and|&|y|und|et)(?=\s))?|\s(?:and|&|und)(?=\s))\s*/gu;

/** The names of a stretch of an entry, read by the rules of a style first and by any after. */
export function readNames(text: string, zone: Range, rules: AuthorRules): Names | null {
  let { from, to } = trimmed(text, zone);
  if (from >= to) return null;
  let whole = text.slice(from, to);
  const roleFound = ROLE.exec(whole);
  const role = roleFound
    ? trimmedField(text, {
        from: from + roleFound.index,
        to: from + roleFound.index + roleFound[0].length,
      })
    : null;
  if (roleFound) ({ from, to } = trimmed(text, { from, to: from + roleFound.index }));
  whole = text.slice(from, to);
  const etAlFound = ET_AL.exec(whole);
  const etAl = etAlFound ? placed(from, etAlFound) : null;
  const ellipsisFound = ELLIPSIS.exec(whole);
  const ellipsis = ellipsisFound ? placed(from, ellipsisFound) : null;
  const gap = etAl ?? ellipsis;
  const parts = gap
    ? [trimmed(text, { from, to: gap.from }), trimmed(text, { from: gap.to, to })]
    : [{ from, to }];
  const names = parts.flatMap((part) => {
    const pieces = piecesOf(text, part);
    const last = pieces.at(-1);
    // Where initials have no stops, the last of them has the entry's.
    if (
      rules.form === "bare-initials" &&
      last &&
      /\s(?:\p{Lu}{1,4}|(?:\p{Lu}\. ?)+\p{Lu}\.)\.$/u.test(last.text)
    ) {
      pieces[pieces.length - 1] = { ...last, to: last.to - 1, text: last.text.slice(0, -1) };
    }
    return namesOf(pieces, rules);
  });
  if (names.length === 0) return null;
  return { from, to, names, etAl, ellipsis, role };
}

function placed(from: number, found: RegExpExecArray): Range {
  return { from: from + found.index, to: from + found.index + found[0].length };
}

/** A range without the spaces, commas and closing stop at its ends; stops of initials stay. */
function trimmed(text: string, { from, to }: Range): Range {
  while (from < to && /[\s,;.]/.test(text[from] ?? "")) from++;
  while (to > from && /[\s,;:]/.test(text[to - 1] ?? "")) to--;
  if (
    text[to - 1] === "." &&
    !/(?:^|[^\p{L}])(?:\p{Lu}\p{Ll}?|Jr|Sr|al|Inc|Ltd|Co)\.$/u.test(text.slice(from, to))
  ) {
    to--;
  }
  return { from, to };
}

function trimmedField(text: string, { from, to }: Range): Range & { text: string } {
  while (from < to && /[\s,]/.test(text[from] ?? "")) from++;
  while (to > from && /[\s,]/.test(text[to - 1] ?? "")) to--;
  return { from, to, text: text.slice(from, to) };
}

function piecesOf(text: string, { from, to }: Range): Piece[] {
  const pieces: Piece[] = [];
  let start = from;
  let before = "";
  const add = (end: number) => {
    const range = { from: start, to: end };
    while (range.from < range.to && /\s/.test(text[range.from] ?? "")) range.from++;
    while (range.to > range.from && /\s/.test(text[range.to - 1] ?? "")) range.to--;
    if (range.from < range.to)
      pieces.push({ ...range, text: text.slice(range.from, range.to), before });
  };
  for (const found of text.slice(from, to).matchAll(SEPARATOR)) {
    add(from + found.index);
    before = found[0];
    start = from + found.index + found[0].length;
  }
  add(to);
  // An "&" or "and" at the head of a piece joins it.
  return pieces.map((piece) => {
    const found = /^(?:&|and)\s+/u.exec(piece.text);
    if (!found) return piece;
    const skipped = found[0].length;
    return {
      ...piece,
      from: piece.from + skipped,
      text: piece.text.slice(skipped),
      before: `${piece.before}${found[0]}`,
    };
  });
}

function namesOf(pieces: readonly Piece[], rules: AuthorRules): EntryName[] {
  if (pieces.length === 0) return [];
  if (isGroup(pieces)) return [group(pieces)];
  const names: EntryName[] = [];
  for (let at = 0; at < pieces.length; ) {
    const piece = pieces[at] as Piece;
    const next = pieces[at + 1];
    const last = names.at(-1);
    if (isSuffix(piece.text) && last?.family) {
      last.suffix = piece.text;
      last.to = piece.to;
      at++;
      continue;
    }
    const behind = /^((?:Jr|Sr)\.?) (\p{Lu}{1,3})$/u.exec(piece.text);
    if (behind && last && (last.literal ?? last.family)) {
      const family = last.literal ?? last.family ?? "";
      names[names.length - 1] = {
        from: last.from,
        to: piece.to,
        family,
        given: behind[2] ?? "",
        suffix: behind[1] ?? "",
      };
      at++;
      continue;
    }
    const inverted = next && invertedName(piece, next, pieces[at + 2], names.length, rules);
    if (inverted) {
      names.push(inverted.name);
      at += inverted.taken;
      continue;
    }
    names.push(single(piece, rules));
    at++;
  }
  return names;
}

/** Words that groups have in their names and people do not. */
const GROUP_WORD =
  /\b(?:Institute|University|Society|Association|Department|Ministry|Office|Council|Committee|Commission|Agency|Bureau|Board|Centre|Center|Group|Organi[sz]ation|Laborator(?:y|ies)|Observatory|Authority|Trust|Service|Survey|Bank|Foundation|Press|Company|Corporation|Collaboration|Consortium|Union|Network|Library|Museum|Academy|College|School|Team|Inc|Ltd|Project|Administration|Federation|International|National|Royal)\b/u;

/** Whether pieces are one group's name with commas and joining words in it. */
function isGroup(pieces: readonly Piece[]): boolean {
  if (pieces.some(({ text }) => isInitials(text) || initialsFirst(text) || bareName(text)))
    return false;
  if (pieces.length > 1 && /\p{Lu}\.$/u.test(pieces[1]?.text ?? "")) return false;
  return pieces.some(({ text }) => GROUP_WORD.test(text));
}

function group(pieces: readonly Piece[]): EntryName {
  const [first] = pieces;
  const last = pieces.at(-1);
  const text = pieces.map((piece, at) => (at ? piece.before : "") + piece.text).join("");
  return { from: first?.from ?? 0, to: last?.to ?? 0, literal: text.replaceAll(/\s+/g, " ") };
}

/** A family name, a comma, and what is given before it. */
function invertedName(
  piece: Piece,
  next: Piece,
  third: Piece | undefined,
  index: number,
  rules: AuthorRules,
): { name: EntryName; taken: number } | null {
  if (!/^\s*,\s*$/.test(next.before)) return null;
  const named = (given: string, to: number, suffix?: string): EntryName => ({
    from: piece.from,
    to,
    family: piece.text,
    given,
    ...(suffix ? { suffix } : {}),
  });
  const isNamed = isFamily(piece.text) && !initialsFirst(piece.text);
  if (isNamed && isSuffix(next.text) && third && (isInitials(third.text) || isGiven(third.text))) {
    return { name: named(third.text, third.to, next.text), taken: 3 };
  }
  if (isInitials(next.text) && !isInitials(piece.text) && piece.text.length > 1) {
    if (initialsFirst(piece.text) && rules.form === "initials-first") return null;
    return { name: named(next.text, next.to), taken: 2 };
  }
  const mayBeGiven =
    (rules.form === "given-names" && index === 0) ||
    (rules.form === "inverted-initials" && !(third && isInitials(third.text)));
  if (mayBeGiven && isFamily(piece.text) && isGiven(next.text)) {
    return { name: named(next.text.replace(/(?<=\p{Ll})\.$/u, ""), next.to), taken: 2 };
  }
  return null;
}

/** A piece that is a whole name. */
function single(piece: Piece, rules: AuthorRules): EntryName {
  const { from, to, text } = piece;
  const ways: ((one: string) => ReadName | null)[] =
    rules.form === "bare-initials"
      ? [bareName, stoppedName, initialsFirst, directName]
      : [initialsFirst, rules.form === "given-names" ? directName : bareName];
  if (!GROUP_WORD.test(text)) {
    for (const way of ways) {
      const name = way(text);
      if (name)
        return {
          from,
          to,
          ...name,
          ...(way === bareName || way === stoppedName ? {} : { isDirect: true }),
        };
    }
  }
  return { from, to, literal: text };
}
