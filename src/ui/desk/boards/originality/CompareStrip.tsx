import { useEffect } from "react";
import { count, figure } from "../../../parts/words.ts";
import type { ComparingState } from "../../comparing-state.ts";
import type { Overlaps } from "../../overlaps.ts";

interface CompareStripProps {
  comparing: ComparingState;
  overlaps: Overlaps;
}

const STEPS = {
  asking: "Asking where fingerprints stand…",
  fetching: "Fetching passages of sources…",
  laying: "Laying the text beside sources…",
} as const;

/** Says what is sent before anything is, compares, and shows how far it is. */
export function CompareStrip({ comparing, overlaps }: CompareStripProps) {
  const { progress, done, asks } = comparing;
  const isNew = done === null;
  // The collection is read on the server once it may be asked, so that the answer comes at once.
  useEffect(() => {
    if (isNew) void fetch("/api/sources/list").catch(() => undefined);
  }, [isNew]);
  if (progress) {
    return (
      <p className="flex items-baseline gap-4 px-8 py-2 text-[13px]" aria-live="polite">
        <span>{STEPS[progress.step]}</span>
        <progress
          className="w-40 accent-[var(--pen)]"
          aria-label="How far comparing is"
          value={progress.done}
          max={Math.max(1, progress.all)}
        />
        <button type="button" className="button-text" onClick={() => overlaps.stop()}>
          Stop
        </button>
      </p>
    );
  }
  if (done) {
    return (
      <p
        className="flex flex-wrap items-baseline gap-x-4 px-8 py-2 text-[13px] text-soft"
        aria-live="polite"
        data-testid="compared"
      >
        <span>
          Compared with {count(done.own, "source")} of your own
          {done.asked && !done.failure ? " and the collection that ships" : ""} at{" "}
          {done.at.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })};{" "}
          {done.bytes > 0 ? `${figure(Math.ceil(done.bytes / 1000))} kB sent` : "nothing sent"}
        </span>
        {done.failure ? (
          <span role="alert" className="text-ink">
            The collection that ships could not be reached; only your own sources were compared.
          </span>
        ) : null}
        <button
          type="button"
          className="button-text"
          onClick={() => void overlaps.compare(done.asked)}
        >
          Compare again
        </button>
        <button
          type="button"
          className="button-text"
          onClick={() => void overlaps.compare(!done.asked)}
        >
          {done.asked ? "Only with my own sources" : "Also with the collection that ships"}
        </button>
        <button type="button" className="button-text" onClick={() => void overlaps.addDraft()}>
          Add this draft to my sources
        </button>
      </p>
    );
  }
  return (
    <div className="max-w-[76ch] px-8 py-6" data-testid="ask-compare">
      <h3 className="font-book text-lg font-semibold">Compare this draft</h3>
      <p className="mt-2">
        Your own{" "}
        <a className="button-text" href="/sources">
          sources
        </a>{" "}
        are compared here, in this browser. For the collection that ships, the first 20 bits of the
        text’s fingerprints are sent to the server, sorted, each once, about 2 kB for a thousand
        words, and then which places of sources are to be fetched. No word of the draft leaves this
        computer, and the draft joins no collection.
      </p>
      <p className="mt-4 flex flex-wrap items-baseline gap-4">
        <button
          type="button"
          className={asks === false ? "button-text" : "button-main text-sm"}
          onClick={() => void overlaps.compare(true)}
        >
          Compare with all sources
        </button>
        <button
          type="button"
          className={asks === false ? "button-main text-sm" : "button-text"}
          onClick={() => void overlaps.compare(false)}
        >
          Only with my own sources
        </button>
        <button type="button" className="button-text" onClick={() => void overlaps.addDraft()}>
          Only add this draft to my sources
        </button>
      </p>
    </div>
  );
}
