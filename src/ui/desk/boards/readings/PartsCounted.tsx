import { Popover } from "radix-ui";
import { PARTS, type PartName } from "../../../../core/readings/scope.ts";
import { count } from "../../../parts/words.ts";
import { Switch } from "../../Switch.tsx";
import type { BoardProps } from "../board.ts";

const LABELS: Record<PartName, string> = {
  headings: "Headings",
  tables: "Tables",
  references: "References",
  code: "Code",
  quotations: "Quotations",
};

/** Which parts of the document are counted, and what switching one changes. */
export function PartsCounted({ reports: { scope, readings }, deciding }: BoardProps) {
  const left = PARTS.filter((part) => !scope[part]).map((part) => LABELS[part].toLowerCase());
  return (
    <Popover.Root>
      <Popover.Trigger className="border-b border-dotted border-faint text-soft">
        {left.length > 0 ? `Left out: ${left.join(", ")}` : "Everything is counted"}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          className="z-30 w-72 border border-rule bg-sheet p-4 text-[13px]"
          aria-label="Parts that are counted"
        >
          <p className="pb-2 text-soft">Measures are made for running text.</p>
          <ul className="space-y-2">
            {PARTS.map((part) => (
              <li key={part} className="flex justify-between gap-3">
                <Switch
                  title={LABELS[part]}
                  on={scope[part]}
                  onSwitch={(on) => deciding.setScope({ ...scope, [part]: on })}
                />
                <span className="text-soft">
                  {changeOf(readings?.parts[part] ?? 0, scope[part])}
                </span>
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function changeOf(words: number, counted: boolean): string {
  if (words === 0) return "none in this document";
  return counted ? `${count(words, "word")} counted` : `${count(words, "word")} left out`;
}
