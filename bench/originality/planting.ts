import type { BrownText } from "../../scripts/corpus/brown.ts";
import { findEntry } from "../../src/server/word-net.ts";

/** Passages of one text put into another in many ways, and where they lie. */

export const KINDS_PLANTED = [
  "word for word",
  "edited",
  "sentences reordered",
  "30% synonyms",
  "all content words",
  "mosaic",
  "quoted and cited",
  "reference list",
] as const;
export type PlantKind = (typeof KINDS_PLANTED)[number];

export interface Planted {
  kind: PlantKind;
  /** Offsets in the document. */
  from: number;
  to: number;
  /** The texts it was taken from. */
  sources: string[];
}

export interface PlantedDocument {
  text: string;
  planted: Planted[];
}

/** The paragraphs of a text that are prose, each with its sentences and its content words. */
interface Paragraph {
  text: string;
  sentences: string[];
  /** Of each word-like token its text and whether it is a noun, verb, adjective or adverb. */
  words: { text: string; isContent: boolean; tag: string }[];
}

function paragraphsOf({ blocks }: BrownText): Paragraph[] {
  return blocks.map(({ text, sentences, tokens }) => ({
    text,
    sentences: sentences.map(({ from, to }) => text.slice(from, to)),
    words: tokens.map(({ from, to, tag }) => ({
      text: text.slice(from, to),
      isContent: /^(?:NN|VB|JJ|RB)/.test(String(tag)) && /^\p{L}{3,}$/u.test(text.slice(from, to)),
      tag: String(tag),
    })),
  }));
}

/** Sentences of a text in a row with at least `least` words in all; null where it has none. */
function stretch(
  text: BrownText,
  least: number,
  random: () => number,
): { sentences: string[]; words: Paragraph["words"] } | null {
  const paragraphs = paragraphsOf(text);
  for (let tried = 0; tried < 40; tried++) {
    const at = Math.floor(random() * paragraphs.length);
    const sentences: string[] = [];
    const words: Paragraph["words"] = [];
    for (let i = at; i < paragraphs.length && words.length < least * 1.3; i++) {
      sentences.push(...(paragraphs[i]?.sentences ?? []));
      words.push(...(paragraphs[i]?.words ?? []));
    }
    const count = sentences.join(" ").split(/\s+/).length;
    if (count >= least && count < least * 4) return { sentences, words };
  }
  return null;
}

/** Some words replaced, left out or put in. */
function edited(text: string, share: number, vocabulary: readonly string[], random: () => number) {
  const words = text.split(" ");
  const any = () => vocabulary[Math.floor(random() * vocabulary.length)] ?? "tide";
  return words
    .flatMap((word) => {
      if (random() >= share) return [word];
      const how = random();
      if (how < 0.6) return [any()];
      return how < 0.8 ? [] : [word, any()];
    })
    .join(" ");
}

/** Words replaced by synonyms; by another content word where there is none and all are to be replaced. */
async function renamed(
  words: Paragraph["words"],
  share: number,
  vocabulary: readonly string[],
  random: () => number,
): Promise<string> {
  const made: string[] = [];
  for (const { text, isContent } of words) {
    if (!isContent || random() >= share) {
      made.push(text);
      continue;
    }
    const entry = await findEntry(text);
    const synonyms = (entry?.senses ?? [])
      .flatMap((sense) => sense.synonyms)
      .filter((one) => /^\p{L}+$/u.test(one) && one.toLowerCase() !== text.toLowerCase());
    const synonym = synonyms[Math.floor(random() * synonyms.length)];
    const any = vocabulary[Math.floor(random() * vocabulary.length)] ?? "tide";
    made.push(synonym ?? (share === 1 ? any : text));
  }
  return made.join(" ").replace(/ ([,.;:?!])/g, "$1");
}

/** Documents of host texts, each with one passage of every kind, from sources. */
export async function plantedDocuments(
  hosts: readonly BrownText[],
  sources: readonly BrownText[],
  random: () => number,
): Promise<PlantedDocument[]> {
  const vocabulary = sources
    .flatMap((one) => paragraphsOf(one).flatMap(({ words }) => words))
    .filter(({ isContent }) => isContent)
    .map(({ text }) => text)
    .slice(0, 20_000);
  const pick = () => sources[Math.floor(random() * sources.length)];
  const documents: PlantedDocument[] = [];
  for (const host of hosts) {
    const parts: { text: string; kind?: PlantKind; sources?: string[] }[] = [];
    const paragraphs = paragraphsOf(host).map(({ text }) => text);
    const step = Math.max(1, Math.floor(paragraphs.length / (KINDS_PLANTED.length + 1)));
    for (const [index, kind] of KINDS_PLANTED.entries()) {
      for (const text of paragraphs.slice(index * step, (index + 1) * step)) parts.push({ text });
      const [source, second] = [pick(), pick()];
      if (!source || !second) continue;
      const made = await plant(kind, source, second, vocabulary, random);
      if (made) parts.push({ text: made, kind, sources: [source.id, second.id] });
    }
    for (const text of paragraphs.slice(KINDS_PLANTED.length * step)) parts.push({ text });
    documents.push(assembled(parts));
  }
  return documents;
}

function assembled(parts: { text: string; kind?: PlantKind; sources?: string[] }[]) {
  let text = "";
  const planted: Planted[] = [];
  // A list of references stands at the end, as it does in a paper.
  const ordered = [
    ...parts.filter(({ kind }) => kind !== "reference list"),
    ...parts.filter(({ kind }) => kind === "reference list"),
  ];
  for (const part of ordered) {
    const from = text.length;
    text += `${part.text}\n\n`;
    if (part.kind)
      planted.push({
        kind: part.kind,
        from,
        to: text.length - 2,
        sources: part.sources ?? [],
      });
  }
  return { text, planted };
}

async function plant(
  kind: PlantKind,
  source: BrownText,
  second: BrownText,
  vocabulary: readonly string[],
  random: () => number,
): Promise<string | null> {
  const found = stretch(source, 40 + random() * 60, random);
  if (!found) return null;
  const text = found.sentences.join(" ");
  switch (kind) {
    case "word for word":
      return text;
    case "edited":
      return edited(text, 0.05 + random() * 0.15, vocabulary, random);
    case "sentences reordered":
      return [...found.sentences].sort(() => random() - 0.5).join(" ");
    case "30% synonyms":
      return renamed(found.words, 0.3, vocabulary, random);
    case "all content words":
      return renamed(found.words, 1, vocabulary, random);
    case "mosaic": {
      const other = stretch(second, 40, random)?.sentences ?? [];
      return found.sentences
        .flatMap((one, at) => [one, other[at] ?? ""])
        .join(" ")
        .trim();
    }
    case "quoted and cited": {
      const plain = text.replace(/[“”"]/g, "");
      const how = random();
      if (how < 0.3) return `As the author says, “${plain}” (Weller, 2016, p. 31).`;
      if (how < 0.6) return `Weller (2016) writes: "${plain}"`;
      if (how < 0.8) return `“${plain}” [12].`;
      return `In one account “${plain}” (Weller 31).`;
    }
    case "reference list":
      return referenceList(random);
  }
}

const FAMILIES = "Orrin Vale Harkness Weller Teesdale Brandt Imrie Colby Maddox Sorley".split(" ");
const TITLES = [
  "Sounding lead and echo sounder on a soft bottom of an estuary with a strong tide",
  "The tide table and its readers over a hundred years of printing at the harbour office",
  "On the rating of a stilling well when its orifice is fouled by weed and mussels",
  "A harbour measured: twelve winters of soundings between the inner and the outer mole",
  "Sand on the turn of the tide and what the ebb leaves of it in the basin after a dry summer",
];

/** References that stand in other lists word for word. */
export function referenceList(random: () => number): string {
  const entries = Array.from({ length: 4 }, () => {
    const family = FAMILIES[Math.floor(random() * FAMILIES.length)];
    const title = TITLES[Math.floor(random() * TITLES.length)];
    return `${family}, P. (2016). ${title}. Estuary Letters, 23(1), 9–21.`;
  });
  return `References\n\n${[...new Set(entries)].sort().join("\n\n")}`;
}

/** A source whose list has all the references there are. */
export const LISTED_SOURCE = FAMILIES.flatMap((family) =>
  TITLES.map((title) => `${family}, P. (2016). ${title}. Estuary Letters, 23(1), 9–21.`),
).join("\n\n");
