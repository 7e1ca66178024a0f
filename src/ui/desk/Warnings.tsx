import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

interface WarningsProps {
  session: DeskSession;
  onExport: () => void;
}

/** What can't wait: text that is not kept, and another tab that does the writing. */
export function Warnings({ session, onExport }: WarningsProps) {
  const { kept, reading } = useSlice(session, "kept", "reading");
  return (
    <div aria-live="assertive">
      {kept.state === "failed" ? (
        <p
          role="alert"
          className="flex items-center gap-4 border-b border-alarm bg-sheet px-8 py-2.5 font-semibold text-alarm"
        >
          <span className="grow">{kept.sentence}</span>
          <button type="button" className="button-plain" onClick={() => void session.keepAgain()}>
            Try again
          </button>
          <button type="button" className="button-main" onClick={onExport}>
            Export…
          </button>
        </p>
      ) : null}
      {reading ? (
        <p className="border-b border-rule bg-wash px-8 py-2">
          Another tab has this document open and does the writing. This one shows it, and takes over
          when the other is closed.
        </p>
      ) : null}
    </div>
  );
}
