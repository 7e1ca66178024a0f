import type { StyleId } from "../../src/core/citations/styles/style.ts";
import { type CslItem, plainText, processorFor } from "../../test/support/csl.ts";
import { seeded } from "../../test/support/random.ts";

/** A work cited in an article, and the number of its entry. */
export interface TrueCitation {
  /** Offsets in the paragraph. */
  paragraph: number;
  from: number;
  to: number;
  text: string;
  works: readonly number[];
}

export interface Article {
  style: StyleId;
  paragraphs: string[];
  entries: string[];
  citations: TrueCitation[];
}

/** Sentences of an invented paper; @ stands for a citation in brackets, # for one whose names are part of the sentence. */
const SENTENCES = [
  "The level in the well follows the sea with a lag of some minutes @.",
  "# rated the well each year and found the lag steady.",
  "Soundings along the mole were taken by lead until 1987, when the echo sounder came @.",
  "As # noted, the lead sinks in soft mud before it stops.",
  "The flood of 1953 left its mark on the wall of the office, and the book of that year says little of it.",
  "Sand is carried in on the flood and dropped at the turn @.",
  "Between 1981 and 2010 the inner harbour lost a third of its depth (see Figure 3).",
  "Some doubt it @, yet nobody has measured it again.",
  "The keeper wrote on 4 May 1911 that the gauge had stopped (it had not).",
  "Others set the loss lower @.",
  "# compared both ways of sounding on a soft bottom.",
  "In 2004 the board paid for a second gauge (the old one was from 1962).",
  "The float is weighed in air and in water @, which takes an hour.",
  "A gale from the north adds 0.3 m to the tide, and the model (version 2, 2011) leaves that out.",
  "This was known before @.",
  "According to #, the silt comes from the river and not from the sea.",
  "Two of the three pilots agreed (interview, March 2012).",
  "The method is described elsewhere @ and is not repeated here.",
];

const PAGED = 4;

/** An article that cites the works of a list, its citations set by the processor. */
export function makeArticle(items: readonly CslItem[], style: StyleId, seed: number): Article {
  const random = seeded(seed);
  const { engine } = processorFor(items, style);
  const [{ entry_ids: ids }, html] = engine.makeBibliography();
  const numeric = ["vancouver", "ieee", "ama-11"].includes(style);
  const order = numeric
    ? items.map((_, at) => at)
    : shuffled(
        items.map((_, at) => at),
        random,
      );
  const entryOf = new Map(ids.map(([id = ""], at) => [Number(id), at]));
  const article: Article = {
    style,
    paragraphs: [],
    entries: html.map((one) => plainText(one).text),
    citations: [],
  };
  let next = 0;
  let text = "";
  let sentence = 0;
  const pending: TrueCitation[] = [];
  while (next < order.length) {
    const template = SENTENCES[sentence++ % SENTENCES.length] ?? "";
    const at = template.search(/[@#]/);
    if (at < 0) {
      text += `${template} `;
      continue;
    }
    const isNarrative = template[at] === "#";
    const count = isNarrative
      ? 1
      : Math.min(order.length - next, random() < 0.3 ? 2 + Math.floor(random() * 2) : 1);
    const works = order.slice(next, next + count);
    next += count;
    const paged = !numeric && style !== "mla-9" && Math.floor(random() * PAGED) === 0;
    const cited = works.map((work, index) => ({
      id: `${work}`,
      ...(style === "mla-9" || (paged && index === 0)
        ? { locator: `${12 + Math.floor(random() * 80)}`, label: "page" }
        : {}),
    }));
    const shown =
      isNarrative && !numeric
        ? narrative(engine, cited, style)
        : plainText(engine.makeCitationCluster(cited)).text;
    if (shown === null) {
      next -= count;
      sentence++;
      continue;
    }
    const before = template.slice(0, at).replace("#", "");
    // Superscripts stand close behind the word.
    const glued = style === "ama-11";
    const lead = isNarrative && numeric ? `${before}the work ` : before;
    text += glued ? lead.trimEnd() : lead;
    pending.push({
      paragraph: article.paragraphs.length,
      from: text.length,
      to: text.length + shown.length,
      text: shown,
      works: works.map((work) => entryOf.get(work) ?? -1),
    });
    text += `${shown}${template.slice(at + 1)} `;
    if (text.length > 700 || next >= order.length) {
      article.paragraphs.push(text.trimEnd());
      text = "";
    }
  }
  article.citations = pending;
  return article;
}

function narrative(
  engine: ReturnType<typeof processorFor>["engine"],
  cited: { id: string; locator?: string }[],
  style: StyleId,
): string | null {
  if (style === "mla-9") return plainText(engine.makeCitationCluster(cited)).text;
  const [one] = cited;
  if (!one) return null;
  const names = plainText(engine.makeCitationCluster([{ id: one.id, "author-only": 1 }])).text;
  const rest = plainText(engine.makeCitationCluster([{ ...one, "suppress-author": 1 }])).text;
  if (!/^\(/.test(rest) || /[([]/.test(names) || names.length < 2) return null;
  return `${names.replace(/ & /g, " and ").replace(/, and (?=\S+$)/, " and ")} ${rest}`;
}

function shuffled<T>(all: readonly T[], random: () => number): T[] {
  const made = [...all];
  for (let at = made.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [made[at], made[other]] = [made[other] as T, made[at] as T];
  }
  return made;
}
