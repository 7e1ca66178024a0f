import type { ReactNode } from "react";

interface SwitchProps {
  on: boolean;
  onSwitch: (on: boolean) => void;
  title: ReactNode;
  note?: string;
}

/** A tick box with its title. */
export function Switch({ on, onSwitch, title, note }: SwitchProps) {
  return (
    <label className="flex items-start gap-2" title={note}>
      <input
        type="checkbox"
        className="mt-0.5 accent-ink"
        checked={on}
        onChange={(event) => onSwitch(event.target.checked)}
      />
      <span>{title}</span>
    </label>
  );
}
