/** Letters that no decomposition makes plain. */
const PLAIN: Readonly<Record<string, string>> = {
  ø: "o",
  ł: "l",
  đ: "d",
  ß: "ss",
  æ: "ae",
  œ: "oe",
  ı: "i",
  þ: "th",
  ð: "d",
};

/** Names folded lately; the same few hundred are compared again and again. */
const FOLDED = new Map<string, string>();
const KEPT = 20_000;

/** A name without marks, case, spaces, hyphens and apostrophes, for comparing. */
export function folded(text: string): string {
  const known = FOLDED.get(text);
  if (known !== undefined) return known;
  if (FOLDED.size >= KEPT) FOLDED.clear();
  const made = fold(text);
  FOLDED.set(text, made);
  return made;
}

function fold(text: string): string {
  return text
    .normalize("NFKD")
    .toLowerCase()
    .replaceAll(/[øłđßæœıþð]/gu, (letter) => PLAIN[letter] ?? letter)
    .replaceAll(/[^\p{L}\p{N}]/gu, "");
}

const PARTICLES =
  /^(?:(?:van|von|vom|der|den|de|del|della|di|da|das|dos|du|la|le|ten|ter|el|al|bin|zu|zur|af|av)[\s-]|d[’'])+/iu;

/** A family name without the particles before it. */
export function withoutParticles(name: string): string {
  return name.replace(PARTICLES, "");
}

/**
 * Letters put in, left out, changed or changed about (Damerau 1964, Levenshtein 1966, restricted); at most
 * `limit`, above which it is `limit + 1`.
 */
export function lettersApart(one: string, other: string, limit: number): number {
  if (one === other) return 0;
  if (Math.abs(one.length - other.length) > limit) return limit + 1;
  let before: number[] = [];
  let row = Array.from({ length: other.length + 1 }, (_, at) => at);
  for (let i = 1; i <= one.length; i++) {
    const next = [i];
    for (let j = 1; j <= other.length; j++) {
      const same = one[i - 1] === other[j - 1] ? 0 : 1;
      let cost = Math.min((next[j - 1] ?? 0) + 1, (row[j] ?? 0) + 1, (row[j - 1] ?? 0) + same);
      if (i > 1 && j > 1 && one[i - 1] === other[j - 2] && one[i - 2] === other[j - 1]) {
        cost = Math.min(cost, (before[j - 2] ?? 0) + 1);
      }
      next.push(cost);
    }
    before = row;
    row = next;
  }
  return Math.min(row[other.length] ?? 0, limit + 1);
}
