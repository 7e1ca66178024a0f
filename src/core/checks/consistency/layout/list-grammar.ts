import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { VERB } from "../../../language/words/lexicon.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { listGrammar as card } from "./cards.ts";

const LEAST_ITEMS = 4;

/** What the items of one list are made of: orders, doings in -ing, things, sentences. */
export const listGrammar = formCheck<FormFact>({
  ...card,
  matter: "layout",
  examine(block, { words }) {
    const syntax = block.syntax();
    const unit = syntax?.units[0];
    if (!syntax || !unit || syntax.units.length < 2 || !/^\p{L}/u.test(block.text)) return [];
    const form = openingOf(syntax, (written) => words.verb(written) === written);
    return form ? [{ from: unit.from, to: unit.to, key: "", form }] : [];
  },
  reads: ["item"],
  keyOf: (_fact, { list }) => (list === undefined ? null : `list ${list}`),
  // Lists of many makes are no slip: one item against all others is.
  atOdds(_key, counts) {
    const own = [...counts.values()].map(({ own: places }) => places).filter(Boolean);
    const all = own.reduce((sum, one) => sum + one, 0);
    return all >= LEAST_ITEMS && own.length === 2 && Math.min(...own) === 1;
  },
  write: () => null,
});

/** What an item opens with; null where that is not plain. */
function openingOf(
  { tags, words, verbGroups, nounGroups, nounAt }: Syntax,
  isBase: (form: string) => boolean,
): string | null {
  const form = words[0]?.form ?? "";
  const next = tags[1] ?? -1;
  if (form === "to") return tags[1] === TAG.VB ? "to do" : null;
  const object =
    next === TAG.DT ||
    next === TAG["PRP$"] ||
    TAG_SETS.NOMINAL[next] === 1 ||
    next === TAG.CD ||
    next === TAG.JJ;
  const ing = form.endsWith("ing") && form.length > 4;
  if (ing && (object || next === TAG.IN || next === TAG.RP)) return "doing";
  const group = nounGroups[nounAt[0] ?? -1];
  const finite = verbGroups.some(
    (verb) => verb.finite >= 0 && verb.from > 0 && verb.from <= (group?.to ?? 0) + 2,
  );
  if (group && finite && (tags[0] === TAG.DT || group.pronoun || group.to > 1)) return "sentence";
  const verb = ((words[0]?.traits ?? 0) & VERB) !== 0 && isBase(form);
  if (verb && (next === TAG.DT || next === TAG["PRP$"] || tags[0] === TAG.VB)) return "do";
  if (tags[0] === TAG.DT || TAG_SETS.NOUN[tags[0] ?? -1] || tags[0] === TAG.CD) return "thing";
  return null;
}
