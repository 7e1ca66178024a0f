import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { brownTexts } from "../../scripts/corpus/brown.ts";
import {
  ERROR_KINDS,
  errorsIn,
  type PlantedError,
  plantErrors,
} from "../../scripts/corpus/planted-errors.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { loadLanguage } from "../support/language.ts";
import { seeded } from "../support/random.ts";

const language = loadLanguage();
const texts = brownTexts()
  .filter(({ part }) => part === "train")
  .slice(0, 20);

const before = ({ text, block, from, to }: PlantedError) =>
  text.blocks[block]?.text.slice(from, to) ?? "";

describe("errors planted in clean text", () => {
  const planted = plantErrors(texts, language, 12, seeded(5));

  test("are of every kind, and each changes its paragraph", () => {
    for (const kind of ERROR_KINDS) {
      const own = planted.filter((error) => error.kind === kind);
      assert.ok(own.length > 0, kind);
      for (const error of own) {
        const clean = error.text.blocks[error.block]?.text ?? "";
        assert.notEqual(applyEdits(clean, [error]), clean);
        assert.ok(error.from >= 0 && error.to <= clean.length, kind);
      }
    }
  });

  test("are what their kind says", () => {
    const of = (kind: string) => planted.filter((error) => error.kind === kind);
    for (const error of of("article dropped")) {
      assert.match(before(error), /^(?:a|an|the)\s+$/i);
      assert.equal(error.insert, "");
    }
    for (const error of of("doubled word")) assert.match(error.insert, /^(\w+) \1$/);
    for (const error of of("a or an")) assert.match(before(error), /^an?$/i);
    for (const error of of("final mark")) assert.equal(before(error), ".");
    for (const error of of("subject comma")) assert.equal(error.insert, ",");
    for (const error of of("capital")) {
      assert.equal(error.insert, before(error).slice(0, 1).toLowerCase() + before(error).slice(1));
    }
  });

  test("stand one to a sentence, never in speech, and the same seed plants the same", () => {
    const [text] = texts;
    if (!text) throw new Error("no text");
    const errors = errorsIn(text, "article dropped", language, seeded(9));
    assert.deepEqual(errors, errorsIn(text, "article dropped", language, seeded(9)));
    const sentences = errors.map(({ block, from }) => {
      const { sentences = [], text: paragraph = "" } = text.blocks[block] ?? {};
      const at = sentences.findIndex((one) => one.from <= from && from < one.to);
      assert.equal((paragraph.slice(0, from).split('"').length - 1) % 2, 0);
      return `${block} ${at}`;
    });
    assert.equal(new Set(sentences).size, errors.length);
    assert.ok(errors.length > 10);
  });
});
