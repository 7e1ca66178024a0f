import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { guessStyle } from "../../src/core/citations/guess-style.ts";
import { readEntry } from "../../src/core/citations/read-entry.ts";
import { reviewEntries } from "../../src/core/citations/review-entries.ts";
import { STYLE_IDS, type StyleId } from "../../src/core/citations/styles/style.ts";
import { styleOf } from "../../src/core/citations/styles/styles.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { setList } from "../support/csl.ts";
import { loadLanguage } from "../support/language.ts";
import { families, WORKS } from "./works.ts";

const { lexicon } = loadLanguage();
const about = { thisYear: 2026, isWord: (word: string) => lexicon.varieties(word) > 0 };

function review(texts: readonly string[], id: StyleId) {
  const style = styleOf(id);
  const entries = texts.map((text) => readEntry(text, style));
  return reviewEntries({ entries, italics: texts.map(() => []), style, ...about });
}

// The entries are set by citeproc from the published style files (test/fixtures/csl).
for (const id of STYLE_IDS) {
  describe(`entries in the style ${id}`, () => {
    const list = setList(WORKS, id);

    for (const { item, text, italics } of list) {
      test(`are read field by field: ${text}`, () => {
        const entry = readEntry(text, styleOf(id), italics);
        const names = entry.authors?.names ?? [];
        const shown = names.map(({ family, literal }) => family ?? literal);
        // Some styles set a particle behind the given names.
        const own = families(item).slice(0, names.length);
        const isBehind = names[0]?.given?.endsWith(" van der") ?? false;
        assert.deepEqual(shown, isBehind ? own.map((name) => name.replace("van der ", "")) : own);
        assert.ok(entry.authors?.etAl || names.length === families(item).length);
        assert.equal(entry.year?.value, item.issued?.["date-parts"]?.[0]?.[0]);
        const { title, container, volume, issue, pages, doi } = entry.fields;
        assert.equal(title?.text.toLowerCase(), item.title?.toLowerCase());
        assert.equal(container?.text.toLowerCase(), item["container-title"]?.toLowerCase());
        assert.equal(volume?.text, item.volume);
        assert.equal(issue?.text, item.issue);
        assert.equal(pages?.text.split(/[–-]/)[0], item.page?.split("-")[0]);
        if (text.includes("10.5555")) assert.equal(doi?.text, item.DOI);
        for (const field of Object.values(entry.fields)) {
          assert.equal(text.slice(field.from, field.to), field.text);
        }
      });
    }

    test("are not marked", () => {
      const found = review(
        list.map(({ text }) => text),
        id,
      );
      assert.deepEqual(
        found.flatMap((marks, at) => marks.map(({ rule }) => `${rule}: ${list[at]?.text}`)),
        [],
      );
    });

    test("tell the style", () => {
      assert.equal(guessStyle(list.map(({ text }) => text))?.id, id);
    });

    test("are marked once where pages run backwards", () => {
      const text =
        list.find(({ item }) => item.id && item.title?.startsWith("Sounding"))?.text ?? "";
      const faulty = text.replace(/140(.)\d+/u, "152$1140");
      assert.notEqual(faulty, text);
      const [marks = []] = review([faulty], id);
      assert.deepEqual(
        marks.map(({ rule }) => rule),
        ["page-range"],
      );
    });
  });
}

/** A faulty entry, and what its first mark makes of it. */
const MENDED: readonly (readonly [style: StyleId, rule: string, wrong: string, right: string])[] = [
  // Publication manual of the American Psychological Association, 7th edition, section 9.8, from memory.
  [
    "apa-7",
    "author-form",
    "I. K. Orrin, & Vale, T. (2004). Sounding. Estuary Letters, 11(2), 140–152.",
    "Orrin, I. K., & Vale, T. (2004). Sounding. Estuary Letters, 11(2), 140–152.",
  ],
  [
    "apa-7",
    "author-joining",
    "Orrin, I. K., and Vale, T. (2004). Sounding. Estuary Letters, 11(2), 140–152.",
    "Orrin, I. K., & Vale, T. (2004). Sounding. Estuary Letters, 11(2), 140–152.",
  ],
  [
    "apa-7",
    "entry-year",
    "Orrin, I. K. 2004. Sounding. Estuary Letters, 11(2), 140–152.",
    "Orrin, I. K. (2004). Sounding. Estuary Letters, 11(2), 140–152.",
  ],
  [
    "apa-7",
    "doi-form",
    "Orrin, I. K. (2004). Sounding. Estuary Letters, 11(2), 140–152. doi:10.5555/el.11",
    "Orrin, I. K. (2004). Sounding. Estuary Letters, 11(2), 140–152. https://doi.org/10.5555/el.11",
  ],
  [
    "apa-7",
    "entry-end",
    "Orrin, I. K. (2004). Sounding. Estuary Letters, 11(2). https://doi.org/10.5555/el.11.",
    "Orrin, I. K. (2004). Sounding. Estuary Letters, 11(2). https://doi.org/10.5555/el.11",
  ],
  [
    "apa-7",
    "publisher-place",
    "Penhale, R. (1981). The outer mole. Leetmoor: Harbour Press.",
    "Penhale, R. (1981). The outer mole. Harbour Press.",
  ],
  // Uniform requirements for manuscripts submitted to biomedical journals, from memory.
  [
    "vancouver",
    "page-range",
    "1. Orrin IK, Vale T. Sounding. Estuary Lett. 2004;11(2):140–152.",
    "1. Orrin IK, Vale T. Sounding. Estuary Lett. 2004;11(2):140–52.",
  ],
  [
    "vancouver",
    "author-form",
    "1. Orrin I. K., Vale T. Sounding. Estuary Lett. 2004;11(2):140–52.",
    "1. Orrin IK, Vale T. Sounding. Estuary Lett. 2004;11(2):140–52.",
  ],
  [
    "ama-11",
    "page-range",
    "1. Orrin IK, Vale T. Sounding. Estuary Lett. 2004;11(2):140–152.",
    "1. Orrin IK, Vale T. Sounding. Estuary Lett. 2004;11(2):140-152.",
  ],
  [
    "ieee",
    "author-form",
    "[1] Orrin, I. K. and T. Vale, “Sounding,” Estuary Lett., vol. 11, no. 2, pp. 140–152, 2004.",
    "[1] I. K. Orrin and T. Vale, “Sounding,” Estuary Lett., vol. 11, no. 2, pp. 140–152, 2004.",
  ],
  [
    "mla-9",
    "page-range",
    "Orrin, Ines. “Sounding.” Estuary Letters, vol. 11, no. 2, 2004, pp. 140–152.",
    "Orrin, Ines. “Sounding.” Estuary Letters, vol. 11, no. 2, 2004, pp. 140–52.",
  ],
  [
    "chicago-author-date",
    "volume-form",
    "Orrin, Ines. 2004. “Sounding.” Estuary Letters 11(2): 140–52.",
    "Orrin, Ines. 2004. “Sounding.” Estuary Letters 11 (2): 140–52.",
  ],
  [
    "harvard",
    "author-joining",
    "Orrin, I.K. & Vale, T. (2004) ‘Sounding’, Estuary Letters, 11(2), pp. 140–152.",
    "Orrin, I.K. and Vale, T. (2004) ‘Sounding’, Estuary Letters, 11(2), pp. 140–152.",
  ],
];

describe("a fault of an entry", () => {
  for (const [id, rule, wrong, right] of MENDED) {
    test(`is mended by ${rule}: ${wrong}`, () => {
      const [marks = []] = review([wrong], id);
      assert.deepEqual(
        marks.map((one) => one.rule),
        [rule],
      );
      assert.equal(applyEdits(wrong, [...(marks[0]?.edits ?? [])] as Edit[]), right);
    });
  }

  test("is not seen twice where the year is missing", () => {
    const [marks = []] = review(
      ["Orrin, I. K. Sounding. Estuary Letters, 11(2), 140–152."],
      "apa-7",
    );
    assert.deepEqual(
      marks.map(({ rule }) => rule),
      ["missing-field"],
    );
  });

  test("is no DOI without its prefix, by the syntax of ISO 26324", () => {
    const [marks = []] = review(
      ["Orrin, I. K. (2004). Sounding. Estuary Letters, 11(2). https://doi.org/10,5555/el.11"],
      "apa-7",
    );
    assert.deepEqual(
      marks.map(({ rule, edits }) => [rule, edits.length]),
      [["doi-form", 0]],
    );
  });
});

// The rule for second numbers of the Chicago manual, 17th edition, section 9.61; examples from memory.
const HUNDREDS = [
  ["3–10", "3–10"],
  ["71–72", "71–72"],
  ["100–104", "100–104"],
  ["107–108", "107–8"],
  ["321–328", "321–28"],
  ["1087–1089", "1087–89"],
] as const;

describe("second pages in the Chicago style", () => {
  for (const [written, right] of HUNDREDS) {
    test(`${written} is ${right}`, () => {
      const text = `Orrin, Ines. 2004. “Sounding.” Estuary Letters 11 (2): ${written}.`;
      const [marks = []] = review([text], "chicago-author-date");
      const mended = applyEdits(text, [...(marks[0]?.edits ?? [])] as Edit[]);
      assert.ok(mended.endsWith(`: ${right}.`), mended);
    });
  }
});
