import type { Kind } from "../../../manuscript/model.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn, placed, withCapitalsOf } from "../places.ts";
import { APOSTROPHE, textSigns } from "../text-signs.ts";
import { FULL, signsOf } from "../word-signs.ts";
import { contractionHabit as card } from "./cards.ts";

/** Kinds of copy that are written without contractions. */
const FORMAL: ReadonlySet<Kind> = new Set([
  "paper",
  "report",
  "specification",
  "brief",
  "clinical",
]);

/** Kinds that are in full whatever the rest of the text has. */
const STRICT: ReadonlySet<Kind> = new Set(["paper", "brief", "clinical"]);

/** Full forms for each short one from which on other copy is written in full. */
const MOSTLY_FULL = 4;

const NOT = "is are was were has have had does do did could would should must need might";
/** What stands before the second word of a full form that has a short one. */
const BEFORE: ReadonlyMap<string, ReadonlySet<string>> = new Map(
  Object.entries({
    not: `${NOT} will shall can`,
    is: "it that there he she what who",
    are: "we they you",
    am: "i",
    have: "i we they you",
  }).map(([second, firsts]) => [second, new Set(firsts.split(" "))]),
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
  isOddAlone: true,
  examine(block, language) {
    const facts: FormFact[] = [];
    const short = textSigns(block) & APOSTROPHE ? matchesIn(block, SHORT) : [];
    for (const { match, from, to, kept } of short) {
      // "it's been" has another verb in it.
      if (/['’]s$/i.test(match[0]) && /^\s+(?:been|got|had)\b/.test(block.text.slice(to, to + 6)))
        continue;
      facts.push({ from, to, key: "contractions", form: "isn’t", ...(kept ? { kept } : {}) });
    }
    const syntax = block.syntax();
    if (!syntax) return facts;
    const { words, units } = syntax;
    const signs = signsOf(block, syntax, language);
    for (let at = 0; at < words.length; at++) {
      if (((signs[at] ?? 0) & FULL) === 0) continue;
      const form = words[at]?.form ?? "";
      const first = form === "cannot" ? at : at - 1;
      if (first < at && !BEFORE.get(form)?.has(words[first]?.form ?? "")) continue;
      const from = units[first]?.from;
      const to = units[at]?.to;
      if (from === undefined || to === undefined) continue;
      facts.push(placed(block, { from, to, key: "contractions", form: "is not" }, first));
    }
    return facts;
  },
  // A report may be written as one speaks; what it mostly has in full it has in full.
  atOdds(_key, counts, { kind }) {
    const short = counts.get("isn’t")?.own ?? 0;
    const full = counts.get("is not")?.own ?? 0;
    return FORMAL.has(kind) && short > 0 && (STRICT.has(kind) || full >= MOSTLY_FULL * short);
  },
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
