import type { Affix, AffixFile } from "./affix-file.ts";
import { fits } from "./condition.ts";
import { has } from "./flags.ts";
import type { Stem, Stems } from "./word-file.ts";

/** Where in a compound a form stands; affixes are restricted inside compounds. */
export type Place = "alone" | "begin" | "end" | "other";

/** A form led back to its stem, with the affixes that were taken off. */
export interface Analysis {
  stem: Stem;
  prefix: Affix | null;
  /** The suffix next to the stem, whose flags bind the form. */
  suffix: Affix | null;
  /** The outermost suffix: the same one, unless there are two. */
  ending: Affix | null;
}

interface Wanted {
  place: Place;
  /** A flag the stem or an affix must carry; 0 for none. */
  flag: number;
}

/** A prefix already taken off, which the suffix must agree with. */
interface Crossing {
  prefix: Affix | null;
  mustCross: boolean;
}

const NO_CROSSING: Crossing = { prefix: null, mustCross: false };

/**
 * Takes prefixes and suffixes off words, up to two suffixes deep, as the flags of stems and affixes
 * permit (hunspell(5): PFX, SFX, NEEDAFFIX, CIRCUMFIX, ONLYINCOMPOUND, COMPOUNDPERMITFLAG).
 */
export class AffixStripper {
  private readonly prefixes: AffixTable;
  private readonly suffixes: AffixTable;
  /** Flags that some affix carries as a continuation: only these can be inner suffixes. */
  private readonly continued = new Set<number>();

  constructor(
    private readonly file: AffixFile,
    private readonly stems: Stems,
  ) {
    this.prefixes = new AffixTable(file.prefixes);
    this.suffixes = new AffixTable(file.suffixes);
    for (const { continuation } of [...file.prefixes, ...file.suffixes]) {
      for (const flag of continuation) this.continued.add(flag);
    }
  }

  /**
   * The stem a word comes from by affixes, or null. Where any affix has continuations, the flags of
   * a lone suffix bind nothing: the format's first reader forgets them, and dictionaries rely on it.
   */
  analyse(word: string, wanted: Wanted): Analysis | null {
    const prefixed = this.stripPrefix(word, wanted);
    if (prefixed) return prefixed;
    const once = this.stripSuffix(word, wanted, NO_CROSSING, 0);
    if (this.continued.size === 0) return once;
    if (once) return { ...once, suffix: null };
    return this.stripTwoSuffixes(word, wanted.flag, NO_CROSSING) ?? this.prefixAndTwo(word, wanted);
  }

  /** One prefix, alone or together with one suffix. */
  stripPrefix(word: string, wanted: Wanted): Analysis | null {
    const { place, flag } = wanted;
    for (const prefix of this.prefixes.atStart(word)) {
      const { continuation } = prefix;
      if (place === "alone" && has(continuation, this.file.onlyInCompound)) continue;
      if (place === "end" && !has(continuation, this.file.compoundPermit)) continue;
      const rest = this.withoutPrefix(word, prefix);
      if (rest === null) continue;
      for (const stem of this.stems.get(rest) ?? []) {
        if (!has(stem.flags, prefix.flag) || has(continuation, this.file.needAffix)) continue;
        if (flag && !has(stem.flags, flag) && !has(continuation, flag)) continue;
        return { stem, prefix, suffix: null, ending: null };
      }
      if (!prefix.crosses) continue;
      const found = this.stripSuffix(rest, wanted, { prefix, mustCross: true }, 0);
      if (found) return { ...found, prefix };
    }
    return null;
  }

  /** One suffix; `inner` is the flag of a suffix already taken off outside it, 0 for none. */
  stripSuffix(word: string, wanted: Wanted, crossing: Crossing, inner: number): Analysis | null {
    const { place, flag } = wanted;
    const { prefix, mustCross } = crossing;
    const barred = place === "alone" ? this.file.onlyInCompound : 0;
    for (const suffix of this.suffixes.atEnd(word)) {
      if (mustCross && !suffix.crosses) continue;
      if (!this.maySuffix(suffix, place, prefix, inner)) continue;
      const rest = this.withoutSuffix(word, suffix);
      if (rest === null) continue;
      const { continuation } = suffix;
      for (const stem of this.stems.get(rest) ?? []) {
        const enabled = has(stem.flags, suffix.flag) || isEnabledBy(prefix, suffix.flag);
        if (!enabled) continue;
        if (
          mustCross &&
          prefix &&
          !has(stem.flags, prefix.flag) &&
          !has(continuation, prefix.flag)
        ) {
          continue;
        }
        if (inner && !has(continuation, inner)) continue;
        if (barred && has(stem.flags, barred)) continue;
        if (flag && !has(stem.flags, flag) && !has(continuation, flag)) continue;
        return { stem, prefix, suffix, ending: suffix };
      }
    }
    return null;
  }

  /** Two suffixes, the outer one's flag being a continuation of the inner one. */
  stripTwoSuffixes(word: string, flag: number, crossing: Crossing): Analysis | null {
    const { prefix, mustCross } = crossing;
    for (const outer of this.suffixes.atEnd(word)) {
      if (!this.continued.has(outer.flag) || (mustCross && !outer.crosses)) continue;
      const rest = this.withoutSuffix(word, outer);
      if (rest === null) continue;
      const settled = prefix && has(outer.continuation, prefix.flag);
      const within = settled || !prefix ? NO_CROSSING : crossing;
      const found = this.stripSuffix(rest, { place: "alone", flag }, within, outer.flag);
      if (found) return { ...found, prefix, ending: outer };
    }
    return null;
  }

  private prefixAndTwo(word: string, { place, flag }: Wanted): Analysis | null {
    if (place === "begin") return null;
    for (const prefix of this.prefixes.atStart(word)) {
      if (!prefix.crosses) continue;
      const rest = this.withoutPrefix(word, prefix);
      if (rest === null) continue;
      const found = this.stripTwoSuffixes(rest, flag, { prefix, mustCross: true });
      if (found) return found;
    }
    return null;
  }

  private maySuffix(suffix: Affix, place: Place, prefix: Affix | null, inner: number): boolean {
    const { continuation } = suffix;
    const { circumfix, needAffix, onlyInCompound, compoundPermit } = this.file;
    if (inner && continuation.length === 0) return false;
    if (place === "begin" && !has(continuation, compoundPermit)) return false;
    if (circumfix) {
      const outside = prefix !== null && has(prefix.continuation, circumfix);
      if (outside !== has(continuation, circumfix)) return false;
    }
    if (has(continuation, onlyInCompound) && (place === "alone" || (place === "end" && !prefix))) {
      return false;
    }
    if (inner || !has(continuation, needAffix)) return true;
    return suffix.append === "" && prefix !== null && !has(prefix.continuation, needAffix);
  }

  private withoutPrefix(word: string, { append, strip, condition }: Affix): string | null {
    if (word.length <= append.length && !this.file.fullStrip) return null;
    const rest = strip + word.slice(append.length);
    return fits(condition, rest, 0) ? rest : null;
  }

  private withoutSuffix(word: string, { append, strip, condition }: Affix): string | null {
    if (word.length <= append.length && !this.file.fullStrip) return null;
    const rest = word.slice(0, word.length - append.length) + strip;
    return fits(condition, rest, rest.length - condition.length) ? rest : null;
  }
}

function isEnabledBy(prefix: Affix | null, flag: number): boolean {
  return prefix !== null && has(prefix.continuation, flag);
}

/**
 * Affixes by what they add, so that those which fit a word are found without trying all. Of several
 * that add the same, the last in the file is tried first, as the format's first reader did.
 */
class AffixTable {
  private readonly byText = new Map<string, Affix[]>();
  private longest = 0;

  constructor(affixes: readonly Affix[]) {
    for (const affix of [...affixes].reverse()) {
      const alike = this.byText.get(affix.append);
      if (alike) alike.push(affix);
      else this.byText.set(affix.append, [affix]);
      this.longest = Math.max(this.longest, affix.append.length);
    }
  }

  /** Affixes that a word begins with. */
  atStart(word: string): readonly Affix[] {
    return this.matching(word, (length) => word.slice(0, length));
  }

  /** Affixes that a word ends with. */
  atEnd(word: string): readonly Affix[] {
    return this.matching(word, (length) => word.slice(word.length - length));
  }

  private matching(word: string, cut: (length: number) => string): readonly Affix[] {
    const found: Affix[] = [];
    for (let length = 0; length <= Math.min(this.longest, word.length); length++) {
      const alike = this.byText.get(cut(length));
      if (alike) found.push(...alike);
    }
    return found;
  }
}
