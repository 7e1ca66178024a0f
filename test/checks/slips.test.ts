import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Kind } from "../../src/core/manuscript/model.ts";
import { engineOf } from "../support/engines.ts";

function marked(text: string, kind: Kind = "report"): string[] {
  const engine = engineOf(text, { variety: "en-US", kind }, ["spelling"]);
  return engine.allMarks().map((mark) => `${mark.text}:${mark.weight}`);
}

/** The word in a sentence in which nothing else speaks for or against it. */
const alone = (word: string) => marked(`They spoke of the ${word} at length that day.`);

describe("a word that no dictionary has is a slip", () => {
  for (const word of ["goverment", "seperate", "definately", "implementaion", "enviroment"]) {
    test(`where it is near a known one: ${word}`, () =>
      assert.deepEqual(alone(word), [`${word}:fix`]));
  }

  test("where it is long and one letter off, however unlikely the letter", () => {
    assert.deepEqual(alone("expressqon"), ["expressqon:fix"]);
    assert.deepEqual(alone("tempwrature"), ["tempwrature:fix"]);
  });

  test("each time it is made, where the word meant is a common one", () => {
    assert.deepEqual(marked("It was recieved. He recieved it. They recieved it."), [
      "recieved:fix",
      "recieved:fix",
      "recieved:fix",
    ]);
  });
});

describe("letters out of step", () => {
  // The commonest slips of touch typists: neighbours swapped, once or twice; common practice.
  for (const word of ["hwihc", "jstu", "ahev", "owudl", "tkae", "omre", "abotu", "fidn"]) {
    test(`make a slip of an everyday word: ${word}`, () =>
      assert.deepEqual(marked(`They ${word} came to the tower that day.`), [`${word}:fix`]));
  }

  test("make none of a rare one", () => {
    assert.deepEqual(marked("They saw an ocleto there.", "specification"), []);
  });
});

describe("a word written by ear", () => {
  for (const word of ["sycology", "fotograf", "shampain", "kwestion"]) {
    test(`is a slip: ${word}`, () => assert.deepEqual(alone(word), [`${word}:fix`]));
  }
});

describe("what signs tie to something is its name", () => {
  for (const text of [
    "The criss-crozz pattern was read.",
    "They wrote to gauge-develp about it.",
    "nargz: how many there are.",
    "It says I<c>ontrol there.",
    "Ask @gaugekeper about it.",
  ]) {
    test(text, () =>
      assert.deepEqual(
        marked(text).filter((one) => one.endsWith(":fix")),
        [],
      ),
    );
  }

  test("a prefix is no name", () => {
    assert.deepEqual(marked("It was re-recieved today."), ["recieved:fix"]);
  });
});

describe("a word that no dictionary has is let alone", () => {
  test("where many texts use it", () => {
    for (const word of ["hostname", "filesystem", "GitHub", "dropdown", "filesystems"]) {
      assert.deepEqual(alone(word), [], word);
    }
  });

  test("where it is made from known words", () => {
    for (const word of ["logfile", "tidewatcher"]) assert.deepEqual(alone(word), []);
  });

  test("where no word is near", () => assert.deepEqual(alone("velouchine"), []));

  test("where it is joined to another, or stands in a list of them", () => {
    assert.deepEqual(marked("It needs libgauge-devq to run well on the shore."), []);
    assert.deepEqual(marked("We use lodrum, gtidep, twlogr and xgaugec for it."), []);
  });

  test("where a letter is set apart or not said", () => {
    assert.deepEqual(marked("He wrote that “[f]rom the start” it was so."), []);
    assert.deepEqual(marked("He was talkin’ about the tides again."), []);
  });

  test("or asked about, where the copy is technical and the slip no habitual one", () => {
    assert.deepEqual(marked("Run it with prinf at the end.", "general"), ["prinf:fix"]);
    assert.deepEqual(marked("Run it with prinf at the end.", "specification"), ["prinf:settle"]);
  });
});

describe("a short word, or one made of two, is a slip", () => {
  for (const word of ["eror", "isue", "inot", "sumbit"]) {
    test(`by a habit of the fingers: ${word}`, () =>
      assert.deepEqual(alone(word), [`${word}:fix`]));
  }

  test("by an unlikely letter it is none", () => {
    assert.deepEqual(alone("eroz"), []);
  });
});

describe("a habitual slip is told", () => {
  for (const word of ["adress", "aquire", "droped", "unecessary", "speach", "exelent"]) {
    test(`though a whole word follows its first letter, or it is two edits away: ${word}`, () =>
      assert.deepEqual(alone(word), [`${word}:fix`]));
  }

  test("for a day or a month in small letters", () => {
    assert.deepEqual(alone("febuary"), ["febuary:fix"]);
  });

  test("two unlikely edits of a long common word are asked about", () => {
    assert.deepEqual(alone("maintainance"), ["maintainance:settle"]);
  });

  test("where a sentence has several, which makes it no other language", () => {
    const words = "goverment publised seperate anouncement".split(" ");
    assert.deepEqual(
      marked("The goverment publised a seperate anouncement.", "general"),
      words.map((word) => `${word}:fix`),
    );
    assert.deepEqual(
      marked("Der Bericht wurde vom Direktor des Instituts im Februar publiziert.", "general"),
      [],
    );
  });

  test("where two stand side by side, which are no species", () => {
    const found = marked("A concious desision was made at the station.", "general");
    assert.deepEqual(found, ["concious:fix", "desision:fix"]);
  });
});

describe("a name of the trade is no slip", () => {
  const isNoFix = (text: string, kind: Kind = "general") =>
    assert.deepEqual(
      marked(text, kind).filter((one) => one.endsWith(":fix")),
      [],
      text,
    );

  test("where a letter goes ahead of a whole word, as programs are named", () => {
    isNoFix("To compile it you need gmake on the station’s own machine.");
    isNoFix("They spoke of umount and sdiff at length that day.");
    // A letter typed twice is a slip all the same, and so is a vowel left out.
    assert.deepEqual(alone("tthrough"), ["tthrough:fix"]);
    assert.deepEqual(alone("rmember"), ["rmember:fix"]);
  });

  test("where it is a name in small letters", () => {
    isNoFix("On each push a jenkins job is started on the server.");
  });

  test("where a hyphen joins it to another name, or it labels what follows", () => {
    isNoFix("That now also enables qtide-importd on the server.");
    isNoFix("[30151] resolv: the queries are sent one by one.");
  });

  test("where it is built from known words", () => {
    isNoFix("The names of sections are lowercased before they are compared.");
    isNoFix("The path to the folder was misspelt.");
    assert.deepEqual(alone("occured"), ["occured:fix"]);
  });

  test("where it is one of a list of abbreviations", () => {
    assert.deepEqual(
      marked("It speaks FTP, IMAPS, LDAPS, RTMP and SMTP to the station.", "general"),
      [],
    );
  });
});
