import { type AffixFile, parseAffixFile, type Rewriting, without } from "./affix-file.ts";
import { AffixStripper } from "./affixes.ts";
import { CompoundChecker } from "./compounds.ts";
import { has } from "./flags.ts";
import {
  capitalise,
  casingOf,
  ONLY_UPPER_CASE,
  parseWordFile,
  type Stem,
  type Stems,
} from "./word-file.ts";

const MAX_WORD = 180;
const MAX_BREAKS = 10;

/**
 * A dictionary in the Hunspell format: an .aff file of rules and a .dic file of stems. `accepts`
 * gives the verdict that the format's manual page, hunspell(5), describes.
 */
export class HunspellDictionary {
  readonly affixFile: AffixFile;
  readonly stems: Stems;
  private readonly affixes: AffixStripper;
  private readonly compounds: CompoundChecker;

  /** Takes the texts of the two files. */
  constructor(aff: string, dic: string) {
    this.affixFile = parseAffixFile(aff);
    this.stems = parseWordFile(dic, this.affixFile);
    this.affixes = new AffixStripper(this.affixFile, this.stems);
    this.compounds = new CompoundChecker(this.affixFile, this.stems, this.affixes);
  }

  /** Whether the dictionary holds a word, in any of the capitals it may be written in. */
  accepts(written: string): boolean {
    if (written.length > MAX_WORD) return false;
    const converted = rewrite(written, this.affixFile.inputConversions).trimStart();
    const word = converted.replace(/\.+$/, "");
    if (word === "" || isNumber(word)) return true;
    if (this.acceptsCased(word, converted.length > word.length)) return true;
    return this.acceptsBroken(word);
  }

  private acceptsCased(word: string, abbreviated: boolean): boolean {
    const casing = casingOf(word);
    const withPoint = (text: string, capitals: boolean) =>
      abbreviated ? this.check(`${text}.`, { capitals, initial: false }) : null;
    if (casing === "none" || casing === "mixed" || casing === "mixed-initial") {
      const capitals = casing !== "none";
      return (this.check(word, { capitals, initial: false }) ?? withPoint(word, capitals)) !== null;
    }
    if (casing === "all") {
      const found = this.check(word, { capitals: true, initial: false }) ?? withPoint(word, true);
      if (found || this.acceptsApostrophe(word) || this.acceptsSharpS(word)) return true;
    }
    const lower = word.toLowerCase();
    const upper = capitalise(lower);
    const initial = casing === "initial";
    const barred = (stem: Stem, text: string) =>
      has(stem.flags, this.affixFile.keepCase) &&
      (casing === "all" || !(this.affixFile.checkSharpS && text.includes("ß")));
    const asName = this.check(upper, { capitals: true, initial });
    if (this.isForbidden(upper)) return false;
    if (asName && !(casing === "all" && has(asName.flags, this.affixFile.keepCase))) return true;
    const asWord = this.check(lower, { capitals: true, initial: false }) ?? withPoint(lower, true);
    if (asWord) return !barred(asWord, lower);
    const pointed = abbreviated ? this.check(`${upper}.`, { capitals: true, initial }) : null;
    return pointed !== null && !barred(pointed, upper);
  }

  /** Sant'Elia in capitals: a name behind a small word and its apostrophe. */
  private acceptsApostrophe(word: string): boolean {
    const at = word.indexOf("'");
    if (at < 0 || at === word.length - 1) return false;
    const lower = word.toLowerCase();
    const named = lower.slice(0, at + 1) + capitalise(lower.slice(at + 1));
    const options = { capitals: true, initial: false };
    return (this.check(named, options) ?? this.check(capitalise(named), options)) !== null;
  }

  /** A word in capitals whose SS stands for ß (CHECKSHARPS). */
  private acceptsSharpS(word: string): boolean {
    if (!this.affixFile.checkSharpS || !word.includes("SS")) return false;
    const lower = word.toLowerCase();
    return this.trySharpS(lower, 0, 0, 0) || this.trySharpS(capitalise(lower), 0, 0, 0);
  }

  private trySharpS(word: string, from: number, depth: number, replaced: number): boolean {
    const at = word.indexOf("ss", from);
    if (at >= 0 && depth < MAX_SHARP_S) {
      const sharp = `${word.slice(0, at)}ß${word.slice(at + 2)}`;
      if (this.trySharpS(sharp, at + 1, depth + 1, replaced + 1)) return true;
      return this.trySharpS(word, at + 2, depth + 1, replaced);
    }
    return replaced > 0 && this.check(word, { capitals: true, initial: false }) !== null;
  }

  private isForbidden(word: string): boolean {
    const { forbiddenWord } = this.affixFile;
    if (forbiddenWord === 0) return false;
    const listed = this.stems.get(word)?.[0];
    if (listed) return has(listed.flags, forbiddenWord);
    const found = this.affixes.analyse(word, { place: "alone", flag: 0 });
    return found !== null && has(found.stem.flags, forbiddenWord);
  }

  /** The stem of a word exactly as cased, or null. */
  private check(
    written: string,
    { capitals, initial }: { capitals: boolean; initial: boolean },
  ): Stem | null {
    const { forbiddenWord, needAffix, onlyInCompound, ignore } = this.affixFile;
    const word = without(written, ignore);
    if (word === "") return null;
    const homonyms = this.stems.get(word);
    if (homonyms?.[0] && has(homonyms[0].flags, forbiddenWord)) return null;
    const hidden = ({ flags }: Stem) =>
      has(flags, onlyInCompound) || (initial && flags.includes(ONLY_UPPER_CASE));
    const listed = homonyms?.find((stem) => !has(stem.flags, needAffix) && !hidden(stem));
    if (listed) return listed;
    const found = this.affixes.analyse(word, { place: "alone", flag: 0 });
    if (found && !hidden(found.stem)) {
      return has(found.stem.flags, forbiddenWord) ? null : found.stem;
    }
    if (!this.compounds.active) return null;
    return this.compounds.accepts(word, capitals) ? { word, flags: [] } : null;
  }

  /** Whether both sides of a break point are words (BREAK). */
  private acceptsBroken(word: string): boolean {
    const { breaks, language } = this.affixFile;
    let points = 0;
    for (const mark of breaks) points += word.split(mark).length - 1;
    if (points >= MAX_BREAKS) return false;
    for (const mark of breaks) {
      if (mark.length === 1 || mark.length > word.length) continue;
      const text = mark.slice(1);
      if (mark.startsWith("^") && word.startsWith(text) && this.accepts(word.slice(text.length))) {
        return true;
      }
      const end = mark.slice(0, -1);
      if (mark.endsWith("$") && word.endsWith(end) && this.accepts(word.slice(0, -end.length))) {
        return true;
      }
    }
    for (const later of [true, false]) {
      for (const mark of breaks) {
        const isInside = (at: number) => at > 0 && at < word.length - mark.length;
        let at = word.indexOf(mark);
        if (!isInside(at)) continue;
        const second = word.indexOf(mark, at + 1);
        if (later && isInside(second)) at = second;
        if (!this.accepts(word.slice(at + mark.length))) continue;
        if (this.accepts(word.slice(0, at))) return true;
        if (/^hu/i.test(language) && mark === "-" && this.accepts(word.slice(0, at + 1))) {
          return true;
        }
      }
    }
    return false;
  }
}

/** "ss" can be tried as ß in this many places of a word. */
const MAX_SHARP_S = 5;

/** Digits with single points, commas and hyphens between them. */
function isNumber(word: string): boolean {
  return /^\d+(?:[.,-]\d+)*$/.test(word);
}

/** A text with every conversion made, the longest that fits first. */
export function rewrite(text: string, table: readonly Rewriting[]): string {
  if (table.length === 0) return text;
  let result = "";
  let at = 0;
  while (at < text.length) {
    let best: Rewriting | null = null;
    for (const rule of table) {
      if (rule.from === "" || !text.startsWith(rule.from, at)) continue;
      if (rule.atStart && at > 0) continue;
      if (rule.atEnd && at + rule.from.length < text.length) continue;
      if (!best || rule.from.length > best.from.length) best = rule;
    }
    if (best) {
      result += best.to;
      at += best.from.length;
    } else {
      result += text[at];
      at++;
    }
  }
  return result;
}
