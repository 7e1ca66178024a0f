import type { Range } from "../../manuscript/model.ts";
import type { CitedName } from "./citation.ts";

const PARTICLE =
  "(?:van|von|vom|der|den|de|del|della|di|da|das|dos|du|la|le|ten|ter|el|al|bin|zu|zur|af|av|y)";
const TIED = "(?:d[’']|al-|el-|l[’'])";
const WORD = "\\p{Lu}[\\p{L}\\p{M}’'-]*";
/** A family name with the particles before it, or a group's name in a few words. */
export const CITED_NAME = `(?:(?:\\p{Lu}\\.[ -]?)+)?(?:${PARTICLE} )*${TIED}?${WORD}(?: (?:(?:${PARTICLE}|of|for|the|on|and the) )*${TIED}?${WORD}){0,6}(?:,? (?:Jr|Sr)\\.)?`;
/** “et al.” however it is written. */
export const ET_AL = "(?:et\\.? al\\b\\.?|and others|and colleagues)";
/** Between names. */
const JOIN = "(?:, and |, & | and | & |, )";
/** Names of a citation, with “et al.” behind them. */
export const CITED_NAMES = `${CITED_NAME}(?:${JOIN}${CITED_NAME})*(?:,? ${ET_AL})?`;

/** What parts names; “Jr.” belongs to the one before. */
const SPLIT = /,? (?:and|&) |, (?!(?:Jr|Sr)\.)/gu;
const BEHIND = /(?:,? (?:Jr|Sr)\.|[’']s)$/u;
const ET_AL_AT_END = new RegExp(`,?\\s${ET_AL}$`, "u");
const INITIALS = /^((?:\p{Lu}\.[ -]?)+)(?=\p{L})/u;

/** The names of a stretch of a citation; offsets in the text it lies in. */
export function citedNames(
  text: string,
  { from, to }: Range,
): { names: CitedName[]; etAl: Range | null } {
  let end = to;
  let etAl: Range | null = null;
  const found = ET_AL_AT_END.exec(text.slice(from, to));
  if (found) {
    const at =
      from + found.index + found[0].search(/\S/u) + (found[0].trimStart().startsWith(",") ? 1 : 0);
    etAl = { from: at + (text[at] === " " ? 1 : 0), to };
    end = from + found.index;
  }
  const names: CitedName[] = [];
  let start = from;
  const add = (until: number) => {
    const piece = text.slice(start, until);
    const initials = INITIALS.exec(piece)?.[1];
    const skip = initials?.length ?? 0;
    if (piece.trim()) {
      names.push({
        from: start + skip,
        to: until - (BEHIND.exec(piece)?.[0].length ?? 0),
        text: piece.slice(skip).replace(BEHIND, ""),
        ...(initials ? { initials: initials.trim() } : {}),
      });
    }
  };
  for (const split of text.slice(from, end).matchAll(SPLIT)) {
    add(from + split.index);
    start = from + split.index + split[0].length;
  }
  add(end);
  return { names, etAl };
}
