import type { Affix, AffixFile } from "./affix-file.ts";
import { fits } from "./condition.ts";
import type { HunspellDictionary } from "./dictionary.ts";
import { type Flags, has } from "./flags.ts";
import { ONLY_UPPER_CASE } from "./word-file.ts";

/** A word form a dictionary lists or makes, and whether it may be offered as a correction. */
export interface Form {
  word: string;
  offered: boolean;
}

/**
 * Every form that stems and their affixes make (one prefix and two suffixes at most); compounds,
 * which have no end, are left out. A form may come twice.
 */
export function* wordForms({ affixFile, stems }: HunspellDictionary): Generator<Form> {
  const affixes = groupAffixes(affixFile);
  for (const homonyms of stems.values()) {
    for (const { word, flags } of homonyms) {
      if (flags.includes(ONLY_UPPER_CASE) || has(flags, affixFile.forbiddenWord)) continue;
      const offered = !has(flags, affixFile.noSuggest);
      for (const made of affixed(word, flags, affixes, affixFile)) {
        yield { word: made, offered };
      }
    }
  }
}

interface Grouped {
  prefixes: Map<number, Affix[]>;
  suffixes: Map<number, Affix[]>;
}

function groupAffixes({ prefixes, suffixes }: AffixFile): Grouped {
  const byFlag = (affixes: Affix[]) => {
    const groups = new Map<number, Affix[]>();
    for (const affix of affixes) {
      const group = groups.get(affix.flag);
      if (group) group.push(affix);
      else groups.set(affix.flag, [affix]);
    }
    return groups;
  };
  return { prefixes: byFlag(prefixes), suffixes: byFlag(suffixes) };
}

function* affixed(
  word: string,
  flags: Flags,
  affixes: Grouped,
  file: AffixFile,
): Generator<string> {
  const bound = (own: Flags) => has(own, file.needAffix) || has(own, file.onlyInCompound);
  if (!bound(flags)) yield word;
  const prefixes = flags.flatMap((flag) => affixes.prefixes.get(flag) ?? []);
  for (const prefix of prefixes) {
    const made = withPrefix(word, prefix, file);
    if (made !== null && !bound(prefix.continuation)) yield made;
  }
  for (const suffix of flags.flatMap((flag) => affixes.suffixes.get(flag) ?? [])) {
    const made = withSuffix(word, suffix, file);
    if (made === null) continue;
    const twice = suffix.continuation.flatMap((flag) => affixes.suffixes.get(flag) ?? []);
    const ends = [
      ...(bound(suffix.continuation) ? [] : [made]),
      ...twice.flatMap((second) => withSuffix(made, second, file) ?? []),
    ];
    for (const end of ends) {
      yield end;
      if (!suffix.crosses) continue;
      for (const prefix of prefixes) {
        const both = prefix.crosses ? withPrefix(end, prefix, file) : null;
        if (both !== null) yield both;
      }
    }
  }
}

function withSuffix(word: string, { strip, append, condition }: Affix, file: AffixFile) {
  if (!word.endsWith(strip) || (strip.length >= word.length && !file.fullStrip)) return null;
  if (!fits(condition, word, word.length - condition.length)) return null;
  return word.slice(0, word.length - strip.length) + append;
}

function withPrefix(word: string, { strip, append, condition }: Affix, file: AffixFile) {
  if (!word.startsWith(strip) || (strip.length >= word.length && !file.fullStrip)) return null;
  return fits(condition, word, 0) ? append + word.slice(strip.length) : null;
}
