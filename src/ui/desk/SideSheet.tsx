import { X } from "lucide-react";
import { Decisions } from "./Decisions.tsx";
import { Occurrences } from "./Occurrences.tsx";
import type { DeskSession } from "./session.ts";
import { WordEntry } from "./WordEntry.tsx";
import { WordList } from "./WordList.tsx";

/** What the side sheet shows; null when it is closed. */
export type Sheet = "occurrences" | "entry" | "decisions" | "words" | null;

interface SideSheetProps {
  sheet: Exclude<Sheet, null>;
  onSheet: (sheet: Sheet) => void;
  session: DeskSession;
}

/** Beside the text: the places of a mark, the word's entry, the decisions, the lists. */
export function SideSheet({ sheet, onSheet, session }: SideSheetProps) {
  return (
    <aside className="overflow-auto border-l border-rule px-4 pt-3.5 pb-6" aria-label="Side sheet">
      <SheetTabs sheet={sheet} onSheet={onSheet} />
      {sheet === "occurrences" ? <Occurrences session={session} /> : null}
      {sheet === "entry" ? <WordEntry session={session} /> : null}
      {sheet === "decisions" ? <Decisions session={session} /> : null}
      {sheet === "words" ? <WordList session={session} /> : null}
    </aside>
  );
}

function SheetTabs({ sheet, onSheet }: { sheet: Sheet; onSheet: (sheet: Sheet) => void }) {
  const tabs: [Exclude<Sheet, null>, string][] = [
    ["occurrences", "Occurrences"],
    ["entry", "Word"],
    ["decisions", "Decisions"],
    ["words", "Lists"],
  ];
  return (
    <div className="mb-2.5 flex gap-3.5 whitespace-nowrap">
      {tabs.map(([name, label]) => (
        <button
          key={name}
          type="button"
          aria-pressed={sheet === name}
          className={
            sheet === name
              ? "border-b-2 border-ink pb-1 font-semibold"
              : "border-b-2 border-transparent pb-1 text-soft"
          }
          onClick={() => onSheet(name)}
        >
          {label}
        </button>
      ))}
      <span className="grow" />
      <button
        type="button"
        className="pb-1 text-soft"
        aria-label="Close the side sheet"
        onClick={() => onSheet(null)}
      >
        <X size={16} aria-hidden="true" />
      </button>
    </div>
  );
}
