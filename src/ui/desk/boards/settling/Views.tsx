/** What the board shows. */
export const VIEWS = ["forms", "settled"] as const;
export type View = (typeof VIEWS)[number];

const LABELS: Readonly<Record<View, string>> = { forms: "Forms", settled: "Settled" };

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
    </nav>
  );
}
