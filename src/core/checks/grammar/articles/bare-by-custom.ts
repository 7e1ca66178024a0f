import type { NounGroup, Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";

/** Groups that stand without an article as they are; common practice. */
const PHRASES = wordList("bare-by-custom/phrases");

/** A preposition or a verb with a noun that it takes bare; common practice. */
const PAIRS = wordList("bare-by-custom/pairs");

/** Offices that one holds: "as moderator", "turned pilot". */
const OFFICE = /(?:er|or|ist|ian|ant|man|woman|chief)$/;
const HOLDING = /^(?:as|turned|become|becomes|became|appointed|elected|named)$/;

/** Whether a noun group without an article stands as custom has it. */
export function isBareByCustom(syntax: Syntax, group: NounGroup): boolean {
  const { words, tags, sentenceFrom } = syntax;
  const { from, to, head } = group;
  const form = (unit: number) => words[unit]?.form ?? "";
  const noun = form(head);
  const length = to - from;
  if (length === 1 && (PHRASES.has(noun) || PAIRS.has(`${form(from - 1)} ${noun}`))) return true;
  if (length === 2 && PHRASES.has(`${form(from)} ${noun}`)) return true;
  // "Year by year", "from pier to pier".
  if (form(from - 2) === noun || form(to + 1) === noun) return true;
  if (isWay(syntax, group) || sharesDeterminer(syntax, group)) return true;
  if (HOLDING.test(form(from - 1)) && OFFICE.test(noun)) return true;
  // "Orrin Vale, keeper of the gauge"; "…; care of the log; repair of the float".
  const start = sentenceFrom[from] ?? 0;
  const before = tags[from - 1] ?? 0;
  if (from - 2 <= start) return false;
  if (before === TAG[","] && TAG_SETS.NAME[tags[from - 2] ?? 0]) return true;
  return form(from - 1) === ";" && form(to) === "of";
}

/** "The lamp and float", "their absence or presence": the second of two takes the first one's determiner. */
function sharesDeterminer({ tags, nounAt, nounGroups }: Syntax, { from, to }: NounGroup): boolean {
  if (tags[from - 1] !== TAG.CC || to - from > 1) return false;
  const other = nounGroups[nounAt[from - 2] ?? -1];
  return other !== undefined && other.determiner >= 0 && other.to - other.from === 2;
}

/** "From door to quay": both ends of a way, the other one bare as well. */
function isWay({ words, nounAt, nounGroups }: Syntax, { from, to }: NounGroup): boolean {
  const form = (unit: number) => words[unit]?.form ?? "";
  const bare = (unit: number) => (nounGroups[nounAt[unit] ?? -1]?.determiner ?? 0) < 0;
  if (form(from - 1) === "from" && form(to) === "to") return bare(to + 1);
  if (form(from - 1) !== "to") return false;
  const other = nounGroups[nounAt[from - 2] ?? -1];
  return other !== undefined && other.determiner < 0 && form(other.from - 1) === "from";
}
