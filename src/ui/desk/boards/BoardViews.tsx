import { Key } from "../../parts/Key.tsx";

interface BoardViewsProps<View extends string> {
  /** The views in their order, with what each is called. */
  labels: Readonly<Record<View, string>>;
  view: View;
  onChoose: (view: View) => void;
  /** What stands beside each name. */
  counts: Partial<Record<View, string>>;
}

/** The views of a board beside each other. */
export function BoardViews<View extends string>({
  labels,
  view,
  onChoose,
  counts,
}: BoardViewsProps<View>) {
  return (
    <nav aria-label="Views" className="flex gap-5 border-b border-rule px-6 pt-2.5 text-[13px]">
      {(Object.entries(labels) as [View, string][]).map(([one, label]) => (
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
          {label} <span className="text-soft">{counts[one] ?? ""}</span>
        </button>
      ))}
      <span className="ml-auto text-soft">
        <Key>V</Key> next view
      </span>
    </nav>
  );
}

/** The view after another; after the last the first. */
export function viewAfter<View extends string>(
  labels: Readonly<Record<View, string>>,
  view: View,
): View {
  const all = Object.keys(labels) as View[];
  return all[(all.indexOf(view) + 1) % all.length] ?? view;
}
