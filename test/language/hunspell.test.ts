import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import { describe, test } from "node:test";
import dictionaryDe from "dictionary-de";
import dictionaryUs from "dictionary-en";
import dictionaryAu from "dictionary-en-au";
import dictionaryCa from "dictionary-en-ca";
import dictionaryGb from "dictionary-en-gb";
import nspell from "nspell";
import { hunspellVerdicts, wordsAndSlips } from "../../scripts/corpus/hunspell-command.ts";
import { decodeDictionary } from "../../src/core/language/hunspell/decode.ts";
import { HunspellDictionary } from "../../src/core/language/hunspell/dictionary.ts";
import { wordForms } from "../../src/core/language/hunspell/forms.ts";
import { loadLanguage } from "../support/language.ts";

/** The verdicts on words by the rules of a small dictionary, each named for what it shows. */
function verdicts(aff: string, stems: readonly string[], words: readonly string[]): string[] {
  const dictionary = new HunspellDictionary(aff, `${stems.length}\n${stems.join("\n")}\n`);
  return words.filter((word) => dictionary.accepts(word));
}

/** What each feature does is told by the manual page hunspell(5). */
describe("a Hunspell-format dictionary", () => {
  test("puts suffixes and prefixes on, alone and together, where their conditions fit", () => {
    const aff = `SET UTF-8
PFX U Y 1
PFX U 0 un .
SFX D Y 2
SFX D 0 ed [^ey]
SFX D y ied [^aeiou]y
SFX N N 1
SFX N 0 ness .`;
    assert.deepEqual(
      verdicts(
        aff,
        ["moor/UD", "carry/D", "still/UN"],
        ["moored", "unmoored", "carried", "carryed", "stillness", "unstillness", "unstill"],
      ),
      ["moored", "unmoored", "carried", "stillness", "unstill"],
    );
  });

  test("reads flags of every kind, and aliases", () => {
    const rule = (flag: string) => `SFX ${flag} Y 1\nSFX ${flag} 0 s .`;
    assert.deepEqual(verdicts(`FLAG long\n${rule("Zz")}`, ["ebb/Zz"], ["ebbs", "ebb"]), [
      "ebbs",
      "ebb",
    ]);
    assert.deepEqual(verdicts(`FLAG num\n${rule("999")}`, ["ebb/999"], ["ebbs"]), ["ebbs"]);
    assert.deepEqual(verdicts(`FLAG UTF-8\n${rule("Ü")}`, ["ebb/Ü"], ["ebbs"]), ["ebbs"]);
    assert.deepEqual(verdicts(`AF 1\nAF A\n${rule("A")}`, ["ebb/1"], ["ebbs"]), ["ebbs"]);
  });

  test("puts a second suffix on a first, and knows stems that need an affix", () => {
    const aff = `NEEDAFFIX X
SFX A Y 1
SFX A 0 er/B .
SFX B Y 1
SFX B 0 s .`;
    assert.deepEqual(
      verdicts(aff, ["moor/A", "pseudo/XA"], ["moorers", "moors", "pseudo", "pseudoer"]),
      ["moorers", "pseudoer"],
    );
  });

  test("forbids words, keeps case, and wants both sides of a circumfix", () => {
    assert.deepEqual(
      verdicts(
        "FORBIDDENWORD F\nKEEPCASE K\nSFX S Y 1\nSFX S 0 s .",
        ["tide/S", "tides/F", "mm/K"],
        ["tide", "tides", "mm", "MM", "TIDE"],
      ),
      ["tide", "mm", "TIDE"],
    );
    const circumfix = `CIRCUMFIX X
PFX A Y 1
PFX A 0 ge/X .
SFX B Y 2
SFX B 0 t/XA .
SFX B 0 e .`;
    assert.deepEqual(verdicts(circumfix, ["mess/B"], ["gemesst", "messt", "gemess", "messe"]), [
      "gemesst",
      "messe",
    ]);
  });

  test("makes compounds of marked parts, long enough, and by rules", () => {
    const aff = "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nONLYINCOMPOUND O";
    assert.deepEqual(
      verdicts(
        aff,
        ["tide/C", "gauge/C", "ebb", "fugen/CO"],
        ["tidegauge", "tideebb", "fugen", "tidefugengauge"],
      ),
      ["tidegauge", "tidefugengauge"],
    );
    const ordinals = "COMPOUNDMIN 1\nCOMPOUNDRULE 1\nCOMPOUNDRULE n*t\nONLYINCOMPOUND c";
    assert.deepEqual(
      verdicts(ordinals, ["1/n", "2/n", "0th/tc"], ["120th", "0th", "12", "1x0th"]),
      ["120th", "12"],
    );
  });

  test("checks compounds for doubled parts, triple letters, cases and patterns", () => {
    const base = "COMPOUNDMIN 3\nCOMPOUNDFLAG C\n";
    assert.deepEqual(
      verdicts(`${base}CHECKCOMPOUNDDUP`, ["foo/C", "bar/C"], ["foofoo", "foobar"]),
      ["foobar"],
    );
    assert.deepEqual(
      verdicts(
        `${base}CHECKCOMPOUNDTRIPLE`,
        ["ross/C", "see/C", "bass/C"],
        ["rosssee", "basssee", "seebass"],
      ),
      ["seebass"],
    );
    assert.deepEqual(
      verdicts(
        `${base}CHECKCOMPOUNDPATTERN 1\nCHECKCOMPOUNDPATTERN a b`,
        ["tida/C", "boat/C", "ebb/C"],
        ["tidaboat", "boatebb"],
      ),
      ["boatebb"],
    );
  });

  test("breaks words, converts what comes in, ignores signs, and reads the sharp s", () => {
    assert.deepEqual(verdicts("", ["ebb", "flow"], ["ebb-flow", "ebb-flw"]), ["ebb-flow"]);
    assert.deepEqual(verdicts("BREAK 0", ["ebb", "flow"], ["ebb-flow"]), []);
    assert.deepEqual(verdicts("ICONV 1\nICONV ’ '", ["tide's"], ["tide’s"]), ["tide’s"]);
    assert.deepEqual(verdicts("SET UTF-8\nIGNORE \u00ad", ["tide"], ["ti\u00adde"]), [
      "ti\u00adde",
    ]);
    assert.deepEqual(verdicts("SET UTF-8\nCHECKSHARPS\nKEEPCASE K", ["müßig"], ["MÜSSIG"]), [
      "MÜSSIG",
    ]);
  });

  test("is decoded by the encoding it names", () => {
    const latin = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
    const { dic } = decodeDictionary(latin("SET ISO8859-1\n"), latin("1\ncaf\u00e9\n"));
    assert.equal(dic, "1\ncafé\n");
    const cyrillic = decodeDictionary(latin("SET KOI8-R\n"), Uint8Array.of(0x31, 0x0a, 0xd0));
    assert.equal(cyrillic.dic, "1\nп");
    assert.throws(() => decodeDictionary(latin("SET MARTIAN-1\n"), latin("1\n")), /MARTIAN/i);
  });

  test("makes exactly the forms that nspell makes of the American dictionary", () => {
    const files = { aff: Buffer.from(dictionaryUs.aff), dic: Buffer.from(dictionaryUs.dic) };
    const ours = new HunspellDictionary(files.aff.toString("utf8"), files.dic.toString("utf8"));
    const speller = nspell(files);
    let count = 0;
    for (const { word } of wordForms(ours)) {
      if (++count % 23 !== 0) continue;
      assert.ok(ours.accepts(word) && speller.correct(word), word);
    }
    assert.ok(count > 120_000);
  });
});

describe("beside the hunspell command", () => {
  const { lexicon } = loadLanguage();
  const english = [...lexicon.words()].map(({ word }) => word);
  const german = () => readFileSync("/usr/share/dict/ngerman", "utf8").split("\n");
  for (const [name, files, words, count] of [
    ["American", dictionaryUs, () => english, 8000],
    ["British", dictionaryGb, () => english, 8000],
    ["Canadian", dictionaryCa, () => english, 8000],
    ["Australian", dictionaryAu, () => english, 8000],
    ["German", dictionaryDe, german, 3000],
  ] as const) {
    test(`the ${name} dictionary gives the same verdict on every word`, () => {
      const asked = wordsAndSlips(words(), count);
      const answers = hunspellVerdicts(files, asked);
      assert.ok(answers, "install the package hunspell");
      const ours = new HunspellDictionary(
        Buffer.from(files.aff).toString("utf8"),
        Buffer.from(files.dic).toString("utf8"),
      );
      assert.deepEqual(
        asked.filter((word, index) => ours.accepts(word) !== answers[index]),
        [],
      );
      const known = answers.filter((answer) => answer).length;
      assert.ok(known > count / 4 && known < (count * 3) / 4, `${known} of ${count} known`);
    });
  }
});
