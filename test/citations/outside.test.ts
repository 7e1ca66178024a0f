import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { MOST_ASKED, NOTICE_KINDS } from "../../src/core/citations/outside/asking.ts";
import { differencesOf } from "../../src/core/citations/outside/differences.ts";
import { readEntry } from "../../src/core/citations/read-entry.ts";
import { styleOf } from "../../src/core/citations/styles/styles.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { askedIn } from "../../src/server/asked.ts";
import { findNotices, findWorks } from "../../src/server/works.ts";

const APA = styleOf("apa-7");
const SOUNDER = {
  title: "Sounding lead and echo sounder on a soft bottom: a comparison",
  author: "Orrin",
  year: 2004,
};

describe("the index that stands in", () => {
  test("finds a work by title, first author and year, though a letter or a year be wrong", async () => {
    const [right, near, off, other] = await findWorks([
      SOUNDER,
      { ...SOUNDER, author: "Orin" },
      { ...SOUNDER, year: 2005 },
      { title: "A work that nobody wrote", author: "Nobody", year: 2004 },
    ]);
    assert.equal(right?.doi, "10.5555/ghto.11.40");
    assert.deepEqual(near, right);
    assert.deepEqual(off, right);
    assert.equal(other, null);
  });

  test("has notices on some works and none on most", async () => {
    const [retracted = [], none = []] = await findNotices([
      { title: "Seven years of the sand trap at Port Carrow", author: "Teesdale", year: 2019 },
      SOUNDER,
    ]);
    assert.deepEqual(
      retracted.map(({ kind }) => kind),
      ["retracted"],
    );
    assert.deepEqual(none, []);
    assert.equal(NOTICE_KINDS[0], "retracted");
  });

  test("answers only questions about works, and not too many at once", async () => {
    const ask = (body: string) =>
      askedIn(new Request("http://localhost/api/works", { method: "POST", body }));
    const good = await ask(JSON.stringify({ works: [SOUNDER] }));
    assert.ok(Array.isArray(good));
    for (const body of [
      "",
      "[]",
      '{"works":[{}]}',
      JSON.stringify({ works: Array(MOST_ASKED + 1).fill(SOUNDER) }),
    ]) {
      const bad = await ask(body);
      assert.ok(bad instanceof Response && bad.status === 400, body.slice(0, 20));
      assert.equal(bad.headers.get("content-type"), "application/problem+json");
    }
    const long = await ask(" ".repeat(500_000));
    assert.ok(long instanceof Response && long.status === 413);
  });
});

describe("an entry beside what an index has", () => {
  const text =
    "Orrin, I., & Vale, T. (2005). Sounding lead and echo sounder. Estuary Letters, 11, 40–53.";
  const entry = readEntry(text, APA);
  const work = {
    authors: [
      { family: "Orrin", given: "Ines" },
      { family: "Vane", given: "Tobias" },
    ],
    year: 2004,
    title: "Sounding lead and echo sounder",
    container: "Estuary Letters",
    volume: "11",
    pages: "40–52",
    doi: "10.5555/el.11.40",
  };
  const found = differencesOf(entry, work, entry.authors?.names ?? [], APA);

  test("differs field by field", () => {
    assert.deepEqual(
      found.map(({ field }) => field),
      ["authors", "year", "DOI", "pages"],
    );
  });

  test("is right when every difference is put in", () => {
    const edits = found.flatMap(({ edit }) => (edit ? [edit] : [])).sort((a, b) => a.from - b.from);
    assert.equal(
      applyEdits(text, edits),
      "Orrin, I., & Vane, T. (2004). Sounding lead and echo sounder. Estuary Letters, 11, 40–52. https://doi.org/10.5555/el.11.40",
    );
  });

  test("agrees where it is shortened as its style shortens", () => {
    const short = "1. Orrin IK, Vale T. Sounding lead. Estuary Lett. 2004;11(2):140–52.";
    const read = readEntry(short, styleOf("vancouver"));
    const whole = {
      authors: [
        { family: "Orrin", given: "Ines" },
        { family: "Vale", given: "Tobias" },
      ],
      year: 2004,
      title: "Sounding lead",
      container: "Estuary Letters",
      volume: "11",
      issue: "2",
      pages: "140–152",
    };
    assert.deepEqual(
      differencesOf(read, whole, read.authors?.names ?? [], styleOf("vancouver")),
      [],
    );
  });
});
