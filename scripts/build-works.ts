import { mkdirSync, writeFileSync } from "node:fs";
import path from "node:path";
import type { IndexedWork, Notice } from "../src/core/citations/outside/asking.ts";

/**
 * Makes the simulated index of works and its register of notices. Everything in them is made up; the
 * works of the demo's lists are among them, a few otherwise than the lists have them.
 */

const FAMILIES =
  "Abrook Ashlode Bellwater Birchall Brannock Carrick Clovis Corran Dathe Dunmore Ebbing Elswick Farrow Fenner Gantry Garrow Hallam Harkness Hay Heskett Ingle Jarrow Kelde Kittow Lathom Leet Lock Marrick Melmoth Nairn Ness Orrin Ostler Pascoe Penhale Quarrie Quill Ravell Rennick Sallow Skerry Tamblyn Teesdale Trewin Ulverton Vale Venner Wardle Weller Yarrow".split(
    " ",
  );
const GIVEN =
  "Ada Basil Clara Davy Edith Finn Greta Hugh Ines Jory Karl Lena Mark Nora Owen Piers Rose Seth Tess Una".split(
    " ",
  );
const THINGS =
  "the float well|a sounding line|the outer mole|a tide staff|the harbour bar|a stilling well|the echo sounder|a paper drum|the lead line|a levelling bolt|the ferry berth|a sand trap|the wave recorder|a dredged channel|the salt marsh|a pilot launch".split(
    "|",
  );
const MATTERS =
  "Silt and|Sand and|Levels at|Errors of|The upkeep of|A history of|Rain and|Gales and|Ten years of|The rating of|Loss of depth at|Currents round".split(
    "|",
  );
const ENDS = [
  "",
  ": a comparison",
  ": first results",
  ": what the daybooks say",
  " on an exposed coast",
  " in a wet year",
  " before and after dredging",
];
const PERIODICALS = [
  "Estuary Letters",
  "Coastal Works Quarterly",
  "Proceedings of the Gannet Head Tide Observatory",
  "The Gauge Keeper",
  "Annals of Harbour Practice",
  "Tidal Records",
];
const WORKS = 420;
const SEED = 14;

/** A generator of numbers between 0 and 1 (mulberry32, by Tommy Ettinger, public domain). */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

const random = seeded(SEED);
const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;

function madeUp(number: number): IndexedWork {
  const authors = Array.from({ length: 1 + Math.floor(random() * 3) }, () => ({
    family: pick(FAMILIES),
    given: pick(GIVEN),
  }));
  const first = 1 + Math.floor(random() * 400);
  return {
    authors,
    year: 1950 + Math.floor(random() * 76),
    title: `${pick(MATTERS)} ${pick(THINGS)}${pick(ENDS)}`,
    container: pick(PERIODICALS),
    volume: `${1 + Math.floor(random() * 60)}`,
    issue: `${1 + Math.floor(random() * 4)}`,
    pages: `${first}–${first + 3 + Math.floor(random() * 20)}`,
    doi: `10.5555/works.${number}`,
  };
}

/** The works of the demo's lists. */
const OF_THE_DEMO: readonly IndexedWork[] = [
  {
    authors: [
      { family: "Orrin", given: "Ines" },
      { family: "Vale", given: "Tobias" },
    ],
    year: 2004,
    title: "Sounding lead and echo sounder on a soft bottom: a comparison",
    container: "Proceedings of the Gannet Head Tide Observatory",
    volume: "11",
    pages: "40–52",
    doi: "10.5555/ghto.11.40",
  },
  {
    authors: [{ family: "Orrin", given: "Ines" }],
    year: 2028,
    title: "Garnet as a tracer of longshore drift north of Gannet Head",
    container: "Proceedings of the Gannet Head Tide Observatory",
    volume: "18",
    pages: "3–19",
    doi: "10.5555/ghto.18.3",
  },
  {
    authors: [{ family: "Penhale", given: "Rose" }],
    year: 1981,
    title: "The lengthening of the outer mole",
    publisher: "Harbour Trustees",
    doi: "10.5555/trustees.1981",
  },
  {
    authors: [{ family: "Teesdale", given: "Mark" }],
    year: 2019,
    title: "Seven years of the sand trap at Port Carrow",
    container: "Coastal Works Quarterly",
    volume: "33",
    issue: "2",
    pages: "118–131",
    doi: "10.5555/cwq.33.118",
  },
  {
    authors: [{ family: "Vale", given: "Tobias" }],
    year: 2011,
    title: "The silting of the float well and the rainfall of the Leet valley",
    container: "Proceedings of the Gannet Head Tide Observatory",
    volume: "13",
    pages: "77–90",
    doi: "10.5555/ghto.13.77",
  },
];

const NOTICES: readonly { doi: string; notices: readonly Notice[] }[] = [
  {
    doi: "10.5555/cwq.33.118",
    notices: [
      {
        kind: "retracted",
        date: "2024-03-11",
        reason: "The volumes of three years were copied from a fourth; the author agrees.",
      },
    ],
  },
  {
    doi: "10.5555/ghto.13.77",
    notices: [
      {
        kind: "disputed",
        date: "2022-09-02",
        reason: "Later soundings find no tie between rain and silt.",
        by: "Kelde and Marrick, 2022, Tidal Records 41",
        words:
          "Over nine winters the silt of the well followed the ferry’s timetable, not the rain.",
      },
    ],
  },
  {
    doi: "10.5555/works.7",
    notices: [
      {
        kind: "corrected",
        date: "2015-06-30",
        reason: "Two columns of Table 2 were changed about.",
      },
    ],
  },
  {
    doi: "10.5555/works.19",
    notices: [
      { kind: "concern", date: "2021-01-15", reason: "The daybook it rests on can’t be found." },
    ],
  },
  {
    doi: "10.5555/works.42",
    notices: [
      { kind: "withdrawn", date: "2018-11-05", reason: "Withdrawn by its authors before print." },
    ],
  },
];

const folder = path.resolve(import.meta.dirname, "../data/works");
mkdirSync(folder, { recursive: true });
const works = [...OF_THE_DEMO, ...Array.from({ length: WORKS }, (_, number) => madeUp(number))];
const lines = (all: readonly unknown[]) =>
  `[\n${all.map((one) => JSON.stringify(one)).join(",\n")}\n]\n`;
writeFileSync(path.join(folder, "works.json"), lines(works));
writeFileSync(path.join(folder, "notices.json"), lines(NOTICES));
console.log(`${works.length} works, ${NOTICES.length} with notices`);
