import type { CitedDocument, PlacedCitation } from "../cited-text.ts";
import { folded } from "../fold.ts";
import type { CitationItem } from "../text/citation.ts";
import type { CitedFinding, TextRule } from "./rule.ts";

const isNamed = ({ kind }: PlacedCitation["citation"]) =>
  kind === "parenthetical" || kind === "narrative" || kind === "page";

/** How many names a citation gives, and “et al.” */
export const citedNames: TextRule = (cited) => {
  const { inText, name: manual } = cited.style;
  const found: CitedFinding[] = [];
  const mentioned = new Set<number>();
  for (const { block, citation, items } of cited.citations) {
    if (!isNamed(citation)) continue;
    for (const { item, tied } of items) {
      if (item.isContinued) continue;
      const stopless = etAlFault(cited.blocks[block]?.text ?? "", item);
      if (stopless) found.push({ block, ...stopless });
      const { reference } = tied;
      if (tied.tie !== "tied" || reference === null) continue;
      const isFirst = !mentioned.has(reference);
      mentioned.add(reference);
      const fault = stopless
        ? null
        : countFault(cited, block, item, reference, isFirst, inText, manual);
      if (fault) found.push(fault);
    }
  }
  return found;
};

function etAlFault(text: string, { etAl }: CitationItem): Omit<CitedFinding, "block"> | null {
  if (!etAl) return null;
  const written = text.slice(etAl.from, etAl.to);
  if (!written.includes("al") || written === "et al.") return null;
  if (text[etAl.to] === "." && written === "et al") return null;
  return {
    from: etAl.from,
    to: etAl.to,
    reason: "“et al.” has a stop behind “al” and none behind “et”.",
    choices: [],
  };
}

function countFault(
  cited: CitedDocument,
  block: number,
  item: CitationItem,
  reference: number,
  isFirst: boolean,
  inText: CitedDocument["style"]["inText"],
  manual: string,
): CitedFinding | null {
  const known = cited.index.namesOf(reference);
  const entry = cited.references[reference]?.entry;
  const isShortened = Boolean(entry?.authors?.etAl || entry?.authors?.ellipsis);
  const count = isShortened ? Math.max(known.length + 1, inText.most + 1) : known.length;
  const last = item.names.at(-1);
  const [first] = item.names;
  if (!first || !last) return null;
  const range = { from: first.from, to: item.etAl?.to ?? last.to };
  const all = known.map(({ family, literal }) => family ?? literal ?? "");
  const longest = Math.max(inText.most, isFirst ? (inText.mostAtFirst ?? 0) : 0);
  if (item.etAl) {
    const mayShorten = count > inText.most;
    if (!mayShorten) {
      const whole = all.join(` ${inText.joinRunning} `);
      return finding(block, range, `${manual} names both authors, never one and “et al.”`, whole);
    }
    // The first mention names all where the edition wants it.
    if (
      isFirst &&
      inText.mostAtFirst !== undefined &&
      count <= inText.mostAtFirst &&
      item.names.length === 1
    ) {
      return {
        block,
        ...range,
        reason: `At the first mention ${manual} names all of up to ${inText.mostAtFirst} authors.`,
        choices: [],
      };
    }
    return null;
  }
  const isGiven = item.names.length >= 3 || item.names.length === count;
  if (count > longest && item.names.length > 1 && isGiven) {
    if (shortensAlike(cited, reference)) return null;
    const reason = `${manual} names the first of ${count === known.length ? count : "so many"} authors and “et al.”`;
    return finding(block, range, reason, `${first.text} et al.`);
  }
  return null;
}

/** Whether another entry of the year would be shortened to the same. */
function shortensAlike({ references, index }: CitedDocument, reference: number): boolean {
  const own = references[reference]?.entry;
  const [first] = index.namesOf(reference);
  return references.some(({ entry }, at) => {
    const [other] = index.namesOf(at);
    return (
      at !== reference &&
      entry.year?.value === own?.year?.value &&
      folded(other?.family ?? "") === folded(first?.family ?? "") &&
      index.namesOf(at).length > 1
    );
  });
}

function finding(
  block: number,
  range: { from: number; to: number },
  reason: string,
  insert: string,
): CitedFinding {
  return {
    block,
    ...range,
    reason,
    choices: [{ label: insert, edits: [{ block, ...range, insert }] }],
  };
}

/** “&” or “and” between names. */
export const citedJoining: TextRule = ({ blocks, citations, style }) => {
  const { joinBracketed, joinRunning } = style.inText;
  const found: CitedFinding[] = [];
  for (const { block, citation, items } of citations) {
    if (!isNamed(citation)) continue;
    const text = blocks[block]?.text ?? "";
    const right = citation.kind === "narrative" ? joinRunning : joinBracketed;
    for (const { item } of items) {
      const last = item.names.at(-1);
      const before = item.names.at(-2);
      if (!last || !before || item.isContinued) continue;
      const gap = text.slice(before.to, last.from - (last.initials ? last.initials.length + 1 : 0));
      const word = /&|\band\b/u.exec(gap);
      if (!word || word[0] === right) continue;
      const from = before.to + word.index;
      const where = citation.kind === "narrative" ? "in running text" : "within brackets";
      const mark = finding(
        block,
        { from, to: from + word[0].length },
        `${style.name} has “${right}” between names ${where}.`,
        right,
      );
      found.push({ ...mark, from: before.from, to: last.to });
    }
  }
  return found;
};

/** What stands between names and year or page. */
export const citedComma: TextRule = ({ blocks, citations, style }) => {
  const found: CitedFinding[] = [];
  for (const { block, citation, items } of citations) {
    if (citation.kind !== "parenthetical" && citation.kind !== "page") continue;
    const text = blocks[block]?.text ?? "";
    for (const { item, tied } of items) {
      if (item.isContinued || (tied.tie !== "tied" && tied.tie !== "near")) continue;
      const last = item.names.at(-1);
      const next = citation.kind === "page" ? item.pinpoint : item.year;
      if (!last || !next || item.title || item.abbreviation) continue;
      const from = item.etAl?.to ?? last.to;
      const gap = text.slice(from, next.from);
      if (gap === style.inText.afterName || !/^,? ?$/u.test(gap)) continue;
      const wanted = style.inText.afterName === ", " ? "a comma" : "no comma";
      const what = citation.kind === "page" ? "page" : "year";
      found.push({
        block,
        from: item.from,
        to: next.to,
        reason: `${style.name} has ${wanted} between name and ${what}.`,
        choices: [
          {
            label: style.inText.afterName === ", " ? "with a comma" : "without a comma",
            edits: [{ block, from, to: next.from, insert: style.inText.afterName }],
          },
        ],
      });
    }
  }
  return found;
};

const LABEL = /^(pp?\.|pgs?\.|pages?)?\s?(\d+(?:\s?[–-]\s?\d+)?)$/u;
const QUOTED = /[”"’]\s?$/u;
/** A quotation of so many characters asks for its page. */
const LONG_QUOTATION = 25;

/** The label before a page, and a page behind a quotation. */
export const pinpointForm: TextRule = ({ blocks, citations, style }) => {
  const { beforePage, pageLabels, system } = style.inText;
  if (system !== "author-date" && system !== "author-page") return [];
  const found: CitedFinding[] = [];
  for (const { block, citation, items } of citations) {
    const text = blocks[block]?.text ?? "";
    for (const { item, tied } of items) {
      if (tied.tie !== "tied" && tied.tie !== "near") continue;
      const { pinpoint, year } = item;
      const label = pinpoint && LABEL.exec(pinpoint.text);
      if (label && pinpoint) {
        const right = pageLabels[/[–-]/u.test(label[2] ?? "") ? 1 : 0];
        const from = year?.to ?? pinpoint.from;
        const gap = year ? text.slice(from, pinpoint.from) : "";
        const whole = `${year ? beforePage : ""}${right}${label[2]}`;
        const written = `${gap}${pinpoint.text}`;
        if (written === whole) continue;
        const reason = right
          ? `${style.name} writes a page as “${right}${label[2]}”.`
          : `${style.name} has no label before a page.`;
        found.push(finding(block, { from, to: pinpoint.to }, reason, whole));
      } else if (
        !pinpoint &&
        system === "author-date" &&
        citation.kind === "parenthetical" &&
        items.length === 1
      ) {
        const before = text.slice(0, citation.from);
        const opened = Math.max(before.lastIndexOf("“"), before.lastIndexOf("‘"));
        const isQuotation =
          QUOTED.test(before) && opened >= 0 && before.length - opened > LONG_QUOTATION;
        if (isQuotation) {
          found.push({
            block,
            from: item.from,
            to: item.to,
            reason: "A quotation is cited with its page.",
            choices: [],
            isAdvice: true,
          });
        }
      }
    }
  }
  return found;
};

/** The order of works in one pair of brackets. */
export const bracketOrder: TextRule = ({ citations, style }) => {
  if (style.inText.order !== "alphabetical") return [];
  const found: CitedFinding[] = [];
  for (const { block, citation, items } of citations) {
    if (citation.kind !== "parenthetical" || items.length < 2) continue;
    const works = items.filter(({ item }) => !item.isContinued);
    // Behind “see also” another group begins.
    if (works.some(({ item }, at) => at > 0 && item.prefix !== "")) continue;
    const keys = works.map(
      ({ item }) =>
        `${item.names.map((one) => folded(one.text)).join(" ")} ${item.etAl ? "~" : ""} ${item.year?.text ?? ""}`,
    );
    const at = keys.findIndex((key, index) => index > 0 && key < (keys[index - 1] ?? ""));
    const wrong = works[at];
    if (!wrong || at < 1) continue;
    const parts = citation.text.slice(1, -1).split(";");
    const sorted = parts.length === works.length ? sortedBy(parts, keys) : null;
    found.push({
      block,
      from: citation.from,
      to: citation.to,
      reason: `${style.name} orders works in brackets as the list does.`,
      choices: sorted
        ? [
            {
              label: `(${sorted})`,
              edits: [{ block, from: citation.from, to: citation.to, insert: `(${sorted})` }],
            },
          ]
        : [],
    });
  }
  return found;
};

function sortedBy(parts: readonly string[], keys: readonly string[]): string {
  return parts
    .map((part, at) => ({ part: part.trim(), key: keys[at] ?? "" }))
    .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0))
    .map(({ part }) => part)
    .join("; ");
}
