import type { AnalysedBlock } from "../../../language/analysis.ts";
import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { isDayOrMonth } from "../../../language/words/days-and-months.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import type { Keeping } from "../../check.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { termCapitals as card } from "./cards.ts";

/** Most words of a term. */
const LONGEST = 3;
/** Before a term that is one known thing: the same thing may be meant without a capital. */
const DEFINITE = wordList("capitals/definite");
/** Nouns that stand without an article and are met with a capital: seasons, points of the compass. */
const BARE = wordList("capitals/bare");
/** What a number or letter after it makes a name of: "Table 3", "Part B". */
const LABELS = wordList("capitals/labels");

/** A term, title or office with capitals, and without. */
export const termCapitals = formCheck<FormFact>({
  ...card,
  matter: "capitals",
  examine(block) {
    const syntax = block.syntax();
    return syntax ? [...termsIn(block, syntax)] : [];
  },
  // A word with a capital now and then is met in any text; what is mostly written one way is a habit.
  atOdds(key, counts) {
    const own = [...counts.values()].map(({ own: places }) => places).filter(Boolean);
    if (own.length < 2) return false;
    const most = Math.max(...own);
    const rest = own.reduce((sum, one) => sum + one, 0) - most;
    const single = !key.includes(" ");
    return most >= (single ? 3 : 2) && most >= (single ? 3 : 2) * rest;
  },
  write({ from, to }, form, text) {
    const written = text.slice(from, to).split(/(\s+)/);
    const words = form.split(" ");
    let at = 0;
    const out = written.map((piece) => {
      if (/^\s*$/.test(piece)) return piece;
      const model = words[at++] ?? "";
      const first = piece.charAt(0);
      const upper = /^\p{Lu}/u.test(model);
      return (upper ? first.toUpperCase() : first.toLowerCase()) + piece.slice(1);
    });
    return at === words.length ? out.join("") : null;
  },
});

function* termsIn(block: AnalysedBlock, syntax: Syntax): Generator<FormFact> {
  const { units, words, tags, text } = syntax;
  for (let at = 0; at < units.length; at++) {
    const previous = words[at - 1]?.form ?? "";
    const definite = DEFINITE.has(previous);
    const bare = BARE.has(words[at]?.form ?? "");
    if (!definite && !bare) continue;
    if (at === syntax.sentenceFrom[at]) continue;
    const last = bare && !definite ? at : endOfTerm(syntax, at);
    if (last < at) continue;
    const from = units[at]?.from ?? 0;
    const to = units[last]?.to ?? from;
    const form = text.slice(from, to).replace(/\s+/g, " ");
    const single = last === at;
    if (single && (isDayOrMonth(form) || LABELS.has(form.toLowerCase()))) continue;
    if (single && !/^\p{L}\p{Ll}+$/u.test(form)) continue;
    if (bare && (!single || (!definite && tags[at - 1] === TAG.NNP))) continue;
    const kept = keptBy(syntax, last);
    const key = form.toLowerCase();
    yield placed(block, { from, to, key, form, ...(kept ? { kept } : {}) });
    at = last;
  }
}

/** The last word of the term that begins here: up to three words alike in capitals, a noun at their end. */
function endOfTerm(
  { units, tags, text, sentenceTo, nounAt, nounGroups }: Syntax,
  at: number,
): number {
  const group = nounGroups[nounAt[at] ?? -1];
  const end = sentenceTo[at] ?? at + 1;
  const capital = /^\p{Lu}/u.test(text.charAt(units[at]?.from ?? 0));
  let last = at - 1;
  for (let next = at; next < end; next++) {
    const tag = tags[next] ?? -1;
    const unit = units[next];
    if (!unit || (next > at && unit.from !== (units[next - 1]?.to ?? -1) + 1)) break;
    const word = text.slice(unit.from, unit.to);
    if (capital ? !/^\p{Lu}[\p{Ll}\p{M}]+$/u.test(word) : next >= (group?.to ?? at + 1)) break;
    if (!capital && !(TAG_SETS.NOUN[tag] || tag === TAG.JJ)) break;
    if (!capital && !/^[\p{Ll}\p{M}]+$/u.test(word)) return -1;
    last = next;
  }
  if (last < at || last - at >= LONGEST) return -1;
  // What ends in an adjective has its noun elsewhere.
  return capital || TAG_SETS.NOMINAL[tags[last] ?? -1] ? last : -1;
}

/** Why capitals here say nothing: it is part of a name, or has a number. */
function keptBy({ units, tags, text, words }: Syntax, last: number): Keeping | null {
  const next = units[last + 1];
  const touches = next && next.from === (units[last]?.to ?? 0) + 1;
  const beyond = next ? text.slice(next.from, next.to) : "";
  if (touches && (/^[\p{Lu}\d]/u.test(beyond) || tags[last + 1] === TAG.CD)) return "name";
  if (tags[last + 1] === TAG.POS) return null;
  // "the Board of Gannet Head": a name with "of" and a capital.
  const after = units[last + 2];
  if (
    words[last + 1]?.form === "of" &&
    after &&
    /^\p{Lu}/u.test(text.slice(after.from, after.to))
  ) {
    return "name";
  }
  return null;
}
