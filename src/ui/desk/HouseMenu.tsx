import { DropdownMenu } from "radix-ui";
import { useEffect, useState } from "react";
import type { HouseStyle } from "../../core/house/style.ts";
import { listHouses } from "../../store/house.ts";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

/** Which houses the document follows, and in which order they are heard. */
export function HouseMenu({ session }: { session: DeskSession }) {
  const { houses, reading } = useSlice(session, "houses", "reading");
  const [all, setAll] = useState<readonly HouseStyle[]>([]);
  const [open, setOpen] = useState(false);
  useEffect(() => {
    if (open) void listHouses().then(setAll);
  }, [open]);
  const title = houses.length === 0 ? "No house" : houses.map(({ name }) => name).join(", ");
  const at = (id: string) => houses.findIndex((one) => one.id === id);
  return (
    <DropdownMenu.Root modal={false} open={open} onOpenChange={setOpen}>
      <DropdownMenu.Trigger
        disabled={reading}
        className="max-w-48 truncate border-b border-dotted border-faint text-soft"
      >
        <span className="sr-only">House: </span>
        {title}
      </DropdownMenu.Trigger>
      <DropdownMenu.Content
        align="end"
        className="z-20 max-w-80 border border-ink bg-sheet py-1"
        onCloseAutoFocus={(event) => event.preventDefault()}
      >
        {all.map((house) => {
          const order = at(house.id);
          return (
            <DropdownMenu.CheckboxItem
              key={house.id}
              checked={order >= 0}
              className="flex cursor-pointer gap-3 px-4 py-1.5 outline-none data-highlighted:bg-tint"
              onSelect={(event) => event.preventDefault()}
              onCheckedChange={(on) =>
                void session.house.follow(
                  on ? [...houses, house] : houses.filter(({ id }) => id !== house.id),
                )
              }
            >
              <span className="w-4 shrink-0 tabular-nums" aria-hidden="true">
                {order < 0 ? "" : houses.length > 1 ? order + 1 : "✓"}
              </span>
              <span className="min-w-0 truncate">{house.name}</span>
            </DropdownMenu.CheckboxItem>
          );
        })}
        {all.length === 0 ? <p className="px-4 py-1.5 text-soft">There is no house yet.</p> : null}
        {houses.length > 1 ? (
          <p className="px-4 pt-1 pb-1.5 text-[13px] text-soft">The first is heard first.</p>
        ) : null}
        <DropdownMenu.Item asChild>
          <a
            className="block border-t border-hair px-4 py-1.5 outline-none data-highlighted:bg-tint"
            href={
              houses[0] ? `/house?house=${houses[0].id}&part=terms` : "/house?part=house-itself"
            }
          >
            House styles…
          </a>
        </DropdownMenu.Item>
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
}
