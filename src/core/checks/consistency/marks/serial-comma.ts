import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../../../language/tags/tag-sets.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { COMMA } from "../text-signs.ts";
import { serialComma as card } from "./cards.ts";

const WITH = "a, b, and c";
const WITHOUT = "a, b and c";
/** Words of one member of a list, at most. */
const LONGEST_MEMBER = 4;
/** What a member may be made of. */
const INSIDE = tagSet(
  "NN",
  "NNS",
  "NNP",
  "NNPS",
  "JJ",
  "JJR",
  "DT",
  "PRP$",
  "CD",
  "VBG",
  "VBN",
  "VBD",
  "VB",
  "VBZ",
  "FW",
);
/** What opens a sentence before its comma and is no member of a list. */
const OPENERS = tagSet("IN", "CS", "RB", "WRB", "TO", "WDT", "UH");

/** The comma before the "and" of a list of three or more. */
export const serialComma = formCheck<FormFact>({
  ...card,
  matter: "marks",
  needs: COMMA,
  examine(block) {
    const syntax = block.syntax();
    if (!syntax) return [];
    const facts: FormFact[] = [];
    for (let at = 2; at < syntax.units.length; at++) {
      if (syntax.tags[at] !== TAG.CC || !/^(?:and|or)$/.test(syntax.words[at]?.form ?? ""))
        continue;
      const comma = isComma(syntax, at - 1);
      const second = memberBefore(syntax, comma ? at - 1 : at);
      if (!second || !isComma(syntax, second.from - 1)) continue;
      const first = memberBefore(syntax, second.from - 1);
      if (!first || !isMemberAfter(syntax, at + 1, second.last) || !isAlike(syntax, first, second))
        continue;
      const before = syntax.units[comma ? at - 2 : at - 1];
      const unit = syntax.units[at];
      if (!before || !unit) continue;
      const fact = {
        from: before.to,
        to: unit.to,
        key: "comma before the last",
        form: comma ? WITH : WITHOUT,
      };
      facts.push(placed(block, fact));
    }
    return facts;
  },
  write({ from, to }, form, text) {
    const written = text.slice(from, to).replace(/^,/, "");
    return form === WITH ? `,${written}` : written;
  },
});

interface Member {
  from: number;
  /** Its last word. */
  last: number;
}

function isComma({ tags, units, text }: Syntax, at: number): boolean {
  return tags[at] === TAG[","] && text.charAt(units[at]?.from ?? 0) === ",";
}

/** The member of a list that ends before a unit. */
function memberBefore({ tags, sentenceFrom }: Syntax, end: number): Member | null {
  const start = sentenceFrom[end] ?? 0;
  let from = end;
  while (from > start && end - from < LONGEST_MEMBER && INSIDE[tags[from - 1] ?? -1]) from--;
  return from < end ? { from, last: end - 1 } : null;
}

/** Whether a member like the one before it follows. */
function isMemberAfter({ tags, sentenceTo }: Syntax, at: number, last: number): boolean {
  const end = Math.min(sentenceTo[at] ?? at, at + LONGEST_MEMBER);
  const sort = sortOf(tags[last] ?? -1);
  for (let next = at; next < end; next++) {
    const tag = tags[next] ?? -1;
    if (sortOf(tag) === sort) return true;
    if (!INSIDE[tag]) return false;
  }
  return false;
}

type Sort = "noun" | "verb" | "quality" | "other";

function sortOf(tag: number): Sort {
  if (TAG_SETS.NOMINAL[tag] || tag === TAG.FW) return "noun";
  if (TAG_SETS.VERB[tag]) return "verb";
  return TAG_SETS.ADJ[tag] ? "quality" : "other";
}

/** Whether two members are of one sort, and the first is not what opens the sentence or a name set apart. */
function isAlike({ tags, sentenceFrom, words }: Syntax, first: Member, second: Member): boolean {
  if (sortOf(tags[first.last] ?? -1) !== sortOf(tags[second.last] ?? -1)) return false;
  const opens = sentenceFrom[first.from] ?? 0;
  if (first.from > opens && first.from - opens <= 2 && OPENERS[tags[opens] ?? -1]) return false;
  if (OPENERS[tags[first.from - 1] ?? -1] && first.from - 1 === opens) return false;
  // "Reid, a clerk and a pilot": said of one who was named.
  const named = TAG_SETS.NAME[tags[first.last] ?? -1] === 1;
  const article =
    tags[second.from] === TAG.DT && /^(?:a|an|the)$/.test(words[second.from]?.form ?? "");
  const plain = tags[first.from] !== TAG.DT;
  return !(article && (named || plain));
}
