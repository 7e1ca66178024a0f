/** Small words that belong to a family name. */
const PARTICLE =
  "(?:van|von|vom|der|den|de|del|della|di|da|das|dos|du|la|le|les|ten|ter|el|al|bin|ibn|zu|zum|zur|af|av|op|het|y|of)";
const TIED = "(?:d[’']|al-|el-|l[’'])";
const WORD = "(?:\\p{Lu}[\\p{L}\\p{M}’'´-]*|[’']t)";

const CAPITAL_PARTICLE = "(?:De|Van|Von|Der|Den|Del|La|Le|Di|Da|Dos|Du|St\\.|San)";

/** A family name, with the particles before it. */
export const FAMILY = `(?:(?:${PARTICLE}|${CAPITAL_PARTICLE})\\s)*${TIED}?${WORD}(?:[\\s](?:${PARTICLE}\\s)*${TIED}?${WORD}){0,3}`;
/** Initials with stops, such as “J. A.”, “J.-P.” or “Yu. V.”. */
export const INITIALS = `\\p{Lu}\\p{Ll}{0,2}\\.(?:[\\s]?-?[\\s]?\\p{Lu}\\p{Ll}{0,2}\\.)*(?:[\\s]${PARTICLE})*`;
/** Initials without stops, such as “JA”. */
export const BARE_INITIALS = "\\p{Lu}(?:-?\\p{Lu}){0,3}";
export const SUFFIX = "(?:Jr\\.?|Sr\\.?|I{2,3}|IV|2nd|3rd)";

const IS_INITIALS = new RegExp(`^${INITIALS}$`, "u");
const IS_BARE = new RegExp(`^(${FAMILY}) (${BARE_INITIALS})(?: (${SUFFIX}))?$`, "u");
const IS_STOPPED = new RegExp(`^(${FAMILY}) ((?:\\p{Lu}\\.[\\s-]?)+)$`, "u");
const IS_FIRST = new RegExp(`^(${INITIALS}) ?((?:${PARTICLE}\\s)*${FAMILY})$`, "u");
const IS_GIVEN = new RegExp(
  `^(?:${WORD}|\\p{Lu}\\.)(?:[\\s-](?:${WORD}|\\p{Lu}\\.(?:-\\p{Lu}\\.)*|${PARTICLE}|\\([^)]*\\)))*\\.?$`,
  "u",
);
const IS_DIRECT = new RegExp(
  `^((?:${WORD}|\\p{Lu}\\p{Ll}?\\.(?:-?\\p{Lu}\\.)*)(?:[\\s-](?:${WORD}|\\p{Lu}\\p{Ll}?\\.(?:-?\\p{Lu}\\.)*))*?) ((?:${PARTICLE}\\s)*${TIED}?${WORD})$`,
  "u",
);
const IS_SUFFIX = new RegExp(`^${SUFFIX}$`, "u");
const IS_FAMILY = new RegExp(`^${FAMILY}$`, "u");

/** Whether a piece is initials with stops. */
export function isInitials(text: string): boolean {
  return IS_INITIALS.test(text);
}

/** Whether a piece is what stands behind a name, such as “Jr.”. */
export function isSuffix(text: string): boolean {
  return IS_SUFFIX.test(text);
}

/** Whether a piece could be a family name. */
export function isFamily(text: string): boolean {
  return IS_FAMILY.test(text);
}

/** Whether a piece could be given names. */
export function isGiven(text: string): boolean {
  return IS_GIVEN.test(text);
}

export interface ReadName {
  family: string;
  given: string;
  suffix?: string;
}

/** “Orrin IK”: a family name and initials without marks. */
export function bareName(text: string): ReadName | null {
  const found = IS_BARE.exec(text);
  if (!found) return null;
  const [, family = "", given = "", suffix] = found;
  return { family, given, ...(suffix ? { suffix } : {}) };
}

/** “Orrin I. K.”: a family name and initials with stops, as no style has them. */
export function stoppedName(text: string): ReadName | null {
  const found = IS_STOPPED.exec(text);
  return found ? { family: found[1] ?? "", given: found[2] ?? "" } : null;
}

/** “I. K. Orrin”: initials, then the family name. */
export function initialsFirst(text: string): ReadName | null {
  const found = IS_FIRST.exec(text);
  return found ? withParticles(found[1] ?? "", found[2] ?? "") : null;
}

/** “Ida K. Orrin”: given names, then the family name. */
export function directName(text: string): ReadName | null {
  const found = IS_DIRECT.exec(text);
  return found ? withParticles(found[1] ?? "", found[2] ?? "") : null;
}

const TRAILING = new RegExp(`((?:\\s${PARTICLE})+)$`, "u");

/** Particles at the end of what was taken for given names belong to the family name. */
function withParticles(given: string, family: string): ReadName {
  const found = TRAILING.exec(given);
  if (!found) return { given, family };
  return {
    given: given.slice(0, found.index),
    family: `${found[0].trim()} ${family}`,
  };
}
