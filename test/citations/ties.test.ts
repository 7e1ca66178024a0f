import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  type CitedDocument,
  type ReadableBlock,
  readCitedDocument,
} from "../../src/core/citations/cited-text.ts";
import { lettersApart } from "../../src/core/citations/fold.ts";
import { citedKey, entryKey, handTies, tieOf } from "../../src/core/citations/hand-ties.ts";
import { reviewCitations } from "../../src/core/citations/review-citations.ts";
import { STYLE_IDS, type StyleId } from "../../src/core/citations/styles/style.ts";
import { misplacedEntries } from "../../src/core/citations/text-rules/list.ts";
import { plainText, processorFor, setList } from "../support/csl.ts";
import { loadLanguage } from "../support/language.ts";
import { WORKS } from "./works.ts";

const { lexicon } = loadLanguage();
const isWord = (word: string) => lexicon.varieties(word) > 0;

const LIST = [
  "Lock, M. (1989). Moles and their shadows. Gannet Press.",
  "Orrin, I., & Vale, T. (2004). Sounding lead on a soft bottom. Estuary Letters, 11, 40–52.",
  "Teesdale, R. (2011). Rating a stilling well. Estuary Letters, 13, 9–21.",
  "Weller, P. (2016a). Sand on the turn. Estuary Letters, 23(1), 9–21.",
  "Weller, P. (2016b). What the ebb takes. Estuary Letters, 23(3), 55–60.",
  "Weller, P., Ness, A., & Hay, C. (2019). Flood sand. Estuary Letters, 26(4), 112–119.",
  "World Gauge Office. (2020). Levels of the north. World Gauge Office.",
];

function read(
  text: string,
  entries: readonly string[] = LIST,
  style: StyleId | null = "apa-7",
  ties?: ReadonlyMap<string, string>,
): CitedDocument {
  const block = (one: string, kind: ReadableBlock["kind"]): ReadableBlock => ({
    text: one,
    kind,
    story: "body",
    section: 1,
    spans: [],
  });
  const blocks = [
    ...text.split("\n").map((one) => block(one, "paragraph")),
    block("References", "heading"),
    ...entries.map((one) => block(one, "paragraph")),
  ];
  return readCitedDocument(blocks, { style, isWord, thisYear: 2026, ...(ties ? { ties } : {}) });
}

/** The ties of all cited works, in reading order. */
function ties(text: string, entries?: readonly string[], style?: StyleId): string[] {
  return read(text, entries, style).citations.flatMap(({ items }) =>
    items.map(({ tied }) => `${tied.tie} ${tied.reference ?? tied.likely ?? "-"}`),
  );
}

function rules(text: string, entries?: readonly string[], style?: StyleId): string[] {
  return reviewCitations(read(text, entries, style))
    .map(({ rule }) => rule)
    .filter((rule) => rule !== "never-cited");
}

describe("a citation", () => {
  const CASES: readonly (readonly [string, readonly string[]])[] = [
    ["The lead sinks (Orrin & Vale, 2004).", ["tied 1"]],
    ["The lead sinks (see Orrin & Vale, 2004, p. 44; Teesdale, 2011).", ["tied 1", "tied 2"]],
    ["Orrin and Vale (2004) sank it.", ["tied 1"]],
    ["According to Weller et al. (2019), sand comes in.", ["tied 5"]],
    ["Sand comes in (Weller, 2016a, 2016b).", ["tied 3", "tied 4"]],
    ["Sand comes in (Weller, 2016).", ["ambiguous 3"]],
    ["The well is rated (Teesedale, 2011).", ["near 2"]],
    ["The well is rated (Teesdale, 2012).", ["near 2"]],
    ["The lead sinks (Vale & Orrin, 2004).", ["near 1"]],
    [
      "Levels are kept (World Gauge Office [WGO], 2020). They rise (WGO, 2020).",
      ["tied 6", "tied 6"],
    ],
    ["The lead sinks (Harkness, 1987, as cited in Lock, 1989).", ["tied 0"]],
    ["It was known (Harkness et al., 1987).", ["missing -"]],
  ];
  for (const [text, expected] of CASES) {
    test(`is tied: ${text}`, () => assert.deepEqual(ties(text), expected));
  }

  for (const text of [
    "In 1997 the gauge stopped.",
    "The flood (1953) is another matter.",
    "See Figure 3 (May 2011) and the second table (version 2, 2011).",
    "The book A Tide Too Far (1953) was never found.",
    "Two of them agreed (interview, March 2012).",
  ]) {
    test(`is none: ${text}`, () => assert.deepEqual(rules(text), []));
  }

  test("is none in a text without a list", () => {
    const cited = readCitedDocument(
      [
        {
          text: "It was known (Harkness et al., 1987).",
          kind: "paragraph",
          story: "body",
          section: 0,
          spans: [],
        },
      ],
      { style: null, isWord, thisYear: 2026 },
    );
    assert.deepEqual(reviewCitations(cited), []);
  });

  test("is written as the manual has it, or marked", () => {
    assert.deepEqual(rules("The lead sinks (Orrin and Vale, 2004)."), ["cited-joining"]);
    assert.deepEqual(rules("Orrin & Vale (2004) sank it."), ["cited-joining"]);
    assert.deepEqual(rules("The lead sinks (Orrin & Vale 2004)."), ["cited-comma"]);
    assert.deepEqual(rules("The lead sinks (Orrin et al., 2004)."), ["cited-names"]);
    assert.deepEqual(rules("Sand comes in (Weller, Ness, & Hay, 2019)."), ["cited-names"]);
    assert.deepEqual(rules("Sand comes in (Weller et al, 2019)."), ["cited-names"]);
    assert.deepEqual(rules("The lead sinks (Orrin & Vale, 2004, pg. 4)."), ["pinpoint-form"]);
    assert.deepEqual(rules("It is so (Teesdale, 2011; Orrin & Vale, 2004)."), ["bracket-order"]);
  });

  test("by number follows the order of first mention, joined where three are in a row", () => {
    const entries = [1, 2, 3, 4].map(
      (number) =>
        `${number}. Orrin IK. Sounding part ${number}. Estuary Lett. 2004;11(${number}):1–9.`,
    );
    const marked = (text: string) => rules(text, entries, "vancouver");
    assert.deepEqual(marked("It is so (1). It is not (2–4)."), []);
    assert.deepEqual(marked("It is so (1). It is not (3). Who knows (2,4)."), ["number-order"]);
    assert.deepEqual(marked("It is so (1,2,3,4)."), ["number-range"]);
    assert.deepEqual(marked("It is so (1–4). It is not (9)."), ["no-entry", "number-order"]);
  });
});

describe("a citation by page", () => {
  const CITED = [
    "Lock, Mirren. Moles and Their Shadows. Gannet Press, 1989.",
    "Orrin, Ines, and Tobias Vale. “Sounding Lead.” Estuary Letters, vol. 11, no. 2, 2004, pp. 140–52.",
    "Weller, Piers. “Sand on the Turn.” Estuary Letters, vol. 23, no. 1, 2016, pp. 9–21.",
  ];
  const of = (text: string) => ties(text, CITED, "mla-9");

  test("has its name in the brackets or in the sentence before", () => {
    assert.deepEqual(of("Mud is deep (Orrin and Vale 145)."), ["tied 1"]);
    assert.deepEqual(of("Weller says that sand comes in (12)."), ["tied 2"]);
    assert.deepEqual(of("Moles cast shadows (Lock 3; Weller 14)."), ["tied 0", "tied 2"]);
    assert.deepEqual(of("As Lock’s study has it, moles are tall (4)."), ["tied 0"]);
  });

  test("is none where it names nobody", () => {
    assert.deepEqual(of("The mole is long (see Figure 3). It cost a lot (12)."), []);
  });
});

describe("a note", () => {
  const CITED = [
    "Lock, Mirren. Moles and Their Shadows. Leetmoor: Gannet Press, 1989.",
    "Orrin, Ines, and Tobias Vale. “Sounding Lead on a Soft Bottom.” Estuary Letters 11, no. 2 (2004): 140–52.",
  ];

  test("is tied in full and in short, and “ibid.” is no work of its own", () => {
    const notes = [
      "1. Ines Orrin and Tobias Vale, “Sounding Lead on a Soft Bottom,” Estuary Letters 11, no. 2 (2004): 145.",
      "2. Ibid., 150.",
      "3. Lock, Moles, 12; Orrin and Vale, “Sounding Lead,” 151.",
    ];
    assert.deepEqual(ties(notes.join("\n"), CITED, "chicago-notes"), [
      "tied 1",
      "tied 0",
      "tied 1",
    ]);
  });
});

describe("a list", () => {
  test("is in order where nothing comes before something, and an author alone before the same with others", () => {
    assert.deepEqual(misplacedEntries(read("")), []);
    const moved = [...LIST];
    moved.push(...moved.splice(3, 1));
    const [wrong] = misplacedEntries(read("", moved));
    assert.equal(wrong?.reference, 6);
    assert.equal(wrong?.before, 3);
  });

  test("names each work once", () => {
    const twice = [...LIST.slice(0, 2), LIST[1] ?? "", ...LIST.slice(2)];
    assert.ok(
      rules("", twice).includes("duplicate-entry") || read("", twice).citations.length === 0,
    );
    assert.ok(rules("It sinks (Orrin & Vale, 2004).", twice).includes("duplicate-entry"));
  });

  test("is told by its shape where it has no heading", () => {
    const blocks = ["It sinks (Orrin & Vale, 2004).", ...LIST].map(
      (text): ReadableBlock => ({ text, kind: "paragraph", story: "body", section: 0, spans: [] }),
    );
    const cited = readCitedDocument(blocks, { style: null, isWord, thisYear: 2026 });
    assert.equal(cited.references.length, LIST.length);
    assert.equal(cited.citations[0]?.items[0]?.tied.reference, 1);
  });

  test("in one block of lines is parted into its entries", () => {
    const block = (text: string, kind: ReadableBlock["kind"]): ReadableBlock => ({
      text,
      kind,
      story: "body",
      section: 0,
      spans: [],
    });
    const blocks = [block("References", "paragraph"), block(LIST.join("\n"), "paragraph")];
    const cited = readCitedDocument(blocks, { style: null, isWord, thisYear: 2026 });
    assert.deepEqual(
      cited.references.map(({ entry }) => entry.text),
      LIST,
    );
  });
});

// Citations and lists set by citeproc from the published style files (test/fixtures/csl).
describe("a paper set by the published style files", () => {
  for (const id of STYLE_IDS.filter((one) => one !== "chicago-notes")) {
    test(`ties each citation to its entry, and is not marked: ${id}`, () => {
      const { engine } = processorFor(WORKS, id);
      const entries = setList(WORKS, id).map(({ text }) => text);
      const text = WORKS.map((_, at) => {
        const locator = id === "mla-9" ? { locator: "14", label: "page" } : {};
        const shown = plainText(engine.makeCitationCluster([{ id: `${at}`, ...locator }])).text;
        return `Mud is deep here${id === "ama-11" ? "" : " "}${shown}.`;
      }).join(" ");
      const cited = read(text, entries, id);
      const tied = cited.citations.flatMap(({ items }) => items.map((one) => one.tied.tie));
      assert.deepEqual(
        tied,
        WORKS.map(() => "tied"),
        text,
      );
      assert.deepEqual(
        reviewCitations(cited).map(({ rule, reason }) => `${rule}: ${reason}`),
        [],
      );
    });
  }
});

describe("letters apart", () => {
  test("are counted with letters changed about as one (Damerau 1964)", () => {
    assert.equal(lettersApart("teesdale", "teesedale", 2), 1);
    assert.equal(lettersApart("orrin", "orirn", 2), 1);
    assert.equal(lettersApart("weller", "waller", 2), 1);
    assert.equal(lettersApart("ness", "lock", 2), 3);
  });
});

describe("ties made by hand", () => {
  const TEXT = "Mud swallows the lead (Bell, 1990). So says Bell (1990), and Lock (1989) agrees.";
  const meant = entryKey({ text: LIST[1] ?? "" });
  const bell = read(TEXT).citations[0]?.items[0]?.item;
  const work = bell ? citedKey(bell) : "";

  test("hold for every place where the work is cited so", () => {
    const cited = read(TEXT, LIST, "apa-7", new Map([[work, meant]]));
    const tied = cited.citations.flatMap(({ items }) => items.map((one) => one.tied.reference));
    assert.deepEqual(tied, [1, 1, 0]);
    assert.deepEqual(
      reviewCitations(cited).filter(({ rule }) => rule === "no-entry"),
      [],
    );
  });

  test("are as if not made where the entry is gone, and are kept through its small corrections", () => {
    const gone = read(TEXT, LIST.slice(2), "apa-7", new Map([[work, meant]]));
    assert.equal(gone.citations[0]?.items[0]?.tied.reference, null);
    const mended = LIST.map((one) => one.replace("40–52", "40–53"));
    const kept = read(TEXT, mended, "apa-7", new Map([[work, meant]]));
    assert.equal(kept.citations[0]?.items[0]?.tied.reference, 1);
  });

  test("stand among the choices of a document, one of each work", () => {
    const forms = { [tieOf(work)]: meant, [tieOf("other:1990")]: "", "terms:a|b": "apart" };
    assert.deepEqual([...handTies(forms)], [[work, meant]]);
  });
});
