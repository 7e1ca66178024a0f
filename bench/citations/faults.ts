import type { StyleId } from "../../src/core/citations/styles/style.ts";
import { styleOf } from "../../src/core/citations/styles/styles.ts";
import type { SetEntry } from "../../test/support/csl.ts";

/** Puts one fault into a right entry; null where it has no place for it. */
type Fault = (entry: SetEntry, id: StyleId) => string | null;

const isIn =
  (...ids: StyleId[]) =>
  (id: StyleId) =>
    ids.includes(id);
const isApa = isIn("apa-6", "apa-7");
const isAuthorDate = isIn("apa-6", "apa-7", "harvard");
const isBare = isIn("vancouver", "ama-11");

/** Replaces the first match, and tells whether that made a difference. */
function swap(text: string, pattern: RegExp, to: string): string | null {
  const made = text.replace(pattern, to);
  return made === text ? null : made;
}

const FAMILY = "[\\p{L}’'-]+";
const SMALL = new Set(
  "a an and as at but by for from in into nor of off on or over per so the to up via with yet".split(
    " ",
  ),
);
const isArticle = ({ item }: SetEntry) => item.type.startsWith("article");

/** Faults by the names of the trade's rules, written before any check of entries was. */
export const FAULTS: Readonly<Record<string, Fault>> = {
  "initials-missing": ({ text, item }, id) => {
    const family = item.author?.[0]?.family;
    if (!family || (item.author?.length ?? 0) < 2) return null;
    if (isAuthorDate(id)) return swap(text, /^([\p{L}’' -]+), (?:\p{Lu}\.[ -]?)+(?=,| and)/u, "$1");
    if (isBare(id)) return swap(text, /^(\d+\. [\p{L}’'-]+) \p{Lu}{1,3}(?=, )/u, "$1");
    if (id === "ieee") return swap(text, /^(\[\d+\] )(?:\p{Lu}\.[ -]?)+(?=\p{Lu})/u, "$1");
    return null;
  },
  "name-order": ({ text }, id) => {
    if (isAuthorDate(id))
      return swap(
        text,
        new RegExp(`^(${FAMILY}), ((?:\\p{Lu}\\.[ -]?)*\\p{Lu}\\.)(?=,| )`, "u"),
        "$2 $1",
      );
    if (id === "ieee")
      return swap(
        text,
        new RegExp(`^(\\[\\d+\\] )((?:\\p{Lu}\\. ?)*\\p{Lu}\\.) (${FAMILY})(?=,| and)`, "u"),
        "$1$3, $2",
      );
    if (!isBare(id))
      return swap(
        text,
        new RegExp(`^(${FAMILY}), (\\p{Lu}\\p{Ll}+(?: \\p{Lu}\\.)?)(?=, and |\\.(?= [“\\d]))`, "u"),
        "$2 $1",
      );
    return null;
  },
  "initials-spacing": ({ text }, id) => {
    if (isApa(id) || id === "ieee") return swap(text, /(\p{Lu}\.) (\p{Lu}\.)(?=[, ])/u, "$1$2");
    if (id === "harvard") return swap(text, /, (\p{Lu}\.)(\p{Lu}\.)(?=[, ])/u, ", $1 $2");
    if (isBare(id))
      return swap(text, /^(\d+\. [\p{L}’'-]+) (\p{Lu})(\p{Lu})(?=[,.])/u, "$1 $2. $3.");
    return null;
  },
  "joining-word": ({ text }, id) => {
    if (isApa(id)) return swap(text, /, & (?=\p{Lu}[\p{L}’' -]+, \p{Lu}\.)/u, ", and ");
    if (isBare(id))
      return swap(
        text,
        /^(\d+\. (?:[\p{L}’'-]+ \p{Lu}{1,3}, )*[\p{L}’'-]+ \p{Lu}{1,3}), (?=[\p{L}’'-]+ \p{Lu}{1,3}\. )/u,
        "$1 and ",
      );
    if (id === "ieee") return swap(text, /^(\[[^“]*?),? and (?=[^“]*“)/u, "$1 & ");
    if (id === "harvard") return swap(text, /^([^(]*?) and /u, "$1 & ");
    return swap(text, /^([^“”]*?), and (?=[^“]*[“\d])/u, "$1, & ");
  },
  "comma-before-join": ({ text }, id) => {
    if (isApa(id)) return swap(text, /(?<=\p{Lu}\.), & /u, " & ");
    if (/chicago|mla/.test(id))
      return swap(text, /^(\p{Lu}[\p{L}’'-]+, \p{Lu}[\p{L}. ]*?), and /u, "$1 and ");
    return null;
  },
  "et-al-wrong": ({ text, item }, id) => {
    const authors = item.author?.length ?? 0;
    if (isApa(id) && authors >= 3)
      return swap(text, /^([^,]+, (?:\p{Lu}\.[ -]?)+), .*?(?=\(\d{4})/u, "$1, et al. ");
    if (isBare(id) && authors >= 3 && authors <= 6)
      return swap(
        text,
        /^(\d+\. [\p{L}’' -]+ \p{Lu}{1,3}), (?:[\p{L}’' -]+ \p{Lu}{1,3}, )*[\p{L}’' -]+ \p{Lu}{1,3}\./u,
        "$1, et al.",
      );

    if (id === "chicago-author-date" && authors >= 3 && authors <= 10)
      return swap(text, /^([^,]+, [^,]+), .*?(?=\. \d{4}[a-z]?\. )/u, "$1, et al");

    return null;
  },
  "et-al-stop": ({ text }) => swap(text, /et al\.(?!,? editor)/u, "et al"),
  "year-brackets": ({ text }, id) => {
    if (isAuthorDate(id))
      return swap(text, /\(((?:1[5-9]|20)\d\d[a-z]?)\)(\.?)/u, id === "harvard" ? "$1." : "$1$2");
    if (id === "chicago-author-date") return swap(text, /\. (\d{4}[a-z]?)\. /u, ". ($1). ");
    return null;
  },
  "year-stop": ({ text }, id) => {
    if (isApa(id)) return swap(text, /^([^“]*?\(\d{4}[a-z]?\))\. /u, "$1 ");
    if (id === "harvard") return swap(text, /^([^‘]*?\(\d{4}[a-z]?\)) /u, "$1. ");
    if (id === "chicago-author-date") return swap(text, /^([^“]*?\. \d{4}[a-z]?)\. /u, "$1, ");
    return null;
  },
  "year-implausible": ({ text, item }) => {
    const year = `${item.issued?.["date-parts"]?.[0]?.[0]}`;
    return swap(text, new RegExp(`(?<![\\d–-])${year}(?![\\d–-])`), `29${year.slice(2)}`);
  },
  "year-missing": ({ text, item }, id) => {
    const year = `${item.issued?.["date-parts"]?.[0]?.[0]}`;
    if (isAuthorDate(id)) return swap(text, new RegExp(` \\(${year}[a-z]?\\)\\.?`), "");
    if (id === "chicago-author-date") return swap(text, new RegExp(` ${year}[a-z]?\\.(?= )`), "");
    if (id === "ieee" || id === "mla-9")
      return isArticle({ text, item, italics: [] })
        ? swap(text, new RegExp(`, ${year}(?=[,.])`), "")
        : null;
    return null;
  },
  "title-capitals": ({ text, item }, id) => {
    const title = shownTitle(text, item.title);
    if (!title || item.language || !/\b(?:the|of|and|in|for|a|to|on|with)\b/iu.test(title))
      return null;
    if (title.split(/\s+/).filter((word) => word.length > 4).length < 4) return null;
    if (/mla|chicago/.test(id)) {
      const lower = title[0] + title.slice(1).toLowerCase();
      return lower === title ? null : text.replace(title, () => lower);
    }
    if (id === "ama-11" && !isArticle({ text, item, italics: [] })) return null;
    if (id === "ieee" && !isArticle({ text, item, italics: [] })) return null;
    const upper = title.replaceAll(/(?<=\s)\p{Ll}[\p{L}’'-]*/gu, (word) =>
      SMALL.has(word) ? word : word[0]?.toUpperCase() + word.slice(1),
    );
    return upper === title ? null : text.replace(title, () => upper);
  },
  "quotes-missing": (entry, id) => {
    if (!isArticle(entry) || !styleOf(id).titles.quotes) return null;
    if (id === "harvard") return swap(entry.text, /‘(.+?)’(?=, \p{Lu})/u, "$1");
    return swap(entry.text, /“(.+?)”/u, "$1");
  },
  "quotes-added": (entry, id) => {
    if (!isArticle(entry) || styleOf(id).titles.quotes) return null;
    const title = shownTitle(entry.text, entry.item.title);
    return title && !/[“”]/u.test(title) ? entry.text.replace(title, () => `“${title}”`) : null;
  },
  "issue-form": (entry, id) => {
    const { text, item } = entry;
    if (!isArticle(entry) || !item.issue || !item.volume) return null;
    const plain = `${item.volume}, no. ${item.issue}`;
    const closed = `${item.volume}(${item.issue})`;
    if (isAuthorDate(id) || isBare(id))
      return text.includes(closed) ? text.replace(closed, plain) : null;
    const written = [
      `vol. ${item.volume}, no. ${item.issue}`,
      `${item.volume} (${item.issue})`,
      plain,
    ].find((one) => text.includes(one));
    return written ? text.replace(written, closed) : null;
  },
  "page-label": (entry, id) => {
    if (!isArticle(entry) || !entry.item.page) return null;
    const pages =
      /(?:pp?\. )?(\w?\d+)([–-]\w?\d+)?(?=[.,]?(?:$| (?:https|doi|Available|Retrieved|\[Online|https)|[,.] doi))/u;
    if (isIn("mla-9", "ieee", "harvard")(id)) return swap(entry.text, /, pp?\. (?=\w?\d)/u, ", ");
    const found = pages.exec(entry.text);
    return found
      ? entry.text.slice(0, found.index) +
          `pp. ${found[0]}` +
          entry.text.slice(found.index + found[0].length)
      : null;
  },
  "page-dash": (entry, id) => {
    if (!entry.item.page?.includes("-")) return null;
    const first = entry.item.page.split("-")[0];
    return id === "ama-11"
      ? swap(entry.text, new RegExp(`${first}-`), `${first}–`)
      : swap(entry.text, new RegExp(`${first}–`), `${first}-`);
  },
  "page-digits": (entry, id) => {
    const [first = "", second = ""] = entry.item.page?.split("-") ?? [];
    if (first.length < 3 || first.length !== second.length || first[0] !== second[0]) return null;
    if (styleOf(id).pages.second === "full")
      return entry.text.includes(second)
        ? swap(entry.text, new RegExp(`${first}([–-])${second}`), `${first}$1${second.slice(1)}`)
        : null;
    return swap(entry.text, new RegExp(`${first}([–-])\\d+`), `${first}$1${second}`);
  },
  "page-order": (entry) => {
    const [first = "", second = ""] = entry.item.page?.split("-") ?? [];
    if (!second || !/^\d+$/.test(first) || !/^\d+$/.test(second) || first.length < 2) return null;
    return swap(entry.text, new RegExp(`${first}([–-])\\d+`), `${second}$1${first}`);
  },
  "doi-form": ({ text, item }, id) => {
    if (!item.DOI) return null;
    const bare = `https://doi.org/${item.DOI}`;
    if (id === "ama-11" || id === "ieee") return swap(text, /doi: ?(?=10)/u, "https://dx.doi.org/");
    if (id === "apa-6")
      return text.includes(bare) ? text.replace(bare, `http://dx.doi.org/${item.DOI}`) : null;
    return text.includes(bare) ? text.replace(bare, `doi:${item.DOI}`) : null;
  },
  "doi-syntax": ({ text, item }) =>
    item.DOI && text.includes(item.DOI)
      ? text.replace(item.DOI, item.DOI.replace("10.", "10,"))
      : null,
  "final-stop": ({ text }, id) => {
    if (styleOf(id).finalStop === "always") return text.endsWith(".") ? text.slice(0, -1) : null;
    if (/(?:https?:\/\/\S+|doi:\s?\S+)$/u.test(text))
      return /\.$/.test(text) ? text.slice(0, -1) : `${text}.`;
    return text.endsWith(".") && !/\p{Lu}\.$/u.test(text) ? text.slice(0, -1) : null;
  },
  "place-added": ({ text, item }, id) => {
    if (item.type !== "book" || !item.publisher || styleOf(id).place) return null;
    const at = text.lastIndexOf(item.publisher);
    return at > 0 && /[.,)] $/u.test(text.slice(0, at))
      ? `${text.slice(0, at)}London: ${text.slice(at)}`
      : null;
  },
  "edition-form": ({ text }, id) =>
    id === "harvard"
      ? swap(text, /\bedn\b/u, "edition")
      : swap(text, /(\d(?:st|nd|rd|th)) ed\.(?=[.,)\s])/u, "$1 edition"),
  "address-label": ({ text }, id) => {
    if (id === "apa-7") return swap(text, /(?<= )(?=https?:\/\/(?!doi))/u, "Retrieved from ");
    if (id === "harvard") return swap(text, /Available at: (?=https?:\/\/(?!doi))/u, "");
    if (id === "vancouver") return swap(text, /Available from: (?=https?:\/\/(?!doi))/u, "");
    return null;
  },
  "container-missing": (entry) => {
    const container = shownTitle(entry.text, entry.item["container-title"]);
    if (!isArticle(entry) || !container || !entry.item.volume) return null;
    return entry.text.includes(`${container},`) || entry.text.includes(`${container}.`)
      ? entry.text
          .replace(container, "")
          .replace(/ ([,.]) ?/u, "$1 ")
          .replace(/[.,]{2} /u, ". ")
      : null;
  },
};

/** A title as the style has set it, whatever its capitals. */
function shownTitle(text: string, title: string | undefined): string | null {
  if (!title) return null;
  const at = text
    .toLowerCase()
    .replaceAll("’", "'")
    .indexOf(title.toLowerCase().replaceAll("’", "'"));
  return at < 0 ? null : text.slice(at, at + title.length);
}
