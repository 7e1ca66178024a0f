import { Key } from "../../../parts/Key.tsx";

/** Something a key does, which can be pressed too; the keys stay with the board. */
export function Act({ letter, label, run }: { letter: string; label: string; run: () => void }) {
  return (
    <button
      type="button"
      className="flex items-baseline gap-1.5 whitespace-nowrap"
      onClick={(event) => {
        run();
        if (event.detail > 0) event.currentTarget.blur();
      }}
    >
      <Key>{letter}</Key>
      {label}
    </button>
  );
}
