import type { Entry, EntryName } from "./entry.ts";
import { folded, lettersApart, withoutParticles } from "./fold.ts";
import type { CitationItem, CitedName } from "./text/citation.ts";

/** How a work of a citation hangs with the list. */
export type Tie = "tied" | "near" | "ambiguous" | "missing" | "none";

/** What of a citation is not as in the entry it nearly names. */
export type Difference =
  | "name"
  | "marks"
  | "year"
  | "letter"
  | "order"
  | "initials"
  | "names"
  | "title";

export interface Tied {
  tie: Tie;
  /** The entry it is tied to. */
  reference: number | null;
  /** The entry it may mean, where it is not tied. */
  likely: number | null;
  /** All entries it may mean. */
  candidates: readonly number[];
  differs: Difference | null;
}

const NOTHING: Tied = { tie: "none", reference: null, likely: null, candidates: [], differs: null };
/** Letters of a name that may be otherwise, by its length. */
const SLACK: readonly (readonly [number, number])[] = [
  [3, 0],
  [7, 1],
  [Number.POSITIVE_INFINITY, 2],
];
/** Years that a year may be off where names agree. */
const YEARS_OFF = 2;

interface Known {
  index: number;
  entry: Entry;
  names: readonly EntryName[];
  families: readonly string[];
  isShortened: boolean;
}

/** The entries of a list by the names they are cited by. */
export class ReferenceIndex {
  private readonly known: readonly Known[];
  private readonly byFirst = new Map<string, Known[]>();
  private readonly byNumber = new Map<number, number>();
  /** Abbreviations of groups, folded, as citations have told them. */
  private readonly abbreviations = new Map<string, string>();

  constructor(readonly entries: readonly Entry[]) {
    let last: Entry["authors"] = null;
    this.known = entries.map((entry, index): Known => {
      // A dash stands for the names of the entry before.
      const authors = entry.repeated ? last : (entry.authors ?? entry.editors);
      if (!entry.repeated) last = entry.authors ?? entry.editors;
      const names = authors?.names ?? [];
      const families = names.map((name) => folded(name.family ?? name.literal ?? ""));
      this.byNumber.set(entry.number?.value ?? index + 1, index);
      return {
        index,
        entry,
        names,
        families,
        isShortened: Boolean(authors?.etAl || authors?.ellipsis),
      };
    });
    for (const one of this.known) {
      const [first] = one.names;
      const name = first?.family ?? first?.literal ?? "";
      // A particle that is set behind the given names stands before the family name in the text.
      const particle =
        /\s((?:van|von|de|der|den|del|di|da|du|la|le|ten|ter)(?:\s\p{Ll}+)*)$/u.exec(
          first?.given ?? "",
        )?.[1] ?? "";
      for (const key of new Set([
        folded(particle + name),
        folded(name),
        folded(withoutParticles(name)),
        initialsOf(first?.literal),
      ])) {
        if (key) this.byFirst.set(key, [...(this.byFirst.get(key) ?? []), one]);
      }
      if (!first && one.entry.fields.title) this.addTitle(one);
    }
  }

  /** The number of entries. */
  get size(): number {
    return this.entries.length;
  }

  /** Remembers what a group is shortened to, as its first citation says; tells whether that is new. */
  learn({ abbreviation, names }: CitationItem): boolean {
    const [name] = names;
    if (!abbreviation || !name || this.abbreviations.has(folded(abbreviation))) return false;
    this.abbreviations.set(folded(abbreviation), folded(name.text));
    return true;
  }

  /** Whether an entry begins with a name, or nearly does. */
  isFirst(name: string): boolean {
    const key = folded(name);
    if (this.byFirst.has(key) || this.abbreviations.has(key)) return true;
    return key.length >= 5 && this.nearest(key).length > 0;
  }

  /** The family names of an entry's authors, a dash resolved. */
  namesOf(index: number): readonly EntryName[] {
    return this.known[index]?.names ?? [];
  }

  /** An entry by its names and its year, as sentences about it name it. */
  shown(index: number): string {
    const entry = this.entries[index];
    return entry ? shownEntry(entry, this.namesOf(index)) : "";
  }

  /** The entry of a number. */
  numbered(number: number): Tied {
    const reference = this.byNumber.get(number) ?? null;
    if (reference === null) return { ...NOTHING, tie: "missing" };
    return { tie: "tied", reference, likely: null, candidates: [reference], differs: null };
  }

  /** Ties an item by author and date; `hasYears` is false where works are cited by page. */
  tie(item: CitationItem, hasYears: boolean): Tied {
    const [first] = item.names;
    if (!first || this.size === 0) return NOTHING;
    const exact = this.named(first);
    const fitting = exact.filter((one) => fits(one, item));
    const found = hasYears ? this.byYear(fitting, item) : this.byTitle(fitting, item);
    if (found && found.tie !== "missing") return found;
    return (
      this.nearly(item, first, exact, fitting, hasYears) ?? found ?? { ...NOTHING, tie: "missing" }
    );
  }

  private named({ text }: CitedName): readonly Known[] {
    const key = folded(text);
    const told = this.abbreviations.get(key);
    return this.byFirst.get(key) ?? (told ? this.byFirst.get(told) : undefined) ?? [];
  }

  private byYear(fitting: readonly Known[], { year, names }: CitationItem): Tied | null {
    if (!year) return null;
    const same = fitting.filter(({ entry }) => sameYear(entry, year));
    const exact = same.filter(({ entry }) => (entry.year?.suffix ?? "") === year.suffix);
    const only = exact.length === 1 ? exact : same;
    if (only.length === 1 && only[0]) {
      const { entry, index } = only[0];
      const letter = (entry.year?.suffix ?? "") !== year.suffix;
      if (letter && year.suffix) return near(index, "letter");
      if (exact.length === 1 || !letter) return tied(only[0], names);
      return near(index, "letter");
    }
    if (exact.length > 1) return byInitials(exact, names) ?? ambiguous(exact);
    if (same.length > 1) return ambiguous(same);
    return null;
  }

  private byTitle(fitting: readonly Known[], { title, names }: CitationItem): Tied | null {
    if (fitting.length === 0) return null;
    if (title) {
      const words = folded(title);
      const titled = fitting.filter(({ entry }) =>
        folded(entry.fields.title?.text ?? "").includes(words),
      );
      if (titled.length === 1 && titled[0]) return tied(titled[0], names);
      if (titled.length > 1) return ambiguous(titled);
      return fitting[0] ? near(fitting[0].index, "title") : null;
    }
    if (fitting.length === 1 && fitting[0]) return tied(fitting[0], names);
    return byInitials(fitting, names) ?? ambiguous(fitting);
  }

  /** What an item may mean that no entry has as it stands. */
  private nearly(
    item: CitationItem,
    first: CitedName,
    exact: readonly Known[],
    fitting: readonly Known[],
    hasYears: boolean,
  ): Tied | null {
    const { year } = item;
    const inYear = (one: Known) => !hasYears || !year || sameYear(one.entry, year);
    // The names agree and the year is off.
    const value = year?.value ?? null;
    const close = fitting
      .filter(({ entry }) => hasYears && value !== null && entry.year?.value != null)
      .sort((a, b) => yearsApart(a, value) - yearsApart(b, value));
    const [closest] = close;
    const alike = hasYears
      ? this.nearest(folded(first.text)).filter((one) => inYear(one) && fits(one, item, 1))
      : this.nearest(folded(first.text)).filter((one) => fits(one, item, 1));
    // The first name agrees, the others do not, in the same year.
    const others = exact.filter((one) => !fitting.includes(one) && inYear(one));
    if (others.length === 1 && others[0]) {
      return near(others[0].index, isReordered(others[0], item) ? "order" : "names");
    }
    const reordered = hasYears
      ? this.known.filter((one) => inYear(one) && item.names.length > 1 && isReordered(one, item))
      : [];
    if (reordered.length === 1 && reordered[0]) return near(reordered[0].index, "order");
    if (closest && yearsApart(closest, value) <= YEARS_OFF) return near(closest.index, "year");
    if (closest && isSwapped(closest.entry.year?.text ?? "", year?.text ?? ""))
      return near(closest.index, "year");
    if (alike.length > 0 && alike[0]) {
      const [nearest] = alike;
      const isMarks = folded(first.text) === nearest.families[0];
      return near(nearest.index, isMarks ? "marks" : "name");
    }
    const likely = closest?.index ?? exact[0]?.index ?? null;
    return {
      tie: "missing",
      reference: null,
      likely,
      candidates: likely === null ? [] : [likely],
      differs: null,
    };
  }

  /** Entries whose first name is a letter or two from a name. */
  private nearest(key: string): readonly Known[] {
    const slack = SLACK.find(([length]) => key.length <= length)?.[1] ?? 0;
    if (slack === 0) return [];
    const found: { one: Known; apart: number }[] = [];
    for (const [family, all] of this.byFirst) {
      const apart = lettersApart(key, family, slack);
      if (apart <= slack && apart > 0) found.push(...all.map((one) => ({ one, apart })));
    }
    return found.sort((a, b) => a.apart - b.apart).map(({ one }) => one);
  }

  /** A work without authors is cited by the first words of its title. */
  private addTitle(one: Known): void {
    const words = (one.entry.fields.title?.text ?? "").split(/[\s:,.–—]+/u);
    for (let count = 1; count <= Math.min(6, words.length); count++) {
      const key = folded(words.slice(0, count).join(""));
      if (key.length > 3) this.byFirst.set(key, [...(this.byFirst.get(key) ?? []), one]);
    }
  }
}

/** How an entry is named in sentences about it. */
function shownEntry(entry: Entry, names: readonly EntryName[]): string {
  const [first, second] = names;
  const title = entry.fields.title?.text ?? entry.text;
  const one = first?.family ?? first?.literal ?? title.slice(0, 30);
  const two = second?.family ?? second?.literal;
  const all = names.length > 2 ? `${one} et al.` : two ? `${one} and ${two}` : one;
  return entry.year ? `${all}, ${entry.year.text}${entry.year.suffix}` : all;
}

function initialsOf(literal: string | undefined): string {
  const words = literal?.match(/\p{Lu}[\p{L}]*/gu) ?? [];
  return words.length > 1
    ? words
        .map((word) => word[0])
        .join("")
        .toLowerCase()
    : "";
}

function sameYear(entry: Entry, year: NonNullable<CitationItem["year"]>): boolean {
  if (year.value !== null) {
    if (entry.year?.value === year.value) return true;
    const [first, last] = entry.year?.text.split(/[–/-]/u) ?? [];
    return last !== undefined && (first === `${year.value}` || last === `${year.value}`);
  }
  // “n.d.” and “in press” stand in the entry as they do in the text.
  return folded(entry.year?.text ?? entry.text.slice(0, 200)).includes(
    folded(year.text.replace(/-[a-z]$/u, "")),
  );
}

function yearsApart(one: Known, value: number | null): number {
  return Math.abs((one.entry.year?.value ?? 0) - (value ?? 0));
}

/** Two figures of a year changed about, or one of them wrong. */
function isSwapped(one: string, other: string): boolean {
  return one.length === 4 && other.length === 4 && lettersApart(one, other, 1) <= 1;
}

/** Whether the names of an item can be those of an entry, in order, from the one at `from` on. */
function fits(
  { families, isShortened }: Known,
  { names, etAl, isOpen }: CitationItem,
  from = 0,
): boolean {
  const more = !isOpen && (families.length > names.length || isShortened);
  if (etAl ? !more && families.length < 2 : more && !isShortened) return false;
  return names.every((name, at) => {
    if (at < from) return true;
    const family = families[at];
    if (family === undefined) return isShortened;
    const key = folded(name.text);
    return at === 0 || family === key || family.endsWith(key) || (at > 0 && key.endsWith(family));
  });
}

/** Whether an item has an entry's names in another order. */
function isReordered({ families }: Known, { names, etAl }: CitationItem): boolean {
  const own = names.map(({ text }) => folded(text));
  if (own.length < 2 || (!etAl && own.length !== families.length)) return false;
  return (
    own.every((name) => families.includes(name)) && own.some((name, at) => families[at] !== name)
  );
}

function tied({ index, names: known }: Known, names: readonly CitedName[]): Tied {
  const [own] = known;
  const [cited] = names;
  const isOther =
    own?.family !== undefined &&
    cited !== undefined &&
    own.family.normalize("NFD") !== cited.text.normalize("NFD") &&
    folded(own.family) === folded(cited.text) &&
    own.family.toLowerCase().replaceAll(/[’']/gu, "") !==
      cited.text.toLowerCase().replaceAll(/[’']/gu, "");
  if (isOther) return near(index, "marks");
  return { tie: "tied", reference: index, likely: null, candidates: [index], differs: null };
}

function near(index: number, differs: Difference): Tied {
  return { tie: "near", reference: null, likely: index, candidates: [index], differs };
}

function ambiguous(all: readonly Known[]): Tied {
  const candidates = all.map(({ index }) => index);
  return {
    tie: "ambiguous",
    reference: null,
    likely: candidates[0] ?? null,
    candidates,
    differs: null,
  };
}

/** People of one family name are told apart by their initials. */
function byInitials(all: readonly Known[], names: readonly CitedName[]): Tied | null {
  const [first] = names;
  if (!first?.initials) return null;
  const letters = first.initials.replaceAll(/[^\p{L}]/gu, "");
  const found = all.filter(({ names: [own] }) =>
    (own?.given ?? "").replaceAll(/[^\p{Lu}]/gu, "").startsWith(letters),
  );
  return found.length === 1 && found[0] ? tied(found[0], names) : null;
}
