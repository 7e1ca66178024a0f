import { useEffect, useState } from "react";
import type { OtherWording, Overlaps } from "../../overlaps.ts";

interface WordsInsteadProps {
  /** The word that is selected, or in which the caret stands. */
  word: string;
  sentence: string;
  overlaps: Overlaps;
  onPut: (from: number, to: number, insert: string) => void;
}

/** Other words for the word at the caret, by its meanings, and shorter ways for long-winded phrases. */
export function WordsInstead({ word, sentence, overlaps, onPut }: WordsInsteadProps) {
  const [found, setFound] = useState<OtherWording>({ senses: [], phrases: [] });
  useEffect(() => {
    let current = true;
    void overlaps.wordsInstead(word, sentence).then((other) => {
      if (current) setFound(other);
    });
    return () => {
      current = false;
    };
  }, [word, sentence, overlaps]);
  const at = word === "" ? -1 : sentence.indexOf(word);
  return (
    <div className="mt-2 min-h-12 text-[13px]" data-testid="words-instead">
      {found.senses.map(({ gloss, words }) => (
        <p key={gloss} className="flex flex-wrap items-baseline gap-x-3">
          <span className="text-soft">{gloss}:</span>
          {words.map((one) => (
            <button
              key={one}
              type="button"
              className="button-text font-book text-[15px]"
              onClick={() => at >= 0 && onPut(at, at + word.length, one)}
            >
              {one}
            </button>
          ))}
        </p>
      ))}
      {found.phrases.map(({ from, to, text, instead }) => (
        <p key={from} className="flex flex-wrap items-baseline gap-x-3">
          <span className="text-soft">for “{text}”:</span>
          {instead.map((one) => (
            <button
              key={one}
              type="button"
              className="button-text font-book text-[15px]"
              onClick={() => onPut(from, to, one)}
            >
              {one}
            </button>
          ))}
        </p>
      ))}
      {found.senses.length + found.phrases.length === 0 ? (
        <p className="text-soft">
          Put the caret in a word to see others of the same meaning, in its form.
        </p>
      ) : null}
    </div>
  );
}
