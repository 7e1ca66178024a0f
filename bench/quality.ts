import dictionaryUs from "dictionary-en";
import dictionaryGb from "dictionary-en-gb";
import nspell from "nspell";
import { brownTexts } from "../scripts/corpus/brown.ts";
import { misspellingPairs } from "../scripts/corpus/misspellings.ts";
import { plantMisspellings } from "../scripts/corpus/planted.ts";
import { loadLanguage } from "../src/command/checking.ts";
import { correctWord } from "../src/core/language/corrections/corrections.ts";
import { splitSentences } from "../src/core/language/text/sentences.ts";
import { surroundingsOf } from "../src/core/language/text/surroundings.ts";
import { tokenise } from "../src/core/language/text/tokens.ts";
import type { Variety } from "../src/core/manuscript/model.ts";
import { hunspellSuggestions } from "./hunspell.ts";

interface Try {
  wrong: string;
  right: string;
  variety: Variety;
}

/** Tries made before the clock starts, for everyone alike. */
const WARMING = 40;

interface Score {
  first: number;
  five: number;
  milliseconds: number;
}

/** First corrections on published misspellings and on planted ones, and what the checks mark. */
export function benchQuality(): void {
  benchPairs(hunspellSuggestions());
  benchPlanted();
}

/** A pair is tried in the variety whose dictionary has the right word, American first. */
function withVariety(pairs: readonly { wrong: string; right: string }[]): Try[] {
  const { lexicon } = loadLanguage();
  return pairs.map((pair) => {
    const bits = lexicon.varieties(pair.right);
    return { ...pair, variety: bits & 2 && !(bits & 1) ? "en-GB" : "en-US" };
  });
}

function score(tries: readonly Try[], correct: (one: Try) => string[]): Score {
  let first = 0;
  let five = 0;
  for (const one of tries.slice(0, WARMING)) correct(one);
  const started = performance.now();
  for (const one of tries) {
    const offered = correct(one).map((word) => word.toLowerCase());
    if (offered[0] === one.right) first++;
    if (offered.slice(0, 5).includes(one.right)) five++;
  }
  const milliseconds = (performance.now() - started) / tries.length;
  return { first: first / tries.length, five: five / tries.length, milliseconds };
}

function line(name: string, { first, five, milliseconds }: Score): string {
  const share = (part: number) => `${(100 * part).toFixed(1)}%`;
  return `  ${name.padEnd(22)} first ${share(first)}, among five ${share(five)}, ${milliseconds.toFixed(2)} ms each`;
}

/**
 * The test part of the `misspellings` package (Wikipedia's list of common misspellings, CC BY-SA):
 * every fourth pair. The letter rewritings are counted, and all weights chosen, on the others.
 */
function benchPairs(hunspell: ((word: string, variety: Variety) => string[]) | null): void {
  const tries = withVariety(misspellingPairs("test"));
  const language = loadLanguage();
  const speller = ({ aff, dic }: { aff: Uint8Array; dic: Uint8Array }) =>
    nspell({ aff: Buffer.from(aff), dic: Buffer.from(dic) });
  const spellers = { us: speller(dictionaryUs), gb: speller(dictionaryGb) };
  const ours = score(tries, ({ wrong, variety }) =>
    correctWord(wrong, { ...language, variety }, 5),
  );
  const theirs = score(tries, ({ wrong, variety }) =>
    (variety === "en-GB" ? spellers.gb : spellers.us).suggest(wrong),
  );
  console.log(`\n${tries.length} published misspellings, without context (goal 93% / 97%)`);
  console.log(line("Dry Run", ours));
  console.log(line("nspell", theirs));
  console.log(`  ${(theirs.milliseconds / ours.milliseconds).toFixed(1)} times as fast as nspell`);
  if (hunspell)
    console.log(
      line(
        "libhunspell",
        score(tries, (one) => hunspell(one.wrong, one.variety)),
      ),
    );
}

/** The same misspellings planted in sentences of the Brown corpus's test part. */
function benchPlanted(): void {
  const texts = brownTexts().filter(({ part }) => part === "test");
  const planted = plantMisspellings(texts, misspellingPairs("test"), 3);
  const language = loadLanguage();
  let first = 0;
  let five = 0;
  const started = performance.now();
  for (const place of planted) {
    const around = surroundingsOf(
      place.text,
      tokenise(place.text),
      splitSentences(place.text),
      place,
    );
    const [{ variety } = { variety: "en-US" as const }] = withVariety([place]);
    const offered = correctWord(place.wrong, { ...language, variety }, 5, around);
    if (offered[0]?.toLowerCase() === place.right) first++;
    if (offered.some((word) => word.toLowerCase() === place.right)) five++;
  }
  const count = planted.length;
  console.log(`\n${count} misspellings planted in Brown sentences (goal 96% first)`);
  console.log(
    line("Dry Run", {
      first: first / count,
      five: five / count,
      milliseconds: (performance.now() - started) / count,
    }),
  );
}
