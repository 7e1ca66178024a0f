import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE, ADVERB, NAME, NOUN } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { SPEAKS } from "../capitals/paragraph-start.ts";
import { type Better, betterChoices } from "../words/better-choices.ts";
import { finalMark as card } from "./cards.ts";

const NOT_SENTENCES = ["heading", "cell", "caption", "item"] as const;

/** A sentence that ends without a mark. */
export const finalMark = markCheck({
  ...card,
  reason: "The sentence ends without a mark: “{1}”.",
  notIn: NOT_SENTENCES,
  find(syntax, language, block) {
    const found: Found[] = [];
    const { units, text } = syntax;
    const better = betterChoices(syntax, language, "stop");
    for (let unit = 1; unit < units.length - 2; unit++) {
      const code = text.charCodeAt(units[unit + 1]?.from ?? 0);
      if (!(code >= 65 && code <= 90)) continue;
      // Sure is what the model thinks as well.
      if (isMissingStop(syntax, unit)) {
        found.push({ ...withStop(syntax, unit), unsure: !isClear(better, unit + 1) });
      } else if (
        unit > 1 &&
        unit < units.length - 3 &&
        (runsOn(syntax, unit) || namesMeet(syntax, unit))
      ) {
        found.push({ ...withStop(syntax, unit), unsure: true });
      }
    }
    for (const { from, sure } of better) {
      const unit = from - 1;
      if (found.some((one) => one.from === unit)) continue;
      // "… would be called Welcome To Our City": a title.
      if (TITLE.test(text.slice(units[from]?.from))) continue;
      if (!sure && mayGoOn(syntax, from)) continue;
      found.push({ ...withStop(syntax, unit), unsure: !sure });
    }
    for (const unit of beforeSpeech(syntax)) {
      found.push({ ...withStop(syntax, unit), unsure: true });
    }
    for (const unit of beforeNumberedItem(syntax)) found.push(withStop(syntax, unit));
    for (const unit of beforeBracket(syntax))
      found.push({ ...withStop(syntax, unit), unsure: true });
    const last = units.length - 1;
    const unit = units[last];
    if (!unit || block.part) return found;
    const closing = /^[’'”")\]]+$/.test(text.slice(unit.from, unit.to));
    if (!endsOpenly(syntax, last, closing, block.sentences.length)) return found;
    // Without a verb it may be a title or a place that ends the paragraph.
    found.push({ ...withStop(syntax, last, closing), unsure: !hasVerb(syntax, last) });
    return found;
  },
});

/** "The car I wanted": a relative clause; "Army Engineers", "Carl Dill": words with capitals that belong together. */
function mayGoOn(syntax: Syntax, unit: number): boolean {
  const { words, tags, sentenceFrom } = syntax;
  if (words[unit]?.form === "i") return TAG_SETS.NOUN[tags[unit - 1] ?? 0] === 1;
  const capital =
    /^\p{Lu}/u.test(written(syntax, unit - 1)) && unit - 1 > (sentenceFrom[unit] ?? 0);
  return capital && TAG_SETS.NOUN[tags[unit] ?? 0] === 1;
}

function isClear(better: readonly Better[], unit: number): boolean {
  return better.some(({ from, margin }) => from === unit && margin > CLEAR);
}

/** A little word with a capital within a title's. */
const TITLE =
  /^\p{Lu}\S* (?:\p{Lu}\S* ){0,2}(?:To|Of|Our|Your|My|Not|And|Or|In|For|With|The|Have|Shall|On|At|By|From|Is|Are)\b/u;

/** How far ahead the model must have the stop where the words around it speak for one as well. */
const CLEAR = 2.5;
/** A line of this many characters with a verb is a sentence, not an entry or a title. */
const WHOLE_LENGTH = 120;
const NO_END = tagSet("IN", "CS", "CC", "DT", "TO", "MD");
const LEADS_ON = new Set("like say write be is are following example instance".split(" "));

/** Whether the sentence that ends at a unit has a finite verb beyond its first word. */
function hasVerb({ verbGroups, sentenceFrom }: Syntax, last: number): boolean {
  const from = sentenceFrom[last] ?? 0;
  return verbGroups.some((one) => one.finite > from && one.to <= last + 1);
}

/** Whether a block of so many sentences ends in one that has no mark, though it is running text. */
function endsOpenly(syntax: Syntax, last: number, closing: boolean, sentences: number): boolean {
  const { units, text, tags, words } = syntax;
  const { from: start, to: end } = units[last] ?? { from: 0, to: 0 };
  if (
    !/^(?:[\p{L}\p{N}’'”")\]%-]+|\d[\d.,]*\d)$/u.test(text.slice(start, end)) ||
    text.includes("|")
  )
    return false;
  if (closing && /[.?!:;,…]/.test(text[start - 1] ?? "")) return false;
  const from = syntax.sentenceFrom[last] ?? 0;
  const opens = /^[“"‘'(]?[\p{Lu}\d]/u.test(text.slice(units[from]?.from ?? 0));
  const verb = hasVerb(syntax, last);
  const lastTag = tags[last] ?? 0;
  if (NO_END[lastTag] || LEADS_ON.has(words[last]?.form ?? "")) return false;
  // Other sentences around it, or one of some length: a line of a list or a title is neither.
  if (sentences > 1) return opens && (verb || last - from >= LEAST_PART);
  if (!opens || !verb || lastTag === TAG.VBG) return false;
  return text.length > WHOLE_LENGTH || tellsOnItsOwn(syntax, last);
}

/** Units that a short sentence has which stands alone in its paragraph. */
const LEAST_ALONE = 9;
const TELLS = tagSet("VBD", "VBZ", "VBP", "MD");

/**
 * Whether a line is a sentence rather than a title or an entry: a subject and its verb, nearly all
 * in small letters.
 */
function tellsOnItsOwn(syntax: Syntax, last: number): boolean {
  const { tags, verbGroups, nounGroups, nounAt, sentenceFrom } = syntax;
  const from = sentenceFrom[last] ?? 0;
  if (last - from < LEAST_ALONE || TAG_SETS.WH[tags[from] ?? 0]) return false;
  for (let at = from; at < last; at++) if (tags[at] === TAG[":"]) return false;
  let capitals = 0;
  for (let at = from + 1; at <= last; at++) {
    if (/^\p{Lu}/u.test(written(syntax, at)) && !TAG_SETS.NAME[tags[at] ?? 0]) capitals++;
  }
  if (capitals > 1) return false;
  return verbGroups.some((verb) => {
    if (verb.finite <= from || verb.to > last + 1 || !TELLS[tags[verb.finite] ?? 0]) return false;
    const group = nounGroups[nounAt[verb.from - 1] ?? -1];
    return group !== undefined && !TAG_SETS.WH[tags[group.head] ?? 0];
  });
}

/** Units right before a speech in quotation marks that neither a comma nor a stop parts from it. */
function beforeSpeech(syntax: Syntax): number[] {
  const found: number[] = [];
  const { text, units, tags, words } = syntax;
  if (!/\p{Ll} ["“]\p{Lu}/u.test(text)) return found;
  for (let unit = 1; unit + 2 < units.length; unit++) {
    const open = units[unit + 1];
    if (tags[unit + 1] !== TAG.QT || !open || open.from !== (units[unit]?.to ?? 0) + 1) continue;
    if (!/^\p{Ll}/u.test(written(syntax, unit)) || !/^\p{Lu}/u.test(written(syntax, unit + 2)))
      continue;
    if (NO_END[tags[unit] ?? 0] || LEADS_ON.has(words[unit]?.form ?? "")) continue;
    if (WORDED.has(words[unit]?.form ?? "") || SPEAKS.has(words[unit]?.form ?? "")) continue;
    const infinitive = tags[unit] === TAG.VB && tags[unit - 1] === TAG.TO;
    if (TAG_SETS.VERB[tags[unit] ?? 0] && tags[unit] !== TAG.VBD && !infinitive) continue;
    const quoted = /^(["“])([^"“”]+)["”]/.exec(text.slice(open.from))?.[2] ?? "";
    const least = /[?!]$/.test(quoted) ? 1 : quoted.endsWith(",") ? 2 : LEAST_SPOKEN;
    if (!/[.?!,—]$/.test(quoted) || quoted.split(" ").length < least) continue;
    // A title has capitals throughout.
    const small = quoted.match(/ \p{Ll}/gu)?.length ?? 0;
    if (small * 2 < quoted.split(" ").length - 1) continue;
    if (!hasVerb(syntax, unit)) continue;
    found.push(unit);
  }
  return found;
}

/** "1) Read it. 2) Sign it 3) Send it": units right before a numbered item in running text, the others having ended. */
function beforeNumberedItem({ text, units }: Syntax): number[] {
  if (!/\d\) \p{Lu}/u.test(text)) return [];
  const ended = new Set<number>();
  for (const [, number] of text.matchAll(/(?:^|[.?!]["”]? )\(?(\d{1,2})\) \p{Lu}/gu)) {
    ended.add(Number(number));
  }
  return [...text.matchAll(/\p{Ll} (?=\(?(\d{1,2})\) \p{Lu})/gu)].flatMap(
    ({ index, 1: number }) => {
      const before = Number(number) - 1;
      return ended.has(before) || ended.has(before + 2) ? unitsEndingAt(index + 1, units) : [];
    },
  );
}

/** The unit that ends at a place, if one that is not the first does. */
function unitsEndingAt(place: number, units: Syntax["units"]): number[] {
  const unit = units.findIndex(({ to }) => to === place);
  return unit > 0 ? [unit] : [];
}

/** "It was lost (The keeper had the key.)": units right before a bracket that holds a sentence of its own. */
function beforeBracket({ text, units }: Syntax): number[] {
  if (!/\p{Ll} \(["“]?\p{Lu}/u.test(text)) return [];
  const sentences = text.matchAll(/\p{Ll} (?=\(["“]?\p{Lu}\p{Ll}*[ ’'][^()]*\p{Ll}[.?!]["”]?\))/gu);
  return [...sentences].flatMap(({ index }) => unitsEndingAt(index + 1, units));
}

/** What a quotation may be set next to: a notice “No boats today.” */
const WORDED = wordList("final-mark/worded");

/** Words of a quotation that is somebody's speech and not a title. */
const LEAST_SPOKEN = 3;
/** Units of a sentence without a verb at the end of a paragraph of sentences. */
const LEAST_PART = 5;

/** A full stop after a unit, or before it where it closes. */
function withStop({ units, text }: Syntax, unit: number, closing = false): Found {
  const { from, to } = units[unit] ?? { from: 0, to: 0 };
  const word = text.slice(from, to);
  const at = closing ? from : to;
  const label = closing ? `.${word}` : `${word}.`;
  return {
    from: unit,
    to: unit + 1,
    mends: [{ label, edits: [{ from: at, to: at, insert: "." }] }],
  };
}

/** A small word, then a capital on a word that names nothing: "went home The lamp was out". */
function isMissingStop(syntax: Syntax, unit: number): boolean {
  const { tags, words, verbGroups, verbAt, nounGroups, nounAt, units, text } = syntax;
  const next = unit + 1;
  if (syntax.sentenceFrom[unit] !== syntax.sentenceFrom[next]) return false;
  const opener = written(syntax, next);
  if (!opensSentence(syntax, next, opener)) return false;
  const before = written(syntax, unit);
  const strict = STRICT_OPENERS.test(opener) || isAdverb(syntax, next);
  const capital =
    (strict && /^\p{Lu}\p{Ll}+$/u.test(before)) ||
    (before === ")" && (strict || OPENERS.has(opener)));
  if (
    !(capital || /^[\p{Ll}\d][\p{L}\d]+$/u.test(before)) ||
    text.slice(units[unit]?.to ?? 0, units[next]?.from ?? 0) !== " "
  )
    return false;
  const tag = tags[unit] ?? 0;
  if (/^(?:called|named|titled|entitled|labelled|labeled)$/.test(words[unit]?.form ?? ""))
    return false;
  if (tag === TAG.DT || tag === TAG.IN || tag === TAG.CC || tag === TAG.CS || tag === TAG.PRP$)
    return false;
  // A finite verb on both sides makes two sentences of it.
  const from = syntax.sentenceFrom[unit] ?? 0;
  if (!verbGroups.some((verb) => verb.finite >= from && verb.to <= next)) return false;
  const group = nounGroups[nounAt[next] ?? -1];
  const at = group && group.from === next ? group.to : next + 1;
  for (let ahead = at; ahead < at + 6 && ahead < units.length; ahead++) {
    const verb = verbGroups[verbAt[ahead] ?? -1];
    if (verb && verb.finite >= 0) return words[unit]?.form !== "the";
  }
  return false;
}

const NOUN_LIKE = tagSet("NN", "NNS", "RB", "PPO", "CD", "RP");
const LEADS_IN = tagSet("IN", "CS", "WRB", "VBG", "CC", "RB");
const OBJECT = tagSet("DT", "PRP$", "PPO", "CD", "CS", ":");
/** "The day I met the keeper": a clause may follow these without a word between. */
const CLAUSE_NOUNS = wordList("final-mark/clause-nouns");

/** "in ten blocks I stayed behind him": a subject in capitals, its verb and an object after a whole clause. */
function runsOn(syntax: Syntax, unit: number): boolean {
  const { tags, words, verbGroups, verbAt, units, text } = syntax;
  const next = unit + 1;
  if (!NOUN_LIKE[tags[unit] ?? 0]) return false;
  const name = TAG_SETS.NAME[tags[next] ?? 0] === 1;
  if (words[next]?.form !== "i" && !name) return false;
  if (!/^[\p{Ll}\d]+$/u.test(written(syntax, unit)) || CLAUSE_NOUNS.has(words[unit]?.form ?? ""))
    return false;
  if (text.slice(units[unit]?.to, units[next]?.from) !== " ") return false;
  const verb = verbGroups[verbAt[next + 1] ?? -1];
  if (!verb || verb.finite !== next + 1 || (name && tags[verb.finite] !== TAG.VBD)) return false;
  const from = syntax.sentenceFrom[unit] ?? 0;
  // "As he passed it Barton turned": an opening that some set off with a comma, and some do not.
  if (LEADS_IN[tags[from] ?? 0]) return false;
  for (let at = unit - 2; at < unit; at++) if (tags[at] === TAG.CC) return false;
  if (from !== syntax.sentenceFrom[verb.to] || !OBJECT[tags[verb.to] ?? 0]) return false;
  return verbGroups.some((one) => one.finite >= from && one.to <= unit + 1);
}

/** "… a letter from Kruger Kodyke was to lead them": two names, the second met before and with a verb of its own. */
function namesMeet(syntax: Syntax, unit: number): boolean {
  const { tags, verbGroups, verbAt, units, text } = syntax;
  const next = unit + 1;
  if (!TAG_SETS.NAME[tags[unit] ?? 0] || !TAG_SETS.NAME[tags[next] ?? 0]) return false;
  if (tags[unit - 1] !== TAG.IN && !TAG_SETS.VERB[tags[unit - 1] ?? 0]) return false;
  const verb = verbGroups[verbAt[next + 1] ?? -1];
  if (verb?.finite !== next + 1 || text.slice(units[unit]?.to, units[next]?.from) !== " ") {
    return false;
  }
  const from = syntax.sentenceFrom[unit] ?? 0;
  if (!verbGroups.some((one) => one.finite >= from && one.to <= unit)) return false;
  return standsAlone(written(syntax, next), text.slice(0, units[unit]?.from));
}

/** Whether a name stands in a text without another before or after it. */
function standsAlone(name: string, text: string): boolean {
  const at = text.lastIndexOf(name);
  if (at < 0 || /^ ?\p{Lu}/u.test(text.slice(at + name.length))) return false;
  return !/\p{Lu}[\p{L}.]* $/u.test(text.slice(Math.max(0, at - LONGEST_NAME), at));
}
const LONGEST_NAME = 24;

const STRICT_OPENERS = /^(?:It|He|She|They|We|But|However|This|These|There|The|Each)$/;

/** "Interestingly": a name to the tagger, for its capital. */
function isAdverb({ words }: Syntax, unit: number): boolean {
  const { form = "", traits = 0 } = words[unit] ?? {};
  return form.endsWith("ly") && (traits & (ADVERB | NAME | NOUN | ADJECTIVE)) === ADVERB;
}

/** A capital that only a sentence's start explains. */
function opensSentence(syntax: Syntax, unit: number, opener: string): boolean {
  const { tags, words } = syntax;
  const tag = tags[unit] ?? 0;
  if (isAdverb(syntax, unit)) return true;
  if (TAG_SETS.NAME[tag]) return false;
  if (OPENERS.has(opener)) return true;
  const grammatical =
    tag === TAG.RB ||
    tag === TAG.VBG ||
    tag === TAG.VBD ||
    tag === TAG.WRB ||
    tag === TAG.DT ||
    tag === TAG.PN;
  return (
    grammatical && /^\p{Lu}\p{Ll}+$/u.test(opener) && ((words[unit]?.traits ?? 0) & ~NAME) !== 0
  );
}

/** Words that open a sentence and are capitalised for nothing else. */
const OPENERS = wordList("final-mark/openers");
