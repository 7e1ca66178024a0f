import assert from "node:assert/strict";
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { automatedReadability } from "automated-readability";
import { colemanLiau } from "coleman-liau";
import { daleChallFormula } from "dale-chall-formula";
import { flesch } from "flesch";
import { fleschKincaid } from "flesch-kincaid";
import { gunningFog } from "gunning-fog";
import { smogFormula } from "smog-formula";
import { spacheFormula } from "spache-formula";
import { brownTexts } from "../../scripts/corpus/brown.ts";
import {
  gradeSpread,
  MEASURES,
  type Measure,
  type MeasureCounts,
  type MeasureId,
  measuresOf,
} from "../../src/core/readings/measures.ts";
import { reading } from "../support/reading.ts";

const ROOT = path.resolve(import.meta.dirname, "../..");

function folderTexts(folder: string): string[] {
  const place = path.join(ROOT, folder);
  return readdirSync(place)
    .filter((name) => /\.(?:txt|md)$/.test(name))
    .map((name) => readFileSync(path.join(place, name), "utf8"));
}

/** Texts of many kinds: the demo's, clean ones and those of many writers, and 20 of the Brown corpus. */
const TEXTS = [
  ...folderTexts("demo/sources"),
  ...folderTexts("bench/data/clean"),
  ...folderTexts("bench/data/writers").map((text) => text.replace(/\{([^|}]*)\|[^}]*\}/g, "$1")),
  ...brownTexts()
    .filter(({ part }) => part === "tune")
    .slice(0, 20)
    .map(({ blocks }) => blocks.map(({ text }) => text).join("\n\n")),
];

/** The formula packages of the registry, given the same counts. */
const PACKAGES: Partial<Record<MeasureId, (counts: MeasureCounts) => number>> = {
  flesch: ({ words: word, sentences: sentence, syllables: syllable }) =>
    flesch({ word, sentence, syllable }),
  "flesch-kincaid": ({ words: word, sentences: sentence, syllables: syllable }) =>
    fleschKincaid({ word, sentence, syllable }),
  "gunning-fog": ({ words: word, sentences: sentence, complexWords }) =>
    gunningFog({ word, sentence, complexPolysillabicWord: complexWords }),
  smog: ({ sentences: sentence, polysyllables }) =>
    smogFormula({ sentence, polysillabicWord: polysyllables }),
  "coleman-liau": ({ words: word, sentences: sentence, letters: letter }) =>
    colemanLiau({ word, sentence, letter }),
  "automated-readability": ({ words: word, sentences: sentence, characters: character }) =>
    automatedReadability({ word, sentence, character }),
  "dale-chall": ({ words: word, sentences: sentence, difficultWords: difficultWord }) =>
    daleChallFormula({ word, sentence, difficultWord }),
  spache: ({ words: word, sentences: sentence, unfamiliarWords: unfamiliarWord }) =>
    spacheFormula({ word, sentence, unfamiliarWord }),
};

const measured = (measures: readonly Measure[], id: MeasureId) =>
  measures.find((one) => one.id === id)?.value ?? null;

describe("measures", () => {
  test(`give what the formula packages give of the same counts, on ${TEXTS.length} texts`, () => {
    assert.ok(TEXTS.length >= 60);
    let compared = 0;
    for (const text of TEXTS) {
      const { counts, measures } = reading(text);
      for (const { id, value } of measures) {
        const theirs = PACKAGES[id]?.(counts);
        if (value === null || theirs === undefined) continue;
        assert.ok(Math.abs(value - theirs) < 1e-9, `${id}: ${value}, ${theirs}`);
        compared++;
      }
    }
    assert.ok(compared > 7 * TEXTS.length);
  });

  const SOME: MeasureCounts = {
    words: 500,
    sentences: 25,
    letters: 2300,
    characters: 2340,
    syllables: 750,
    polysyllables: 60,
    complexWords: 50,
    longWords: 100,
    difficultWords: 75,
    unfamiliarWords: 80,
  };

  /** Worked by hand from the formulas as published: Björnsson 1968, Anderson 1983, O'Hayre 1966. */
  test("without a package are those of the published formulas, worked by hand", () => {
    const measures = measuresOf(SOME);
    assert.equal(measured(measures, "lix"), 500 / 25 + 20);
    assert.equal(measured(measures, "rix"), 4);
    // (500 + 2 × 60) ÷ 25 = 24.8, over 20: halved.
    assert.equal(measured(measures, "linsear-write"), 12.4);
    const easy = measuresOf({ ...SOME, polysyllables: 0, sentences: 50 });
    // 500 ÷ 50 = 10, up to 20: halved, less 1.
    assert.equal(measured(easy, "linsear-write"), 4);
  });

  /** Coleman and Liau 1975 and McLaughlin 1969, as often quoted; from memory. */
  test("come to the figures of the examples that are quoted of them", () => {
    // 119 words, 639 letters, 5 sentences: the index is 14.5.
    const coleman = measuresOf({ ...SOME, words: 119, letters: 639, sentences: 5 });
    assert.equal(measured(coleman, "coleman-liau")?.toFixed(1), "14.5");
    // SMOG's own table gives grade 10 for 43 to 56 polysyllables in 30 sentences.
    const smog = (polysyllables: number) =>
      measured(measuresOf({ ...SOME, sentences: 30, polysyllables }), "smog") ?? 0;
    assert.equal(Math.round(smog(43)), 10);
    assert.equal(Math.round(smog(56)), 11);
  });

  /** Of one sentence each; quoted in encyclopaedias as examples of Flesch's measure; from memory. */
  test("of standard sentences from their own text are those that are quoted", () => {
    const ease = (text: string) => measured(reading(text).measures, "flesch") ?? 0;
    assert.ok(Math.abs(ease("The cat sat on the mat.") - 116.145) < 0.005);
    assert.ok(
      Math.abs(
        ease(
          "This sentence, taken as a reading passage unto itself, is being used to prove a point.",
        ) - 69,
      ) < 1,
    );
    assert.ok(
      Math.abs(
        ease("The Australian platypus is seemingly a hybrid of a mammal and reptilian creature.") -
          37.5,
      ) < 0.5,
    );
  });

  test("are not told of a text that is too short for them", () => {
    const short = measuresOf({ ...SOME, sentences: 29, words: 99 });
    assert.equal(measured(short, "smog"), null);
    assert.equal(measured(short, "linsear-write"), null);
    assert.notEqual(measured(short, "flesch"), null);
    const none = measuresOf({ ...SOME, sentences: 0, words: 0 });
    assert.ok(none.every(({ value }) => value === null));
    assert.deepEqual(short.find(({ id }) => id === "smog")?.inputs, {
      sentences: 29,
      polysyllables: 60,
    });
  });

  test("say what they are made of, what they mean and what not", () => {
    for (const card of MEASURES) {
      assert.match(card.source, /\d{4}/, card.id);
      assert.match(card.means, /\.$/);
      assert.match(card.beyond, /\.$/);
      const inputs = card.inputs.filter((name) => SOME[name] !== undefined);
      assert.equal(inputs.length, card.inputs.length);
      // A measure depends on each of its inputs and on nothing else.
      const base = { ...SOME, sentences: 40 };
      for (const name of Object.keys(base) as (keyof MeasureCounts)[]) {
        const other = card.value({ ...base, [name]: base[name] + 7 });
        assert.equal(other !== card.value(base), card.inputs.includes(name), `${card.id} ${name}`);
      }
    }
  });

  test("in grades are told by their spread, not by one of them", () => {
    const spread = gradeSpread(measuresOf({ ...SOME, sentences: 30 }));
    assert.equal(spread?.measures, 6);
    assert.ok(spread && spread.lowest <= spread.median && spread.median <= spread.highest);
    assert.equal(gradeSpread(measuresOf({ ...SOME, sentences: 29 }))?.measures, 5);
    assert.equal(gradeSpread([]), null);
    const one = [{ id: "gunning-fog", value: 9, inputs: {} }] as const;
    assert.deepEqual(gradeSpread(one), { lowest: 9, highest: 9, median: 9, measures: 1 });
  });
});
