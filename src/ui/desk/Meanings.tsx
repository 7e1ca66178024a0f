import { useEffect, useState } from "react";
import type { DeskState } from "./state.ts";
import { fetchEntry } from "./word-entries.ts";

interface Meaning {
  word: string;
  text: string;
}

/** For a right word in the wrong place: what each of the two means. */
export function Meanings({ state }: { state: Pick<DeskState, "subject" | "choices"> }) {
  const { subject, choices } = state;
  const mark = subject?.kind === "mark" ? subject.place.mark : null;
  const asked = mark?.rule === "grammar/confused-words";
  const written = asked ? mark.text.toLowerCase() : "";
  const offered = asked ? (choices?.[0]?.label.toLowerCase() ?? "") : "";
  const [meanings, setMeanings] = useState<Meaning[]>([]);
  useEffect(() => {
    let current = true;
    setMeanings([]);
    const words = [written, offered].filter((word) => /^\p{L}+$/u.test(word));
    if (words.length < 2) return;
    Promise.all(words.map(meaningOf)).then(
      (found) => current && setMeanings(found.flat()),
      // The mark stands without meanings as well.
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [written, offered]);
  if (meanings.length === 0) return null;
  return (
    <dl className="mt-2 max-w-[62ch] text-[13px] leading-snug">
      {meanings.map(({ word, text }) => (
        <div key={word} className="flex gap-2">
          <dt className="shrink-0 font-book font-semibold">{word}</dt>
          <dd className="text-soft">{text}</dd>
        </div>
      ))}
    </dl>
  );
}

async function meaningOf(word: string): Promise<Meaning[]> {
  const own = LITTLE_WORDS.get(word);
  if (own) return [{ word, text: own }];
  const { senses } = await fetchEntry(word);
  const text = senses[0]?.definition;
  return text ? [{ word, text }] : [];
}

/** Words of grammar, which a word list of meanings does not hold. Common practice. */
const LITTLE_WORDS = new Map([
  ["than", "in comparisons: deeper than"],
  ["then", "at that time, next"],
  ["their", "belonging to them"],
  ["there", "in that place; there is"],
  ["its", "belonging to it"],
  ["to", "towards; before a verb: to read"],
  ["too", "also; more than is wanted"],
  ["of", "belonging to, made from"],
  ["off", "away, not on"],
  ["from", "out of, starting at"],
  ["for", "meant to serve, in favour of"],
  ["your", "belonging to you"],
  ["whose", "belonging to whom"],
  ["where", "in which place"],
  ["were", "plural past of be"],
  ["our", "belonging to us"],
  ["are", "plural present of be"],
  ["his", "belonging to him"],
  ["is", "singular present of be"],
  ["and", "joins two things"],
  ["an", "“a” before a vowel sound"],
  ["if", "on condition that"],
  ["them", "those people or things, as an object"],
  ["they", "those people or things, as a subject"],
  ["this", "the one here"],
  ["these", "the ones here"],
  ["which", "what one of several"],
  ["with", "together, by means of"],
]);
