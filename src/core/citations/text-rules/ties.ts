import type { CitedDocument, CitedItem, PlacedCitation } from "../cited-text.ts";
import { citedKey } from "../hand-ties.ts";
import { NO_NAME } from "../text/author-date.ts";
import type { CitationItem } from "../text/citation.ts";
import type { Difference } from "../tying.ts";
import type { CitedChoice, CitedFinding, PlacedEdit, TextRule } from "./rule.ts";

interface Placed extends CitedItem {
  place: PlacedCitation;
}

const ITEMS = new WeakMap<CitedDocument, readonly Placed[]>();

/** All cited works of a document with their places, in reading order. */
function itemsOf(cited: CitedDocument): readonly Placed[] {
  const known =
    ITEMS.get(cited) ??
    cited.citations.flatMap((place) =>
      place.items.map(({ item, tied }) => ({ item, tied, place })),
    );
  ITEMS.set(cited, known);
  return known;
}

/** How a work is named in sentences about it. */
export function shownWork(item: CitationItem): string {
  if (item.number !== null) return `number ${item.number}`;
  const names = item.etAl
    ? `${item.names[0]?.text} et al.`
    : item.names.map(({ text }) => text).join(" and ");
  return item.year ? `${names}, ${item.year.text}` : names;
}

/** Citations of works that no list has. */
export const noEntry: TextRule = (cited) => {
  const found: CitedFinding[] = [];
  for (const { item, tied, place } of itemsOf(cited)) {
    if (tied.tie !== "missing" || item.prefix.includes("personal communication")) continue;
    if (item.pinpoint?.text.includes("personal communication")) continue;
    const { likely } = tied;
    const reason =
      item.number === null
        ? `No entry of the list is “${shownWork(item)}”.`
        : `The list has no entry ${item.number}.`;
    found.push({
      block: place.block,
      from: item.from,
      to: item.to,
      reason,
      choices: [],
      group: citedKey(item),
      ...(likely === null ? {} : { reference: likely }),
    });
  }
  return found;
};

/** Years behind a name that no list has, which may be citations or may be a film, a place, a ship. */
export const citationOrYear: TextRule = (cited) => {
  const found: CitedFinding[] = [];
  for (const { item, tied, place } of itemsOf(cited)) {
    const [name] = item.names;
    if (
      tied.tie !== "none" ||
      place.citation.kind !== "narrative" ||
      item.names.length !== 1 ||
      !name
    )
      continue;
    const isPerson = /^\p{Lu}\p{Ll}[\p{L}’'-]+$/u.test(name.text) && !NO_NAME.test(name.text);
    if (!isPerson || cited.isWord(name.text.toLowerCase()) || item.isContinued) continue;
    found.push({
      block: place.block,
      from: place.citation.from,
      to: place.citation.to,
      reason: `Is “${place.citation.text}” a citation? No entry of the list has that name.`,
      choices: [],
      group: `${name.text.toLowerCase()}`,
    });
  }
  return found;
};

const SAYS: Readonly<Record<Difference, string>> = {
  name: "a name is written otherwise there",
  marks: "a letter’s mark is otherwise there",
  year: "the year is otherwise there",
  letter: "the letter behind the year is otherwise there",
  order: "the names stand in another order there",
  initials: "the initials are otherwise there",
  names: "the other names are otherwise there",
  title: "the title is otherwise there",
};

/** Which differences each check speaks of. */
const NAMES: readonly Difference[] = ["name", "marks", "order", "initials", "names", "title"];

function nearRule(differences: readonly Difference[]): TextRule {
  return (cited) => {
    const found: CitedFinding[] = [];
    for (const { item, tied, place } of itemsOf(cited)) {
      if (
        tied.tie !== "near" ||
        tied.likely === null ||
        !tied.differs ||
        !differences.includes(tied.differs)
      )
        continue;
      const reference = cited.references[tied.likely];
      if (!reference) continue;
      const reason = `The nearest entry is “${cited.index.shown(tied.likely)}”: ${SAYS[tied.differs]}.`;
      found.push({
        block: place.block,
        from: item.from,
        to: item.to,
        reason,
        choices: nearChoices(cited, place.block, item, tied.likely, tied.differs),
        group: citedKey(item),
        reference: tied.likely,
      });
    }
    return found;
  };
}

/** A name that is nearly an entry's. */
export const nearName: TextRule = nearRule(NAMES);
/** A year that is nearly an entry's. */
export const nearYear: TextRule = nearRule(["year"]);

/** The citation as the entry has it, or the entry as the citation has it. */
function nearChoices(
  cited: CitedDocument,
  block: number,
  item: CitationItem,
  index: number,
  differs: Difference,
): CitedChoice[] {
  const reference = cited.references[index];
  if (!reference) return [];
  const { entry, place } = reference;
  const names = cited.index.namesOf(index);
  const inEntry = (range: { from: number; to: number }, insert: string): PlacedEdit => ({
    block: place.block,
    from: place.from + range.from,
    to: place.from + range.to,
    insert,
  });
  if (differs === "year" && item.year && entry.year) {
    const own = `${entry.year.text}${entry.year.suffix}`;
    return [
      {
        label: `${own}, in the text`,
        edits: [{ block, from: item.year.from, to: item.year.to, insert: own }],
      },
      { label: `${item.year.text}, in the entry`, edits: [inEntry(entry.year, item.year.text)] },
    ];
  }
  const choices: CitedChoice[] = [];
  const edits: PlacedEdit[] = [];
  const back: PlacedEdit[] = [];
  for (const [at, cited] of item.names.entries()) {
    const own = names[at]?.family ?? names[at]?.literal;
    if (!own || own === cited.text) continue;
    edits.push({ block, from: cited.from, to: cited.to, insert: own });
    const name = entry.authors?.names[at];
    const familyAt = name ? entry.text.indexOf(own, name.from) : -1;
    if (name && familyAt >= 0)
      back.push(inEntry({ from: familyAt, to: familyAt + own.length }, cited.text));
  }
  if (edits.length > 0)
    choices.push({ label: `${edits.map(({ insert }) => insert).join(", ")}, in the text`, edits });
  if (back.length > 0 && back.length === edits.length) {
    choices.push({
      label: `${back.map(({ insert }) => insert).join(", ")}, in the entry`,
      edits: back,
    });
  }
  return choices;
}

/** A letter behind the year that tells nothing, or that is wanting. */
export const yearLetter: TextRule = (cited) => {
  const found: CitedFinding[] = [];
  for (const { item, tied, place } of itemsOf(cited)) {
    const isLetter = tied.tie === "near" && tied.differs === "letter";
    if ((tied.tie !== "ambiguous" && !isLetter) || !item.year) continue;
    const suffixes = tied.candidates.map((one) => cited.references[one]?.entry.year?.suffix ?? "");
    const { year } = item;
    const shown = shownWork(item);
    const reason = isLetter
      ? `The entry of “${shown}” has ${suffixes[0] ? `the letter “${suffixes[0]}”` : "no letter"} behind the year.`
      : `${tied.candidates.length} entries are “${shown}”; a letter behind the year tells them apart.`;
    const bare = `${year.value ?? year.text}`;
    const choices = suffixes
      .filter((suffix, at) => suffixes.indexOf(suffix) === at && `${bare}${suffix}` !== year.text)
      .map((suffix) => ({
        label: `${bare}${suffix}`,
        edits: [{ block: place.block, from: year.from, to: year.to, insert: `${bare}${suffix}` }],
      }));
    found.push({
      block: place.block,
      from: item.from,
      to: item.to,
      reason,
      choices,
      group: citedKey(item),
      ...(tied.likely === null ? {} : { reference: tied.likely }),
    });
  }
  return found;
};

/** Entries that nothing cites. */
export const neverCited: TextRule = (cited) => {
  const { citations, lists, references } = cited;
  if (citations.length === 0) return [];
  const used = new Set(
    citations.flatMap(({ items }) =>
      items.flatMap(({ tied }) => [tied.reference ?? -1, ...tied.candidates]),
    ),
  );
  return references.flatMap(({ place, list, entry }, at) => {
    // Lists for further reading are not cited.
    if (used.has(at) || /further|select/iu.test(lists[list]?.title ?? "")) return [];
    const to = place.from + (entry.authors?.to ?? Math.min(entry.text.length, 40));
    return [
      {
        block: place.block,
        from: place.from,
        to: Math.min(place.to, Math.max(to, place.from + 1)),
        reason: `Nothing in the text cites “${cited.index.shown(at)}”.`,
        choices: [],
        reference: at,
      },
    ];
  });
};
