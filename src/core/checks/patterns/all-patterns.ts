import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import { phraseLines } from "../../language/phrases/phrase-lists.ts";
import { CHECKS } from "../index.ts";
import { type Match, Matcher } from "./matcher.ts";
import { parsePattern } from "./pattern.ts";
import { WORD_LISTS } from "./word-lists.ts";

/** The patterns of all checks, compiled once for each state of the language data. */
const compiled = new WeakMap<Language["words"], Matcher>();

/** The matches of each check's patterns in a block, by the check's order in CHECKS. */
export function matchesOf(block: AnalysedBlock, language: Language): (Match[] | undefined)[] {
  const found: (Match[] | undefined)[] = [];
  const syntax = block.syntax();
  if (!syntax) return found;
  matcherFor(language).match(syntax, (owner, match) => {
    const matches = found[owner];
    if (matches) matches.push(match);
    else found[owner] = [match];
  });
  return found;
}

/** Compiles the patterns; asked for before any text is read, since words get their numbers here. */
export function matcherFor(language: Language): Matcher {
  const known = compiled.get(language.words);
  if (known) return known;
  const { words, lexicon } = language;
  const owners = CHECKS.map(({ patterns = [], phraseList }) => {
    const listed = phraseList ? phraseLines(language.phrases.get(phraseList) ?? "") : [];
    return [...patterns, ...listed].map((line) => parsePattern(line, words, WORD_LISTS));
  });
  const matcher = new Matcher(owners, words, (form) => lexicon.frequency(form));
  compiled.set(words, matcher);
  return matcher;
}
