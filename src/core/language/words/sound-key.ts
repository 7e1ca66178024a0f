const SOUND_RULES: [RegExp, string][] = [
  [/[^a-z]/g, ""],
  [/^(?:kn|gn|pn)/, "n"],
  [/^wr/, "r"],
  [/^ps/, "s"],
  [/^wh/, "w"],
  [/ph/g, "f"],
  [/gh(?=t|$|[bcdfgklmnp])/g, ""],
  [/tch/g, "C"],
  [/[ct]i(?=[ao])|s[hi](?=[oa])|sch|sh/g, "S"],
  [/ch/g, "C"],
  [/ck|qu?/g, "k"],
  [/s?c(?=[eiy])/g, "s"],
  [/c/g, "k"],
  [/x/g, "ks"],
  [/dg(?=[ei])|g(?=[eiy])/g, "j"],
  [/z/g, "s"],
  [/mb$/, "m"],
  [/v/g, "f"],
  [/h/g, ""],
];

const MAX_REMEMBERED = 4000;
const remembered = new Map<string, string>();

/** A rough key of how a word sounds: words that sound alike mostly share it. */
export function soundKey(word: string): string {
  const known = remembered.get(word);
  if (known !== undefined) return known;
  let key = word.toLowerCase();
  for (const [pattern, replacement] of SOUND_RULES) key = key.replace(pattern, replacement);
  const opening = /^[aeiouy]/.test(key) ? "a" : "";
  key = opening + key.replace(/[aeiouyw]/g, "").replace(/(.)\1+/g, "$1");
  if (remembered.size >= MAX_REMEMBERED) remembered.clear();
  remembered.set(word, key);
  return key;
}
