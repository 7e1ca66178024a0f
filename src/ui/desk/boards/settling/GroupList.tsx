import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useMemo, useRef } from "react";
import { figure } from "../../../parts/words.ts";
import { MATTER_LABELS, type OpenGroup, titleOf } from "./form-groups.ts";

/** Pixels of a row. */
const ROW = 28;

interface GroupListProps {
  groups: readonly OpenGroup[];
  at: number;
  onPick: (at: number) => void;
}

type Line = { heading: string; groups: number } | { at: number; one: OpenGroup };

/** All groups that are open, under what they are about. */
export function GroupList({ groups, at, onPick }: GroupListProps) {
  const list = useRef<HTMLDivElement>(null);
  const lines = useMemo(() => linesOf(groups), [groups]);
  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const shown = lines.findIndex((line) => "at" in line && line.at === at);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list follows the group that is open
  useEffect(() => {
    if (shown >= 0) rows.scrollToIndex(shown === 1 ? 0 : shown, { align: "auto" });
  }, [shown, lines.length]);
  return (
    <div ref={list} className="min-h-0 overflow-auto bg-ground/40" data-testid="groups">
      <ul
        aria-label="Groups to settle"
        className="relative text-[13px]"
        style={{ height: rows.getTotalSize() }}
      >
        {rows.getVirtualItems().map(({ index, start }) => {
          const line = lines[index];
          if (!line) return null;
          const style = { transform: `translateY(${start}px)`, height: ROW };
          return (
            <li
              key={"at" in line ? line.one.group.id : line.heading}
              className="absolute inset-x-0"
              style={style}
            >
              {"at" in line ? (
                <button
                  type="button"
                  aria-current={line.at === at ? "true" : undefined}
                  onClick={(event) => {
                    onPick(line.at);
                    if (event.detail > 0) event.currentTarget.blur();
                  }}
                  className={`flex h-full w-full items-baseline gap-2 border-l-3 px-3.5 pt-1 text-left ${line.at === at ? "border-pen bg-sheet font-semibold" : "border-transparent"}`}
                >
                  <span className="min-w-0 grow truncate font-book">{titleOf(line.one.group)}</span>
                  <span className="text-soft">{figure(line.one.odd)}</span>
                </button>
              ) : (
                <h3 className="flex justify-between px-4.5 pt-2 text-xs font-semibold text-soft">
                  {line.heading} <span>{figure(line.groups)}</span>
                </h3>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function linesOf(groups: readonly OpenGroup[]): Line[] {
  const counts = new Map<string, number>();
  for (const { group } of groups) counts.set(group.matter, (counts.get(group.matter) ?? 0) + 1);
  return groups.flatMap((one, at): Line[] => {
    const { matter } = one.group;
    const line = { at, one };
    if (groups[at - 1]?.group.matter === matter) return [line];
    return [{ heading: MATTER_LABELS[matter], groups: counts.get(matter) ?? 0 }, line];
  });
}
