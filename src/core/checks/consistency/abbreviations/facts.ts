import type { AnalysedBlock, Language } from "../../../language/analysis.ts";
import { oncePerBlock } from "../../../language/per-block.ts";
import type { Syntax } from "../../../language/phrases/syntax.ts";
import type { Fact, Keeping } from "../../check.ts";
import { keepingAt } from "../places.ts";
import { CAPITALS, textSigns } from "../text-signs.ts";
import { isCapital } from "../word-capitals.ts";
import { initialsOf, isLongForm, isSmall, longFormBefore, stemOf } from "./definitions.ts";

/** What a block shows of abbreviations: uses, definitions, entries of a list, and phrases that may be one's expansion. */
export interface AbbreviationFact extends Fact {
  sort: "use" | "definition" | "entry" | "phrase";
  /** In the singular; for a phrase, its initials. */
  abbreviation: string;
  /** What it stands for, as it is written; "" for a use. */
  expansion: string;
  /** The same in the form in which expansions are compared. */
  compared: string;
  /** Where the abbreviation stands in a definition, and where its expansion does. */
  short?: { from: number; to: number };
  long?: { from: number; to: number };
  plural: boolean;
  kept?: Keeping;
  /** It is no plain abbreviation: a word in capitals, a code, part of a name. */
  doubtful: boolean;
  inNote: boolean;
  /** It stands in a line that is no sentence: a title, an entry of a list of contents. */
  inLine?: boolean;
}

/** Lines shorter than this that end in no stop are no sentences. */
const SHORTEST_TEXT = 80;
const READ = new Set(["paragraph", "item", "note", "cell"]);
/** Two capitals or more, small letters between them few: "SLS", "PhDs", "R&D", "mRNA". */
const SHORT =
  /(?<![\p{L}\p{N}_])[\p{L}\p{N}]*\p{Lu}[\p{L}\p{N}&/]*\p{Lu}[\p{L}\p{N}]*(?![\p{L}\p{N}_])/gu;
const MAYBE = /[A-Z][a-z0-9&/][A-Z]/;
const LONGEST_SHORT = 10;
const LONGEST_LETTERS = 5;
const LONGEST_PHRASE = 6;
/** Of the words of a block, so many in capitals make it a line that is set in capitals. */
const SHOUTED = 0.4;

/** The facts of a block, the same for all checks of abbreviations. */
export const abbreviationFacts = oncePerBlock((block, language: Language): AbbreviationFact[] =>
  READ.has(block.kind) ? findFacts(block, language) : [],
);

function findFacts(block: AnalysedBlock, language: Language): AbbreviationFact[] {
  const syntax = block.syntax();
  if (!syntax) return [];
  const { text, kind } = block;
  // Most paragraphs have no word with two capitals.
  const shorts = textSigns(block) & CAPITALS || MAYBE.test(text) ? shortsIn(text) : [];
  // What stands alone in a cell or a line is explained by what follows it.
  const [only] = shorts;
  if (only && text.slice(0, only.from).trim() === "" && text.slice(only.to).trim() === "") {
    return [plain(block, "entry", only)];
  }
  if (kind === "cell") return [];
  const isShouted = shorts.length > 2 && shorts.length > SHOUTED * syntax.units.length;
  const facts = isShouted ? [] : definedAndUsed(block, shorts, language);
  const taken = facts.flatMap(({ long }) => (long ? [long] : []));
  const add = (phrase: AbbreviationFact) => {
    if (taken.some(({ from, to }) => phrase.from < to && phrase.to > from)) return;
    const kept = keepingAt(block, phrase.from, phrase.to);
    if (kept) phrase.kept = kept;
    phrase.inNote = kind === "note";
    facts.push(phrase);
  };
  const names = [...namesIn(syntax, language)];
  for (const name of names) add(name);
  for (const phrase of phrasesIn(syntax, language)) {
    if (!names.some(({ from, to }) => from === phrase.from && to === phrase.to)) add(phrase);
  }
  return facts;
}

interface Short {
  from: number;
  to: number;
  text: string;
}

function shortsIn(text: string): Short[] {
  const found: Short[] = [];
  for (const { 0: word, index } of text.matchAll(SHORT)) {
    // A word in several pieces of small letters is a name: "JavaScript".
    if (word.length > LONGEST_SHORT || /\p{Ll}{2}/u.test(word.replace(/s$/, ""))) continue;
    if (/^[IVX]+$/.test(word)) continue;
    found.push({ from: index, to: index + word.length, text: word });
  }
  return found;
}

/** The definitions among the abbreviations of a block, and those that are used only. */
function definedAndUsed(
  block: AnalysedBlock,
  shorts: readonly Short[],
  language: Language,
): AbbreviationFact[] {
  return shorts.map((short) => {
    const defined = definitionAt(block.text, short);
    if (!defined) {
      return { ...plain(block, "use", short), doubtful: isDoubtful(block.text, short, language) };
    }
    const { long, sort } = defined;
    const expansion = block.text.slice(long.from, long.to);
    const from = Math.min(long.from, short.from);
    const to = Math.max(long.to, short.to);
    return {
      ...plain(block, sort, short),
      from,
      to: closingAfter(block.text, to),
      expansion,
      compared: comparedForm(expansion, language),
      ...(block.text.length < SHORTEST_TEXT && !/[.!?;:]["”’')]*\s*$/.test(block.text)
        ? { inLine: true }
        : {}),
      short: { from: short.from, to: short.to },
      long,
    };
  });
}

function plain(
  block: AnalysedBlock,
  sort: AbbreviationFact["sort"],
  short: Short,
): AbbreviationFact {
  const kept = keepingAt(block, short.from, short.to);
  const abbreviation = stemOf(short.text);
  return {
    from: short.from,
    to: short.to,
    sort,
    abbreviation,
    expansion: "",
    compared: "",
    plural: abbreviation !== short.text,
    doubtful: false,
    inNote: block.kind === "note",
    ...(kept ? { kept } : {}),
  };
}

interface Defined {
  sort: "definition" | "entry";
  long: { from: number; to: number };
}

/** The long form beside an abbreviation: before its brackets, in brackets after it, or after a colon or dash. */
function definitionAt(text: string, { from, to, text: short }: Short): Defined | null {
  const before = text.slice(0, from);
  const after = text.slice(to);
  // "(SLS)", "(SLS; since 1931)", "(the SLS)", "(“SLS”)", "[SLS]"
  const opened =
    /^(?<outside>[\s\S]*?)\s*[([](?:the |or |hereafter,? |abbreviated(?: as| to)? )?["“‘']?$/u.exec(
      before,
    );
  if (opened && /^["”’']?\s*(?:[)\];,]|(?:aka|or|also)\b)/u.test(after)) {
    const outside = opened.groups?.outside ?? "";
    const start = longFormBefore(outside.replace(/["”’']$/u, ""), short);
    if (start >= 0) {
      const long = { from: start, to: outside.replace(/["”’']$/u, "").length };
      return { sort: "definition", long };
    }
  }
  // "SLS (Sea Level Service)"
  const inner = /^["”’']?\s*[([](?<inner>[^()[\]]{3,90}?)[)\];]/u.exec(after)?.groups?.inner;
  if (inner !== undefined && isLongForm(inner.replace(/^(?:the|an?) /i, ""), short)) {
    const start = to + after.indexOf(inner) + (/^(?:the|an?) /i.exec(inner)?.[0].length ?? 0);
    return {
      sort: "definition",
      long: { from: start, to: to + after.indexOf(inner) + inner.length },
    };
  }
  // An entry of a list of abbreviations: "SLS: Sea Level Service", "SLS – Sea Level Service".
  const entry = from === 0 && /^\s*[:=–—-]\s*(?<long>[^.;:]{3,90}?)[.;]?\s*$/u.exec(after);
  if (entry) {
    const long = entry.groups?.long ?? "";
    if (isLongForm(long, short)) {
      const start = to + after.indexOf(long);
      return { sort: "entry", long: { from: start, to: start + long.length } };
    }
  }
  // "SLS stands for Sea Level Service"
  const said =
    /^[>*_`"”’']{0,2} (?:stands for|is short for|means|is|are) (?:the |an? )?["“‘']?(?<long>[^.,;:()]{3,90})/u.exec(
      after,
    );
  const long = said?.groups?.long;
  if (long === undefined) return null;
  const words = long.split(" ");
  for (let count = Math.min(words.length, LONGEST_PHRASE); count > 1; count--) {
    const part = words
      .slice(0, count)
      .join(" ")
      .replace(/["”’']$/u, "");
    if (!isLongForm(part, short)) continue;
    const start = to + after.indexOf(long);
    return { sort: "definition", long: { from: start, to: start + part.length } };
  }
  return null;
}

/** The end of a definition with what closes it. */
function closingAfter(text: string, to: number): number {
  return to + (/^["”’']?\s*[)\]]/u.exec(text.slice(to))?.[0].length ?? 0);
}

/** Whether capitals here may be something else: a stressed word, a code, a name with a number. */
function isDoubtful(
  text: string,
  { from, to, text: short }: Short,
  { lexicon }: Language,
): boolean {
  const stem = stemOf(short);
  // Longer ones are mostly names, or words that are stressed.
  if (stem.replace(/[/&]/g, "").length > LONGEST_LETTERS) return true;
  if (!/^\p{Lu}+$/u.test(stem.replace(/[&/]/g, ""))) return true;
  if (lexicon.varieties(stem.toLowerCase()) !== 0) return true;
  const before = text.charAt(from - 1);
  const after = text.slice(to, to + 3);
  if (/[_\\/.@#$<>=+*`~|:-]/.test(before) || /^[_\\/@#$<>=+*`~|!]/.test(after)) return true;
  if (/^\.\p{Ll}|^-?\d|^[ \u00a0]\d|^\.\d|^-\p{Lu}/u.test(after)) return true;
  // "GT Marlow", "Hale AB,": a person's initials.
  if (stem.length === 2 && /^[ \u00a0]\p{Lu}\p{Ll}/u.test(text.slice(to, to + 3))) return true;
  return stem.length === 2 && /\p{Lu}\p{Ll}+,? $/u.test(text.slice(Math.max(0, from - 16), from));
}

/** Noun phrases of two words or more, with what "of" and the like join to them: each end with each beginning. */
function* phrasesIn(syntax: Syntax, language: Language): Generator<AbbreviationFact> {
  const { nounGroups, units, text, words, sentenceTo } = syntax;
  for (const [index, group] of nounGroups.entries()) {
    const last = group.to - 1;
    const start = beginningOf(syntax, index);
    if (group.pronoun || last <= start) continue;
    const singular = language.words.noun(words[last]?.form ?? "");
    const plural = singular !== words[last]?.form;
    let initials = (words[last]?.form ?? "").charAt(0).toUpperCase();
    let compared = singular;
    for (let first = last - 1; first >= start && last - first < LONGEST_PHRASE; first--) {
      const unit = units[first];
      const next = units[first + 1];
      const { form = "" } = words[first] ?? {};
      // What is parted by a comma or a mark is not one phrase.
      if (!unit || !next || next.from !== unit.to + 1 || (sentenceTo[first] ?? 0) <= last) break;
      compared = `${form.includes("-") ? form.replaceAll("-", " ") : form} ${compared}`;
      if (isSmall(form)) continue;
      const letters = form.includes("-") ? initialsOf(form) : form.charAt(0).toUpperCase();
      initials = letters + initials;
      // Pairs of small letters are everywhere: two-letter abbreviations are compared as names alone.
      if (initials.length < 3) continue;
      const from = unit.from;
      const to = units[last]?.to ?? from;
      const rest = { plural, doubtful: false, inNote: false };
      const expansion = text.slice(from, to);
      yield { from, to, sort: "phrase", abbreviation: initials, expansion, compared, ...rest };
    }
  }
}

/** Names of several words with capitals, small words between them: "Harbour Works Fund". */
function* namesIn(
  { units, words, text, sentenceTo }: Syntax,
  language: Language,
): Generator<AbbreviationFact> {
  for (let first = 0; first < units.length - 1; first++) {
    const unit = units[first];
    if (!unit || !isCapital(text.charCodeAt(unit.from)) || words[first]?.form === "the") continue;
    let last = first;
    const end = sentenceTo[first] ?? first + 1;
    for (let at = first + 1; at < end && at - first < LONGEST_PHRASE; at++) {
      const next = units[at];
      if (!next || next.from !== (units[at - 1]?.to ?? 0) + 1) break;
      if (isCapital(text.charCodeAt(next.from))) last = at;
      else if (!isSmall(words[at]?.form ?? "")) break;
    }
    if (last === first) continue;
    const to = units[last]?.to ?? unit.to;
    const expansion = text.slice(unit.from, to);
    if (!isPerson(expansion, language)) yield phraseOf(unit.from, to, expansion, language);
    first = last;
  }
}

/** A first name and a surname, of which none is a word. */
function isPerson(name: string, { lexicon }: Language): boolean {
  const words = name.split(" ");
  return words.length === 2 && words.some((word) => lexicon.varieties(word.toLowerCase()) === 0);
}

function phraseOf(
  from: number,
  to: number,
  expansion: string,
  language: Language,
): AbbreviationFact {
  const abbreviation = initialsOf(expansion);
  const compared = comparedForm(expansion, language);
  const plural = compared !== expansion.toLowerCase().replace(/[-\s]+/g, " ");
  const rest = { plural, doubtful: false, inNote: false };
  return { from, to, sort: "phrase", abbreviation, expansion, compared, ...rest };
}

/** The first unit of the groups that small words join to a noun group. */
function beginningOf({ nounGroups, words }: Syntax, index: number): number {
  const start = nounGroups[index]?.from ?? 0;
  const before = nounGroups[index - 1];
  const joins = before && !before.pronoun && start - before.to === 1;
  return joins && isSmall(words[start - 1]?.form ?? "") ? before.from : start;
}

/** An expansion as it is compared with others: small letters, no hyphens, its last word in the singular. */
export function comparedForm(expansion: string, { words }: Language): string {
  const plain = expansion
    .toLowerCase()
    .replace(/[-\s]+/g, " ")
    .trim();
  const cut = plain.lastIndexOf(" ") + 1;
  return plain.slice(0, cut) + words.noun(plain.slice(cut));
}
