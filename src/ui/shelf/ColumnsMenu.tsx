import { DropdownMenu } from "radix-ui";
import { COLUMNS, type Column } from "./columns.tsx";

interface ColumnsMenuProps {
  shown: readonly Column[];
  onChoose: (ids: string[]) => void;
}

/** Which columns the shelf shows beside title and kind. */
export function ColumnsMenu({ shown, onChoose }: ColumnsMenuProps) {
  const ids = shown.map(({ id }) => id);
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="button-text pb-2">Columns</DropdownMenu.Trigger>
      <DropdownMenu.Content align="end" className="z-10 border border-ink bg-sheet py-1">
        {COLUMNS.map(({ id, label }) => (
          <DropdownMenu.CheckboxItem
            key={id}
            checked={ids.includes(id)}
            className="flex cursor-pointer gap-3 px-4 py-1.5 outline-none data-highlighted:bg-tint"
            onSelect={(event) => event.preventDefault()}
            onCheckedChange={(on) =>
              onChoose(on ? [...ids, id] : ids.filter((other) => other !== id))
            }
          >
            <span className="w-4" aria-hidden="true">
              {ids.includes(id) ? "✓" : ""}
            </span>
            {label}
          </DropdownMenu.CheckboxItem>
        ))}
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
}
