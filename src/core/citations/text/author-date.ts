import type { Citation, CitationItem } from "./citation.ts";
import { CITED_NAMES, citedNames } from "./cited-names.ts";

const YEAR = "(?:1[4-9]|20)\\d\\d";
/** A date as a citation has it: with a letter, of a reprint, or none. */
const DATE = `(?:${YEAR}(?:[\\/–-]${YEAR})?[a-z]?|n\\.\\s?d\\.(?:-[a-z])?|in press(?:-[a-z])?|forthcoming)`;
const PREFIX =
  "(?:(?:but |and )?(?:see(?: also| for example| especially)?|e\\.g\\.|i\\.e\\.|cf\\.|for example|compare|also|reviewed (?:in|by)|as cited in|cited in|quoted in|qtd\\. in|cited by|after|following|adapted from|in|from|by|contra|as in|following)(?:,| )\\s?)";
const PINPOINT = "[^;()]*?";
/** A group in round brackets; brackets within it are square. */
const BRACKETS = /\(([^()]{4,600})\)/gu;
const ITEM = new RegExp(
  `^(\\s*(?:[\\p{Ll}][^;]{0,80}? )??(?:${PREFIX})*)(${CITED_NAMES})(?: \\[([^\\]]{2,20})\\])?(,? ?)(${DATE})((?:,? (?:and )?${DATE})*)(?:([,:] ?)(${PINPOINT}))?\\s*$`,
  "u",
);
/** Years that go on for the names before. */
const YEARS_ONLY = new RegExp(
  `^\\s*(${DATE})((?:,? (?:and )?${DATE})*)(?:([,:] ?)(${PINPOINT}))?\\s*$`,
  "u",
);
const SECOND_HAND = /,? (?:as cited in|cited in|quoted in|qtd\. in) /u;
const EACH_DATE = new RegExp(DATE, "gu");

/** Citations by author and date in the text of a block. */
export function authorDateCitations(text: string, isFamily: (name: string) => boolean): Citation[] {
  if (!/\d{4}|n\.\s?d\.|in press|forthcoming/u.test(text)) return [];
  const citations: Citation[] = [];
  for (const found of text.matchAll(BRACKETS)) {
    const inner = found[1] ?? "";
    const from = found.index;
    const to = from + found[0].length;
    const narrative = yearsOnly(text, from, inner);
    if (narrative) {
      const named = namesBefore(text, from, isFamily);
      if (!named) continue;
      const { names, etAl } = named.read;
      const items = narrative.map((item, at) => ({ ...item, names, etAl, isContinued: at > 0 }));
      const whole = text.slice(named.from, to);
      citations.push({
        kind: "narrative",
        from: named.from,
        to,
        text: whole,
        items,
        isPlain: named.isPlain,
      });
      continue;
    }
    const items = bracketed(text, from + 1, inner);
    if (items.length === 0) continue;
    const isPlain = items.some((item) => isPlainItem(text, item));
    citations.push({ kind: "parenthetical", from, to, text: found[0], items, isPlain });
  }
  return citations;
}

/** Years alone in brackets stand behind the names of a sentence. */
function yearsOnly(text: string, open: number, inner: string): CitationItem[] | null {
  const items: CitationItem[] = [];
  let at = open + 1;
  for (const part of inner.split(";")) {
    const second = SECOND_HAND.exec(part);
    const own = second ? part.slice(0, second.index) : part;
    const found = YEARS_ONLY.exec(own);
    if (!found) return null;
    items.push(
      ...datedItems(
        text,
        at,
        own,
        { names: [], etAl: null, abbreviation: null, prefix: "" },
        found[1] ?? "",
        found[2] ?? "",
        found[4],
      ),
    );
    at += part.length + 1;
  }
  return items;
}

function bracketed(text: string, start: number, inner: string): CitationItem[] {
  const items: CitationItem[] = [];
  let at = start;
  for (const part of inner.split(";")) {
    const second = SECOND_HAND.exec(part);
    // Of a work cited in another, the other stands in the list.
    const skipped = second ? second.index + second[0].length : 0;
    const own = part.slice(skipped);
    const found = ITEM.exec(own);
    const only = found ? null : YEARS_ONLY.exec(own);
    const last = items.at(-1);
    if (found) {
      const from = at + skipped + (found[1]?.length ?? 0);
      const read = citedNames(text, { from, to: from + (found[2]?.length ?? 0) });
      const prefix = `${second ? "as cited in " : ""}${found[1] ?? ""}`.trim();
      items.push(
        ...datedItems(
          text,
          at + skipped,
          own,
          { ...read, abbreviation: found[3] ?? null, prefix },
          found[5] ?? "",
          found[6] ?? "",
          found[8],
        ),
      );
    } else if (only && last) {
      const { names, etAl, abbreviation } = last;
      const made = datedItems(
        text,
        at + skipped,
        own,
        { names, etAl, abbreviation, prefix: "" },
        only[1] ?? "",
        only[2] ?? "",
        only[4],
      );
      items.push(...made.map((item) => ({ ...item, isContinued: true })));
    }
    at += part.length + 1;
  }
  return items;
}

/** An item for each date of a part. */
function datedItems(
  text: string,
  at: number,
  part: string,
  named: Pick<CitationItem, "names" | "etAl" | "abbreviation" | "prefix">,
  first: string,
  more: string,
  pinpoint: string | undefined,
): CitationItem[] {
  const begin = named.names[0]?.from ?? at + part.search(/\S/u);
  const firstAt = text.indexOf(first, Math.max(named.names.at(-1)?.to ?? at, named.etAl?.to ?? at));
  const dates = [{ from: firstAt, text: first }];
  let from = firstAt + first.length;
  for (const found of more.matchAll(EACH_DATE))
    dates.push({ from: from + found.index, text: found[0] });
  from += more.length;
  const pin = pinpoint?.trim();
  const pinAt = pin ? text.indexOf(pin, from) : -1;
  return dates.map((date, index) => {
    const isLast = index === dates.length - 1;
    const to = date.from + date.text.length;
    return {
      ...named,
      from: index === 0 ? begin : date.from,
      to: isLast && pin ? pinAt + pin.length : to,
      year: { from: date.from, to, ...readDate(date.text) },
      number: null,
      title: null,
      pinpoint: isLast && pin ? { from: pinAt, to: pinAt + pin.length, text: pin } : null,
      isContinued: index > 0,
    };
  });
}

/** The year of a date, and the letter behind it; of a reprint, the later year. */
function readDate(text: string): { text: string; value: number | null; suffix: string } {
  const found = /^(?:\d{4}[/–-])?(\d{4})([a-z]?)$/u.exec(text);
  if (found) return { text, value: Number(found[1]), suffix: found[2] ?? "" };
  return { text, value: null, suffix: /-([a-z])$/u.exec(text)?.[1] ?? "" };
}

const BEFORE = new RegExp(`(${CITED_NAMES})(?:[’']s?)?,? $`, "u");
/** Words that begin a sentence and no name. */
const OPENERS =
  /^(?:The|A|An|In|On|As|By|For|From|With|While|When|Where|After|Before|Since|See|But|And|Or|If|Both|Later|Recently|Following|Similarly|However|Thus|Then|Also|Although|Unlike|Like|According to|Contrary to|Drawing on|Building on|Here|There|This|That|These|Those|Our|Their|His|Her|Its|We|They|He|She|It|According|Using|Studies|Work|Research|Section|Chapter|Table|Figure|Part|Volume|Yet|Nor|So|To|Of|At|Because|Though|Whereas|Finally|First|Second|Third|Earlier|Elsewhere|Instead|Meanwhile|Indeed|Moreover|Conversely|Notably)(?: |, )/u;

/** The names that stand before years in brackets: the most of them that the list knows. */
function namesBefore(
  text: string,
  open: number,
  isFamily: (name: string) => boolean,
): { from: number; read: ReturnType<typeof citedNames>; isPlain: boolean } | null {
  const start = Math.max(0, open - 240);
  const found = BEFORE.exec(text.slice(start, open));
  if (!found) return null;
  let from = start + found.index;
  let whole = found[1] ?? "";
  for (let opener = OPENERS.exec(whole); opener; opener = OPENERS.exec(whole)) {
    from += opener[0].length;
    whole = whole.slice(opener[0].length);
  }
  if (
    !whole ||
    !/^(?:\p{Lu}|(?:van|von|de|der|den|del|della|di|da|du|la|le|ten|ter|al|el|d[’'])[ ’'-])/u.test(
      whole,
    )
  )
    return null;
  const read = (at: number) => citedNames(text, { from: at, to: from + whole.length });
  // Among the stretches that end here, the longest whose first name is in the list.
  const starts = [
    0,
    ...[...whole.matchAll(/(?:, (?:and |& )?| and | & | )(?=[\p{L}’'])/gu)].map(
      (one) => one.index + one[0].length,
    ),
  ];
  for (const at of starts) {
    const names = read(from + at);
    const [first] = names.names;
    if (first && isFamily(first.text)) return { from: from + at, read: names, isPlain: true };
  }
  const names = read(from);
  const isPlain =
    names.etAl !== null ||
    (names.names.length > 1 && names.names.every((name) => !name.text.includes(" ")));
  return { from, read: names, isPlain };
}

/** Words that stand before a year or a number and name nobody. */
export const NO_NAME =
  /^(?:Figs?|Tables?|Eqs?|Equation|Pages?|Part|Book|Line|Step|Note|Item|Box|Map|Plate|January|February|March|April|May|June|July|August|September|October|November|December|Jan|Feb|Mar|Apr|Jun|Jul|Aug|Sept?|Oct|Nov|Dec|Spring|Summer|Autumn|Fall|Winter|Figure|Fig|Table|Chapter|Section|Appendix|Volume|Vol|Version|Act|Year|Easter|Christmas|Since|Until|Circa|About|From|Between|Published|Founded|Established|Born|Died|Updated|Revised)\b/u;

/** Whether an item is a citation by its shape alone: a name or two, set off as citations are. */
function isPlainItem(text: string, { names, etAl, year }: CitationItem): boolean {
  const [first] = names;
  if (!first || !year || NO_NAME.test(first.text)) return false;
  if (etAl) return true;
  if (names.length > 1) return names.every((name) => name.text.split(" ").length <= 3);
  const gap = text.slice(first.to, year.from);
  return gap === ", " && /^[\p{L}’'-]+$/u.test(first.text);
}
