import type { CslItem } from "../support/csl.ts";

/** Made-up works of the observatory at Gannet Head, one or more of each type. */
export const WORKS: readonly CslItem[] = [
  {
    id: "sounder",
    type: "article-journal",
    title: "Sounding lead and echo sounder on a soft bottom: a comparison",
    author: [
      { family: "Orrin", given: "Ines K." },
      { family: "Vale", given: "Tobias" },
    ],
    issued: { "date-parts": [[2004]] },
    "container-title": "Estuary Letters",
    volume: "11",
    issue: "2",
    page: "140-152",
    DOI: "10.5555/el.11.140",
  },
  {
    id: "sand",
    type: "article-journal",
    title: "Sand on the turn of the tide",
    author: [
      { family: "Weller", given: "Piers" },
      { family: "Ness", given: "Ada" },
      { family: "Hay", given: "Conrad" },
      { family: "Lock", given: "Mirren" },
    ],
    issued: { "date-parts": [[2016]] },
    "container-title": "Estuary Letters",
    volume: "23",
    issue: "1",
    page: "309-321",
  },
  {
    id: "mole",
    type: "book",
    title: "The lengthening of the outer mole",
    author: [{ family: "Penhale", given: "Rose" }],
    issued: { "date-parts": [[1981]] },
    publisher: "Harbour Trustees Press",
    "publisher-place": "Leetmoor",
    edition: 2,
  },
  {
    id: "well",
    type: "chapter",
    title: "Rating a stilling well",
    author: [{ family: "Teesdale", given: "Mark" }],
    editor: [{ family: "Harkness", given: "Edith" }],
    issued: { "date-parts": [[2011]] },
    "container-title": "Gauges of the north coast",
    page: "77-90",
    publisher: "Harbour Trustees Press",
    "publisher-place": "Leetmoor",
  },
  {
    id: "drift",
    type: "article-journal",
    title: "Garnet as a tracer of longshore drift",
    author: [{ family: "van der Leet", given: "Hanne" }],
    issued: { "date-parts": [[1998]] },
    "container-title": "Coastal Works Quarterly",
    volume: "33",
    page: "12-19",
  },
];

/** The family names of a work. */
export function families({ author = [] }: CslItem): string[] {
  return author.map(({ family = "" }) => family);
}
