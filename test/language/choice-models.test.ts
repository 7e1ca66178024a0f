import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import { ChoiceModels, formOf, numberForm } from "../../src/core/language/models/choice-models.ts";
import { ownerForm } from "../../src/core/language/models/mark-slots.ts";
import {
  type LearnedFeature,
  packWeights,
  SparseWeights,
} from "../../src/core/language/models/sparse-weights.ts";
import type { Trigrams } from "../../src/core/language/models/trigrams.ts";
import { respell } from "../../src/core/language/words/respell.ts";
import { WordClasses } from "../../src/core/language/words/word-classes.ts";
import { loadLanguage } from "../support/language.ts";
import { seeded } from "../support/random.ts";

const language = loadLanguage();
const file = path.resolve(import.meta.dirname, "../../data/choices-1.bin");

function better(text: string): string[] {
  const { choices, trigrams } = language;
  if (!choices || !trigrams) return [];
  return choices.better(readSentence(text, language), trigrams).map(({ model, best, from }) => {
    const { classes } = choices.models[model] ?? { classes: [] };
    return `${from}: ${classes[best]}`;
  });
}

describe("weights", () => {
  test("come back from their packed form as they went in", () => {
    const random = seeded(3);
    const features: LearnedFeature[] = [];
    const keys = new Set<number>();
    while (keys.size < 3000) keys.add(1 + Math.floor(random() * 4294967294));
    for (const key of keys) {
      const classes = [0, 1, 2].filter(() => random() < 0.6);
      if (classes.length === 0) continue;
      features.push({ key, classes, values: classes.map(() => Math.floor(random() * 254) - 127) });
    }
    const wanted = features.map((one) => ({ ...one }));
    const { bytes, sizes } = packWeights(features);
    const weights = new SparseWeights(bytes, sizes);
    for (const { key, classes, values } of wanted) {
      const scores = new Int32Array(3);
      weights.add(scores, key | 0);
      for (const [index, one] of classes.entries()) assert.equal(scores[one], values[index]);
    }
    assert.throws(() => new SparseWeights(bytes.subarray(0, 100), sizes), RangeError);
  });
});

describe("the choice models", () => {
  test("hold at least 120 sets of words, and one model of every other kind", () => {
    const models = language.choices?.models ?? [];
    assert.ok(models.filter(({ kind }) => kind === "words").length >= 120);
    for (const kind of ["number", "form", "article", "stop", "owner"]) {
      assert.equal(models.filter((model) => model.kind === kind).length, 1, kind);
    }
  });

  test("know a right word in the wrong place, and leave the right one", () => {
    assert.ok(better("The letter came form the office.").includes("3: from"));
    assert.deepEqual(better("The letter came from the office."), []);
    assert.ok(better("They new the tides well.").includes("1: knew"));
  });

  test("refuse a file that is none", () => {
    const bytes = new Uint8Array(readFileSync(file));
    assert.throws(() => new ChoiceModels(bytes.subarray(0, 4), language.words), RangeError);
    const other = bytes.slice();
    other[0] = 1;
    assert.throws(() => new ChoiceModels(other, language.words), RangeError);
  });

  test("name the other number and the other forms of a verb", () => {
    const { words } = language;
    assert.equal(numberForm("was", false, words), "were");
    assert.equal(numberForm("carries", false, words), "carry");
    assert.equal(numberForm("go", true, words), "goes");
    assert.deepEqual(
      [0, 2, 3, 4, 5].map((form) => formOf("wrote", form, words)),
      ["write", "writes", "wrote", "written", "writing"],
    );
    assert.equal(formOf("read", 3, words), "read");
  });
});

describe("the models of marks", () => {
  const kinds = (text: string) => better(text).map((one) => one.replace(/^\d+: /, ""));

  test("find where a sentence ends without its stop, and leave names alone", () => {
    assert.deepEqual(
      kinds("They carried the lamp down to the boat The harbour was dark by then."),
      ["stop"],
    );
    assert.deepEqual(kinds("They carried the lamp to Mary and the keeper of Gannet Head."), []);
  });

  test("tell a plural from an owner", () => {
    assert.deepEqual(kinds("Her husbands brother came home."), ["owner"]);
    assert.deepEqual(kinds("Three lamps were found under the stairs."), []);
    assert.deepEqual(kinds("All the boat's were out at sea that night."), ["plural"]);
  });

  test("spell the noun as each has it", () => {
    const { words } = language;
    assert.equal(ownerForm("ladies", true, words), "lady's");
    assert.equal(ownerForm("lady", false, words), "ladies");
  });
});

describe("word classes", () => {
  test("put words of the same company together", () => {
    const { words } = language;
    const kin = (form: string) => words.word(form).kin;
    assert.notEqual(kin("monday"), 0);
    assert.equal(kin("monday"), kin("thursday"));
    assert.notEqual(kin("monday"), kin("walked"));
    assert.equal(kin("xqzzt"), 0);
  });

  test("refuse bytes that do not fit the words", () => {
    assert.throws(
      () => new WordClasses(new Uint8Array(12), language.trigrams as Trigrams),
      RangeError,
    );
  });
});

describe("a text in US spelling", () => {
  test("is spelled as the other varieties spell it", () => {
    const text = "Analyze the color of the center; Organize it.";
    const { lexicon } = language;
    assert.equal(respell(text, "en-US", lexicon), text);
    assert.equal(respell(text, "en-GB", lexicon), "Analyse the colour of the centre; Organise it.");
    assert.match(respell(text, "en-GB-oxendict", lexicon), /^Analyse.+colour.+Organize/);
  });
});
