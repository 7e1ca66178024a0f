import { TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { listCapital as card } from "./cards.ts";

const CAPITAL = "capital";
const SMALL = "small letter";
const LEAST_ITEMS = 3;

/** Whether the items of one list begin with a capital. */
export const listCapital = formCheck<FormFact>({
  ...card,
  matter: "layout",
  examine(block, { lexicon }) {
    const syntax = block.syntax();
    const unit = syntax?.units[0];
    if (!syntax || !unit) return [];
    const first = block.text.slice(unit.from, unit.to);
    if (!/^\p{L}[\p{Ll}\p{M}'’-]*$/u.test(first)) return [];
    const capital = /^\p{Lu}/u.test(first);
    // A name has its capital wherever it stands.
    const known = lexicon.varieties(first.toLowerCase()) !== 0;
    const named =
      TAG_SETS.NAME[syntax.tags[0] ?? -1] &&
      syntax.tags[1] !== undefined &&
      TAG_SETS.NAME[syntax.tags[1]];
    // A name has its own letters, large or small: "npm".
    if (!known || (capital && (named || first === "I"))) return [];
    return [{ from: unit.from, to: unit.to, key: "", form: capital ? CAPITAL : SMALL }];
  },
  reads: ["item"],
  keyOf: (_fact, { list }) => (list === undefined ? null : `list ${list}`),
  atOdds(_key, counts) {
    const own = [...counts.values()].map(({ own: places }) => places).filter(Boolean);
    return own.length > 1 && own.reduce((sum, one) => sum + one, 0) >= LEAST_ITEMS;
  },
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    const first = written.charAt(0);
    return (form === CAPITAL ? first.toUpperCase() : first.toLowerCase()) + written.slice(1);
  },
});
