/** Compounds of two words as the dictionaries have them (data/compounds.txt). */
export class CompoundWords {
  private readonly entries: ReadonlySet<string>;

  /** A compound a line, in one piece or with a hyphen. */
  constructor(text: string) {
    this.entries = new Set(text.split("\n"));
  }

  /** Whether the dictionaries have a compound as it is written here, lower case and singular. */
  has(written: string): boolean {
    return this.entries.has(written);
  }
}

export const NO_COMPOUNDS = new CompoundWords("");
