import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { VERB } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { sentencesOf } from "../sentences/sentences.ts";
import { isTitleLike } from "../sentences/title-like.ts";
import { subjectComma as card } from "./cards.ts";

const NOT_SENTENCES = ["heading", "cell", "caption", "item"] as const;

/** "The keeper of the gauge, wrote": a comma between subject and verb. */
export const subjectComma = markCheck({
  ...card,
  reason: "No comma between a subject and its verb: “{1}”.",
  notIn: NOT_SENTENCES,
  at: [", VERB|MD"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, units, nounGroups, nounAt } = syntax;
    if (isTitleLike(syntax.text)) return found;
    for (const { from, to } of sentencesOf(syntax)) {
      const told = afterClause(syntax, from, to);
      if (told) found.push(told);
      if (written(syntax, to - 1) !== "." && to < units.length) continue;
      let comma = -1;
      for (let unit = from; unit < to; unit++) {
        if (tags[unit] === TAG[","]) {
          comma = unit;
          break;
        }
        // Anything but a plain noun phrase before the comma, and the comma may be right.
        const tag = tags[unit] ?? 0;
        if (syntax.verbAt[unit] !== -1 && tag !== TAG.VBG && tag !== TAG.VBN) break;
        if (
          tag === TAG.CS ||
          tag === TAG[":"] ||
          tag === TAG.QT ||
          tag === TAG.BR ||
          TAG_SETS.WH[tag]
        )
          break;
      }
      if (comma < 0 || comma - from < 2 || comma - from > 14) continue;
      const first = nounGroups[nounAt[from] ?? -1];
      if (!first || first.from !== from || tags[comma - 1] === TAG.CD) continue;
      if (OPENS_TIME.has(words[from]?.form ?? "") && TIMES.has(words[first.head]?.form ?? ""))
        continue;
      const verb = syntax.verbGroups[syntax.verbAt[comma + 1] ?? -1];
      if (!verb || verb.finite !== comma + 1 || words[comma + 1]?.form === "please") continue;
      // "The lions charged, killed the gnus": verbs in a row.
      const before = words[comma - 1];
      if (before && /ed$/.test(before.form) && before.traits & VERB) continue;
      const opening = tags[verb.finite] ?? 0;
      if (opening === TAG.VB && tags[first.head] !== TAG.NNS) continue;
      if (opening === TAG.MD && words[comma + 1]?.form.startsWith("'")) continue;
      // A past form like a participle may open an insertion; then another verb follows.
      const ambiguous =
        opening === TAG.VBD && verb.main === verb.finite && couldBeParticiple(syntax, verb.finite);
      if (ambiguous && syntax.verbGroups.some((one) => one.finite > verb.finite && one.to <= to))
        continue;
      found.push(withoutComma(syntax, comma));
    }
    return found;
  },
});

/** "What he said about the lamp, was true": the subject is a clause, with one comma before the verb. */
function afterClause(syntax: Syntax, from: number, to: number): Found | null {
  const { words, tags, verbGroups, verbAt } = syntax;
  if (!/^(?:what|whoever|whatever)$/.test(words[from]?.form ?? "")) return null;
  if (written(syntax, to - 1) !== ".") return null;
  const commas: number[] = [];
  for (let unit = from; unit < to - 1; unit++) {
    if (tags[unit] === TAG[","]) commas.push(unit);
    else if (TAG_SETS.STOP[tags[unit] ?? 0]) return null;
  }
  const [comma] = commas;
  const verb = comma === undefined ? undefined : verbGroups[verbAt[comma + 1] ?? -1];
  if (comma === undefined || commas.length !== 1 || verb?.finite !== comma + 1) return null;
  if (!verbGroups.some((one) => one.finite > from && one.to <= comma)) return null;
  return withoutComma(syntax, comma);
}

function withoutComma(syntax: Syntax, comma: number): Found {
  const { from = 0, to = 0 } = syntax.units[comma] ?? {};
  const label = `${written(syntax, comma - 1)} ${written(syntax, comma + 1)}`;
  const edits = [{ from, to, insert: "" }];
  return { from: comma - 1, to: comma + 2, mends: [{ label, edits }] };
}

const TIMES = wordList("subject-comma/times");

/** A past form that is spelled like the participle may open a phrase: "the men, led by him". */
function couldBeParticiple({ words, tags }: Syntax, unit: number): boolean {
  const form = words[unit]?.form ?? "";
  if (PAST_ONLY.has(form)) return false;
  const next = tags[unit + 1] ?? 0;
  // "wrote it", "opened the door": an object of its own speaks for a finite verb.
  return !(TAG_SETS.PRONOUN[next] || next === TAG.DT || next === TAG.PRP$ || next === TAG.TO);
}

const OPENS_TIME = wordList("subject-comma/opens-time");
const PAST_ONLY = wordList("subject-comma/past-only");
