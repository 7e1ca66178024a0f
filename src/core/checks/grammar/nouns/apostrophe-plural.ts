import { ownerForm } from "../../../language/models/mark-slots.ts";
import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { betterChoices } from "../words/better-choices.ts";
import { apostrophePlural as card } from "./cards.ts";

/** "The gauge's were read": an apostrophe in a plain plural. */
export const apostrophePlural = markCheck({
  ...card,
  reason: "A plural takes no apostrophe: “{1}”.",
  find(syntax, language) {
    const found: Found[] = [];
    const { words: table, lexicon } = language;
    const { words, tags } = syntax;
    for (const { from, to, best, sure } of betterChoices(syntax, language, "owner")) {
      if (best !== 0 || mayOwn(syntax, from)) continue;
      const plural = ownerForm(words[from]?.form ?? "", false, table);
      if (lexicon.varieties(plural) !== 0) found.push({ from, to, mends: [plural], unsure: !sure });
    }
    for (let unit = 1; unit < words.length; unit++) {
      if (words[unit]?.form !== "'s") continue;
      const noun = unit - 1;
      const form = words[noun]?.form ?? "";
      if (
        !/^[a-z]{3,}$/.test(form) ||
        (tags[noun] !== TAG.NN && !/^(?:hundred|thousand|million)$/.test(form))
      )
        continue;
      if (/\p{Lu}/u.test(written(syntax, noun))) continue;
      const plural = table.inflect(form, "NNS");
      if (lexicon.varieties(plural) === 0 || plural === form) continue;
      if (marks(found, noun)) continue;
      if (isPlural(syntax, noun)) found.push({ from: noun, to: unit + 1, mends: [plural] });
    }
    return found;
  },
});

function marks(found: readonly Found[], unit: number): boolean {
  return found.some(({ from }) => from === unit);
}

/**
 * Where the model is not believed: "the log's lost" may be "is", "a friend of my sister's" and "at the
 * clerk's" leave out what is owned, and "the gauge's float is worn" has its thing and its verb.
 */
function mayOwn(syntax: Syntax, noun: number): boolean {
  const { words, tags, verbAt, verbGroups, nounGroups, nounAt } = syntax;
  const next = noun + 2;
  const after = next < tags.length ? (tags[next] ?? 0) : TAG["."];
  const group = nounGroups[nounAt[noun] ?? -1];
  const from = group?.from ?? noun;
  const first = words[from]?.form ?? "";
  const before = words[from - 1]?.form ?? "";
  // "It's the first time the fellow's been here": it has.
  if (words[next]?.form === "been" || words[next]?.form === "got") return true;
  if (from < noun && ONE_OWNER.test(first)) return words[from + 1]?.form !== "few";
  // "Gauge 3 version's lid": of one that has a number.
  if (tags[noun - 1] === TAG.CD && TAG_SETS.NAME[tags[noun - 2] ?? 0]) return true;
  const determined = from < noun && (tags[from] === TAG.DT || tags[from] === TAG.PRP$);
  if (!determined || MANY.has(first)) return false;
  if (TAG_SETS.STOP[after]) return BEFORE_OWNER.test(before);
  if (PERSONS.test(words[noun]?.form ?? "") && /^(?:at|to|from|of)$/.test(before)) return true;
  if (after === TAG.CC && ownsWithAnother(syntax, next)) return true;
  if (IS_FOLLOWED[after] && !hasVerbInClause(syntax, noun)) return true;
  const verb = verbGroups[verbAt[next + 1] ?? -1];
  return TAG_SETS.NOMINAL[after] === 1 && verb?.finite === next + 1;
}

/** Whether a sentence, or what of it begins at `start`, has a finite verb beside the 's of a noun. */
function hasVerb(syntax: Syntax, noun: number, start = syntax.sentenceFrom[noun] ?? 0): boolean {
  const { sentenceTo, verbGroups, tags } = syntax;
  const end = sentenceTo[noun] ?? tags.length;
  return verbGroups.some((one) => one.finite >= start && one.to <= end && one.finite !== noun + 1);
}

/** Whether the part of a sentence between two commas has a finite verb beside the 's of a noun. */
function hasVerbInClause({ tags, verbGroups, sentenceFrom, sentenceTo }: Syntax, noun: number) {
  let from = noun;
  while (from > (sentenceFrom[noun] ?? 0) && tags[from - 1] !== TAG[","]) from--;
  let to = noun;
  while (to < (sentenceTo[noun] ?? tags.length) && tags[to] !== TAG[","]) to++;
  return verbGroups.some((one) => one.finite >= from && one.finite < to && one.finite !== noun + 1);
}

/** "the keeper's and the clerk's reports": another owner after a conjunction. */
function ownsWithAnother({ words, nounGroups, nounAt }: Syntax, conjunction: number): boolean {
  const other = nounGroups[nounAt[conjunction + 1] ?? -1];
  if (!other) return false;
  for (let unit = other.from; unit <= other.to; unit++) {
    if (/^'s?$/.test(words[unit]?.form ?? "")) return true;
  }
  return false;
}

/** "Nobody's fault but the pump's", "older than the keeper's": what is owned was named before. */
const COMPARES = /^(?:but|than|as|not|nor)$/;
const BEFORE_OWNER = /^(?:of|to|at|from|as|than|with|in|but|not|nor|or)$/;
const ONE_OWNER = /^(?:an?|each|every|this|that|another|one|either|neither)$/;
const IS_FOLLOWED = tagSet("VBN", "VBG", "JJ", "RB", "NOT");

/** Whether a noun with 's owns nothing and is no "is": what follows it cannot be owned. */
function isPlural(syntax: Syntax, noun: number): boolean {
  const { words, tags, verbAt, verbGroups, nounGroups, nounAt } = syntax;
  const next = noun + 2;
  const after = next < tags.length ? (tags[next] ?? 0) : TAG["."];
  const form = words[next]?.form ?? "";
  const before = words[noun - 1]?.form ?? "";
  const group = nounGroups[nounAt[noun] ?? -1];
  const first = words[group?.from ?? noun]?.form ?? "";
  const many = MANY.has(before) || (group !== undefined && group.from < noun && MANY.has(first));
  if (next < tags.length && !/^[\p{Ll}.,;)]/u.test(written(syntax, next))) return false;
  if (/^(?:are|were|have|do|who)$/.test(form)) return true;
  const verb = verbGroups[verbAt[next] ?? -1];
  if (verb && verb.finite === next && (after === TAG.VBD || after === TAG.MD)) {
    // "The gauge's broken": a participle after "is".
    return (
      after === TAG.MD ||
      !PARTICIPLE_LIKE.test(form) ||
      TAG_SETS.PRONOUN[tags[next + 1] ?? 0] === 1 ||
      tags[next + 1] === TAG.DT
    );
  }
  // Without another verb in the sentence, 's is one.
  if (!hasVerb(syntax, noun)) return many && TAG_SETS.STOP[after] === 1;
  if (first === "a" || first === "an" || PERSONS.test(words[noun]?.form ?? "")) return many;
  if (after === TAG.CC && TAG_SETS.NOMINAL[tags[next + 1] ?? 0]) return tags[next + 1] === TAG.NNS;
  if (form === "ago" || form === "later") return true;
  if (NOT_OWNED[after]) {
    return before !== "that" && before !== "what" && before !== "who";
  }
  return (
    TAG_SETS.STOP[after] === 1 &&
    form !== ":" &&
    !COMPARES.test(words[(group?.from ?? noun) - 1]?.form ?? "") &&
    !(words[(group?.from ?? noun) - 1]?.form === "of" && tags[group?.from ?? noun] === TAG.PRP$)
  );
}

/** What cannot be owned: no noun, nothing that goes before one. */
const NOT_OWNED = tagSet(
  "IN",
  "CS",
  "WDT",
  "WP",
  "WRB",
  "TO",
  "MD",
  "DT",
  "PRP$",
  "PPO",
  "PPS",
  "PPSS",
  "EX",
);

const MANY = wordList("apostrophe-plural/many");
const PARTICIPLE_LIKE = /(?:ed|en|wn|t)$/;
/** Shops, houses and friends are named by who owns them: "at the clerk's", "a friend of my sister's". */
const PERSONS =
  /(?:er|or|ist|man|mother|father|sister|brother|friend|aunt|uncle|neighbou?r|doctor|baker|king|queen|chemist|one|else|other|wife|husband|son|cousin|boss|girl|boy|lady|captain|clerk)$/;
