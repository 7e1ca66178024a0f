import type { AffixFile } from "./affix-file.ts";
import type { AffixStripper, Analysis, Place } from "./affixes.ts";
import { type Flags, has } from "./flags.ts";
import { ONLY_UPPER_CASE, type Stem, type Stems } from "./word-file.ts";

/** How far a search through a compound has come. */
interface Progress {
  words: number;
  syllables: number;
  depth: number;
}

/** What the search may do. */
interface Freedom {
  /** Whether the word was written with capitals (FORCEUCASE). */
  capitals: boolean;
  /** Steps left; a hostile word must not search for ever. */
  steps: { left: number };
  /** Hungarian's moving rule: a first part before a hyphen may carry affixes of its own. */
  moving: boolean;
}

interface Part extends Analysis {
  /** Found through affixes instead of as it stands. */
  affixed: boolean;
}

const MAX_STEPS = 20_000;
const MAX_DEPTH = 30;
/** Stands for "the whole is forbidden", which ends the search. */
const FORBIDDEN = "forbidden";
type Outcome = Stem | typeof FORBIDDEN | null;

/** Puts compounds together from stems (hunspell(5): the COMPOUND and CHECKCOMPOUND options). */
export class CompoundChecker {
  private readonly hungarian: boolean;

  constructor(
    private readonly file: AffixFile,
    private readonly stems: Stems,
    private readonly affixes: AffixStripper,
  ) {
    this.hungarian = /^hu/i.test(file.language);
  }

  /** Whether the dictionary makes compounds at all. */
  get active(): boolean {
    const { compoundFlag, compoundBegin, compoundRules } = this.file;
    return compoundFlag !== 0 || compoundBegin !== 0 || compoundRules.length > 0;
  }

  /** Whether a word is a compound of this dictionary. */
  accepts(word: string, capitals: boolean): boolean {
    if (this.file.compoundRules.length > 0 && this.acceptsByRule(word)) return true;
    const steps = { left: MAX_STEPS };
    const start: Progress = { words: 0, syllables: 0, depth: 0 };
    const found = this.search(word, start, { capitals, steps, moving: false });
    if (found && found !== FORBIDDEN) return true;
    if (!this.hungarian || !word.endsWith("-")) return false;
    const moved = this.search(word.slice(0, -1), start, { capitals, steps, moving: true });
    return moved !== null && moved !== FORBIDDEN;
  }

  /** The first part of the first way to read `word` as a compound. */
  private search(word: string, progress: Progress, freedom: Freedom): Outcome {
    const { compoundMinimum } = this.file;
    for (let at = compoundMinimum; at <= word.length - compoundMinimum; at++) {
      if (--freedom.steps.left < 0) return null;
      const outcome = this.splitAt(word, at, progress, freedom);
      if (outcome) return outcome;
      for (const pattern of this.file.compoundPatterns) {
        if (pattern.replacement === "" || !word.startsWith(pattern.replacement, at)) continue;
        const restored =
          word.slice(0, at) +
          pattern.endsWith +
          pattern.beginsWith +
          word.slice(at + pattern.replacement.length);
        const simplified = this.splitAt(
          restored,
          at + pattern.endsWith.length,
          progress,
          freedom,
          pattern,
        );
        if (simplified) return simplified;
      }
    }
    return null;
  }

  private splitAt(
    word: string,
    at: number,
    progress: Progress,
    freedom: Freedom,
    restored?: AffixFile["compoundPatterns"][number],
  ): Outcome {
    const first = this.firstPart(word.slice(0, at), progress.words, freedom.moving);
    if (first === FORBIDDEN || first === null) return first;
    if (restored?.endFlag && !has(first.stem.flags, restored.endFlag)) return null;
    const isPlain = restored === undefined;
    if (isPlain && this.file.checkCompoundTriple && isTriple(word, at)) return null;
    if (isPlain && this.file.checkCompoundCase && hasCapitalAt(word, at)) return null;
    let { words, syllables } = progress;
    if (has(first.stem.flags, this.file.compoundRoot)) words++;
    if (this.hungarian) {
      syllables += this.syllablesOf(word.slice(0, at));
      if (first.prefix && this.syllablesOf(first.prefix.append) > 1) words++;
    }
    const next = { words, syllables, depth: progress.depth };
    const outcome = this.secondPart(word, at, first, next, freedom, restored);
    if (outcome || !this.file.simplifiedTriple) return outcome;
    const doubled = at > 1 && word[at - 1] === word[at - 2];
    return doubled ? this.secondPart(word, at - 1, first, next, freedom, restored) : null;
  }

  private firstPart(text: string, words: number, moving: boolean): Part | typeof FORBIDDEN | null {
    const { compoundFlag, compoundBegin, compoundMiddle, compoundForbid, needAffix } = this.file;
    const homonyms = this.stems.get(text) ?? [];
    if (!moving && homonyms[0] && has(homonyms[0].flags, compoundForbid)) return null;
    const roleFlag = words === 0 ? compoundBegin : compoundMiddle;
    const stem = moving
      ? homonyms[0]
      : homonyms.find(
          ({ flags }) =>
            !has(flags, needAffix) && (has(flags, compoundFlag) || has(flags, roleFlag)),
        );
    if (stem) {
      if (this.isForbidden(stem.flags) || has(stem.flags, needAffix)) return null;
      const fitting =
        has(stem.flags, compoundFlag) || has(stem.flags, roleFlag) || isMovable(stem.flags);
      if (fitting) {
        return { stem, prefix: null, suffix: null, ending: null, affixed: false };
      }
    }
    const place: Place = moving ? "other" : "begin";
    for (const flag of [compoundFlag, roleFlag]) {
      const found = flag ? this.affixedPart(text, flag, place, flag === compoundFlag) : null;
      if (!found) continue;
      if (this.isForbidden(found.stem.flags)) return FORBIDDEN;
      if (!moving && carries(found, compoundForbid)) continue;
      return { ...found, affixed: true };
    }
    if (!moving) return null;
    const loose = this.affixes.analyse(text, { place: "alone", flag: 0 });
    const movable =
      loose?.suffix &&
      (has(loose.suffix.continuation, code("x")) || has(loose.suffix.continuation, code("%")));
    return loose && movable ? { ...loose, affixed: true } : null;
  }

  private affixedPart(text: string, flag: number, place: Place, general: boolean): Analysis | null {
    const wanted = { place, flag };
    const suffixed = () => {
      const none = { prefix: null, mustCross: false };
      const found =
        this.affixes.stripSuffix(text, wanted, none, 0) ??
        (this.file.compoundMoreSuffixes ? this.affixes.stripTwoSuffixes(text, flag, none) : null);
      const barred =
        general &&
        place === "begin" &&
        found?.suffix &&
        (has(found.suffix.continuation, this.file.compoundForbid) ||
          has(found.suffix.continuation, this.file.compoundEnd));
      return barred ? null : found;
    };
    return general
      ? (this.affixes.stripPrefix(text, wanted) ?? suffixed())
      : (suffixed() ?? this.affixes.stripPrefix(text, wanted));
  }

  private secondPart(
    word: string,
    at: number,
    first: Part,
    { words, syllables, depth }: Progress,
    freedom: Freedom,
    restored: AffixFile["compoundPatterns"][number] | undefined,
  ): Outcome {
    const { compoundFlag, compoundEnd, compoundRoot, needAffix, forceUpperCase } = this.file;
    const rest = word.slice(at);
    const isPlain = restored === undefined;
    const fitsPattern = (flags: Flags) =>
      isPlain || restored.beginFlag === 0 || has(flags, restored.beginFlag);
    const stem = this.stems
      .get(rest)
      ?.find(
        ({ flags }) =>
          !has(flags, needAffix) &&
          (has(flags, compoundFlag) || has(flags, compoundEnd)) &&
          fitsPattern(flags),
      );
    if (stem && !(has(stem.flags, forceUpperCase) && !freedom.capitals)) {
      if (this.isForbidden(stem.flags)) return FORBIDDEN;
      const count = words + (has(stem.flags, compoundRoot) ? 1 : 0);
      const short =
        this.hungarian && has(stem.flags, code("I")) && !has(stem.flags, code("J")) ? 1 : 0;
      const whole = syllables - short + this.syllablesOf(stem.word);
      if (
        this.isShortEnough(count, whole) &&
        !(isPlain && this.clashes(word, at, first, stem)) &&
        !(this.file.checkCompoundDup && stem === first.stem)
      ) {
        return this.isMistake(word) ? FORBIDDEN : first.stem;
      }
    }
    const affixed = this.lastPartWithAffixes(rest);
    if (affixed === FORBIDDEN) return FORBIDDEN;
    if (affixed && fitsPattern(affixed.stem.flags)) {
      const allowed =
        !(isPlain && this.clashes(word, at, first, affixed.stem)) &&
        !(has(affixed.stem.flags, forceUpperCase) && !freedom.capitals);
      const count =
        words +
        (has(affixed.stem.flags, compoundRoot) ? 1 : 0) +
        (affixed.prefix && this.syllablesOf(affixed.prefix.append) > 1 && this.hungarian ? 1 : 0);
      if (
        allowed &&
        this.isShortEnough(count, syllables + this.syllablesOfForm(rest, affixed)) &&
        !(this.file.checkCompoundDup && affixed.stem === first.stem)
      ) {
        return this.isMistake(word) ? FORBIDDEN : first.stem;
      }
    }
    if (depth >= MAX_DEPTH) return null;
    return this.furtherParts(word, at, first, { words, syllables, depth }, freedom, isPlain);
  }

  private furtherParts(
    word: string,
    at: number,
    first: Part,
    { words, syllables, depth }: Progress,
    freedom: Freedom,
    isPlain: boolean,
  ): Outcome {
    const next = { words: words + 1, syllables, depth: depth + 1 };
    const found = this.search(word.slice(at), next, { ...freedom, moving: false });
    if (!found || found === FORBIDDEN) return null;
    if (this.file.compoundPatterns.length > 0 && this.clashes(word, at, first, found) === isPlain) {
      return null;
    }
    if (this.isMistake(word)) return FORBIDDEN;
    if (!word.startsWith(found.word, at)) return first.stem;
    const beginning = word.slice(0, at + found.word.length);
    if (this.isMistake(beginning)) return null;
    if (this.file.forbiddenWord) {
      const whole =
        this.stems.get(word)?.[0] ?? this.affixes.analyse(word, { place: "alone", flag: 0 })?.stem;
      if (whole && this.isForbidden(whole.flags) && beginning.startsWith(whole.word)) {
        return FORBIDDEN;
      }
    }
    return first.stem;
  }

  private lastPartWithAffixes(rest: string): Part | typeof FORBIDDEN | null {
    for (const flag of [this.file.compoundFlag, this.file.compoundEnd]) {
      const found = flag ? this.affixes.analyse(rest, { place: "end", flag }) : null;
      if (!found) continue;
      if (carries(found, this.file.compoundForbid)) return null;
      if (this.isForbidden(found.stem.flags)) return FORBIDDEN;
      return { ...found, affixed: true };
    }
    return null;
  }

  private isForbidden(flags: Flags): boolean {
    return has(flags, this.file.forbiddenWord) || flags.includes(ONLY_UPPER_CASE);
  }

  private isShortEnough(words: number, syllables: number): boolean {
    const { compoundWordMaximum, compoundSyllables } = this.file;
    if (compoundWordMaximum === 0 || words + 1 < compoundWordMaximum) return true;
    return compoundSyllables !== null && syllables <= compoundSyllables.maximum;
  }

  private syllablesOf(text: string): number {
    const vowels = this.file.compoundSyllables?.vowels;
    if (!vowels) return 0;
    let count = 0;
    for (const letter of text) if (vowels.includes(letter)) count++;
    return count;
  }

  /** Syllables of a last part without its inflection, which does not count (Hungarian). */
  private syllablesOfForm(form: string, { stem, ending: suffix }: Analysis): number {
    if (!this.hungarian) return this.syllablesOf(form);
    let count = this.syllablesOf(form);
    if (!suffix) return count;
    if (suffix.continuation.length === 0) count -= this.syllablesOf(suffix.append);
    else if (/(?:^|[^ty])i$/.test(suffix.append)) count -= 1;
    if (this.file.syllableNumberFlags !== "") {
      if (suffix.flag === code("c")) count += 2;
      else if (suffix.flag === code("J")) count += 1;
      else if (suffix.flag === code("I") && has(stem.flags, code("J"))) count += 1;
    }
    return count;
  }

  /** Whether two parts meet in a way that CHECKCOMPOUNDPATTERN forbids. */
  private clashes(word: string, at: number, first: Part, second: Stem): boolean {
    return this.file.compoundPatterns.some(
      ({ endsWith, endFlag, beginsWith, beginFlag }) =>
        word.startsWith(beginsWith, at) &&
        (endFlag === 0 || has(first.stem.flags, endFlag)) &&
        (beginFlag === 0 || has(second.flags, beginFlag)) &&
        (endsWith === ""
          ? !first.affixed && word.slice(0, at).endsWith(first.stem.word)
          : word.slice(0, at).endsWith(endsWith)),
    );
  }

  /** Whether a compound is a plain word with a typical mistake (CHECKCOMPOUNDREP), or a word pair. */
  private isMistake(word: string): boolean {
    if (this.file.checkCompoundRep) {
      for (const { from, to, atStart, atEnd } of this.file.replacements) {
        if (atStart || atEnd) continue;
        for (let at = word.indexOf(from); at >= 0; at = word.indexOf(from, at + 1)) {
          if (this.isPlainWord(word.slice(0, at) + to + word.slice(at + from.length))) return true;
        }
      }
    }
    return false;
  }

  private isPlainWord(word: string): boolean {
    const direct = this.stems.get(word)?.find((stem) => !this.isForbidden(stem.flags));
    if (direct) return true;
    const found = this.affixes.analyse(word, { place: "alone", flag: 0 });
    return found !== null && !this.isForbidden(found.stem.flags);
  }

  /** Whether the word splits into stems whose flags follow one of the COMPOUNDRULE patterns. */
  private acceptsByRule(word: string): boolean {
    const steps = { left: MAX_STEPS };
    return this.file.compoundRules.some((rule) => this.followRule(word, 0, rule, 0, 0, steps));
  }

  private followRule(
    word: string,
    at: number,
    rule: AffixFile["compoundRules"][number],
    step: number,
    parts: number,
    steps: { left: number },
  ): boolean {
    if (--steps.left < 0) return false;
    if (at === word.length) {
      return parts > 1 && rule.slice(step).every(({ times }) => times !== "");
    }
    const here = rule[step];
    if (!here) return false;
    const optional = here.times !== "" && this.followRule(word, at, rule, step + 1, parts, steps);
    if (optional) return true;
    for (let to = at + this.file.compoundMinimum; to <= word.length; to++) {
      const part = word.slice(at, to);
      const fitting = this.stems
        .get(part)
        ?.some(({ flags }) => has(flags, here.flag) && !this.isForbidden(flags));
      if (!fitting) continue;
      const stays = here.times === "*";
      if (this.followRule(word, to, rule, stays ? step : step + 1, parts + 1, steps)) return true;
    }
    return false;
  }
}

function carries({ prefix, suffix }: Analysis, flag: number): boolean {
  return (
    (prefix !== null && has(prefix.continuation, flag)) ||
    (suffix !== null && has(suffix.continuation, flag))
  );
}

/** Stems whose own flags the Hungarian moving rule asks for. */
function isMovable(flags: Flags): boolean {
  return has(flags, code("F")) || has(flags, code("G")) || has(flags, code("H"));
}

function code(letter: string): number {
  return letter.charCodeAt(0);
}

/** Three equal letters where two parts meet. */
function isTriple(word: string, at: number): boolean {
  if (word[at - 1] !== word[at]) return false;
  return (at > 1 && word[at - 1] === word[at - 2]) || word[at - 1] === word[at + 1];
}

/** A capital where two parts meet, neither side being a hyphen. */
function hasCapitalAt(word: string, at: number): boolean {
  const before = word[at - 1] ?? "";
  const after = word[at] ?? "";
  const isUpper = (one: string) => one !== one.toLowerCase();
  return (isUpper(before) || isUpper(after)) && before !== "-" && after !== "-";
}
