import { type Syntax, type VerbGroup, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { commaSplice as card } from "./cards.ts";
import { finiteIn, NOT_SENTENCES, SUBORDINATORS, sentencesOf } from "./sentences.ts";

const SUBJECT_PRONOUNS = wordList("comma-splice/subject-pronouns");

/** "Every time it turned, we went home." */
const OPENS_CLAUSE = /^(?:way|time|moment|day|minute|instant|year)$/;

/** "The tide turned, we went home." */
export const commaSplice = markCheck({
  ...card,
  reason: "Two sentences; a comma is too little between them: “{1}”.",
  notIn: NOT_SENTENCES,
  at: [", i|he|she|it|we|they|you|there|this|nobody|everyone|DT|PRP$|NNP"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, units, text } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      if (to - from < 6 || to - from > 40 || written(syntax, to - 1) !== ".") continue;
      const commas: number[] = [];
      let other = false;
      for (let unit = from; unit < to - 1; unit++) {
        if (tags[unit] === TAG[","]) commas.push(unit);
        const stop = tags[unit] === TAG[":"] || words[unit]?.form === ";";
        if (stop || tags[unit] === TAG.QT || tags[unit] === TAG.BR) other = true;
      }
      const comma = commas[0] ?? -1;
      if (commas.length !== 1 || other) continue;
      const opener = words[from]?.form ?? "";
      if (
        SUBORDINATORS.has(opener) ||
        TAG_SETS.WH[tags[from] ?? 0] ||
        tags[from] === TAG.VBG ||
        tags[from] === TAG.VBN ||
        tags[from] === TAG.TO
      )
        continue;
      if (
        tags[from] === TAG.IN ||
        tags[from] === TAG.CS ||
        tags[from] === TAG.CC ||
        tags[from] === TAG.RB
      )
        continue;
      // A subject that opens the sentence, and a finite verb before the comma.
      const first = syntax.nounGroups[syntax.nounAt[from] ?? -1];
      const verb = finiteIn(syntax, from, comma)[0];
      if (!first || first.from !== from || !verb || verb.finite > first.to + 2) continue;
      // "Every time it turned, …", "the way they read it, …": a clause of time or manner.
      if (OPENS_CLAUSE.test(words[first.head]?.form ?? "") && verb.finite > first.to) continue;
      // The second half: a subject right after the comma with its finite verb.
      const byPronoun = SUBJECT_PRONOUNS.has(words[comma + 1]?.form ?? "");
      const after = byPronoun ? verbAfterPronoun(syntax, comma) : verbAfterNoun(syntax, comma, to);
      if (!after) continue;
      if (tags[comma + 1] === TAG.PPS && words[comma + 2]?.form.startsWith("'") && to - comma < 5)
        continue;
      // "…, she said", "…, I think": the first half is what is said or thought.
      const main = words[after.main]?.form ?? "";
      if ((byPronoun && to - after.to <= 1) || REPORTS.has(main)) continue;
      // The more it rains, the more; half questions; short pairs for effect.
      if (words[from]?.form === "the" && (tags[from + 1] === TAG.JJR || tags[from + 1] === TAG.RBR))
        continue;
      if (finiteIn(syntax, from, comma).length > 1) continue;
      if (TELLS.has(words[verb.main]?.form ?? "")) continue;
      let subordinate = false;
      for (let unit = from; unit < comma; unit++)
        if (SUBORDINATORS.has(words[unit]?.form ?? "") || tags[unit] === TAG.CS) subordinate = true;
      if (subordinate) continue;
      // "so cold, it hurt", "such a day, they left".
      if (
        /\b(?:so|such|not|never|hardly|scarcely)\b/.test(
          text.slice(units[from]?.from ?? 0, units[comma]?.from ?? 0),
        )
      )
        continue;
      const at = units[comma];
      const next = units[comma + 1];
      if (!at || !next) continue;
      const word = text.slice(next.from, next.to);
      const capital = word.slice(0, 1).toUpperCase() + word.slice(1);
      found.push({
        from: comma - 1,
        to: comma + 2,
        mends: [
          edit(syntax, comma, { from: at.from, to: at.to, insert: ";" }),
          edit(syntax, comma, { from: at.from, to: next.to, insert: `. ${capital}` }),
          edit(syntax, comma, { from: at.to, to: at.to, insert: " and" }),
        ],
        unsure: !byPronoun,
      });
    }
    return found;
  },
});

function verbAfterPronoun({ verbGroups, verbAt }: Syntax, comma: number): VerbGroup | null {
  const after = verbGroups[verbAt[comma + 2] ?? -1] ?? verbGroups[verbAt[comma + 3] ?? -1];
  return after && after.finite >= 0 && after.finite <= comma + 3 ? after : null;
}

/** The only verb after the comma, with a noun of its own before it: nothing is set apart or listed. */
function verbAfterNoun(syntax: Syntax, comma: number, to: number): VerbGroup | null {
  const { nounGroups, nounAt, tags } = syntax;
  const group = nounGroups[nounAt[comma + 1] ?? -1];
  const [after, more] = finiteIn(syntax, comma, to);
  if (!group || group.from !== comma + 1 || !after || more || after.finite !== group.to)
    return null;
  if (after.main === after.finite && tags[after.finite] === TAG.VBN) return null;
  for (let unit = comma + 1; unit < to; unit++) if (TAG_SETS.WH[tags[unit] ?? 0]) return null;
  return after;
}

/** A choice that edits around a comma, labelled with the words on both sides. */
function edit(
  { text, units }: Syntax,
  comma: number,
  one: { from: number; to: number; insert: string },
) {
  const from = units[comma - 1]?.from ?? 0;
  const to = units[comma + 1]?.to ?? 0;
  const label = text.slice(from, one.from) + one.insert + text.slice(one.to, to);
  return { label, edits: [one] };
}

const REPORTS = wordList("comma-splice/reports");
const TELLS = wordList("comma-splice/tells");
