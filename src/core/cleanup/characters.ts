/** Characters that look like others. */

/** Ligatures as characters of their own (Unicode, Alphabetic Presentation Forms), and their letters. */
export const LIGATURES: Readonly<Record<string, string>> = {
  "\ufb00": "ff",
  "\ufb01": "fi",
  "\ufb02": "fl",
  "\ufb03": "ffi",
  "\ufb04": "ffl",
  "\ufb05": "st",
  "\ufb06": "st",
};

/** Cyrillic and Greek letters drawn as Latin ones are (Unicode Technical Standard 39, confusables). */
const LOOKS: Readonly<Record<string, string>> = Object.fromEntries(
  [
    "аa еe оo рp сc уy хx іi јj ѕs ԁd һh ԛq ԝw",
    "АA ВB ЕE КK МM НH ОO РP СC ТT ХX ІI ЈJ ЅS УY",
    "οo νv ρp αa ιi κk",
    "ΑA ΒB ΕE ΖZ ΗH ΙI ΚK ΜM ΝN ΟO ΡP ΤT ΥY ΧX",
  ]
    .join(" ")
    .split(" ")
    .map((pair) => [pair.charAt(0), pair.charAt(1)]),
);
const OTHER = /[\p{Script=Cyrillic}\p{Script=Greek}]/gu;

/**
 * A word with its strange letters as the Latin ones they look like; null for a word of another alphabet, or
 * with a letter that looks like none: "µm", "Δt", "мир".
 */
export function latinFor(word: string): string | null {
  const strange = word.match(OTHER) ?? [];
  const latin = word.match(/\p{Script=Latin}/gu) ?? [];
  if (strange.length === 0 || latin.length < 2 || latin.length < strange.length) return null;
  if (strange.some((letter) => LOOKS[letter] === undefined)) return null;
  return word.replace(OTHER, (letter) => LOOKS[letter] ?? letter);
}
