import type { CollatedCell } from "../../../../core/gathered/overlaps.ts";

/** A passage above its source, word above word; where they are the same, the source has ditto marks. */
export function Collation({ cells }: { cells: readonly CollatedCell[] }) {
  return (
    <div
      className="flex max-h-44 gap-x-3 overflow-auto border border-rule bg-sheet px-3.5 py-2"
      data-testid="collation"
    >
      <div className="shrink-0 pt-0.5 text-xs leading-6 text-soft">
        <div>this text</div>
        <div>source</div>
      </div>
      <div className="flex flex-wrap gap-x-2 gap-y-1.5 font-book text-[15px] leading-6">
        {cells.map(({ text, source, same }, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a word is its place
          <span key={at} className="text-center">
            <span
              className={`block ${same ? "" : "border-b-2 border-pen font-semibold"} ${text === null ? "text-soft" : ""}`}
            >
              {text ?? "–"}
            </span>
            <span className={`block ${same ? "text-faint" : ""}`}>
              {same ? "″" : (source ?? "–")}
            </span>
          </span>
        ))}
      </div>
    </div>
  );
}
