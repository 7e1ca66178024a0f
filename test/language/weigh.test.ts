import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { weigh } from "../../src/core/language/models/choice-models.ts";
import { NUMBERS } from "../../src/core/language/models/slot-finder.ts";
import { FORMS } from "../../src/core/language/words/words.ts";

const bit = (form: (typeof FORMS)[number]) => 1 << FORMS.indexOf(form);
const none = () => 0;
const ANY = Number.NEGATIVE_INFINITY;

describe("weighing the classes of a place", () => {
  test("takes the best of the others, with its lead over what stands there", () => {
    const words = { kind: "words", trigram: 0 } as const;
    assert.deepEqual(weigh(words, 0, 0, [1, 4, 2], none, ANY), { best: 1, margin: 3 });
    assert.deepEqual(weigh(words, 1, 0, [1, 4, 2], none, ANY), { best: 2, margin: -2 });
  });

  test("adds how well each fits by the trigram model", () => {
    const words = { kind: "words", trigram: 0.5 } as const;
    const fit = (one: number) => [0, -1, 4][one] ?? 0;
    assert.deepEqual(weigh(words, 0, 0, [1, 2, 0], fit, ANY), { best: 2, margin: 1 });
  });

  test("gives up where not even that could reach the threshold", () => {
    const words = { kind: "words", trigram: 0.5 } as const;
    const never = () => assert.fail("the trigram model is not asked");
    assert.equal(weigh(words, 0, 0, [5, 0], never, 1), null);
  });

  test("never offers another noun where a verb's number is asked", () => {
    const number = { kind: "number", trigram: 0 } as const;
    const noun = NUMBERS.indexOf("noun");
    assert.equal(weigh(number, 0, 0, [0, 1, 9], none, ANY)?.best, NUMBERS.indexOf("plural"));
    // A noun that has the form of a plural verb may only become a singular one.
    assert.deepEqual(weigh(number, noun, 1, [6, 2, 1], none, ANY), { best: 0, margin: 4 });
  });

  test("counts forms that are spelled alike as one, and leaves tense alone", () => {
    const form = { kind: "form", trigram: 0 } as const;
    // "put" is every form but the third person and the one in -ing.
    const put = bit("bare") | bit("present") | bit("past") | bit("participle");
    const values = [1, 0, 5, 0, 2, 4];
    assert.deepEqual(weigh(form, FORMS.indexOf("past"), put, values, none, ANY), {
      best: FORMS.indexOf("ing"),
      margin: -1,
    });
    const went = bit("past");
    const best = weigh(form, FORMS.indexOf("past"), went, [1, 9, 9, 0, 3, 0], none, ANY)?.best;
    assert.equal(best, FORMS.indexOf("participle"));
    assert.equal(weigh(form, 0, 0, [1, 2, 3, 4, 5, 6], none, ANY), null);
  });
});
