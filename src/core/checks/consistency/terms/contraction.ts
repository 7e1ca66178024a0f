import type { Kind } from "../../../manuscript/model.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn, withCapitalsOf } from "../places.ts";
import { contractionHabit as card } from "./cards.ts";

/** Kinds of copy that are written without contractions. */
const FORMAL: ReadonlySet<Kind> = new Set([
  "paper",
  "report",
  "specification",
  "brief",
  "clinical",
]);

const NOT = "is are was were has have had does do did could would should must need might";
const FULL = new RegExp(
  String.raw`\b(?:(?:${NOT.split(" ").join("|")}|will|shall) not|cannot|can not|(?:it|that|there|he|she|what|who) is|(?:we|they|you) are|I am|(?:I|we|they|you) have)\b`,
  "giu",
);
const SHORT = new RegExp(
  String.raw`\b(?:(?:${NOT.split(" ").join("|")}|ca|wo|sha)n['’]t|(?:it|that|there|he|she|what|who)['’]s|(?:we|they|you)['’]re|I['’]m|(?:I|we|they|you)['’]ve|(?:I|we|they|you|he|she|it)['’]ll)\b`,
  "giu",
);
const IRREGULAR: Readonly<Record<string, string>> = {
  "can’t": "cannot",
  "won’t": "will not",
  "shan’t": "shall not",
};
const ENDINGS: readonly (readonly [RegExp, string])[] = [
  [/n’t$/i, " not"],
  [/’s$/i, " is"],
  [/’re$/i, " are"],
  [/’m$/i, " am"],
  [/’ve$/i, " have"],
  [/’ll$/i, " will"],
];

/** Short and full forms beside each other in copy that is written in full. */
export const contractionHabit = formCheck<FormFact>({
  ...card,
  matter: "spelling",
  examine(block) {
    const facts: FormFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, SHORT)) {
      // "it's been" has another verb in it.
      if (/['’]s$/i.test(match[0]) && /^\s+(?:been|got|had)\b/.test(block.text.slice(to, to + 6)))
        continue;
      facts.push({ from, to, key: "contractions", form: "isn’t", ...(kept ? { kept } : {}) });
    }
    for (const { from, to, kept } of matchesIn(block, FULL)) {
      facts.push({ from, to, key: "contractions", form: "is not", ...(kept ? { kept } : {}) });
    }
    return facts;
  },
  atOdds: (_key, counts, { kind }) => FORMAL.has(kind) && (counts.get("isn’t")?.own ?? 0) > 0,
  rules: (_key, _counts, { kind }) => (FORMAL.has(kind) ? { form: "is not", by: "kind" } : null),
  write({ from, to }, form, text) {
    const written = text.slice(from, to).replaceAll("'", "’");
    if (form !== "is not") return null;
    const whole = IRREGULAR[written.toLowerCase()];
    if (whole) return withCapitalsOf(written, whole);
    const rule = ENDINGS.find(([ending]) => ending.test(written));
    return rule ? written.replace(...rule) : null;
  },
});
