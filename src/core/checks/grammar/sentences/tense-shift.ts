import type { Syntax, VerbGroup } from "../../../language/phrases/syntax.ts";
import { OPENS_OBJECT, TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE, NOUN } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { BARE, PAST, type WordTable } from "../../../language/words/words.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { tenseShift as card } from "./cards.ts";

/** "She opened the door and walks in." */
export const tenseShift = markCheck({
  ...card,
  reason: "The verb before it is in another tense: “{1}”.",
  at: ["and VBD|VBZ|VB"],
  find(syntax, { words: table }) {
    const found: Found[] = [];
    const { words, tags, verbGroups } = syntax;
    for (const [index, verb] of verbGroups.entries()) {
      const unit = verb.finite;
      if (unit < 0 || words[unit - 1]?.form !== "and" || verb.finite !== verb.main) continue;
      const before = verbGroups[index - 1];
      if (!before || before.finite < 0 || before.finite !== before.main) continue;
      if ((syntax.sentenceFrom[unit] ?? 0) !== (syntax.sentenceFrom[before.finite] ?? 0)) continue;
      if (unit - before.to > 9) continue;
      const one = tags[before.finite];
      const two = tags[unit];
      const form = words[unit]?.form ?? "";
      const other = words[before.finite]?.form ?? "";
      // "He opened the door and see a man": a form that no subject of a past verb takes.
      const base = one === TAG.VBD && two === TAG.VB && !TAKES_BASE.test(other);
      const shifted = (one === TAG.VBD && two === TAG.VBZ) || (one === TAG.VBZ && two === TAG.VBD);
      if (
        !shifted &&
        !(
          base &&
          isPlainVerb(syntax, unit, table) &&
          opensStory(syntax, before, verbGroups[index - 2])
        )
      )
        continue;
      if (STATES.has(form) || STATES.has(other) || form.startsWith("'")) continue;
      // Only where the first verb's own subject is the only one.
      let clear = true;
      for (let at = before.to; at < unit - 1; at++) {
        if (
          tags[at] === TAG.CS ||
          (base && tags[at] === TAG.TO) ||
          TAG_SETS.WH[tags[at] ?? 0] ||
          tags[at] === TAG.PPS ||
          tags[at] === TAG.PPSS ||
          tags[at] === TAG[":"] ||
          tags[at] === TAG.QT
        )
          clear = false;
      }
      if (!clear) continue;
      const lemma = table.verb(form);
      const past = two !== TAG.VBD;
      const mend = table.inflect(lemma, past ? "VBD" : "VBZ");
      if (mend === form) continue;
      found.push({
        from: unit,
        to: unit + 1,
        mends: [mend],
        ...(base ? { weight: "fix" as const } : {}),
      });
    }
    return found;
  },
});

/** A base form that is no noun here: an object follows, or it is nothing but a verb. */
function isPlainVerb({ words, tags }: Syntax, unit: number, table: WordTable): boolean {
  const { form = "", traits = 0 } = words[unit] ?? {};
  const told = OPENS_OBJECT[tags[unit + 1] ?? 0] === 1;
  if (!table.isForm(form, BARE) || table.isForm(form, PAST)) return false;
  return told || (traits & (NOUN | ADJECTIVE)) === 0;
}

/** Whether a verb is the first of its sentence, and of no clause within it. */
function opensStory(
  { tags, sentenceFrom }: Syntax,
  verb: VerbGroup,
  previous: VerbGroup | undefined,
): boolean {
  const from = sentenceFrom[verb.from] ?? 0;
  if (previous && previous.from >= from) return false;
  for (let at = from; at < verb.from; at++) {
    const tag = tags[at] ?? 0;
    if (tag === TAG.CS || TAG_SETS.WH[tag] || tag === TAG.QT) return false;
  }
  return true;
}

/** "They let the boat drift and sink": another verb follows plain. */
const TAKES_BASE = /^(?:let|made|had|helped|saw|watched|heard|felt|did|bade|could|would|might)$/;

/** Verbs whose tense says more of the fact than of the story. */
const STATES = wordList("tense-shift/states");
