import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import type { Token } from "../../language/text/tokens.ts";
import { dictionaryBits, isDerived, withoutPossessive } from "../../language/words/known.ts";
import { NAME } from "../../language/words/lexicon.ts";
import { UNIT_SYMBOLS } from "../../language/words/units-of-measure.ts";
import { wordList } from "../../language/words/word-lists.ts";
import { LEAVE_BITS } from "../leave.ts";
import { isLikelySlip } from "./slips.ts";

/** A stretch of a block that speaks for all words in it. */
interface Stretch {
  from: number;
  to: number;
  bits: number;
}

const ROMAN = /^m{0,4}(?:cm|cd|d?c{0,4})(?:xc|xl|l?x{0,4})(?:ix|iv|v?i{0,4})$/;
/** Endings of Latin species names in the nominative and genitive; common practice in botany and zoology. */
const EPITHET = /^[a-z-]{3,}(?:us|a|um|is|i|ae|ensis|e|es|ans|ens|or|ax|ex|oides|on|ys)$/;
/** Parts of Latin phrases that English copy uses as its own: et al., et cetera, pro tem, sine die. */
const LATIN_PHRASES = wordList("word-kinds/latin-phrases");
/** A short phrase in italics or quotation marks is foreign if half of its words are unknown. */
const PHRASE_WORDS = 8;
const FOREIGN_SHARE = 0.5;
/** A sentence is in another language if it has this many words and most are unknown. */
const PASSAGE_WORDS = 5;
const PASSAGE_SHARE = 0.55;
/** Unless so many of those are slips for common words, which a word this long is seldom by chance. */
const SLIPS_SHARE = 0.6;
const SLIP_LENGTH = 5;

/** Tokens on each side that show how the text is set. */
const NEARBY = 6;

/** Tells what kinds of unknown word, by `LEAVE_BITS`, the words of one block are. */
export class WordKinds {
  private stretches: Stretch[] | null = null;

  constructor(
    private readonly block: AnalysedBlock,
    private readonly language: Language,
  ) {}

  /** Kinds of a part of the token at `index`; `word` is the part as written. */
  of(index: number, from: number, word: string): number {
    let bits = this.around(from);
    const base = withoutPossessive(word);
    const lower = base.toLowerCase();
    if (LATIN_PHRASES.has(lower)) bits |= LEAVE_BITS.foreign;
    const upper = base === base.toUpperCase();
    if (lower.length > 0 && ROMAN.test(lower) && (upper || base === lower)) {
      bits |= LEAVE_BITS.roman;
    }
    if (/^\p{Lu}[\p{Lu}’']*s?$/u.test(base) && base.length > 1 && !this.isAmongCapitals(index)) {
      bits |= LEAVE_BITS.capitals;
    }
    if (/\p{Ll}\p{Lu}/u.test(base) && !/^(?:Mc|Mac|O['’]|D['’])\p{Lu}\p{Ll}+$/u.test(base)) {
      bits |= LEAVE_BITS.identifiers;
    }
    if (this.isInCode(from, from + word.length)) bits |= LEAVE_BITS.identifiers;
    if (this.followsNumber(index) && (UNIT_SYMBOLS.has(base) || base.length <= 2)) {
      bits |= LEAVE_BITS.quantities;
    }
    if (this.isCutShort(index)) bits |= LEAVE_BITS.abbreviations;
    if (this.isBinomial(index, base)) bits |= LEAVE_BITS.binomials;
    if (isDerived(lower, this.language)) bits |= LEAVE_BITS.derived;
    return bits;
  }

  /** What the place says of any word in it: code, a quotation, a foreign phrase. */
  around(from: number): number {
    const { shape } = this.block.structure;
    let bits = shape === "foreign" ? LEAVE_BITS.foreign : shape === "text" ? 0 : LEAVE_BITS.code;
    if (this.block.kind === "quote") bits |= LEAVE_BITS.quoted;
    for (const stretch of this.stretchesOfBlock()) {
      if (from >= stretch.from && from < stretch.to) bits |= stretch.bits;
    }
    return bits;
  }

  private stretchesOfBlock(): Stretch[] {
    this.stretches ??= [
      ...this.block.structure.code.map((stretch) => ({ ...stretch, bits: LEAVE_BITS.code })),
      ...this.spanStretches(),
      ...this.quotations(),
      ...this.passages(),
    ];
    return this.stretches;
  }

  private spanStretches(): Stretch[] {
    return this.block.spans.flatMap(({ kind, from, to }) => {
      if (kind !== "emphasis" || !this.isForeign(from, to, PHRASE_WORDS)) return [];
      return [{ from, to, bits: LEAVE_BITS.foreign }];
    });
  }

  private quotations(): Stretch[] {
    const pattern = /“[^”]+”|"[^"]+"|(?<![\p{L}\p{N}])‘[^‘]+?’(?![\p{L}\p{N}])/gu;
    return [...this.block.text.matchAll(pattern)].map((match) => {
      const from = match.index;
      const to = from + match[0].length;
      const foreign = this.isForeign(from, to, PHRASE_WORDS) ? LEAVE_BITS.foreign : 0;
      return { from, to, bits: LEAVE_BITS.quoted | foreign };
    });
  }

  private passages(): Stretch[] {
    // A block that is foreign as a whole says so of all its words.
    if (this.block.structure.shape === "foreign") return [];
    return this.block.sentences.flatMap(({ from, to }) => {
      const { words, unknown } = this.count(from, to);
      if (words < PASSAGE_WORDS || unknown / words < PASSAGE_SHARE) return [];
      if (this.isMisspelled(from, to)) return [];
      return [{ from, to, bits: LEAVE_BITS.foreign }];
    });
  }

  /** "The goverment publised a seperate anouncement": English all the same, word by word. */
  private isMisspelled(from: number, to: number): boolean {
    let unknown = 0;
    let slips = 0;
    for (const word of this.wordsIn(from, to)) {
      if (dictionaryBits(word, this.language.lexicon) !== 0) continue;
      unknown++;
      if (word.length >= SLIP_LENGTH && isLikelySlip(word.toLowerCase(), this.language)) slips++;
    }
    return slips / unknown >= SLIPS_SHARE;
  }

  private isForeign(from: number, to: number, most: number): boolean {
    const { words, unknown } = this.count(from, to);
    return words > 0 && words <= most && unknown / words >= FOREIGN_SHARE;
  }

  private count(from: number, to: number): { words: number; unknown: number } {
    let words = 0;
    let unknown = 0;
    for (const word of this.wordsIn(from, to)) {
      words++;
      if (!word.includes("-") && dictionaryBits(word, this.language.lexicon) === 0) unknown++;
    }
    return { words, unknown };
  }

  private *wordsIn(from: number, to: number): Generator<string> {
    for (const token of this.block.tokens) {
      if (token.kind === "word" && token.from >= from && token.to <= to) yield this.textOf(token);
    }
  }

  /** Among words in capitals, capitals are how the text is set. */
  private isAmongCapitals(index: number): boolean {
    let capitals = 0;
    let others = 0;
    const { tokens } = this.block;
    // "FTP, IMAPS, LDAP": a list of abbreviations is no text in capitals.
    const isComma = (at: number) => tokens[at] !== undefined && this.textOf(tokens[at]) === ",";
    if (isComma(index + 1) || (isComma(index - 1) && isComma(index + 3))) return false;
    for (let at = Math.max(0, index - NEARBY); at <= index + NEARBY; at++) {
      const token = tokens[at];
      if (at === index || token?.kind !== "word" || token.to - token.from < 3) continue;
      const text = this.textOf(token);
      if (text === text.toUpperCase()) capitals++;
      else others++;
    }
    return capitals >= 2 && capitals > others;
  }

  /** Joined to signs as names in programs are: os.path, count(, *name, --flag, key=. */
  private isInCode(from: number, to: number): boolean {
    const before = this.block.text.slice(Math.max(0, from - 2), from);
    const after = this.block.text.slice(to, to + 2);
    return (
      /(?:[\p{L}\p{N})][.:/]|[*@#$\\<_=]|--|[\p{N}]-|(?:^|\s)-)$/u.test(before) ||
      /^(?:[(_=\\>@#$]|[.:/][\p{L}\p{N}(]|::|-[\p{N}])/u.test(after)
    );
  }

  private followsNumber(index: number): boolean {
    for (let at = index - 1; at >= Math.max(0, index - 4); at--) {
      const token = this.block.tokens[at];
      if (token?.kind === "number") return true;
      const text = token ? this.block.text.slice(token.from, token.to) : "";
      if (!/^[/·.⋅×-]$/.test(text) && !UNIT_SYMBOLS.has(text)) return false;
    }
    return false;
  }

  /** A full stop that ends no sentence, or letters and full stops. */
  private isCutShort(index: number): boolean {
    const { tokens, text, sentences } = this.block;
    const token = tokens[index];
    const next = tokens[index + 1];
    if (!token || !next || text[next.from] !== "." || next.from !== token.to) return false;
    const afterNext = tokens[index + 2];
    if (afterNext?.kind === "word" && afterNext.from === next.to) return true;
    return !sentences.some(
      ({ to }) => to >= next.to && /^["'”’)\]]*$/.test(text.slice(next.to, to)),
    );
  }

  private isBinomial(index: number, word: string): boolean {
    if (/^\p{Lu}\p{Ll}+$/u.test(word)) {
      const epithet = this.wordAt(index + 1);
      return epithet !== null && this.isEpithet(epithet, index + 1) && this.isGenus(word);
    }
    if (!EPITHET.test(word) || !this.isEpithet(word, index)) return false;
    const before = this.wordAt(index - 1);
    if (before !== null) {
      if (this.isGenus(before)) return true;
      return this.isEpithet(before, index - 1) && this.isGenus(this.wordAt(index - 2) ?? "");
    }
    const stop = this.block.tokens[index - 1];
    const initial = this.wordAt(index - 2);
    return initial !== null && /^\p{Lu}$/u.test(initial) && this.textOf(stop) === ".";
  }

  private isEpithet(word: string, index: number): boolean {
    if (!EPITHET.test(word) || dictionaryBits(word, this.language.lexicon) !== 0) return false;
    const token = this.block.tokens[index];
    return token !== undefined;
  }

  private isGenus(word: string): boolean {
    if (!/^\p{Lu}\p{Ll}{2,}$/u.test(word)) return false;
    const { lexicon } = this.language;
    if (dictionaryBits(word, lexicon) !== 0) return (lexicon.traits(word) & NAME) !== 0;
    return !isLikelySlip(word.toLowerCase(), this.language);
  }

  private wordAt(index: number): string | null {
    const token = this.block.tokens[index];
    return token?.kind === "word" ? this.textOf(token) : null;
  }

  private textOf(token: Token | undefined): string {
    return token ? this.block.text.slice(token.from, token.to) : "";
  }
}
