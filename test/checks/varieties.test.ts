import assert from "node:assert/strict";
import { createRequire } from "node:module";
import { describe, test } from "node:test";
import { checkText } from "../../src/command/checking.ts";
import { guessVariety } from "../../src/core/language/text/variety.ts";
import { judgeWord } from "../../src/core/language/words/known.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { VARIETIES, type Variety } from "../../src/core/manuscript/model.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

function marked(text: string, variety: Variety): string[] {
  const options = { variety, kind: "report", passes: ["spelling"] } as const;
  return checkText(linesManuscript(text), language, options).marks.map(
    ({ text: word, weight }) => `${word}:${weight}`,
  );
}

describe("words of another variety", () => {
  const TEXT = "The colour of the theatre was analysed; we organise and catalogue it.";

  test("are marked in the varieties that spell them otherwise, and in no other", () => {
    assert.deepEqual(marked(TEXT, "en-GB"), []);
    assert.deepEqual(marked(TEXT, "en-AU"), []);
    assert.deepEqual(marked(TEXT, "en-GB-oxendict"), ["organise:settle"]);
    const american = marked(TEXT, "en-US");
    for (const word of ["colour", "theatre", "analysed", "organise"]) {
      assert.ok(american.includes(`${word}:settle`), word);
    }
  });

  test("with a capital inside a sentence are parts of names", () => {
    assert.deepEqual(marked("It was played at the Harbor Theater in town.", "en-GB"), []);
    assert.equal(marked("Harbor walls are old.", "en-GB").length, 1);
  });

  test("that are other words for the same thing are advice, either way", () => {
    assert.deepEqual(marked("The lorry ran out of petrol.", "en-US"), [
      "lorry:weigh",
      "petrol:weigh",
    ]);
    assert.deepEqual(marked("The faucet and the sidewalk.", "en-GB"), [
      "faucet:weigh",
      "sidewalk:weigh",
    ]);
    assert.deepEqual(marked("The lorry ran out of petrol.", "en-GB"), []);
  });

  test("are offered in the spelling of the document", () => {
    const options = { variety: "en-GB", kind: "report", passes: ["spelling"] } as const;
    const { marks } = checkText(linesManuscript("The color of the harbor."), language, options);
    assert.deepEqual(
      marks.map(({ choices }) => choices[0]?.label),
      ["colour", "harbour"],
    );
  });

  test("agree with a published list of American and British spellings", () => {
    const require = createRequire(import.meta.url);
    // The package american-british-english-translator (MIT).
    const spellings =
      require("american-british-english-translator/data/american_spellings.json") as Record<
        string,
        string
      >;
    let compared = 0;
    let agreed = 0;
    for (const [american, british] of Object.entries(spellings)) {
      if (!/^[a-z]+$/.test(american) || !/^[a-z]+$/.test(british)) continue;
      const us = judgeWord(american, language.lexicon, "en-US");
      const gb = judgeWord(british, language.lexicon, "en-GB");
      if (us === "unknown" || gb === "unknown") continue;
      compared++;
      if (us === "known" && gb === "known") agreed++;
    }
    assert.ok(compared > 1000, String(compared));
    assert.ok(agreed / compared > 0.9, `${agreed} of ${compared}`);
  });
});

describe("the variety of a text", () => {
  const guess = (text: string) => guessVariety(text, language.lexicon, "en-US");

  test("is the one whose dictionary lacks the fewest of its telling words", () => {
    assert.equal(guess("The color of the harbor at the center was analyzed."), "en-US");
    assert.equal(guess("The colour of the harbour was organised and analysed."), "en-GB");
    assert.equal(guess("The colour of the harbour was organized and analysed."), "en-GB-oxendict");
  });

  test("shows in capitals, rare words and words of one side", () => {
    assert.equal(guess("Harbour Fees and Mooring"), "en-GB");
    assert.equal(guess("We were away for a fortnight, whilst the lorry stood here."), "en-GB");
    const british = (text: string) => guessVariety(text, language.lexicon, "en-GB");
    assert.equal(british("He had gotten as far as the sidewalk."), "en-US");
  });

  test("shows in dates, titles, sums, addresses and the points of quotations", () => {
    for (const text of [
      "The mole was closed on 12 March and on 3rd May.",
      "Mr Quill and Mrs Tarn came by the noon boat.",
      "The lamp was called “the old lady”, and nobody knew why.",
      "It cost £40 at the quay.",
      "Boats leave at 6.30 pm.",
      "Write to the tower, Leetmoor LM4 2QT.",
    ]) {
      assert.equal(guess(text), "en-GB", text);
    }
    for (const text of [
      "The mole was closed on March 12, 1998.",
      "Mr. Quill and Mrs. Tarn came by the noon boat.",
      "Write to the tower, Leetmoor, MA 02139.",
    ]) {
      assert.equal(guessVariety(text, language.lexicon, "en-GB"), "en-US", text);
    }
  });

  test("does not show in names", () => {
    assert.equal(guess("We met Ms. Grey at Skerra Harbour and the Odeon Theatre."), "en-US");
  });

  test("speaks less against Canada, which shares habits of both", () => {
    const canadian = (text: string) => guessVariety(text, language.lexicon, "en-CA");
    assert.equal(canadian("The colour of the harbour on March 12, 1998."), "en-CA");
  });

  test("is the fallback where nothing tells", () => {
    for (const variety of VARIETIES) {
      assert.equal(guessVariety("The tide turns at noon.", language.lexicon, variety), variety);
    }
  });
});
