import { Key } from "../../../parts/Key.tsx";

/** What the board shows. */
export const VIEWS = ["forms", "abbreviations", "quantities", "terms", "settled"] as const;
export type View = (typeof VIEWS)[number];

const LABELS: Readonly<Record<View, string>> = {
  forms: "Forms",
  abbreviations: "Abbreviations",
  quantities: "Quantities",
  terms: "Terms",
  settled: "Settled",
};

/** The view after another; after the last the first. */
export function viewAfter(view: View): View {
  return VIEWS[(VIEWS.indexOf(view) + 1) % VIEWS.length] ?? "forms";
}

interface ViewsProps {
  view: View;
  onChoose: (view: View) => void;
  /** What stands beside each name. */
  counts: Partial<Record<View, string>>;
}

/** The views of the board beside each other. */
export function Views({ view, onChoose, counts }: ViewsProps) {
  return (
    <nav aria-label="Views" className="flex gap-5 border-b border-rule px-6 pt-2.5 text-[13px]">
      {VIEWS.map((one) => (
        <button
          key={one}
          type="button"
          aria-current={one === view ? "page" : undefined}
          onClick={(event) => {
            onChoose(one);
            if (event.detail > 0) event.currentTarget.blur();
          }}
          className={`-mb-px border-b-2 pb-1.5 ${one === view ? "border-pen font-semibold" : "border-transparent text-soft"}`}
        >
          {LABELS[one]} <span className="text-soft">{counts[one] ?? ""}</span>
        </button>
      ))}
      <span className="ml-auto text-soft">
        <Key>V</Key> next view
      </span>
    </nav>
  );
}
