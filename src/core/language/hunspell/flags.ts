/**
 * Flags of Hunspell-format dictionaries: marks on words and affixes, written as one byte each, as
 * one character each (FLAG UTF-8), as pairs of characters (FLAG long) or as comma-separated numbers
 * (FLAG num). Source: the format's manual page, hunspell(5).
 */
export type FlagForm = "byte" | "character" | "long" | "num";

/** A set of flags; sets written alike are one and the same array. */
export type Flags = readonly number[];

export const NO_FLAGS: Flags = [];

const PAIR = 65536;

/** Reads flags in one form, with the numbered aliases of AF lines once they are known. */
export class FlagReader {
  private readonly seen = new Map<string, Flags>();
  private aliases: Flags[] | null = null;

  constructor(readonly form: FlagForm) {}

  /** Takes in one AF line after another; from the first on, flags are numbers of these lines. */
  addAlias(written: string): void {
    const flags = this.parse(written);
    this.aliases ??= [];
    this.aliases.push(flags);
  }

  /** Flags as they stand after a word's or an affix's slash. */
  read(written: string): Flags {
    if (written === "") return NO_FLAGS;
    if (this.aliases && /^\d+$/.test(written)) {
      return this.aliases[Number(written) - 1] ?? NO_FLAGS;
    }
    return this.parse(written);
  }

  /** A single flag, as in `KEEPCASE x`. */
  one(written: string): number {
    return this.parse(written)[0] ?? 0;
  }

  /** The flags of a compound rule with its `*` and `?` kept apart. */
  pattern(written: string): { flag: number; times: "" | "*" | "?" }[] {
    const parts =
      this.form === "byte" || this.form === "character"
        ? [...written].map((part) => ({ part, bracketed: false }))
        : [...written.matchAll(/\(([^)]*)\)|([*?])/g)].map((match) => ({
            part: match[1] ?? match[2] ?? "",
            bracketed: match[1] !== undefined,
          }));
    const rule: { flag: number; times: "" | "*" | "?" }[] = [];
    for (const { part, bracketed } of parts) {
      const last = rule.at(-1);
      if (!bracketed && last && (part === "*" || part === "?")) last.times = part;
      else rule.push({ flag: this.one(part), times: "" });
    }
    return rule;
  }

  private parse(written: string): Flags {
    const known = this.seen.get(written);
    if (known) return known;
    const flags = this.split(written);
    this.seen.set(written, flags);
    return flags;
  }

  private split(written: string): number[] {
    if (this.form === "num") return written.split(",").map(Number);
    if (this.form === "byte") return [...new TextEncoder().encode(written)];
    if (this.form === "character") return [...written].map((flag) => flag.codePointAt(0) ?? 0);
    const flags: number[] = [];
    for (let at = 0; at + 1 < written.length; at += 2) {
      flags.push(written.charCodeAt(at) * PAIR + written.charCodeAt(at + 1));
    }
    return flags;
  }
}

/** Whether a set holds a flag; flag 0 stands for "this dictionary has none". */
export function has(flags: Flags, flag: number): boolean {
  return flag !== 0 && flags.includes(flag);
}
