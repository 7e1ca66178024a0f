import { type Inflection, type IrregularForms, inflect, lemmasOf } from "./lemmas.ts";
import type { Lexicon } from "./lexicon.ts";
import type { WordClasses } from "./word-classes.ts";
import { wordList } from "./word-lists.ts";

/** A word as patterns and models see it, one object for all places with the same form. */
export interface Word {
  /** Lower case, with a plain apostrophe; "#" for everything that begins with a digit. */
  form: string;
  /** Above 0 for words that some pattern asks for. */
  id: number;
  hash: number;
  /** Hashes of the last three and the last two letters. */
  ending: number;
  shortEnding: number;
  /** Traits in running text (`lexicon.ts`). */
  traits: number;
  /** log2 of one more than its count in 50 million words. */
  frequency: number;
  /** Which words it keeps company with (`word-classes.ts`); 0 for none. */
  kin: number;
  /** Whether it is four small Latin letters or more. */
  plain: boolean;
  /** Its number in the trigram model; -1 where it is not in it or the model is not there yet. */
  trigram: number;
}

/** A word as it is written somewhere, which keeps what it was read as. */
export interface WrittenWord {
  written: string;
  word: Word | null;
  /** What `word` was read by, as long as that has not begun anew. */
  readBy: object | null;
}

/** The forms of a verb that are told apart. */
export const FORMS = ["bare", "present", "third", "past", "participle", "ing"] as const;
export const [BARE, PRESENT, THIRD, PAST, PARTICIPLE, ING] = [0, 1, 2, 3, 4, 5] as const;

/** Words remembered as written; beyond it the memory starts anew. */
const MAX_REMEMBERED = 60_000;

/** Reads units as words, and words back to their base forms. */
export class WordTable {
  private readonly remembered = new Map<string, Word>();
  private readonly ids = new Map<string, number>();
  /** Base forms found before, and inflected forms, by the inflection. */
  private readonly verbs = new Map<string, string>();
  private readonly nouns = new Map<string, string>();
  private readonly inflected = new Map<Inflection, Map<string, string>>();
  private readonly verbForms = new Map<string, number>();
  private reading = {};

  constructor(
    private readonly lexicon: Lexicon,
    private readonly irregular: IrregularForms,
    /** Null before the data for grammar has arrived: then words have no classes. */
    private readonly classes: WordClasses | null = null,
  ) {}

  /** The number of a lower-case form, given one now if it has none. Ask before any text is read. */
  intern(form: string): number {
    const known = this.ids.get(form);
    if (known !== undefined) return known;
    const id = this.ids.size + 1;
    this.ids.set(form, id);
    const word = this.remembered.get(form);
    if (word) this.begin();
    return id;
  }

  /** Words read before are read anew. */
  private begin(): void {
    this.remembered.clear();
    this.reading = {};
  }

  /** The forms that have a number, with it. */
  interned(): Iterable<[string, number]> {
    return this.ids;
  }

  /** The words for forms as written. */
  read(all: readonly WrittenWord[]): Word[] {
    const { reading } = this;
    return all.map((one) => {
      if (one.readBy === reading && one.word) return one.word;
      const word = this.word(one.written);
      one.word = word;
      one.readBy = reading;
      return word;
    });
  }

  /** The word for a form as written. */
  word(written: string): Word {
    const known = this.remembered.get(written);
    if (known) return known;
    if (this.remembered.size >= MAX_REMEMBERED) this.remembered.clear();
    const first = written.charCodeAt(0);
    const form = first >= 48 && first <= 57 ? "#" : written.replaceAll("’", "'").toLowerCase();
    let word = this.remembered.get(form);
    if (!word || word.form !== form) {
      const trigram = this.classes?.numberOf(form) ?? -1;
      word = {
        form,
        id: this.ids.get(form) ?? 0,
        hash: hashText(/^[“”„]$/.test(form) ? '"' : form),
        ending: hashText(form.slice(-3)),
        shortEnding: hashText(form.slice(-2)),
        traits: this.lexicon.traitsInText(written),
        frequency: this.lexicon.frequency(form),
        kin: this.classes?.of(trigram) ?? 0,
        plain: /^[a-z]{4,}$/.test(form),
        trigram,
      };
      this.remembered.set(form, word);
    }
    this.remembered.set(written, word);
    return word;
  }

  /** The base form of a verb. */
  verb(form: string): string {
    const known = this.verbs.get(form);
    if (known !== undefined) return known;
    const base = CLIPPED.get(form) ?? this.base(form, ["VBZ", "VBD", "VBN", "VBG"]);
    remember(this.verbs, form, base);
    return base;
  }

  /** The singular of a noun. */
  noun(form: string): string {
    const known = this.nouns.get(form);
    if (known !== undefined) return known;
    const base = this.base(form, ["NNS"]);
    remember(this.nouns, form, base);
    return base;
  }

  /** The base form of a lower-case word with one of these inflections, or the word itself. */
  private base(form: string, inflections: readonly Inflection[]): string {
    const exists = (lemma: string, trait: number) => (this.lexicon.traits(lemma) & trait) !== 0;
    const found = lemmasOf(form, this.irregular, exists).find(
      ({ inflection }) => inflection !== null && inflections.includes(inflection),
    );
    return found?.lemma ?? form;
  }

  /** A base form inflected, in US spelling; null gives the base form back. */
  inflect(lemma: string, inflection: Inflection | null): string {
    if (inflection === null) return lemma;
    let forms = this.inflected.get(inflection);
    if (!forms) {
      forms = new Map();
      this.inflected.set(inflection, forms);
    }
    const known = forms.get(lemma);
    if (known !== undefined) return known;
    const form = this.inflectAnew(lemma, inflection);
    remember(forms, lemma, form);
    return form;
  }

  /** The forms that a verb as written may be, as bits of FORMS. */
  formsOf(form: string): number {
    let bits = this.verbForms.get(form);
    if (bits !== undefined) return bits;
    bits = 0;
    const lemma = this.verb(form);
    // The past of "lie" is a verb of its own.
    if (form === lemma || form === "lay") bits |= (1 << BARE) | (1 << PRESENT);
    if (form === this.inflect(lemma, "VBZ")) bits |= 1 << THIRD;
    if (form === this.inflect(lemma, "VBD")) bits |= 1 << PAST;
    if (form === this.inflect(lemma, "VBN")) bits |= 1 << PARTICIPLE;
    if (form === this.inflect(lemma, "VBG")) bits |= 1 << ING;
    remember(this.verbForms, form, bits);
    return bits;
  }

  /** Whether a verb as written may be one of FORMS. */
  isForm(form: string, one: number): boolean {
    return (this.formsOf(form) & (1 << one)) !== 0;
  }

  private inflectAnew(lemma: string, inflection: Inflection): string {
    const be = BE[lemma === "be" ? inflection : ""];
    if (inflection === "VBN" && BASE_PARTICIPLES.has(lemma)) return lemma;
    const root = lemma.replace(/^(?:re|un|over|out|mis|under|pre)-?(?=\p{L}{3})/u, "");
    const past = inflection === "VBD" || inflection === "VBN";
    if (past && (UNCHANGED.has(lemma) || UNCHANGED.has(root))) return lemma;
    return be ?? inflect(lemma, inflection, this.irregular, this.lexicon, "en-US");
  }
}

/** Keeps what was found for a word; a memory that is full begins anew. */
function remember<T>(memory: Map<string, T>, word: string, found: T): void {
  if (memory.size >= MAX_REMEMBERED) memory.clear();
  memory.set(word, found);
}

/** Verbs whose past is spelled like their base form. */
export const UNCHANGED = wordList("words/unchanged");

/** Verbs whose participle is spelled like their base form. */
const BASE_PARTICIPLES = new Set(["run", "come", "become", "overcome", "overrun", "outrun"]);

/** The verb "be", whose forms no rule gives; where there are two, the singular. */
const BE: Record<string, string> = { VBZ: "is", VBD: "was", VBN: "been", VBG: "being" };

/** Forms cut short by an apostrophe, and those of the verb "be". */
const CLIPPED = new Map([
  ["'m", "be"],
  ["'re", "be"],
  ["'ve", "have"],
  ["am", "be"],
  ["is", "be"],
  ["are", "be"],
  ["was", "be"],
  ["were", "be"],
  ["been", "be"],
  ["being", "be"],
  ["be", "be"],
  ["has", "have"],
  ["had", "have"],
  ["having", "have"],
  ["have", "have"],
  ["does", "do"],
  ["did", "do"],
  ["done", "do"],
  ["doing", "do"],
  ["do", "do"],
  // By rule they would be of "fee" and "see".
  ["feed", "feed"],
  ["seed", "seed"],
]);

/** FNV-1a over UTF-16 units. */
export function hashText(text: string): number {
  let hash = 2166136261;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 16777619);
  return hash;
}
