import type { Range } from "../manuscript/model.ts";
import { initialsOf } from "./rules/author-form.ts";
import { secondPage } from "./rules/page-range.ts";
import type { AuthorRules, CitationStyle } from "./styles/style.ts";
import type { Maker, Work } from "./work.ts";

/** A reference in a style. */
export interface WrittenReference {
  text: string;
  italics: Range[];
  /** Fields that the style wants and the work lacks. */
  lacking: string[];
}

const PARTS = new Set(["article", "newspaper", "preprint"]);

/** Writes the entry of a work in a style; `number` is its place in a numbered list. */
export function writeReference(
  work: Work,
  style: CitationStyle,
  number?: number,
): WrittenReference {
  const writer = new Writer();
  const isArticle = PARTS.has(work.type);
  const isPart = isArticle || work.type === "chapter" || work.type === "conference";
  if (style.number && number !== undefined) {
    writer.add(`${style.number[0]}${number}${style.number[1]}`);
  }
  const names = writtenNames(work.authors, style.authors);
  if (names) writer.add(names);
  // A year between stops in brackets has one before it too: initials bring theirs, a group’s name does not.
  if (style.year === "brackets" && style.afterYear === ". " && names && !names.endsWith("."))
    writer.add(".");
  if (style.year === "brackets") writer.add(` (${yearOf(work)})${style.afterYear}`);
  else if (style.year === "stops") writer.stop().add(`${yearOf(work)}. `);
  else if (names)
    writer.add(style.authors.form === "initials-first" ? ", " : "").stopAfterNames(style);
  writeTitle(writer, work, style, isPart);
  if (isArticle) writeArticle(writer, work, style);
  else if (isPart) writePart(writer, work, style);
  else writeBook(writer, work, style);
  writeAddress(writer, work, style);
  return {
    text: writer.text,
    italics: writer.italics,
    lacking: lacking(work, style, isArticle, isPart),
  };
}

/** How a work is cited in the text in a style; `number` is its place in a numbered list. */
export function writeCitation(work: Work, style: CitationStyle, number = 1): string {
  const { inText } = style;
  if (inText.system === "numeric") {
    if (inText.brackets === "superscript") return `${number}`;
    const [open, close] = inText.brackets ?? ["[", "]"];
    return `${open}${number}${close}`;
  }
  const all = work.authors.map((one) => ("literal" in one ? one.literal : one.family));
  const [first = work.title] = all;
  const names =
    all.length > inText.most
      ? `${first} et al.`
      : all.length < 2
        ? first
        : `${all.slice(0, -1).join(", ")}${all.length > 2 && inText.joinBracketed === "&" ? "," : ""} ${inText.joinBracketed} ${all.at(-1)}`;
  if (inText.system === "author-page") return `(${names})`;
  if (inText.system === "notes") return `${names}, ${work.title}.`;
  return `(${names}${inText.afterName}${yearOf(work)})`;
}

/** Text put together piece by piece, with what of it is italic. */
class Writer {
  text = "";
  readonly italics: Range[] = [];

  add(piece: string): this {
    this.text += piece;
    return this;
  }

  italic(piece: string): this {
    this.italics.push({ from: this.text.length, to: this.text.length + piece.length });
    return this.add(piece);
  }

  /** A stop and a space, where no stop is there yet. */
  stop(): this {
    this.text = this.text.trimEnd();
    if (!/[.?!]$/u.test(this.text) && !/[.?!][”’]$/u.test(this.text)) this.text += ".";
    return this.add(" ");
  }

  stopAfterNames(style: CitationStyle): this {
    return style.authors.form === "initials-first" ? this : this.stop();
  }
}

function yearOf({ year, suffix = "" }: Work): string {
  return `${year}${suffix}`;
}

/** The names of an entry. */
export function writtenNames(makers: readonly Maker[], rules: AuthorRules): string {
  const isLong = makers.length > rules.most;
  const first = isLong ? makers.slice(0, rules.shown) : makers;
  const names = first.map((maker, at) => writtenName(maker, at, rules));
  const [last = ""] = names.slice(-1);
  if (!isLong) {
    if (names.length < 2) return last;
    const join = names.length === 2 ? rules.lastOfTwo : rules.lastOfMore;
    return `${names.slice(0, -1).join(", ")}${join}${last}`;
  }
  if (rules.rest === "et al.") return `${names.join(", ")}${rules.beforeEtAl}et al.`;
  const end = makers.at(-1);
  return `${names.join(", ")}, … ${end ? writtenName(end, makers.length - 1, rules) : ""}`;
}

function writtenName(maker: Maker, at: number, rules: AuthorRules): string {
  if ("literal" in maker) return maker.literal;
  const { family, given, suffix } = maker;
  if (!given) return family;
  if (rules.form === "given-names") {
    const behind = suffix ? `, ${suffix}` : "";
    return at === 0 ? `${family}, ${given}${behind}` : `${given} ${family}${behind}`;
  }
  const initials = initialsOf(given, rules) ?? given;
  if (rules.form === "bare-initials") return `${family} ${initials}${suffix ? ` ${suffix}` : ""}`;
  const behind = suffix ? `, ${suffix}` : "";
  return rules.form === "initials-first"
    ? `${initials} ${family}${behind}`
    : `${family}, ${initials}${behind}`;
}

/** The names of editors, given names or initials first. */
function editorNames(makers: readonly Maker[], style: CitationStyle): string {
  const { form, lastOfTwo, lastOfMore } = style.authors;
  if (form === "bare-initials") return writtenNames(makers, style.authors);
  const names = makers.map((maker) =>
    "literal" in maker
      ? maker.literal
      : form === "given-names"
        ? `${maker.given} ${maker.family}`
        : `${initialsOf(maker.given, style.authors) ?? maker.given} ${maker.family}`,
  );
  const join = names.length === 2 ? lastOfTwo.replace(/^,/u, "") : lastOfMore;
  const [last = ""] = names.slice(-1);
  return names.length < 2 ? last : `${names.slice(0, -1).join(", ")}${join}${last}`;
}

function writeTitle(writer: Writer, { title }: Work, style: CitationStyle, isPart: boolean): void {
  const { quotes } = style.titles;
  if (!isPart) {
    writer.italic(title);
    return;
  }
  if (!quotes) {
    writer.add(title).stop();
    return;
  }
  const [open, close] = quotes;
  // What closes a title goes inside double marks, and behind single ones.
  const sign = style.authors.form === "initials-first" ? "," : ".";
  const ends = /[.?!]$/u.test(title);
  if (open === "‘") writer.add(`${open}${title}${close}, `);
  else writer.add(`${open}${title}${ends ? "" : sign}${close} `);
}

function writeArticle(writer: Writer, work: Work, style: CitationStyle): void {
  const { volume = "", issue = "", container } = work;
  const { withIssue, withoutIssue, beforePages, pageLabels } = style.periodical;
  if (container) writer.italic(container);
  const template = !volume ? "" : issue ? withIssue : withoutIssue;
  const numbers = template.replace("volume", volume).replace("issue", issue);
  const isTail = style.year === "end";
  if (isTail && template.startsWith(";")) writer.stop().add(`${yearOf(work)}${numbers}`);
  else writer.add(numbers);
  const isBracketed = style.id === "chicago-notes";
  if (isTail && isBracketed) writer.add(` (${yearOf(work)})`);
  if (isTail && style.id === "mla-9") writer.add(`, ${yearOf(work)}`);
  if (work.pages) {
    const pages = writtenPages(work.pages, style);
    const label = pageLabels[/[–-]/u.test(pages) ? 1 : 0];
    writer.add(`${beforePages}${label}${pages}`);
  }
  if (isTail && style.authors.form === "initials-first") writer.add(`, ${yearOf(work)}`);
}

/** Pages with the style's dash and digits. */
function writtenPages(pages: string, { pages: rules }: CitationStyle): string {
  const [first = "", second] = pages.split("–");
  return second ? `${first}${rules.dash}${secondPage(first, second, rules.second)}` : first;
}

function writePart(writer: Writer, work: Work, style: CitationStyle): void {
  const { container = "", editors = [] } = work;
  const pages = work.pages ? writtenPages(work.pages, style) : "";
  const names = editors.length > 0 ? editorNames(editors, style) : "";
  const role = style.editors[editors.length > 1 ? 1 : 0];
  const house = publisherOf(work, style);
  switch (style.id) {
    case "mla-9":
      writer.italic(container).add(names ? `, edited by ${names}` : "");
      writer.add(house ? `, ${house}` : "").add(`, ${yearOf(work)}`);
      writer.add(pages ? `, ${/–/u.test(pages) ? "pp." : "p."} ${pages}` : "");
      return;
    case "chicago-author-date":
    case "chicago-notes":
      writer
        .add("In ")
        .italic(container)
        .add(names ? `, edited by ${names}` : "");
      writer
        .add(pages ? `, ${pages}` : "")
        .stop()
        .add(house);
      if (style.year === "end") writer.add(`, ${yearOf(work)}`);
      return;
    case "harvard":
      writer
        .add("in ")
        .add(names ? `${names}${role} ` : "")
        .italic(container);
      writer
        .stop()
        .add(house)
        .add(pages ? `, pp. ${pages}` : "");
      return;
    case "ieee":
      writer
        .add("in ")
        .italic(container)
        .add(names ? `, ${names}${role}` : "")
        .stop();
      writer
        .add(house)
        .add(`, ${yearOf(work)}`)
        .add(pages ? `, pp. ${pages}` : "");
      return;
    case "vancouver":
      writer
        .add("In: ")
        .add(names ? `${names}${role}. ` : "")
        .add(container)
        .stop();
      writer
        .add(`${house}; ${yearOf(work)}`)
        .stop()
        .add(pages ? `p. ${pages}` : "");
      return;
    case "ama-11":
      writer
        .add("In: ")
        .add(names ? `${names}${role}. ` : "")
        .italic(container)
        .stop();
      writer.add(`${house}; ${yearOf(work)}`).add(pages ? `:${pages}` : "");
      return;
    default:
      writer
        .add("In ")
        .add(names ? `${names}${role}, ` : "")
        .italic(container);
      writer
        .add(pages ? ` (pp. ${pages})` : "")
        .stop()
        .add(house);
  }
}

function writeBook(writer: Writer, work: Work, style: CitationStyle): void {
  const edition = work.edition ? `${ordinal(work.edition)} ${style.edition}` : "";
  const house = publisherOf(work, style);
  if (style.id.startsWith("apa")) {
    writer
      .add(edition ? ` (${edition})` : "")
      .stop()
      .add(house);
    return;
  }
  if (style.id === "ieee") {
    writer
      .add(edition ? `, ${edition}` : "")
      .stop()
      .add(house)
      .add(`, ${yearOf(work)}`);
    return;
  }
  writer.stop();
  if (style.id === "mla-9") {
    writer.add([edition, house, yearOf(work)].filter(Boolean).join(", "));
    return;
  }
  if (edition) writer.add(edition).stop();
  writer.add(house);
  if (style.year !== "end") return;
  writer.add(style.authors.form === "bare-initials" ? `; ${yearOf(work)}` : `, ${yearOf(work)}`);
}

function publisherOf({ publisher = "", place }: Work, style: CitationStyle): string {
  return style.place && place && publisher ? `${place}: ${publisher}` : publisher;
}

/** “2nd” of “2”; what is no number stays. */
function ordinal(edition: string): string {
  const number = Number(edition);
  if (!Number.isInteger(number)) return edition;
  const isTeen = number % 100 > 10 && number % 100 < 14;
  const ending = isTeen ? "th" : (["th", "st", "nd", "rd"][number % 10] ?? "th");
  return `${number}${ending}`;
}

function writeAddress(writer: Writer, { doi, url }: Work, style: CitationStyle): void {
  if (!doi && !url) {
    writer.stop();
    writer.text = writer.text.trimEnd();
    return;
  }
  const commas = style.id === "mla-9" || style.id === "ieee";
  if (commas && (doi || style.id === "mla-9")) writer.add(", ");
  else writer.stop();
  const [label = ""] = style.url;
  if (doi) {
    const lead = style.doi === "any" ? "https://doi.org/" : style.doi;
    const before = lead.startsWith("http") && /^Available/u.test(label) ? label : "";
    writer.add(`${before}${lead}${doi}`);
  } else writer.add(`${label}${url}`);
  const isStopped =
    style.finalStop === "always" || (style.finalStop === "not-after-url" && doi !== undefined);
  if (isStopped) writer.add(".");
}

function lacking(work: Work, style: CitationStyle, isArticle: boolean, isPart: boolean): string[] {
  const wanted: (readonly [string, unknown])[] = [
    ["authors", work.authors.length > 0],
    ["year", /\d/u.test(work.year)],
    ["title", work.title],
  ];
  if (isPart)
    wanted.push([isArticle ? "periodical" : "book", work.container], ["pages", work.pages]);
  if (isArticle) wanted.push(["volume", work.volume]);
  else {
    wanted.push(["publisher", work.publisher]);
    if (style.place) wanted.push(["place", work.place]);
  }
  return wanted.flatMap(([field, value]) => (value ? [] : [field]));
}
