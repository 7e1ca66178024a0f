import type { Range } from "../manuscript/model.ts";
import type { Entry, Field, Names, TextField, WorkType } from "./entry.ts";
import { readHead } from "./entry-head.ts";
import { readNumbers, readTailYear } from "./entry-numbers.ts";
import { Masked, trimmedField } from "./masked.ts";
import { FAMILY, INITIALS } from "./name-parts.ts";
import { readNames } from "./names.ts";
import type { CitationStyle } from "./styles/style.ts";
import { readTail } from "./tail-parts.ts";

/**
 * Reads an entry of a list by the grammar of a style: what it names, field by field, each with its
 * place. `italics` are the ranges of the entry that are set in italics, where the format keeps them.
 */
export function readEntry(
  text: string,
  style: CitationStyle,
  allItalics: readonly Range[] = [],
): Entry {
  // Volumes are set in italics too; a name has letters.
  const italics = allItalics.filter(({ from, to }) => /\p{L}{2}/u.test(text.slice(from, to)));
  const entry = new Masked(text);
  const tail = readTail(entry);
  const head = readHead(entry, style);
  const isTitleFirst = IN.test(entry.rest(head.titleAt)) && head.year !== null;
  const authors =
    head.authors && !isTitleFirst ? readNames(text, head.authors, style.authors) : null;
  const title = isTitleFirst
    ? { field: head.authors && trimmedField(text, head.authors), quotes: null, end: head.titleAt }
    : readTitle(entry, head.titleAt, italics, style);
  const rest = title.end;
  const edition = readEdition(entry, rest);
  const numbers = readNumbers(entry, rest, head.year !== null);
  const year = head.year ?? readTailYear(entry, rest);
  const editors = readEditors(entry, rest, style);
  const isPart =
    title.quotes !== null ||
    numbers.pages !== null ||
    numbers.volume !== null ||
    numbers.issue !== null ||
    editors.isIn ||
    italics.some(
      (one) =>
        one.from >= rest && one.to - one.from > 1 && !/et al/.test(text.slice(one.from, one.to)),
    );
  // What has editors and a title of its own is part of what they edited.
  const isIn = editors.isIn || (editors.names !== null && title.quotes !== null);
  const source = readSource(
    entry,
    editors.from,
    { isPart, isIn, numbersAt: numbers.at },
    italics,
    style,
  );
  let fields: Partial<Record<TextField, Field>> = known({
    title: title.field,
    container: source.container,
    volume: numbers.volume,
    issue: numbers.issue,
    pages: numbers.pages,
    publisher: source.publisher,
    place: source.place,
    edition,
    doi: tail.doi,
    url: tail.url,
    accessed: tail.accessed,
  });
  // Title and periodical in one stretch are parted at the last stop that may end a title.
  if (isPart && !editors.isIn && !title.quotes && fields.title && !fields.container) {
    fields = { ...fields, ...parted(text, fields.title) };
  }
  return {
    text,
    type: typeOf(text, fields, {
      isIn,
      isPeriodical: isPeriodical(fields, title.quotes !== null, style),
    }),
    number: head.number,
    authors,
    repeated: head.repeated,
    year,
    editors: editors.names,
    fields,
    titleQuotes: title.quotes,
    doiWhole: tail.doiWhole,
    urlWhole: tail.urlWhole,
    unsure: unsureOf(fields, authors, {
      isPart,
      isSet: title.quotes !== null || italics.length > 0,
    }),
  };
}

/** Fields told from little: titles and periodicals that nothing sets apart, names that are no person's. */
function unsureOf(
  fields: Partial<Record<TextField, Field>>,
  authors: Names | null,
  { isPart, isSet }: { isPart: boolean; isSet: boolean },
): Entry["unsure"] {
  const unsure: Entry["unsure"][number][] = [];
  const hasStop = /[.?!]\s\p{Lu}/u.test(fields.title?.text ?? "");
  if (isPart && !isSet && (hasStop || !fields.container)) unsure.push("title", "container");
  if (authors?.names.some(({ literal }) => literal?.includes(","))) unsure.push("authors");
  return unsure;
}

function known(fields: Record<TextField, Field | null>): Partial<Record<TextField, Field>> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, field]) => field !== null),
  ) as Partial<Record<TextField, Field>>;
}

interface TitlePart {
  field: Field | null;
  quotes: Range | null;
  /** Where the rest begins. */
  end: number;
}

const QUOTED = [
  /^\s*[“"]([^\ue000]+?)(?:[”"](?=[,.;]|\s\(|$)|(?<=[,.?!’])[”"](?=\s))/u,
  /^\s*‘([^\ue000]+?)’(?=[,.]\s|\s(?:in|In)\s|[,.]?$|\s\()/u,
];
/** A part's title may have stops in it where what it stands in is told behind “In”. */
const IN_LATER =
  /[.?!](?=\s[Ii]n:?\s(?:[^\ue000]{2,160}?(?:\(Eds?\.\)|\beditors?\.|\beds?\.)|[^\ue000]{2,160}\(pp?\.))/u;
/** Where a title without quotation marks may end. */
const TITLE_END =
  /(?<!\b\p{Lu})(?<!\b(?:vs|St|Dr|Mr|Mrs|Vol|No|ca|cf|etc|vol|no|approx))(?:\.[’”"]?\s|[?!][’”"]?\s(?=\p{Lu}|\ue000))|\s\((?=\d+(?:st|nd|rd|th)\s|[Rr]ev\.|(?:[Ss]econd|[Tt]hird|[Ff]ourth|[Ff]ifth)\)|[A-Z]+-[\w-]*\d\)|Vol\.|No\.|p\.|pp\.|[^()]*(?:[Ee]d\.|[Ee]ds\.|[Tt]rans\.|[Rr]eport|[Tt]hesis|[Dd]issertation|No\. )[^()]*\))|,\s(?=(?:vol\.\s)?\d+\s?\(\d|pp?\.\s\w?\d)|\s\[|\.$|\.(?=\ue000)|\ue000/gu;
const IEEE_TITLE_END =
  /, (?=\d+(?:st|nd|rd|th)\sed|vol\.|ser\.|[Ss]econd|[Rr]ev\.)|\.\s|\.$|\s\[|,\s(?=\ue000)|\ue000/gu;

function readTitle(
  entry: Masked,
  at: number,
  italics: readonly Range[],
  style: CitationStyle,
): TitlePart {
  const rest = entry.rest(at);
  const later = IN_LATER.exec(rest);
  if (later && !/[“”"]/u.test(rest.slice(0, later.index))) {
    const end = at + later.index + 1;
    return { field: trimmedTitle(entry.text, at, end), quotes: null, end };
  }
  for (const pattern of QUOTED) {
    const found = pattern.exec(rest);
    if (!found) continue;
    const from = at + found[0].search(/[“"‘]/u);
    const to = at + found[0].length;
    const field = trimmedTitle(entry.text, from + 1, to - 1);
    return { field, quotes: { from, to }, end: to };
  }
  const italic = italics.find((one) => Math.abs(one.from - skipSpace(entry.text, at)) <= 1);
  if (italic) {
    const field = trimmedTitle(entry.text, italic.from, italic.to);
    return { field, quotes: null, end: italic.to };
  }
  const pattern = style.authors.form === "initials-first" ? IEEE_TITLE_END : TITLE_END;
  pattern.lastIndex = 0;
  for (const found of rest.matchAll(pattern)) {
    if (found.index < 2) continue;
    // A title that is followed by a periodical is parted from it later.
    const whole = at + found.index + (/^[?!]/u.test(found[0]) ? 1 : 0);
    // What is set in italics behind a plain beginning is what the part stands in.
    const set = italics.find(
      (one) => one.from > at + 2 && one.to - one.from > 2 && one.from < whole,
    );
    const end = set ? set.from : whole;
    return { field: trimmedTitle(entry.text, at, end), quotes: null, end };
  }
  return {
    field: trimmedTitle(entry.text, at, entry.text.length),
    quotes: null,
    end: entry.text.length,
  };
}

function skipSpace(text: string, at: number): number {
  let to = at;
  while (/\s/.test(text[to] ?? "")) to++;
  return to;
}

function trimmedTitle(text: string, from: number, to: number): Field | null {
  return trimmedField(text, { from, to });
}

const EDITION =
  /[,.]?\s?\(?\b(?:(\d+)(?:st|nd|rd|th)|([Ss]econd|[Tt]hird|[Ff]ourth|[Ff]ifth|[Rr]evised|[Rr]ev\.|[Nn]ew))\s(?:rev\. )?(?:ed\.|edn\.?|edition|ed)(?![\p{L}])/u;

/** A number of an edition in words alone, as some records have it. */
const BARE_EDITION = /^[,.]?\s\(?((?:[Ss]econd|[Tt]hird|[Ff]ourth|[Ff]ifth|[Ss]ixth))\)?(?=[.,])/u;

function readEdition(entry: Masked, from: number): Field | null {
  const bare = BARE_EDITION.exec(entry.rest(from));
  if (bare) {
    bare.index += from;
    const field = entry.field(bare, 1);
    entry.take({ from: bare.index, to: bare.index + bare[0].length });
    return field;
  }
  const found = entry.find(EDITION, from);
  if (!found) return null;
  const start = found.index + found[0].search(/[\p{L}\d]/u);
  const end = found.index + found[0].length;
  entry.take({ from: found.index, to: end });
  return { from: start, to: end, text: entry.text.slice(start, end) };
}

interface EditorsPart {
  names: Names | null;
  /** Where the title of what it is part of may begin. */
  from: number;
  /** Said to be part of a larger work. */
  isIn: boolean;
}

const IN = /^[\s,.”’"?!]*[Ii]n(?::\s|\s(?=[\p{Lu}\d“‘]|[a-z]+ \p{Lu}))/u;
const INVERTED_EDITORS =
  /^((?:(?!\. ).|(?<=\p{Lu}\p{Ll}?)\. ){2,160}?)[,\s]\s?\(?((?:[Ee]ds?|[Ee]ditors?)\.?)\)?[.,]?\s/u;
const EDITED_BY = /,\s(?:edited by|ed\. by|ed\.)\s([^\ue000]+?)(?=,\s|\.\s|\ue000|\.$|$)/u;
const IEEE_EDITORS = new RegExp(
  `,\\s((?:${INITIALS})\\s?(?:${FAMILY})(?:(?:,? and |, )(?:${INITIALS})\\s?(?:${FAMILY}))*),\\s(Eds?\\.)`,
  "u",
);

/** What a part stands in, and who edited it. */
function readEditors(entry: Masked, from: number, style: CitationStyle): EditorsPart {
  const opening = IN.exec(entry.rest(from));
  const start = from + (opening?.[0].length ?? 0);
  const isIn = opening !== null;
  if (isIn && style.authors.form !== "initials-first") {
    const found = INVERTED_EDITORS.exec(entry.rest(start));
    if (found && !found[0].includes("\ue000")) {
      const range = { from: start, to: start + found[0].length };
      const names = readNames(entry.text, range, style.authors);
      if (names) return { names, from: range.to, isIn };
    }
  }
  const ieee = entry.find(IEEE_EDITORS, start);
  if (ieee) {
    const range = { from: ieee.index, to: ieee.index + ieee[0].length };
    entry.take(range);
    return { names: readNames(entry.text, range, style.authors), from: start, isIn };
  }
  const by = entry.find(EDITED_BY, start);
  if (by) {
    const range = editedByRange(entry, by);
    entry.take(range);
    const direct = { ...style.authors, form: "given-names" as const };
    const begin = range.from + (by[0].length - (by[1]?.length ?? 0));
    return {
      names: readNames(entry.text, { from: begin, to: range.to }, direct),
      from: start,
      isIn,
    };
  }
  return { names: null, from: start, isIn };
}

/** “edited by A, B, and C”: the list goes on over its commas to “and”. */
function editedByRange(entry: Masked, by: RegExpExecArray): Range {
  const rest = entry.rest(by.index + by[0].length);
  const more = /^(?:, \p{Lu}[\p{L}.’' -]+)*,? and \p{Lu}[\p{L}.’' -]+?(?=,|\.\s|\ue000|\.$)/u.exec(
    rest,
  );
  return { from: by.index, to: by.index + by[0].length + (more?.[0].length ?? 0) };
}

interface SourcePart {
  container: Field | null;
  publisher: Field | null;
  place: Field | null;
}

const PLACE_AND_PUBLISHER =
  /(?:^|[.;,)\ue000]\s*|\s)((?:\p{Lu}|St\. )[^\ue000:;()]*?):\s([^\ue000:;]+?)(?=[;,.)]*\s*(?:\ue000|\(|$)|;)/u;

function readSource(
  entry: Masked,
  from: number,
  about: { isPart: boolean; isIn: boolean; numbersAt: number },
  italics: readonly Range[],
  style: CitationStyle,
): SourcePart {
  let at = from;
  let container: Field | null = null;
  if (about.isPart) {
    container = containerOf(entry, from, about, italics, style);
    if (container) at = container.to;
  }
  return { container, ...publisherOf(entry, at, about.isPart && !about.isIn) };
}

/** Where the publisher begins that stands behind a comma, as it does where no volume is told. */
function beforePublisher(stretch: string): number {
  const found = /,\s(?!and\s|&\s)([^,]*)[,\s]*$/u.exec(stretch);
  const isPublisher = /\b(?:Press|Publish|Verlag|Books?|Universit|Editions?|Inc|Ltd|Sons)/u.test(
    found?.[1] ?? "",
  );
  return found && (isPublisher || MEETING.test(stretch)) ? found.index : stretch.length;
}

/** A stop behind which a place and a publisher follow. */
const PLACE_AHEAD = /\.\s(?=[\p{Lu}\d][^:.]*(?:\.[^:.\s]*\.?)?[^:.]*:\s)/u;

function containerOf(
  entry: Masked,
  from: number,
  { isIn, numbersAt }: { isIn: boolean; numbersAt: number },
  italics: readonly Range[],
  style: CitationStyle,
): Field | null {
  const italic = italics.find((one) => one.from >= from - 1 && one.to - one.from > 1);
  if (italic && italic.from - from < 120) return trimmedField(entry.text, italic);
  const rest = entry.rest(from);
  const lead = /^[\s,.;:”’"?!]*/u.exec(rest)?.[0].length ?? 0;
  const body = rest.slice(lead);
  const told = body.indexOf("\ue000");
  let end = told < 0 ? body.length : told;
  if (!isIn && numbersAt < entry.text.length)
    end = Math.min(end, Math.max(0, numbersAt - from - lead) || end);
  const stretch = body.slice(0, end);
  const placed = style.place || isIn ? PLACE_AHEAD.exec(stretch) : null;
  if (placed) end = placed.index;
  else if (isIn || style.year === "end") {
    const stop =
      /(?<!\b\p{Lu})(?<!\b(?:Proc|Conf|Int|Symp|Trans|Vol|St|Ann|Am|Soc|Assoc|Univ|Inst|Lect|Comput|Sci))\.\s(?=\p{Lu}[\p{L}\s&.,-]*[.;]?\s?$)/u.exec(
        stretch,
      );
    if (stop && isIn) end = stop.index;
  }
  if (isIn && end === stretch.length && /\s\($/u.test(stretch)) end -= 2;
  if (end === stretch.length && !isIn && style.periodical.withIssue.startsWith(", vol.")) {
    end = beforePublisher(stretch);
  }
  if (end < 2) return null;
  const field = trimmedField(entry.text, { from: from + lead, to: from + lead + end });
  return field;
}

function publisherOf(
  entry: Masked,
  from: number,
  isPeriodical: boolean,
): Pick<SourcePart, "publisher" | "place"> {
  const rest = entry.rest(from);
  const both = PLACE_AND_PUBLISHER.exec(rest);
  if (both && !isPeriodical) {
    both.index += from;
    const found = both as RegExpExecArray;
    const place = fieldAt(entry, found, 1);
    const publisher = fieldAt(entry, found, 2, (place?.to ?? found.index) - found.index + 1);
    return { place, publisher };
  }
  if (isPeriodical) return { place: null, publisher: null };
  // The last stretch of words that nothing has been made of.
  const stretches = rest.split(/\ue000+|\.\s|;\s|\)\s?\.?|\[[^\]]*\]/u);
  let at = from;
  let last: Field | null = null;
  for (const stretch of stretches) {
    const begin = entry.rest().indexOf(stretch, at);
    if (stretch.trim().length > 2 && /\p{L}{2}/u.test(stretch)) {
      const field = trimmedField(entry.text, { from: begin, to: begin + stretch.length });
      if (field && /^[\p{Lu}\d‘“]/u.test(field.text)) last ??= field;
    }
    at = begin + stretch.length;
  }
  return { place: null, publisher: last };
}

function fieldAt(entry: Masked, found: RegExpExecArray, group: number, after = 0): Field | null {
  const field = entry.field(found, group, after);
  return field && trimmedField(entry.text, field);
}

/** Parts “Title. Periodical” where no volume told where the periodical begins. */
function parted(text: string, title: Field): Partial<Record<TextField, Field>> {
  const stops = [...title.text.matchAll(/[.?!]\s(?=\p{Lu})/gu)];
  const stop = stops.at(-1);
  if (!stop) return {};
  const cut = title.from + stop.index + (stop[0].startsWith(".") ? 0 : 1);
  const own = trimmedField(text, { from: title.from, to: cut });
  const container = trimmedField(text, { from: cut + 1, to: title.to });
  return own && container ? { title: own, container } : {};
}

/** Whether the fields are those of an article: where titles of parts are quoted, one that is not needs more. */
function isPeriodical(
  { container, volume, issue, pages, publisher, place }: Partial<Record<TextField, Field>>,
  isQuoted: boolean,
  style: CitationStyle,
): boolean {
  if (place || (publisher && !isQuoted)) return false;
  if (style.titles.quotes && !isQuoted) return Boolean(volume && (issue || pages));
  return Boolean(container && (volume || issue || pages || isQuoted));
}

const TYPE_WORDS: readonly (readonly [WorkType, RegExp])[] = [
  ["thesis", /\b(?:[Tt]hesis|[Dd]issertation|Masterarbeit)\b/u],
  ["dataset", /\[(?:Data ?set|Dataset)\]/iu],
  ["software", /\[(?:Computer software|Software|Mobile app)[^\]]*\]/iu],
  ["film", /\[(?:Film|Video|Motion picture)[^\]]*\]|\bDirected by\b/iu],
  ["preprint", /\b(?:[Pp]reprint|arXiv)\b/u],
  ["standard", /\b(?:ISO|IEC|BS|ANSI|DIN|EN|ASTM)\s?(?:\/\s?IEC\s)?\d{2,}/u],
  [
    "report",
    /\b(?:[Rr]eport|Tech\. Rep|Working [Pp]aper|White [Pp]aper)\b.{0,20}(?:No\.?:?\s|\d)/u,
  ],
  ["communication", /\bpersonal communication\b/iu],
];
const MEETING =
  /\b(?:Proceedings|Proc\.|Conference|Conf\.|Symposium|Symp\.|Workshop|Congress|Meeting)\b/u;

function typeOf(
  text: string,
  fields: Partial<Record<TextField, Field>>,
  { isPeriodical, isIn }: { isPeriodical: boolean; isIn: boolean },
): WorkType {
  const rest = text.slice(fields.title?.to ?? 0);
  for (const [type, pattern] of TYPE_WORDS) if (pattern.test(rest)) return type;
  if (isIn) return MEETING.test(fields.container?.text ?? "") ? "conference" : "chapter";
  if (isPeriodical) return "article";
  if (fields.publisher || fields.edition) return "book";
  return fields.url || fields.doi ? "web" : "book";
}
