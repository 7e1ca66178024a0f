import type { BoardProps } from "./board.ts";
import { useBoardKeys } from "./use-board-keys.ts";

/** In the place of a board that could not be fetched. */
export function Unreachable({ deciding }: BoardProps) {
  useBoardKeys({ ...deciding, move: () => undefined, page: 1, go: deciding.back, stet: () => {} });
  return (
    <section aria-label="Not reachable" className="bg-sheet px-6 py-8">
      <p>
        This part of Dry Run could not be fetched. The text and every decision are safe; reload the
        page when the server can be reached.
      </p>
      <button type="button" className="button-plain mt-4" onClick={() => deciding.back()}>
        Back to the text
      </button>
    </section>
  );
}
