import type { DeskSession } from "./session.ts";
import type { DeskState } from "./state.ts";

/** The words that no document is questioned about any more; each can be taken off again. */
export function WordList({ state, session }: { state: DeskState; session: DeskSession }) {
  if (state.words.length === 0) {
    return <p className="text-soft">No words yet. W on a mark puts its word here.</p>;
  }
  const sorted = state.words.toSorted((a, b) => a.word.localeCompare(b.word));
  return (
    <>
      <p className="pb-2 text-[13px] text-soft">These count as right in every document.</p>
      <ul className="-mx-4">
        {sorted.map(({ word }) => (
          <li key={word} className="flex gap-3 border-t border-hair px-4 py-1.5">
            <span className="min-w-0 grow font-book break-words">{word}</span>
            <button
              type="button"
              className="button-text text-[13px]"
              onClick={() => void session.unlistWord(word)}
            >
              take off<span className="sr-only"> {word}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
