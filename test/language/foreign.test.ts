import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import { isForeign } from "../../src/core/language/phrases/foreign.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const foreign = (text: string) => isForeign(readSentence(text, language), 0);

describe("a sentence that is not in today's standard English", () => {
  test("is one in another language, in old spelling or in dialect put down by sound", () => {
    assert.ok(foreign("Forsan et haec olim meminisse iuvabit, as the keeper said."));
    assert.ok(foreign("He wroot that the tydes weren verie hye and the shippes sonke."));
    assert.ok(foreign("Ah tole mah bruthuh thet the lahthouse wuz shet."));
  });

  test("is not one with a slip or two, with names or with a term", () => {
    assert.ok(!foreign("The keper wrote teh tides down and went home."));
    assert.ok(!foreign("Orrin Vale met Tessaly Brune and Marrec Odd at Gannet Head."));
    assert.ok(!foreign("The well-known, salt-worn, wind-bent, half-sunk mast leaned over."));
    assert.ok(!foreign("The gauge reads the tide every six minutes, day and night."));
  });
});
