import { openingSound } from "../../language/sounds.ts";
import { written } from "../../language/syntax.ts";
import { TAG, tagSet } from "../../language/tag-sets.ts";
import { markCheck } from "../mark-check.ts";

/** "a" and "an" by the sound of the next word. */
export const aOrAn = markCheck({
  id: "grammar/a-or-an",
  weight: "fix",
  code: "art",
  title: "“a” or “an”",
  why: "“An” stands before a vowel sound and “a” before a consonant sound. The sound decides, not the letter: an hour, an MP, a unit, a one-way street.",
  source: "common practice; tested against the pronunciations of the CMU Pronouncing Dictionary",
  examples: [
    { wrong: "We waited for a hour.", right: "We waited for an hour." },
    { wrong: "It is an unique record.", right: "It is a unique record." },
    { wrong: "They saw an harbour seal.", right: "They saw a harbour seal." },
    { leave: "An MP and a UN envoy saw an 18-foot boat and a one-way street." },
    { leave: "An historic hotel stands by a historic quay." },
  ],
  reason: "Before the sound that begins the next word stands “{1}”.",
  patterns: ["[a] _ => an", "[an] _ => a"],
  accepts({ bounds }, syntax, { lexicon }) {
    const next = bounds[2] ?? 0;
    const { from, to } = syntax.units[bounds[0] ?? 0] ?? { from: 0, to: 0 };
    if (
      !/^$|[\s("“‘—]/.test(syntax.text[from - 1] ?? "") ||
      !/[\s"“‘]/.test(syntax.text[to] ?? "")
    ) {
      return false;
    }
    const article = syntax.words[bounds[0] ?? 0]?.form ?? "";
    const after = syntax.tags[next] === TAG.QT ? next + 1 : next;
    const word = written(syntax, after);
    const sound = openingSound(word);
    if (sound === "either" || sound === (article === "an" ? "vowel" : "consonant")) return false;
    if (!/^[\p{L}\p{N}]/u.test(word) || (word.length === 1 && /^\p{Lu}/u.test(word))) return false;
    if (written(syntax, bounds[0] ?? 0) === "A" && bounds[0] !== syntax.sentenceFrom[next])
      return false;
    if (NO_NOUN[syntax.tags[next] ?? 0]) return false;
    // "a a", "option: a access time", "i5 an i7": a letter, an entry of a list, another word misspelled.
    const before = written(syntax, (bounds[0] ?? 0) - 1);
    if (bounds[0] === 0 && syntax.text[from] === "a") return false;
    if (before === ":" || /^-|\d/.test(before) || /^\p{Ll}$/u.test(before)) return false;
    if (
      /^\p{Ll}$/u.test(word) &&
      !/["'“‘-]/.test(syntax.text[(syntax.units[after]?.from ?? 0) - 1] ?? "")
    )
      return false;
    // "be a appended", and text in other languages.
    if (/^(?:be|been|is|are|was|were)$/.test(before) && syntax.tags[next] === TAG.VBN) return false;
    if (/^\p{Ll}{3,}$/u.test(before) && lexicon.varieties(before) === 0) return false;
    if (syntax.tags[next] === TAG.RB && NO_NOUN[syntax.tags[next + 1] ?? 0]) return false;
    // "an html page", "an sRGB value": said by letters, or nobody knows how.
    if (/\p{Ll}\p{Lu}|[_:.]/u.test(word)) return false;
    const [first = word] = word.split(/[-\u2010\u2011]/);
    const known = lexicon.varieties(first) !== 0 || lexicon.varieties(first.toLowerCase()) !== 0;
    const small = /^\p{Ll}/u.test(word);
    if (small && /^[^aeiouy\d]*$|\d|^[^aeiou].$/.test(first)) return false;
    if (small && !known && (first.length < 3 || !PRONOUNCED.test(first))) return false;
    return true;
  },
});

/** How a made-up word in small letters begins if it is said as a word, and not with a u that may be "you". */
const PRONOUNCED =
  /^(?:[aeio]|(?:[bcdfghjklmnprstvwyz]|[bcfgps]l|[bcdfgpt]r|[cpstw]h|s[cklmnptw]|tw|dw|kn|wr|str|spr|scr|shr|thr)[aeiouy])/;

/** What cannot stand right after an article. */
const NO_NOUN = tagSet(
  "CC",
  "IN",
  "CS",
  "TO",
  "NOT",
  "DT",
  "MD",
  "VB",
  "VBZ",
  "PPO",
  "PPSS",
  ".",
  ",",
);

/** Two determiners where one belongs. */
export const doubleDeterminer = markCheck({
  id: "grammar/double-determiner",
  weight: "fix",
  code: "art",
  title: "Two determiners",
  why: "An article, a possessive and “this” or “that” exclude each other: the book, my book, this book, but not “the my book”.",
  source: "common practice",
  examples: [
    { wrong: "She lost the her key.", right: "She lost her key." },
    { wrong: "We used a the spare wire.", right: "We used the spare wire." },
    { wrong: "He wrote an a letter.", right: "He wrote a letter." },
    { leave: "That the gauge fell is known; all the men saw it." },
    { leave: "Such a day, and half the crew away." },
  ],
  reason: "Only one of these words can stand before a noun.",
  patterns: [
    "[the a|an] ADJ|NN => the | $2",
    "[a|an the] ADJ|NOUN => the | $1",
    "[a|an a|an] ADJ|NN => $2",
    "[the|a|an my|your|our|their|its|his] ADJ|NOUN => $2 | $1",
    "[the|a|an her] NOUN => $2 | $1",
    "[my|your|our|their|its the|a|an] ADJ|NOUN => $1 | $2",
    "[a|an this|these|those] NOUN => $2",
    "[the this|these|those] NOUN => $2",
  ],
  accepts: ({ bounds }, { text, units, sentenceFrom }) => {
    const at = bounds[0] ?? 0;
    if (/^\p{Lu}/u.test(text.slice(units[at]?.from ?? 0)) && at !== sentenceFrom[at]) return false;
    const first = units[bounds[0] ?? 0];
    const second = units[bounds[2] ?? 0];
    // "A A" in a table, "an a{sv}": letters that stand for something.
    if (/^(?:a\s+a|A\s+A)$|^\S+\s+\p{Lu}/u.test(text.slice(first?.from ?? 0, second?.to ?? 0)))
      return false;
    if (/^[^\s,]/.test(text.slice(second?.to ?? 0))) return false;
    return !/["“”]/.test(text.slice(first?.from ?? 0, second?.to ?? 0));
  },
});
