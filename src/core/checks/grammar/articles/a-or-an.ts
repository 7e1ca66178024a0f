import { written } from "../../../language/phrases/syntax.ts";
import { TAG, tagSet } from "../../../language/tags/tag-sets.ts";
import { openingSound } from "../../../language/words/sounds.ts";
import { markCheck } from "../../mark-check.ts";
import { aOrAn as card } from "./cards.ts";

/** "a" and "an" by the sound of the next word. */
export const aOrAn = markCheck({
  ...card,
  reason: "By the sound that follows, “{1}”.",
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
