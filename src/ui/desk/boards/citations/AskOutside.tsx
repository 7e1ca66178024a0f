import type { AskFailure } from "../../outside.ts";
import type { AskedOutside } from "./use-outside.ts";

const SAYS: Readonly<Record<Exclude<AskFailure, "stopped">, string>> = {
  offline: "The service can’t be reached from here just now. What was found before is shown.",
  slow: "The service has not answered in time. Nothing is lost; ask again later.",
  failed: "The service could not answer. Nothing is lost; ask again later.",
};

interface AskOutsideProps {
  asked: AskedOutside;
  /** What the service is called: “the index”. */
  service: string;
  /** How many entries are asked for. */
  entries: number;
  label: string;
  /** When it was last asked, ISO 8601; null for never. */
  at: string | null;
  /** Asking about one entry alone; null where none is looked at. */
  alone?: { label: string; onAsk: () => void } | null;
  onAsk: () => void;
}

/** Says what is sent before anything is, and how asking goes. */
export function AskOutside({ asked, service, entries, label, at, alone, onAsk }: AskOutsideProps) {
  return (
    <div className="border-b border-hair px-8 py-3 text-[13px]" aria-live="polite">
      <p className="text-soft">
        Of each entry its title, its first author and its year are sent to {service}; nothing else
        leaves this computer.
        {at ? ` Last asked ${when(at)}.` : ""}
      </p>
      <p className="mt-2 flex items-baseline gap-4">
        {asked.asking ? (
          <>
            <span>Asking about {entries} entries…</span>
            <button type="button" className="button-text" onClick={asked.stop}>
              Stop
            </button>
          </>
        ) : (
          <button
            type="button"
            className="button-main text-sm"
            disabled={entries === 0}
            onClick={onAsk}
          >
            {at ? `${label} again` : label}
          </button>
        )}
        {alone && !asked.asking ? (
          <button type="button" className="button-text" onClick={alone.onAsk}>
            {alone.label}
          </button>
        ) : null}
        {asked.failure && asked.failure !== "stopped" ? (
          <span role="alert">{SAYS[asked.failure]}</span>
        ) : null}
      </p>
    </div>
  );
}

function when(at: string): string {
  return new Date(at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });
}
