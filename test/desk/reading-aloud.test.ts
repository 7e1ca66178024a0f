import assert from "node:assert/strict";
import { afterEach, describe, test } from "node:test";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Range } from "../../src/core/manuscript/model.ts";
import { ReadingAloud } from "../../src/ui/desk/reading-aloud.ts";
import { findVoice, NO_VOICE, spelledOut } from "../../src/ui/desk/speech.ts";

const TEXT = "The tide turned. The gauge stood still.\nNobody wrote it down.";

/** What a browser says through, in small: notes what it is to say, tells of each word, and ends. */
class Voices extends EventTarget {
  said: string[] = [];
  /** Ends each text before its second word. */
  breaksOff = false;
  constructor(public languages: readonly string[]) {
    super();
    const { globalThis: globals } = globalThis as unknown as {
      globalThis: Record<string, unknown>;
    };
    globals["speechSynthesis"] = this;
    globals["SpeechSynthesisUtterance"] = class extends EventTarget {
      constructor(readonly text: string) {
        super();
      }
    };
  }

  getVoices() {
    return this.languages.map((lang) => ({ lang }));
  }

  cancel(): void {}

  speak(utterance: EventTarget & { text: string }): void {
    this.said.push(utterance.text);
    setTimeout(() => {
      for (const { index } of utterance.text.matchAll(/\S+/g)) {
        if (this.breaksOff && index > 0) break;
        const boundary = Object.assign(new Event("boundary"), { name: "word", charIndex: index });
        utterance.dispatchEvent(boundary);
      }
      utterance.dispatchEvent(new Event(this.breaksOff ? "error" : "end"));
    }, 1);
  }
}

function reader() {
  const shown: (Range | null)[] = [];
  const published: { speaking: boolean; voiceless?: string }[] = [];
  const aloud = new ReadingAloud({
    current: () => linesManuscript(TEXT),
    show: (spoken) => shown.push(spoken),
    publish: (changes) => published.push(changes),
  });
  const words = () => shown.flatMap((range) => (range ? [TEXT.slice(range.from, range.to)] : []));
  return { aloud, shown, words, published };
}

afterEach(() => {
  Reflect.deleteProperty(globalThis, "speechSynthesis");
});

describe("reading aloud", () => {
  test("says a word, or its letters", async () => {
    const voices = new Voices(["en-GB"]);
    const { aloud } = reader();
    await aloud.start("word", "gauge", 0, "en-GB");
    await aloud.start("letters", "it’s", 0, "en-GB");
    assert.deepEqual(voices.said, ["gauge", "i, t, apostrophe, s"]);
    assert.equal(spelledOut("o'er"), "o, apostrophe, e, r");
  });

  test("says the sentence at a place, and shows each word as it is said", async () => {
    const voices = new Voices(["en-GB"]);
    const { aloud, words, shown, published } = reader();
    await aloud.start("sentence", "", TEXT.indexOf("gauge"), "en-GB");
    assert.deepEqual(voices.said, ["The gauge stood still."]);
    assert.deepEqual(words(), ["The", "gauge", "stood", "still."]);
    assert.equal(shown.at(-1), null);
    assert.deepEqual(published.at(-1), { speaking: false });
  });

  test("says all from there on, over the ends of paragraphs", async () => {
    const voices = new Voices(["en-GB"]);
    const { aloud, words } = reader();
    await aloud.start("onward", "", TEXT.indexOf("gauge"), "en-GB");
    assert.deepEqual(voices.said, ["The gauge stood still.", "Nobody wrote it down."]);
    assert.equal(words().at(-1), "down.");
  });

  test("ends when it is stopped, and says nothing more", async () => {
    const voices = new Voices(["en-GB"]);
    const { aloud, published } = reader();
    const reading = aloud.start("onward", "", 0, "en-GB");
    await new Promise((resolve) => setTimeout(resolve, 2));
    aloud.stop();
    await reading;
    assert.ok(voices.said.length < 3);
    assert.deepEqual(published.at(-1), { speaking: false });
  });

  test("ends where the voice breaks off", async () => {
    const voices = new Voices(["en-GB"]);
    voices.breaksOff = true;
    const { aloud } = reader();
    await aloud.start("onward", "", 0, "en-GB");
    assert.deepEqual(voices.said, ["The tide turned."]);
  });

  test("takes a voice of the region, then any English one, and says when there is none", async () => {
    new Voices(["de-DE", "en-US", "en_GB"]);
    assert.equal((await findVoice("en-GB-oxendict"))?.lang, "en_GB");
    assert.equal((await findVoice("en-AU"))?.lang, "en-US");
    new Voices(["de-DE"]);
    const { aloud, published } = reader();
    await aloud.start("word", "gauge", 0, "en-GB");
    assert.deepEqual(published.at(-1), { speaking: false, voiceless: NO_VOICE });
  });

  test("waits for voices that a browser has yet to find, and does without a browser's speech", async () => {
    const voices = new Voices([]);
    setTimeout(() => {
      voices.languages = ["en-GB"];
      voices.dispatchEvent(new Event("voiceschanged"));
    }, 5);
    assert.equal((await findVoice("en-GB"))?.lang, "en-GB");
    Reflect.deleteProperty(globalThis, "speechSynthesis");
    assert.equal(await findVoice("en-GB"), null);
  });
});
