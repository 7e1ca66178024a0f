import type { Language } from "../core/language/analysis.ts";
import type { Syllables } from "../core/language/words/syllables.ts";

/** Where the language data come from, for whoever checks with them. */
export interface LanguageSource {
  /** What the spelling pass needs; rejects when it can't be had. */
  base(): Promise<Language>;
  /** With what the other passes need beside; null when that can't be had now, and asking later tries anew. */
  full(): Promise<Language | null>;
  /** The most that has arrived. */
  now(): Promise<Language>;
  /** The words of the shipped subject lists with these ids; others are passed over. */
  subjects(ids: readonly string[]): Promise<string[]>;
  syllables(): Promise<Syllables>;
}
