import type { Tried } from "./use-tried.ts";

/** Which document rules are tried on. */
export function TriedOn({ tried: { documents, chosen, choose } }: { tried: Tried }) {
  return (
    <label className="shrink-0 pb-0.5 text-soft">
      Tried on{" "}
      <select
        className="max-w-64 border-b border-dotted border-faint bg-transparent py-1 text-ink"
        value={chosen}
        onChange={(event) => choose(event.target.value)}
      >
        {documents.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </select>
    </label>
  );
}
