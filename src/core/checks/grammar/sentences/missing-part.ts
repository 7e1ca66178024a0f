import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import type { WordTable } from "../../../language/words/words.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { missingPart as card } from "./cards.ts";
import { NOT_SENTENCES, sentencesOf } from "./sentences.ts";

/** "Is important that it is shut", "the gauge very old": a sentence without its subject or its verb. */
export const missingPart = markCheck({
  ...card,
  reason: "A sentence needs its subject and its verb: “{1}”.",
  notIn: NOT_SENTENCES,
  find(syntax, { words: table }) {
    const found: Found[] = [];
    for (const { from, to } of sentencesOf(syntax)) {
      if (to - from < 4 || written(syntax, to - 1) !== ".") continue;
      const later = subjectAfterOpening(syntax, from, to);
      if (later) found.push(later);
      const one =
        missingSubject(syntax, from) ??
        missingAuxiliary(syntax, from, table) ??
        missingVerb(syntax, from, to);
      if (one) found.push(one);
    }
    return found;
  },
});

/** "Is for this reason that": the sentence opens with its verb and asks nothing. */
function missingSubject({ words, tags, units, text }: Syntax, from: number): Found | null {
  const form = words[from]?.form ?? "";
  if ((form !== "is" && form !== "was") || !/^\p{Lu}/u.test(text.slice(units[from]?.from ?? 0)))
    return null;
  const next = tags[from + 1] ?? 0;
  const after = words[from + 2]?.form ?? "";
  const clause = TAG_SETS.ADJ[next] === 1 && /^(?:that|to|for)$/.test(after);
  if (!clause && next !== TAG.IN && next !== TAG.VBN) return null;
  return { from, to: from + 1, mends: [`It ${form}`], unsure: !clause };
}

/** "In my opinion, is better to wait": likewise after an opening phrase. */
function subjectAfterOpening(
  { words, tags, verbGroups }: Syntax,
  from: number,
  to: number,
): Found | null {
  const comma = tags.indexOf(TAG[","], from);
  if (comma < 0 || comma >= to - 3 || (tags[from] !== TAG.IN && tags[from] !== TAG.RB)) return null;
  const form = words[comma + 1]?.form ?? "";
  if (form !== "is" && form !== "was") return null;
  if (verbGroups.some(({ finite }) => finite >= from && finite < comma)) return null;
  const told = TAG_SETS.ADJ[tags[comma + 2] ?? 0] === 1 || tags[comma + 2] === TAG.RBR;
  if (!told || !/^(?:that|to)$/.test(words[comma + 3]?.form ?? "")) return null;
  return { from: comma + 1, to: comma + 2, mends: [`it ${form}`] };
}

/** "They not here", "the keeper not know": a denial without its auxiliary. */
function missingAuxiliary(syntax: Syntax, from: number, table: WordTable): Found | null {
  const { words, tags, nounGroups, nounAt } = syntax;
  const group = nounGroups[nounAt[from] ?? -1];
  if (!group || group.from !== from) return null;
  const at = group.to;
  if (words[at]?.form !== "not" || TAG_SETS.DET[tags[at + 1] ?? 0]) return null;
  const next = words[at + 1]?.form ?? "";
  // "Not like the noise": the tagger has a preposition of it.
  const verbal = TAG_SETS.VERB[tags[at + 1] ?? 0] === 1 || next === "like";
  const plain = verbal && table.verb(next) === next;
  const first = words[group.head]?.form === "i";
  const many = group.number === "plural" || words[group.head]?.form === "you";
  if (plain) return { from: at, to: at + 1, mends: [`${many || first ? "do" : "does"} not`] };
  const predicate = TAG_SETS.ADJ[tags[at + 1] ?? 0] || tags[at + 1] === TAG.IN;
  if (!predicate && !/^(?:here|there|ready|able)$/.test(next)) return null;
  return { from: at, to: at + 1, mends: [`${first ? "am" : many ? "are" : "is"} not`] };
}

/** "The gauge very old and rusty.": what is said of the subject has no verb. */
function missingVerb(syntax: Syntax, from: number, to: number): Found | null {
  const { words, tags, nounGroups, nounAt, verbGroups } = syntax;
  const group = nounGroups[nounAt[from] ?? -1];
  if (!group || group.from !== from || group.determiner < 0) return null;
  if (verbGroups.some((verb) => verb.from >= from && verb.to <= to)) return null;
  const at = group.to;
  if (!/^(?:very|so|too|quite|really)$/.test(words[at]?.form ?? "")) return null;
  if (!TAG_SETS.ADJ[tags[at + 1] ?? 0]) return null;
  const verb = group.number === "plural" ? "are" : "is";
  return { from: at, to: at + 1, mends: [`${verb} ${written(syntax, at)}`] };
}
