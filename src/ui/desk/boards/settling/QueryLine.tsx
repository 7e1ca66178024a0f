import { useEffect, useRef, useState } from "react";
import { Key } from "../../../parts/Key.tsx";

interface QueryLineProps {
  onAsk: (note: string) => void;
  onLeave: () => void;
}

/** A question to the author about the place that is shown, in place of the keys at the foot. */
export function QueryLine({ onAsk, onLeave }: QueryLineProps) {
  const [note, setNote] = useState("");
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  return (
    <form
      className="flex items-center gap-4 border-t border-ink bg-wash px-6 py-3 text-[13px]"
      onSubmit={(event) => {
        event.preventDefault();
        if (note.trim() !== "") onAsk(note.trim());
      }}
    >
      <label className="flex grow items-center gap-3">
        Ask the author
        <input
          ref={field}
          value={note}
          className="field grow text-sm"
          onChange={(event) => setNote(event.target.value)}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === "Escape") onLeave();
          }}
        />
      </label>
      <button type="submit" className="font-semibold">
        <Key>Enter</Key> ask
      </button>
      <button type="button" className="text-soft" onClick={onLeave}>
        <Key>Esc</Key> leave it
      </button>
    </form>
  );
}
