import type { AnalysedBlock, Language } from "../../../language/analysis.ts";
import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, tagSet } from "../../../language/tags/tag-sets.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { isCapital } from "../word-capitals.ts";
import { CLOSED, HYPHENED, LETTERS, signsOf } from "../word-signs.ts";
import { compound as card } from "./cards.ts";
import { PREFIXES } from "./prefixes.ts";
import { withSeparatorsOf } from "./separators.ts";

/**
 * What a compound does where it stands, which decides how it may be written: names a thing (n), stands
 * before a noun (a), tells what something is (p), or is done (v). Forms are compared within one of these.
 */
type Role = "n" | "a" | "p" | "v";

const FIRST_OF_NOUN = tagSet("NN", "NNS", "JJ", "VBG", "VBN");
/** What the second word of a noun may be taken for. */
const SECOND_OF_NOUN = tagSet("NN", "NNS", "RB", "VB", "VBN", "VBG", "JJ");
const NOUN_TAGS = tagSet("NN", "NNS");
const VERB_TAGS = tagSet("VB", "VBD", "VBG", "VBN", "VBZ");
const PARTICIPLES = tagSet("VBG", "VBN");
const BEFORE_NOUN = tagSet("DT", "JJ", "PRP$", "CD");
const BEFORE_VERB = new Set("to not will can could must should would may might shall".split(" "));
/** Words after a verb that make one thing with it. */
const PARTICLES = new Set("up down in out on off over back away through around along".split(" "));
/** Shorter parts make compounds by chance. */
const SHORTEST_PART = 2;

/** Roles in which an open form and one with a hyphen are the same thing. */
const SAME_ROLES: readonly Role[] = ["n", "a", "p"];

/** One compound written apart, with a hyphen, and in one piece. */
export const compound = formCheck<FormFact>({
  ...card,
  matter: "compounds",
  examine(block, language) {
    const syntax = block.syntax();
    return syntax ? [...compoundsIn(block, syntax, language)] : [];
  },
  // Between a noun and what stands before one, two words and a hyphen both are right; in one piece neither.
  rolesAtOdds(counts) {
    const forms = [...counts];
    const closed = forms.some(([form, { own }]) => own > 0 && !/[ -]/.test(form));
    const within = (role: Role) => forms.filter(([, { roles }]) => (roles?.[role] ?? 0) > 0);
    if (closed) return "napv";
    return [...SAME_ROLES, "v" as const].filter((role) => within(role).length > 1).join("");
  },
  dictionary: (key, counts, { language: { compounds } }) => {
    const known = [...counts.keys()].filter((form) => compounds.has(form));
    // Where only the form in two words is in use beside one that no dictionary has, it is not told.
    return key.endsWith(" v") || known.length !== 1 ? null : (known[0] ?? null);
  },
  write: ({ from, to }, form, text) => withSeparatorsOf(form, text.slice(from, to)),
});

function* compoundsIn(
  block: AnalysedBlock,
  syntax: Syntax,
  language: Language,
): Generator<FormFact> {
  const { text, units, words } = syntax;
  const signs = signsOf(block, syntax, language);
  for (let at = 0; at < units.length; at++) {
    const unit = units[at];
    const sign = signs[at] ?? 0;
    if (!unit || (sign & (HYPHENED | LETTERS)) === 0) continue;
    const { from, to } = unit;
    if (sign & HYPHENED) {
      const parts = words[at]?.form.split("-") ?? [];
      if (isPair(parts) && !PREFIXES.has(parts[0] ?? "") && !isName(text, from)) {
        yield factOf(block, syntax, language, at, at + 1, from, to);
      }
      continue;
    }
    if (sign & CLOSED && (!isName(text, from) || at === syntax.sentenceFrom[at])) {
      yield factOf(block, syntax, language, at, at + 1, from, to);
    }
    const next = units[at + 1];
    if (!next || next.from !== to + 1 || ((signs[at + 1] ?? 0) & LETTERS) === 0) continue;
    if (next.to - next.from < SHORTEST_PART || to - from < SHORTEST_PART) continue;
    if (text.charCodeAt(to) !== 32 && text.charCodeAt(to) !== 160) continue;
    if (isOpen(syntax, at)) yield factOf(block, syntax, language, at, at + 2, from, next.to);
  }
}

/** Whether two words beside each other may be one compound. */
function isOpen({ text, units, tags, words, sentenceTo }: Syntax, at: number): boolean {
  if ((sentenceTo[at] ?? 0) <= at + 1) return false;
  const first = tags[at] ?? -1;
  const second = tags[at + 1] ?? -1;
  const form = words[at + 1]?.form ?? "";
  if (isName(text, units[at]?.from ?? 0) && isName(text, units[at + 1]?.from ?? 0)) return false;
  if (FIRST_OF_NOUN[first] && NOUN_TAGS[second]) return true;
  const named = BEFORE_NOUN[tags[at - 1] ?? -1] === 1;
  if (named && FIRST_OF_NOUN[first] && SECOND_OF_NOUN[second] && !PARTICLES.has(form)) return true;
  // "well known", "water proof", "decision making"
  if ((first === TAG.RB || first === TAG.NN) && (PARTICIPLES[second] || second === TAG.JJ)) {
    return !words[at]?.form.endsWith("ly");
  }
  if (!PARTICLES.has(form)) return false;
  return VERB_TAGS[first] === 1 || (first === TAG.NN && BEFORE_NOUN[tags[at - 1] ?? -1] === 1);
}

function factOf(
  block: AnalysedBlock,
  syntax: Syntax,
  language: Language,
  first: number,
  last: number,
  from: number,
  to: number,
): FormFact {
  const opening = syntax.words[first]?.form ?? "";
  const written = last - first > 1 ? `${opening} ${syntax.words[last - 1]?.form}` : opening;
  const role = roleOf(syntax, first, last);
  const form = role === "v" ? infinitive(written, language) : singular(written, language);
  const letters = form.replace(/[ -]/, "");
  const key = role === "v" ? `${letters} v` : letters;
  return placed(block, { from, to, key, form, role }, first);
}

function roleOf({ tags, units, text, words }: Syntax, first: number, last: number): Role {
  const final = tags[last - 1] ?? -1;
  const particle = PARTICLES.has(words[last - 1]?.form ?? "");
  if (last - first === 2 && particle && VERB_TAGS[tags[first] ?? -1]) {
    return BEFORE_NOUN[tags[first - 1] ?? -1] && tags[first] === TAG.VB ? "n" : "v";
  }
  if (last - first === 1 && VERB_TAGS[final] && BEFORE_VERB.has(words[first - 1]?.form ?? ""))
    return "v";
  const next = units[last];
  const end = units[last - 1]?.to ?? 0;
  const follows = next && next.from === end + 1 && /\s/.test(text.charAt(end));
  const noun = follows && (NOUN_TAGS[tags[last] ?? -1] || tags[last] === TAG.NNP);
  if (noun && !particle && final !== TAG.NNS) return "a";
  if (noun && last - first === 1) return "a";
  const named = BEFORE_NOUN[tags[first - 1] ?? -1] === 1;
  return NOUN_TAGS[final] || particle || named ? "n" : "p";
}

/** A compound with its last word in the singular. */
function singular(written: string, { words }: Language): string {
  const cut = Math.max(written.lastIndexOf(" "), written.lastIndexOf("-")) + 1;
  return written.slice(0, cut) + words.noun(written.slice(cut));
}

/** A verb with its particle, the verb in its base form. */
function infinitive(written: string, { words }: Language): string {
  const cut = written.search(/[ -]/);
  return cut < 0 ? written : words.verb(written.slice(0, cut)) + written.slice(cut);
}

function isPair(parts: readonly string[]): boolean {
  return (
    parts.length === 2 && parts.every((part) => isLetters(part) && part.length >= SHORTEST_PART)
  );
}

function isLetters(form: string): boolean {
  for (let at = 0; at < form.length; at++) {
    const code = form.charCodeAt(at);
    if (code > 127) return /^\p{Ll}+$/u.test(form);
    if (code < 97 || code > 122) return false;
  }
  return form.length > 0;
}

function isName(text: string, at: number): boolean {
  return isCapital(text.charCodeAt(at));
}
