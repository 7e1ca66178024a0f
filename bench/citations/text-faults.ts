import type { Article, TrueCitation } from "./articles.ts";

type Faulty = Article & { told: string };
/** Puts one fault into an article; null where it has no place for it. */
type TextFault = (article: Article, random: () => number) => Faulty | null;

const NUMERIC = new Set(["vancouver", "ieee", "ama-11"]);

/** The article with another text of one of its citations, for which `change` makes something else. */
function changed(
  article: Article,
  random: () => number,
  change: (citation: TrueCitation, article: Article) => string | null,
): Faulty | null {
  const start = Math.floor(random() * article.citations.length);
  for (let step = 0; step < article.citations.length; step++) {
    const citation = article.citations[(start + step) % article.citations.length];
    const made = citation && change(citation, article);
    if (!citation || !made || made === citation.text) continue;
    const paragraphs = article.paragraphs.map((text, at) =>
      at === citation.paragraph
        ? text.slice(0, citation.from) + made + text.slice(citation.to)
        : text,
    );
    return { ...article, paragraphs, told: `${citation.text} -> ${made}` };
  }
  return null;
}

function replaced(text: string, pattern: RegExp, to: string): string | null {
  const made = text.replace(pattern, to);
  return made === text ? null : made;
}

const named = (style: string) => !NUMERIC.has(style);
const dated = (style: string) => named(style) && style !== "mla-9";

/** Faults of citations by the names of the trade's rules. */
export const TEXT_FAULTS: Readonly<Record<string, TextFault>> = {
  "name-typo": (article, random) =>
    named(article.style)
      ? changed(article, random, ({ text }) =>
          replaced(text, /(\p{Lu}\p{Ll}{2,3})(\p{Ll})(\p{Ll}{2,})/u, "$1$2$2$3"),
        )
      : null,
  "name-letter-lost": (article, random) =>
    named(article.style)
      ? changed(article, random, ({ text }) =>
          replaced(text, /(\p{Lu}\p{Ll}{3})\p{Ll}(\p{Ll}{2,})/u, "$1$2"),
        )
      : null,
  "year-mismatch": (article, random) =>
    dated(article.style)
      ? changed(article, random, ({ text }) =>
          replaced(text, /(1[5-9]|20)(\d)(\d)(?![\d–])/u, `$1$2${Math.floor(random() * 10)}`),
        )
      : null,
  "missing-reference": (article, random) => {
    const [one] = [...article.citations].sort(() => random() - 0.5);
    const work = one?.works[0];
    if (one === undefined || work === undefined || NUMERIC.has(article.style)) return null;
    return {
      ...article,
      entries: article.entries.filter((_, at) => at !== work),
      told: article.entries[work] ?? "",
    };
  },
  "uncited-reference": (article, random) => {
    const single = article.citations.filter(({ works }) => works.length === 1);
    const one = single[Math.floor(random() * single.length)];
    if (!one || NUMERIC.has(article.style)) return null;
    const paragraphs = article.paragraphs.map((text, at) =>
      at === one.paragraph ? `${text.slice(0, one.from)}they${text.slice(one.to)}` : text,
    );
    return { ...article, paragraphs, told: one.text };
  },
  "and-for-ampersand": (article, random) =>
    article.style.startsWith("apa")
      ? changed(article, random, ({ text }) =>
          text.startsWith("(") ? replaced(text, / & /u, " and ") : null,
        )
      : null,
  "ampersand-for-and": (article, random) =>
    named(article.style)
      ? changed(article, random, ({ text }) =>
          article.style.startsWith("apa") && text.startsWith("(")
            ? null
            : replaced(text, / and /u, " & "),
        )
      : null,
  "comma-missing": (article, random) =>
    article.style.startsWith("apa") || article.style === "harvard"
      ? changed(article, random, ({ text }) =>
          text.startsWith("(") ? replaced(text, /, (?=\d{4})/u, " ") : null,
        )
      : null,
  "comma-extra": (article, random) =>
    article.style === "chicago-author-date"
      ? changed(article, random, ({ text }) =>
          text.startsWith("(") ? replaced(text, /(?<=\p{L}) (?=\d{4})/u, ", ") : null,
        )
      : null,
  "et-al-stop": (article, random) =>
    named(article.style)
      ? changed(article, random, ({ text }) => replaced(text, /et al\./u, "et al"))
      : null,
  "et-al-for-two": (article, random) =>
    named(article.style)
      ? changed(article, random, ({ text }) =>
          replaced(
            text,
            /^(\(?\p{L}[\p{L}’'-]+) (?:and|&) [\p{L}’' -]+?(?=,? \(?\d)/u,
            "$1 et al.",
          ),
        )
      : null,
  "bracket-order": (article, random) =>
    article.style.startsWith("apa")
      ? changed(article, random, ({ text }) => {
          const parts = text.slice(1, -1).split("; ");
          if (
            parts.length < 2 ||
            parts.some((part) => !/^\p{Lu}/u.test(part)) ||
            parts[0]?.split(",")[0] === parts[1]?.split(",")[0]
          )
            return null;
          return `(${[...parts].reverse().join("; ")})`;
        })
      : null,
  "page-label": (article, random) =>
    dated(article.style)
      ? changed(article, random, ({ text }) =>
          article.style === "chicago-author-date"
            ? replaced(text, /, (\d+)\)$/u, ", p. $1)")
            : replaced(text, /, p\. (?=\d)/u, ", pg. "),
        )
      : null,
  "number-out-of-range": (article, random) =>
    NUMERIC.has(article.style)
      ? changed(article, random, ({ text }) =>
          /^\D?\d+\D?$/u.test(text) ? text.replace(/\d+/u, `${article.entries.length + 3}`) : null,
        )
      : null,
  "first-appearance-order": (article, random) => {
    if (!NUMERIC.has(article.style)) return null;
    const singles = article.citations.filter(({ text }) => /^\D?\d+\D?$/u.test(text));
    const at = Math.floor(random() * Math.max(1, singles.length - 1));
    const [one, two] = [singles[at], singles[at + 1]];
    if (!one || !two || one.text.length !== two.text.length) return null;
    const paragraphs = [...article.paragraphs];
    const put = (place: TrueCitation, text: string) => {
      const before = paragraphs[place.paragraph] ?? "";
      paragraphs[place.paragraph] = before.slice(0, place.from) + text + before.slice(place.to);
    };
    put(one, two.text);
    put(two, one.text);
    return { ...article, paragraphs, told: `${one.text} and ${two.text}` };
  },
  "range-not-joined": (article, random) =>
    NUMERIC.has(article.style)
      ? changed(article, random, ({ text }) => {
          const found = /(\d+)(\]?)[–-](\[?)(\d+)/u.exec(text);
          if (!found || Number(found[4]) - Number(found[1]) !== 2) return null;
          const middle = Number(found[1]) + 1;
          const between = article.style === "ieee" ? "], [" : ",";
          return text.replace(found[0], `${found[1]}${between}${middle}${between}${found[4]}`);
        })
      : null,
  "list-order": (article, random) => {
    if (NUMERIC.has(article.style)) return null;
    const at = 1 + Math.floor(random() * (article.entries.length - 8));
    const entries = [...article.entries];
    const [moved = ""] = entries.splice(at, 1);
    if (
      /^(?:-{3}|—)/u.test(moved) ||
      /^(?:-{3}|—)/u.test(entries[at] ?? "") ||
      moved[0] === entries[at + 5]?.[0]
    )
      return null;
    entries.splice(at + 5, 0, moved);
    return { ...article, entries, told: moved };
  },
  duplicate: (article, random) => {
    const at = Math.floor(random() * article.entries.length);
    const one = article.entries[at] ?? "";
    if (NUMERIC.has(article.style) || /^(?:-{3}|—)/u.test(one)) return null;
    return {
      ...article,
      entries: [...article.entries.slice(0, at), one, ...article.entries.slice(at)],
      told: one,
    };
  },
};
