import { KIND_LABELS, VARIETY_LABELS } from "../../core/report/words.ts";
import { Brand } from "../parts/Brand.tsx";
import { ThemeSwitch } from "../parts/ThemeSwitch.tsx";
import { HouseMenu } from "./HouseMenu.tsx";
import type { Sheet } from "./SideSheet.tsx";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

interface HeaderProps {
  session: DeskSession;
  sheet: Sheet;
  onSheet: (sheet: Sheet) => void;
  onExport: () => void;
}

/** The document's name, what it is read as, and the way out. */
export function DeskHeader({ session, sheet, onSheet, onExport }: HeaderProps) {
  const { record, reading, manuscript } = useSlice(session, "record", "reading", "manuscript");
  return (
    <header className="flex items-center gap-4.5 border-b border-rule px-4.5">
      <Brand />
      <h1 className="min-w-0 truncate text-soft">
        <a href="/" className="hover:underline">
          Shelf
        </a>{" "}
        / <b className="font-semibold text-ink">{record?.title ?? ""}</b>
      </h1>
      <span className="grow" />
      {record ? (
        <>
          <HeaderChoice
            name="Kind of copy"
            value={record.kind}
            labels={KIND_LABELS}
            disabled={reading}
            onChoose={(kind) => void session.settings.setKind(kind)}
          />
          <HeaderChoice
            name="Variety of English"
            value={record.variety}
            labels={VARIETY_LABELS}
            disabled={reading}
            onChoose={(variety) => void session.settings.setVariety(variety)}
          />
        </>
      ) : null}
      {manuscript ? <HouseMenu session={session} /> : null}
      <ThemeSwitch />
      <button
        type="button"
        className="border-b border-dotted border-faint text-soft"
        aria-pressed={sheet !== null}
        onClick={() => onSheet(sheet ? null : "occurrences")}
      >
        Side sheet
      </button>
      <button type="button" className="button-main" disabled={!manuscript} onClick={onExport}>
        Export…
      </button>
    </header>
  );
}

interface HeaderChoiceProps<Value extends string> {
  name: string;
  value: Value;
  labels: Readonly<Record<Value, string>>;
  disabled: boolean;
  onChoose: (value: Value) => void;
}

function HeaderChoice<Value extends string>({
  name,
  value,
  labels,
  disabled,
  onChoose,
}: HeaderChoiceProps<Value>) {
  return (
    <label className="text-soft">
      <span className="sr-only">{name}</span>
      <select
        className="border-b border-dotted border-faint bg-transparent"
        value={value}
        disabled={disabled}
        onChange={(event) => onChoose(event.target.value as Value)}
      >
        {Object.entries<string>(labels).map(([one, label]) => (
          <option key={one} value={one}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}
