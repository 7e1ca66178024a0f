/** How a word begins when it is said: what "a" and "an" go by. */
export type Opening = "vowel" | "consonant" | "either";

/** Begin with a vowel letter and the sound of "y" or "w". */
const CONSONANT_SOUND =
  /^(?:unar|unanim|uni(?!n|m(?!o))|un(?:i|ic|ique|it)|us(?:e|ab|ag|er|u(?:al|ry|r)|ing$|eful)|ut(?:e(?:n|r)|il|op)|ur(?:an(?!ys)|in(?:e|al|ary)|ea)|ub(?:iq)|uk(?:e|r)|ufo|eu(?!$)|ew(?:e|er)|on(?:e|ce)(?![a-z])|on(?:es|eself|eness)|oui)/;
const VOWEL_IN_UN = /^(?:unin|unim(?!o)|unid)/;
/** Begin with a silent h. */
const SILENT_H = /^(?:hour|honest|hono(?:u)?r|heir|hors d)/;
/** Said with and without the h. */
const EITHER =
  /^(?:sql|faq|url|lan|herb|histor(?:ic|ian)|hotel|hysteri|habitual|homage|hallucin|humble)/;
const ONSET =
  /^(?:[BCFGPS]l|[BCDFGPTWK]r|[CPSTWK]h|S[ckmnpqtw]|T[wsz]|D[wh]|[KGPM]n|P[stfh]|Z[hw]|Kw|Gw|Rh|Gh|Bh)/;
const LETTERS_WITH_VOWEL = "AEFHILMNORSX";

/** The sound a word as written begins with; a number by how it is said. */
export function openingSound(written: string): Opening {
  const word = written.replace(/^[^\p{L}\p{N}]+/u, "");
  const first = word[0] ?? "";
  if (/\d/.test(first)) return numberSound(word);
  const part = word.split(/[-\u2010\u2011]/)[0] ?? word;
  if (part.length === 1) {
    return LETTERS_WITH_VOWEL.includes(part.toUpperCase()) ? "vowel" : "consonant";
  }
  if (part.startsWith("SQL")) return "either";
  if (EITHER.test(part.toLowerCase()) && part.length < 5 && part === part.toUpperCase())
    return "either";
  // "Xlib", "Hmac": a letter and then a word, or neither.
  if (/^[BCDFGHJKLMNPQRSTVWXZ][bcdfghjklmnpqrstvwxz]/.test(part) && !ONSET.test(part))
    return "either";
  if (part === part.toUpperCase() || /^\p{Lu}{2}/u.test(part) || /\d/.test(part)) {
    // Said letter by letter, or as a word: "an MP", "a NATO ship".
    const byLetter = LETTERS_WITH_VOWEL.includes(first) ? "vowel" : "consonant";
    const asWord = /[AEIOU]/i.test(first) ? "vowel" : "consonant";
    if (byLetter === asWord) return byLetter;
    return part.length > 2 && /[AEIOUY]/i.test(part.slice(1, 3)) ? "either" : byLetter;
  }
  const lower = part.toLowerCase();
  if (EITHER.test(lower)) return "either";
  if (SILENT_H.test(lower)) return "vowel";
  if (/^[aeio]/.test(lower) || first === "u" || first === "U") {
    if (/^[aio]/.test(lower) && !/^on(?:e|ce)/.test(lower) && !lower.startsWith("oui"))
      return "vowel";
    if (VOWEL_IN_UN.test(lower)) return "vowel";
    return CONSONANT_SOUND.test(lower) ? "consonant" : "vowel";
  }
  return /^[^\p{ASCII}]/u.test(lower) ? "either" : "consonant";
}

function numberSound(word: string): Opening {
  const digits = /^[\d,.]*/.exec(word)?.[0].replaceAll(",", "") ?? "";
  const whole = digits.split(".")[0] ?? digits;
  if (whole.startsWith("8")) return "vowel";
  if (whole === "11" || whole === "18") return "vowel";
  // 1100 may be "one thousand one hundred" or "eleven hundred".
  if (/^1[18]\d{2}$/.test(whole) || /^1[18]\d{3}(?:\d{3})*$/.test(whole)) return "either";
  return "consonant";
}
