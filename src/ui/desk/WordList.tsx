import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

/** The words that no document is questioned about any more; each can be taken off again. */
export function WordList({ session }: { session: DeskSession }) {
  const { words } = useSlice(session, "style").style;
  if (words.length === 0) {
    return (
      <p className="text-soft">
        No words yet. W on a mark puts its word here. <AllLists />
      </p>
    );
  }
  const sorted = words.toSorted((a, b) => a.word.localeCompare(b.word));
  return (
    <>
      <p className="pb-2 text-[13px] text-soft">
        Words of your lists. <AllLists />
      </p>
      <ul className="-mx-4">
        {sorted.map(({ word }) => (
          <li key={word} className="flex gap-3 border-t border-hair px-4 py-1.5">
            <span className="min-w-0 grow font-book break-words">{word}</span>
            <button
              type="button"
              className="button-text text-[13px]"
              onClick={() => void session.settings.unlistWord(word)}
            >
              take off<span className="sr-only"> {word}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

function AllLists() {
  return (
    <a className="button-text" href="/house">
      House style
    </a>
  );
}
