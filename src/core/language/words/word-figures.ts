import { isEasy } from "./easy-words.ts";
import { familyOf } from "./families.ts";
import type { IrregularForms } from "./lemmas.ts";
import type { Lexicon } from "./lexicon.ts";
import { spokenSyllables } from "./spoken.ts";
import type { Syllables } from "./syllables.ts";

/** What measures count in one word. */
export interface WordFigures {
  /** What it counts as: lower case, without the punctuation at it and its possessive ending. */
  form: string;
  /** Begins with a capital, and is a name wherever it stands: no dictionary has it in small letters. */
  capital: boolean;
  name: boolean;
  syllables: number;
  letters: number;
  /** Letters and digits. */
  characters: number;
  /** Holds a letter; a number is familiar to everybody and never complex. */
  spelled: boolean;
  /** Not on the list, nor an inflection of a word that is. */
  beyondDaleChall: boolean;
  beyondSpache: boolean;
  /** Three syllables or more that no ending and no hyphen makes: Gunning's complex word. */
  complex: boolean;
}

/** What a run without spaces counts as. */
function formOf(run: string): string {
  const bare = run.replace(/^[^\p{L}\p{N}]+|[^\p{L}\p{N}]+$/gu, "").toLowerCase();
  return bare.replaceAll("’", "'").replace(/'s$/, "");
}

const NOMINAL_ENDING = /(?:tion|sion|ment|ance|ence|ancy|ency|ity|ness|hood|al)s?$/;
/** Letters of a plural's ending: "signals" is not made of "signal". */
const PLURAL = 2;

/** Words remembered; beyond it the memory starts anew. */
const MAX_REMEMBERED = 40_000;
const POLYSYLLABLE = 3;

/** Works out the figures of words as they are written, each once. */
export class WordMeasurer {
  private readonly remembered = new Map<string, WordFigures>();
  private readonly nominal = new Map<string, boolean>();

  constructor(
    private readonly syllables: Syllables,
    private readonly lexicon: Lexicon,
    private readonly irregular: IrregularForms,
  ) {}

  /** The figures of a run without spaces, with the punctuation that stands at it. */
  of(run: string): WordFigures {
    const known = this.remembered.get(run);
    if (known) return known;
    if (this.remembered.size >= MAX_REMEMBERED) this.remembered.clear();
    const figures = this.measure(run);
    this.remembered.set(run, figures);
    return figures;
  }

  /** Whether a lower-case noun is made of a verb or an adjective: "removal", "likelihood". */
  isNominalisation(form: string): boolean {
    const known = this.nominal.get(form);
    if (known !== undefined) return known;
    if (this.nominal.size >= MAX_REMEMBERED) this.nominal.clear();
    const found = NOMINAL_ENDING.test(form) && this.isMadeOfAnother(form);
    this.nominal.set(form, found);
    return found;
  }

  private isMadeOfAnother(form: string): boolean {
    const root = familyOf(form, this.irregular, this.lexicon);
    return !form.startsWith(root) || form.length > root.length + PLURAL;
  }

  private measure(run: string): WordFigures {
    const syllables = spokenSyllables(run, this.syllables, (form) => this.isWord(form));
    let letters = 0;
    let characters = 0;
    for (const character of run) {
      if (/\p{L}/u.test(character)) letters++;
      if (/[\p{L}\p{N}]/u.test(character)) characters++;
    }
    const parts = run.toLowerCase().match(/\p{L}[\p{L}\p{M}]*(?:['’][\p{L}\p{M}]+)*/gu) ?? [];
    const beyond = (list: "daleChall" | "spache") =>
      parts.some((part) => !isEasy(part, list, this.irregular, this.lexicon));
    const form = formOf(run);
    const capital = /^[^\p{L}]*\p{Lu}/u.test(run);
    return {
      form,
      capital,
      name: capital && !this.isWord(form),
      syllables,
      letters,
      characters,
      spelled: letters > 0,
      beyondDaleChall: beyond("daleChall"),
      beyondSpache: beyond("spache"),
      complex: letters > 0 && syllables >= POLYSYLLABLE && this.isComplex(run, parts),
    };
  }

  private isWord(form: string): boolean {
    return this.lexicon.varieties(form) !== 0;
  }

  private isComplex(run: string, parts: readonly string[]): boolean {
    const count = (word: string) => this.syllables.count(word);
    if (/[-\u2010\u2011]/.test(run)) return parts.some((part) => count(part) >= POLYSYLLABLE);
    const ending = /^(.*)(?:es|ed|ing)$/.exec(parts[0] ?? "");
    if (!ending || parts.length !== 1) return true;
    const stem = ending[1] ?? "";
    const base = [stem, `${stem}e`, stem.replace(/i$/, "y"), stem.replace(/(.)\1$/, "$1")].find(
      (one) => this.isWord(one),
    );
    return base === undefined || count(base) >= POLYSYLLABLE;
  }
}
